<?php

namespace Tests\Feature;

use App\Models\FollowUp;
use App\Models\Visit;
use App\View\OwnerSummary;
use Illuminate\Support\Str;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\Group;
use Tests\Core\Visits;
use Tests\TestCase;

/** The report tells the whole visit: as found, what was done, as left, what is open; nothing in it that is not so. */
#[Group('figures')]
final class ReportTest extends TestCase
{
    private const AGAIN = [
        'suction_pressure_kpa' => '330 kPa',
        'discharge_pressure_kpa' => '1500 kPa',
        'ambient_temperature_c' => '25',
        'box_temperature_c' => '2.2',
        'suction_temperature_evaporator_c' => '1.2',
        'receiver_outlet_temperature_c' => '31',
        'receiver_level_percent' => '45',
    ];

    private function short(): Visit
    {
        $visit = $this->starved();
        $this->enter($visit, 'complaint', 'too_warm', 'yes');

        return $visit;
    }

    /** Refrigerant in, with a reason, and all read again once it had settled. */
    private function charged(Visit $visit): void
    {
        $this->enter($visit, 'move', 'charge', '400 g', ['overruled' => 'the fish cannot wait'])->assertOk();
        $this->travel(50)->minutes();
        $this->read($visit, self::AGAIN);
        $this->enter($visit, 'observation', 'sight_glass', 'clear');
        $this->enter($visit, 'state', 'state', 'running_settled');
    }

    private function summary(Visit $visit): OwnerSummary
    {
        return new OwnerSummary($this->judged($visit->refresh()), new Units());
    }

    private function card(Visit $visit, string $card, string ...$answers): void
    {
        foreach (['begun' => 'yes', ...$answers, 'done' => 'yes'] as $step => $answer) {
            $this->enter($visit, 'card', "$card.$step", $answer, ['stage' => 'put_right', 'card' => $card])->assertOk();
        }
    }

    public function test_what_was_wrong_is_told_as_it_was_found_whatever_reads_right_now(): void
    {
        $visit = $this->short();
        $this->charged($visit);
        $told = $this->summary($visit);
        self::assertStringContainsString('lost part of its refrigerant', implode(' ', $told->wrong()));
        self::assertStringContainsString(
            'We added 400 g of refrigerant R-448A before the leak was found, because the fish cannot wait.',
            implode(' ', $told->did()),
        );
        $now = implode(' ', $told->now());
        self::assertStringContainsString('Temperature of the cooler when we left: 2.2 °C', $now);
        self::assertStringContainsString(
            'The refrigerant we added will leak out again until the leak is found and repaired',
            $now,
        );
        self::assertStringNotContainsString('No repair is needed', $now);
        self::assertStringContainsString('search for the leak', implode(' ', $told->comesBack()));
        $this->get("/visits/{$visit->id}/report")
            ->assertSee('As found ○ and as left ●')
            ->assertSee('Low refrigerant charge')
            ->assertSee('bubbles (as found), then clear (after change 1)')
            ->assertDontSee('Save this visit as the reference');
    }

    public function test_one_visit_makes_one_follow_up_for_refrigerant_before_its_leak(): void
    {
        $visit = $this->short();
        $this->charged($visit);
        $this->enter($visit, 'move', 'charge', '100 g', ['overruled' => 'it is still warm'])->assertOk();
        self::assertSame(1, FollowUp::query()->count());

        $other = $this->starved();
        $this->card($other, 'leak_confirm', by: 'bubbles', bubble: 'grows', mended: 'now', again: 'tight');
        $this->enter($other, 'move', 'charge', '300 g', ['overruled' => 'coil not looked at'])->assertOk();
        self::assertSame(1, FollowUp::query()->count(), 'the leak was found before');
        $this->get("/visits/{$other->id}/report")
            ->assertSee('despite open conditions, because coil not looked at')
            ->assertDontSee('before the leak was found');
    }

    public function test_a_leak_that_was_found_mended_and_tested_is_told_and_not_proposed_again(): void
    {
        $visit = $this->short();
        $this->enter($visit, 'card', 'leak_search.begun', 'yes', ['card' => 'leak_search']);
        $this->enter($visit, 'card', 'leak_search.ports', 'bubble', ['card' => 'leak_search']);
        $this->enter($visit, 'card', 'leak_search.found', 'found', ['card' => 'leak_search']);
        $this->enter($visit, 'card', 'leak_search.done', 'found', ['card' => 'leak_search'])->assertOk();
        self::assertStringContainsString('It is not repaired yet', $this->summary($visit)->text());
        self::assertStringContainsString('The leak is not repaired yet', $this->summary($visit)->text());

        $this->card($visit, 'leak_confirm', by: 'bubbles', bubble: 'grows', mended: 'now', again: 'tight');
        $told = $this->summary($visit)->text();
        self::assertStringContainsString(
            'We found a leak at: service ports, cores and caps, repaired it and tested it: tight.',
            $told,
        );
        self::assertStringNotContainsString('must be found and repaired', $told);
        self::assertStringNotContainsString('not mended yet', $told);
    }

