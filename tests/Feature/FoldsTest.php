<?php

namespace Tests\Feature;

use App\Models\FactRecord;
use App\Models\Fold;
use App\Models\User;
use App\Models\Visit;
use App\Records\Folds;
use Illuminate\Support\Str;
use Metrum\Findings\Findings;
use Tests\TestCase;

/** What a closed visit folds to is kept, and asked for instead of its log, as long as it is so. */
final class FoldsTest extends TestCase
{
    private Visit $visit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->visit = $this->starved();
        $this->post("/visits/{$this->visit->id}/ran-well", ['well' => 1]);
        $this->post("/visits/{$this->visit->id}/close")->assertRedirect();
    }

    public function test_a_closed_visit_is_not_folded_again(): void
    {
        self::assertSame($this->visit->id, $this->good());
        $this->mark();
        self::assertSame('marked', $this->good(), 'the kept fold is read');
    }

    public function test_what_came_late_from_a_device_is_in_it(): void
    {
        $this->mark();
        $late = FactRecord::query()->where('occasion_id', $this->visit->id)->firstOrFail()->replicate();
        $late->fill(['id' => (string) Str::ulid(), 'value' => 275.15])->save();

        self::assertSame($this->visit->id, $this->good());
    }

    public function test_other_weights_or_another_circuit_as_opened_fold_it_anew(): void
    {
        foreach (['edition' => 'of last year', 'rests_on' => 'another'] as $column => $was) {
            $this->mark();
            Fold::query()->whereKey($this->visit->id)->update([$column => $was]);
            self::assertSame($this->visit->id, $this->good(), $column);
        }
        $this->mark();
        $plant = $this->visit->refresh()->installation;
        $this->visit->update(['installation' => str_replace('"superheat_k":5', '"superheat_k":8', $plant)]);
        self::assertNotSame($plant, $this->visit->installation);
        self::assertSame($this->visit->id, $this->good());
    }

    public function test_a_visit_opened_again_is_folded_as_it_goes_on(): void
    {
        $this->mark();
        $this->technician->update(['role' => User::LEAD]);
        $this->post("/visits/{$this->visit->id}/reopen")->assertRedirect();

        self::assertSame($this->visit->id, $this->good());
    }

    public function test_a_broken_fold_is_made_anew(): void
    {
        foreach (['', 'no fold', base64_encode('O:8:"stdClass":0:{}')] as $broken) {
            Fold::query()->whereKey($this->visit->id)->update(['fold' => $broken]);
            self::assertSame($this->visit->id, $this->good());
        }
    }

    public function test_it_is_gone_with_its_visit(): void
    {
        self::assertSame(1, Fold::query()->count());
        Visit::query()->whereKey($this->visit->id)->update(['closed_at' => null]);
        $this->keep();

        self::assertSame(0, Fold::query()->count());
    }

    /** What a turn does is learned of all visits: closed, it is read from the fold, and says the same. */
    public function test_what_controls_have_shown_is_told_the_same_from_the_fold_as_from_the_log(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'state', 'state', 'running_settled');
        $this->read($visit, ['suction_pressure_kpa' => '2.9 bar', 'suction_temperature_evaporator_c' => '4']);
        $overruled = ['reason' => '3 turns open', 'overruled' => 'to see whether it answers'];
        $this->enter($visit, 'move', 'valve_turn', '0.5 out', $overruled)->assertOk();
        $this->travel(20)->minutes();
        $this->read($visit, ['suction_pressure_kpa' => '3.1 bar', 'suction_temperature_evaporator_c' => '3']);
        $live = $this->asLeft();
        self::assertMatchesRegularExpression('/K per turn/', $live);
        $this->post("/visits/{$visit->id}/close")->assertRedirect("/visits/{$visit->id}/report");
        self::assertSame($live, $this->asLeft());
        Fold::query()->delete();
        self::assertSame($live, $this->asLeft(), 'without the fold it is worked again');
    }

    private function asLeft(): string
    {
        $page = (string) $this->get("/circuits/{$this->circuit->id}")->assertOk()->getContent();
        preg_match('~<dl class="facts as-left">.*?</dl>~', $page, $found);

        return $found[0] ?? '';
    }

    /** Writes into the kept fold what its log does not say, so that it is seen which of them is read. */
    private function mark(): void
    {
        $this->keep();
        $kept = Fold::query()->whereKey($this->visit->id)->sole();
        $other = str_replace(
            's:26:"'.$this->visit->id.'"',
            's:6:"marked"',
            (string) base64_decode($kept->fold, true),
        );
        $kept->update(['fold' => base64_encode($other)]);
    }

    private function keep(): void
    {
        $judged = $this->judged($this->visit->refresh());
        app(Folds::class)->keep($this->visit, $judged->assessment);
    }

    private function good(): ?string
    {
        $good = array_map(
            static fn (Findings $one): ?string => $one->id,
            app(Folds::class)->good($this->circuit),
        );
        self::assertCount(1, $good);

        return $good[0];
    }
}
