<?php

namespace Tests\Feature;

use App\Models\Visit;
use Illuminate\Support\Carbon;
use Metrum\Exchange\VisitReader;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Quantity\Units;
use Tests\TestCase;

/** Goods in a box at a visit: chosen, counted, decided upon, exported. */
final class GoodsTest extends TestCase
{
    private const AT_BOX = ['stage' => 'box'];

    public function test_goods_too_warm_are_counted_and_somebody_is_asked_what_becomes_of_them(): void
    {
        $visit = $this->warm();
        $page = $this->get("/visits/{$visit->id}/box")->assertOk();
        $page->assertSee('● Fresh meat: 4.5 to 12')->assertSee('Usually discarded after that time.')
            ->assertSee('Goods out of limits: moved, discarded, or staying?')
            ->assertSee('Counted from box air: goods warm and cool later.');
        $this->get("/visits/{$visit->id}/leave")->assertSee('goods out of limits: moved, discarded or staying?');
        $this->get("/visits/{$visit->id}/report")->assertSee('Fresh meat out of limits. Not entered whether moved');
        $moved = ['reason' => 'the cook'] + self::AT_BOX;
        $this->enter($visit, 'goods', 'moved', 'cold room 3', $moved)->assertOk()
            ->assertSee('moved to: cold room 3, by the cook');
        $this->get("/visits/{$visit->id}/leave")->assertDontSee('goods out of limits');
        $this->get("/visits/{$visit->id}/report")->assertDontSee('Not entered whether moved');
    }

    public function test_a_refusal_says_what_is_missing_and_keeps_what_was_typed(): void
    {
        $visit = $this->warm();
        $this->enter($visit, 'goods', 'discarded', '4 kg of fish', self::AT_BOX)->assertStatus(422)
            ->assertSee('enter what or where, and by whom');
        $this->enter($visit, 'goods', 'last_good', 'yesterday', self::AT_BOX)->assertStatus(422)
            ->assertSee('Enter a time as 22:30');
        $this->enter($visit, 'goods', 'ice', 'yes', self::AT_BOX)->assertStatus(422);
    }

    public function test_the_sheet_is_printed_and_exported_for_whoever_decides(): void
    {
        $visit = $this->warm();
        $discarded = ['reason' => 'the owner'] + self::AT_BOX;
        $this->enter($visit, 'goods', 'discarded', '=4 kg of fish', $discarded)->assertOk();
        $this->get("/visits/{$visit->id}/goods")->assertOk()
            ->assertSee('goods-picture', false)
            ->assertSee('Local food rules decide, and the owner.')
            ->assertSee('discarded: =4 kg of fish, by the owner');
        $csv = (string) $this->get("/visits/{$visit->id}/goods.csv")->assertOk()->getContent();
        self::assertStringContainsString('time,what,value,unit,by', $csv);
        self::assertStringContainsString('"box air",9.2,°C', $csv);
        self::assertStringContainsString('Usually discarded', $csv);
    }

    public function test_goods_go_out_in_a_visit_file_and_come_back_the_same(): void
    {
        $visit = $this->warm();
        $this->enter($visit, 'goods', 'moved', 'cold room 3', ['reason' => 'the cook'] + self::AT_BOX)->assertOk();
        $this->enter($visit, 'site', 'leave_by', '23:10', self::AT_BOX)->assertOk();
        $this->enter($visit, 'site', 'no_unit', 'yes', self::AT_BOX)->assertOk();
        $file = (string) $this->get("/visits/{$visit->id}/file.json")->assertOk()->getContent();
        $read = VisitReader::visit($file)->told->log ?? new Log([]);
        $lines = static fn (Log $log): array => array_map(
            static fn (Fact $one): string => $one->rule()->line($one, new Units()),
            $log->standing(FactKind::Goods, FactKind::Site),
        );
        self::assertCount(5, $lines($visit->refresh()->log()));
        self::assertSame($lines($visit->log()), $lines($read));
    }

    public function test_a_machine_that_makes_ice_keeps_no_goods_and_a_box_without_any_asks_which(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)->get("/visits/{$visit->id}/box")->assertSee('Which goods are stored here?');
        $this->get("/visits/{$visit->id}/goods")->assertOk()->assertSee('No goods entered.');
    }

    /** Meat last known good at 22:00, 9 °C from 6 on, now half past ten. */
    private function warm(): Visit
    {
        Carbon::setTestNow('2026-11-30 06:00:00');
        $visit = $this->visit();
        $this->enter($visit, 'goods', 'meat', 'yes', self::AT_BOX)->assertOk();
        $this->enter($visit, 'goods', 'last_good', '22:00', self::AT_BOX)->assertOk();
        $this->enter($visit, 'reading', 'box_temperature_c', '9.2', self::AT_BOX)->assertOk();
        Carbon::setTestNow('2026-11-30 10:30:00');
        $this->enter($visit, 'reading', 'box_temperature_c', '9', self::AT_BOX)->assertOk();

        return $visit;
    }
}