    public function test_nothing_is_proposed_that_was_done(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'confirmed', 'drain_blocked', 'yes');
        self::assertStringContainsString(
            'We will clear the drain and check its heater, slope and trap',
            $this->summary($visit)->text(),
        );
        $this->enter($visit, 'move', 'drain_cleared', 'done')->assertOk();
        $told = $this->summary($visit)->text();
        self::assertStringContainsString(
            'Confirmed: Meltwater cannot drain',
            $told,
            'above whatever remains',
        );
        self::assertStringContainsString('We cleared the drain.', $told);
        self::assertStringNotContainsString('We will clear the drain and', $told);
    }

    public function test_nothing_needs_mending_is_said_only_where_nothing_is_open(): void
    {
        $visit = $this->visit();
        $sound = Visits::cooler();
        foreach ($sound->readings as $key => $si) {
            $unit = Reading::from($key)->fileUnit();
            $this->read($visit, [$key => round($unit->fromSi($si), 3).' '.$unit->symbol()]);
        }
        $this->enter($visit, 'state', 'state', 'running_settled');
        $words = ['evaporator_fans' => 'all_running', 'sight_glass' => 'clear', 'frost_coil' => 'even'];
        foreach ($words as $key => $word) {
            $this->enter($visit, 'observation', $key, $word);
        }
        $clean = 'No repair is needed today';
        self::assertStringContainsString($clean, $this->summary($visit)->text());

        $this->enter($visit, 'touched', 'jumper on the low-pressure control', 'yes');
        self::assertStringNotContainsString($clean, $this->summary($visit)->text());
        self::assertStringContainsString('Not restored yet: jumper', $this->summary($visit)->text());
        $this->enter($visit, 'restored', 'jumper on the low-pressure control', 'yes');
        self::assertStringContainsString($clean, $this->summary($visit)->text());

        $this->enter($visit, 'card', 'bubbles.begun', 'yes');
        self::assertStringNotContainsString($clean, $this->summary($visit)->text(), 'a card is open');
        $this->enter($visit, 'card', 'bubbles.no_result', 'yes', ['reason' => 'no time']);
        $this->read($visit, ['box_temperature_c' => '6.4']);
        $text = $this->summary($visit)->text();
        self::assertStringNotContainsString($clean, $text, 'the box is off its set point');
        self::assertStringContainsString('The cooler is still 4.4 °C above its setting', $text);
    }

    public function test_why_we_look_again_is_said_as_it_is(): void
    {
        $visit = $this->starved();
        $this->read($visit, ['box_temperature_c' => '2.4']);
        $this->enter($visit, 'state', 'state', 'pulling_down');
        self::assertStringContainsString('The system had not settled when measured', $this->summary($visit)->text());

        $this->enter($visit, 'state', 'state', 'running_settled');
        self::assertStringNotContainsString('check', $this->summary($visit)->text(), 'settled and cold');

        $this->read($visit, ['box_temperature_c' => '9']);
        $warm = $this->summary($visit)->text();
        self::assertStringContainsString('We will check this again once the cooler is cold.', $warm);
        self::assertStringNotContainsString('had not settled', $warm, 'it ran steadily');
    }

    public function test_a_complaint_is_evidence_of_the_plant_as_it_was_found(): void
    {
        $visit = $this->short();
        $this->charged($visit);
        $judged = $this->judged($visit->refresh());
        self::assertSame([], $judged->findings->complaints);
        self::assertCount(1, $judged->present()->complaints, 'it is still told');
        self::assertCount(1, $judged->assessment->asFound()->evidence()->complaints);
    }

    public function test_a_trip_that_was_reset_stays_a_finding(): void
    {
        $visit = $this->visit();
        $this->enter($visit, 'observation', 'compressor', 'off_on_oil');
        $this->enter($visit, 'observation', 'compressor', 'running');
        self::assertStringContainsString(
            'stopped because its oil pressure was too low; it is running again',
            implode(' ', $this->summary($visit)->wrong()),
        );
        $this->get("/visits/{$visit->id}/report")
            ->assertSee('compressor off on oil pressure, running again since then');
        $this->post("/visits/{$visit->id}/close");
        $this->travel(2)->days();
        $this->get("/visits/{$this->visit()->id}/complaint")->assertSee('off on oil');
    }

    public function test_a_cleared_drain_voids_neither_air_nor_pressure_and_a_turned_valve_does(): void
    {
        $visit = $this->starved();
        $this->enter($visit, 'observation', 'drain', 'blocked_or_frozen');
        $this->enter($visit, 'move', 'drain_cleared', 'done')->assertOk();
        $findings = $visit->findings();
        self::assertNotNull($findings->reading(Reading::SuctionPressure));
        self::assertArrayNotHasKey('drain', $findings->observations);
        self::assertFalse($this->judged($visit->refresh())->assessment->isBeforeLastMove());
        $why = ['reason' => 'no mark possible', 'overruled' => 'to see'];
        $this->enter($visit, 'move', 'valve_turn', '0.25 in', $why);
        self::assertNull($visit->findings()->reading(Reading::SuctionPressure));
    }

    public function test_the_pdf_has_two_pages(): void
    {
        $visit = $this->short();
        $this->charged($visit);
        $pdf = (string) $this->get("/visits/{$visit->id}/report.pdf")->assertOk()->getContent();
        self::assertSame(2, preg_match_all('~/Type\s*/Page\b(?!s)~', $pdf));
    }

    public function test_the_plate_is_told_as_it_was_when_the_visit_began(): void
    {
        $visit = $this->starved();
        $said = fn () => $this
            ->get("/visits/{$visit->id}/report")
            ->assertOk()
            ->assertSee('Nameplate and design:', false);
        $said()->assertSee('superheat at the bulb 5.5 K', false);
        $this->circuit->describe($this->circuit->systemWords(), ['superheat_k' => 8]);

        $said()->assertSee('superheat at the bulb 5.5 K', false)->assertDontSee('superheat at the bulb 8.0 K', false);
    }

    public function test_words_of_ones_own_stand_instead(): void
    {
        $visit = $this->short();
        $own = 'Gas is low '.Str::random(6);
        $this->enter($visit, 'note', 'summary', $own, ['stage' => 'leave']);
        $this->get("/visits/{$visit->id}/report")->assertSee($own)->assertDontSee('What was wrong');
    }
}
