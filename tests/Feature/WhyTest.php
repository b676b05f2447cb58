<?php

namespace Tests\Feature;

use App\View\Explain;
use Metrum\Diagnosis\Evidence;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figure;
use Metrum\Knowledge\Fault;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Why a verdict is what it is, what the last entry changed, and the handbook behind it. */
#[Group('figures')]
final class WhyTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->technician);
    }

    public function test_nothing_entered_says_where_to_begin(): void
    {
        $this->get("/visits/{$this->visit()->id}/why")
            ->assertOk()
            ->assertSee('Nothing entered yet')
            ->assertSee('Start with the complaint');
    }

    public function test_the_path_names_the_entry_that_turned_the_ranking(): void
    {
        $visit = $this->starved();
        $page = $this->get("/visits/{$visit->id}/why")->assertOk();
        $page->assertSee('How the ranking developed')->assertSee('How often such diagnoses are correct');
        $page->assertSee('Sight glass: bubbles')->assertSee('Of 100 diagnoses stated at about');
        // Both pressures stand beside what they should be.
        $page->assertSee('Suction pressure')->assertSee('Expected');
    }

    public function test_a_figure_as_it_stands_is_told_in_the_readers_own_unit(): void
    {
        $figure = new Figure(DerivedFigure::CondenserApproach, 4.0, '%s − %s', []);
        $piece = new Evidence('figure condenser_approach_k', [], figure: $figure);
        $told = static fn (array $units): string => (new Explain(Units::fromSettings($units)))->evidence($piece);
        self::assertSame('Condenser approach (liquid out above air in): 4.0 K', $told([]));
        self::assertSame('Condenser approach (liquid out above air in): 7.2 °F diff.', $told(['temperature' => 'f']));
    }

    public function test_a_closed_visit_can_still_be_asked_why(): void
    {
        $visit = $this->starved();
        $this->post("/visits/{$visit->id}/close");
        $this->get("/visits/{$visit->id}/why")->assertOk()->assertSee('How the ranking developed');
    }

    public function test_an_entry_says_in_one_line_what_it_changed(): void
    {
        $visit = $this->starved();
        $answer = $this->enter($visit, 'observation', 'valve_sound', 'hissing_gas');
        $answer->assertOk()->assertSee('last-change', false)->assertSee('Sound at exp. valve: hissing gas');
    }

    /** @return iterable<string, array{Fault}> */
    public static function faults(): iterable
    {
        foreach (Fault::cases() as $fault) {
            yield $fault->value => [$fault];
        }
    }

    #[DataProvider('faults')]
    public function test_the_handbook_tells_every_fault(Fault $fault): void
    {
        $entry = FaultCatalogue::entry($fault);
        foreach (['', '?grade=severe', '?circuit='.$this->circuit->id] as $with) {
            $page = $this->get("/handbook/{$fault->value}$with")->assertOk();
            $page->assertSee($entry->name)->assertSee($entry->do[0] ?? $entry->name)->assertSee('Similar faults');
        }
    }

    public function test_the_handbook_is_searched_by_any_word(): void
    {
        $this->get('/handbook')->assertOk()->assertSee('Low refrigerant charge')->assertSee('Blocked or frozen drain');
        $this->get('/handbook?q=bypass+receiver')
            ->assertOk()
            ->assertSee('Head pressure valve bypassing')
            ->assertDontSee('Drain frozen');
        $this->get('/handbook?q='.urlencode('<script>"%'))
            ->assertOk()
            ->assertSee('No fault matches “')
            ->assertDontSee('<script>"', false);
        $this->get('/handbook?q='.str_repeat('x', 5000))->assertOk()->assertSee('No fault matches “');
    }

    public function test_what_is_no_fault_no_grade_and_no_circuit(): void
    {
        $this->get('/handbook/gremlins')->assertNotFound();
        $this->get('/handbook/undercharge?grade=huge')->assertOk()->assertSee('Moderate');
        $this->get('/handbook/undercharge?circuit=nowhere')->assertNotFound();
    }

    public function test_a_verdict_leads_to_both_within_two_taps(): void
    {
        $visit = $this->starved();
        $page = $this->get("/visits/{$visit->id}/verdict")->assertOk();
        $page->assertSee("/visits/{$visit->id}/why", false)->assertSee('/handbook/', false);
    }

    public function test_a_part_is_not_named_for_replacement_before_its_list_is_done(): void
    {
        $visit = $this->visit();
        $this->read($visit, [
            'suction_pressure_kpa' => '480 kPa',
            'discharge_pressure_kpa' => '1200 kPa',
            'ambient_temperature_c' => '25',
            'box_temperature_c' => '7',
            'suction_temperature_evaporator_c' => '7',
            'discharge_temperature_c' => '88',
            'compressor_current_a' => '4.4',
        ]);
        $this->get("/visits/{$visit->id}/verdict")
            ->assertOk()
            ->assertSee('Inefficient compressor')
            ->assertSee('Before recommending replacement')
            ->assertSee('open: pump-down test done')
            ->assertSee('done: current measured');
    }
}
