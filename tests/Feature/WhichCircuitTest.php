<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\Site;
use App\Models\Visit;
use Metrum\Installation\InstallationReader;
use Tests\TestCase;

/** Which one is it? The tag that was opened last says for which circuit is entered, and holds what is adjusted. */
final class WhichCircuitTest extends TestCase
{
    private const ON_BOARD = ['stage' => 'board'];

    private const TURN = ['reason' => '3 turns open', 'stage' => 'put_right'];

    private Visit $rack;

    /** @var array<string, Circuit> by part */
    private array $circuits;

    protected function setUp(): void
    {
        parent::setUp();
        $site = Site::query()->create(['name' => 'Lunden grocery', 'place' => 'Market 2', 'altitude_m' => 0]);
        $story = json_decode((string) file_get_contents(database_path('seeders/rack.json')), true);
        $plant = InstallationReader::stored(json_encode($story['installation'], JSON_THROW_ON_ERROR));
        $this->circuits = Circuit::establishAll($site, $plant, 'Medium rack', $story['names']);
        $this->rack = Visit::open($this->circuits['circuit 1']->fresh('site', 'plant'), $this->technician, now());
    }

    public function test_a_line_on_the_board_without_a_name_counts_for_the_circuit_whose_tag_was_opened_last(): void
    {
        $line = fn (string $typed) => $this->enter($this->rack, 'line', 'line', $typed, self::ON_BOARD);
        $line('box 4.1')->assertStatus(422)->assertSee('Of which circuit is');
        $this->tag('circuit 3');
        $line('box 4.1')->assertOk();
        $this->tag('circuit 5');
        $line('box 6.2')->assertOk();
        $kept = FactRecord::query()->where('key', 'box_temperature_c')->orderBy('seq')->get();
        self::assertSame(['circuit 3', 'circuit 5'], $kept->pluck('part')->all());
        $name = $this->circuits['circuit 5']->name;
        $this->get("/visits/{$this->rack->id}/board")->assertSee("Tag opened last: $name.");
    }

    public function test_a_named_circuit_and_what_all_share_stay_where_they_belong(): void
    {
        $this->tag('circuit 3');
        $name = $this->circuits['circuit 2']->name;
        $this->enter($this->rack, 'line', 'line', "$name: box 3.3", self::ON_BOARD)->assertOk();
        $this->enter($this->rack, 'line', 'line', 'level 31 %', self::ON_BOARD)->assertOk();
        $part = static fn (string $key): string => FactRecord::query()->where('key', $key)->sole()->part;
        self::assertSame('circuit 2', $part('box_temperature_c'));
        self::assertSame('plant', $part('receiver_level_percent'));
    }

    public function test_the_page_of_another_circuit_says_whose_tag_was_opened_last_and_leads_there(): void
    {
        $this->tag('circuit 3');
        $third = $this->circuits['circuit 3']->name;
        $first = $this->circuits['circuit 1']->name;
        $this->get("/visits/{$this->rack->id}/gauges")
            ->assertSee("Tag opened last: $third. Entries on this page count for $first.")
            ->assertSee("/visits/{$this->rack->id}~3/gauges", false);
        $this->get("/visits/{$this->rack->id}~3/gauges")->assertDontSee('Tag opened last');
        // Another unit of the same technician, too.
        $plain = $this->visit();
        $this->get("/visits/{$plain->id}/gauges")->assertSee("Tag opened last: $third.");
        $this->enter($plain, 'site', 'tag', 'yes')->assertOk();
        $this->get("/visits/{$plain->id}/gauges")->assertDontSee('Tag opened last');
        $this->get("/visits/{$this->rack->id}~3/gauges")->assertSee('Tag opened last: Cold room 2.');
        $this->travel(5)->hours();
        $this->get("/visits/{$this->rack->id}~3/gauges")->assertDontSee('Tag opened last');
    }

    public function test_a_valve_is_not_adjusted_where_the_tag_of_another_circuit_was_opened_last(): void
    {
        $this->tag('circuit 3');
        $first = $this->rack->fresh()->walking($this->circuits['circuit 1']);
        $third = $this->circuits['circuit 3']->name;
        $this->enter($first, 'move', 'valve_turn', '0.25 out', self::TURN)
            ->assertStatus(422)->assertSee("the tag opened last is of another circuit ($third)");
        $this->tag('circuit 1');
        $this->enter($first, 'move', 'valve_turn', '0.25 out', self::TURN)->assertOk();
    }

    public function test_closing_and_seeing_proves_a_circuit_and_shuts_the_gate_where_another_responds(): void
    {
        $first = $this->rack->fresh()->walking($this->circuits['circuit 1']);
        $step = fn (string $key, string $value) => $this->enter(
            $first,
            'card',
            "which_circuit.$key",
            $value,
            ['card' => 'which_circuit', 'stage' => 'verdict'],
        );
        $this->enter($first, 'state', 'state', 'running_settled')->assertOk();
        $steps = ['begun' => 'yes', 'label' => 'none', 'before' => '2', 'shut' => 'yes', 'wait' => '3'];
        foreach ($steps as $key => $value) {
            $step($key, $value)->assertOk();
        }
        $step('after', '11')->assertOk();
        $step('answer', 'another')->assertOk();
        $step('open', 'yes')->assertOk()->assertSee('Another coil responded');
        $step('done', 'another')->assertOk();
        $this->enter($first, 'move', 'valve_turn', '0.25 out', self::TURN)
            ->assertStatus(422)->assertSee('another circuit responded when it was closed');
    }

    private function tag(string $part): void
    {
        $this->travel(1)->minutes();
        $this->enter($this->rack, 'site', 'tag', 'yes', ['part' => $part] + self::ON_BOARD)->assertOk();
    }
}
