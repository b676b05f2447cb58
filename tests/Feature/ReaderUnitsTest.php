<?php

namespace Tests\Feature;

use App\Models\Visit;
use Metrum\Bench\Calculator;
use Metrum\Card\Cards;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Station;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Who reads in °F, psi and pounds finds no kelvin, bar or gram anywhere: not in figures, and not in sentences. */
#[Group('figures')]
final class ReaderUnitsTest extends TestCase
{
    private const METRIC = '/[^|]{0,60}[0-9]\s?(?:K|°C|kPa|bar|kg|g)(?:\/\w+)?(?![\w-])[^|]{0,20}/u';

    public function test_no_page_speaks_in_units_of_others(): void
    {
        $visit = $this->walked();
        $this->technician->update(['settings' => ['temperature' => 'f', 'pressure' => 'psi', 'mass' => 'lb']]);
        $this->actingAs($this->technician->refresh());
        $found = [];
        foreach ($this->pages($visit) as $page) {
            $body = (string) $this->get($page)->assertOk()->getContent();
            foreach (self::metric($body) as $said) {
                $found[$said] ??= $page;
            }
        }
        self::assertSame([], $found);
    }

    private function walked(): Visit
    {
        $plate = ['nameplate_charge_kg' => 3.2, 'rated_current_a' => 9.8];
        $this->circuit->describe($this->circuit->systemWords(), $plate + $this->circuit->designWords());
        $visit = $this->starved();
        $say = fn (string $kind, string $key, string $value, array $more = []): mixed => $this
            ->enter($visit, $kind, $key, $value, ['reason' => 'to try it', 'overruled' => 'to try it'] + $more);
        $fans = ['condenser_fans' => 'all_running', 'evaporator_fans' => 'all_running'];
        foreach ($fans + ['condenser_face' => 'clean'] as $key => $word) {
            $say('observation', $key, $word)->assertOk();
        }
        $this->read($visit, [
            'suction_temperature_compressor_c' => '9',
            'drier_outlet_temperature_c' => '29',
            'supply_air_temperature_c' => '-1',
            'discharge_temperature_c' => '108',
        ]);
        // A card that says its end, one that is under way, refrigerant, a turn, and what was read after.
        $say('card', 'pull_down.begun', 'yes', ['stage' => 'prove', 'card' => 'pull_down']);
        $say('card', 'pull_down.box', '0 12, 15 8, 30 5.3', ['stage' => 'prove', 'card' => 'pull_down'])->assertOk();
        $say('card', 'pull_down.done', 'yes', ['stage' => 'prove', 'card' => 'pull_down'])->assertOk();
        $say('card', 'superheat_trace.begun', 'yes', ['stage' => 'put_right', 'card' => 'superheat_trace']);
        $say('move', 'charge', '300 g', ['stage' => 'put_right'])->assertOk();
        $this->travel(40)->minutes();
        $this->read($visit, ['suction_pressure_kpa' => '240 kPa', 'receiver_outlet_temperature_c' => '31']);
        $say('move', 'valve_turn', '0.5 out', ['stage' => 'put_right'])->assertOk();
        $this->read($visit, ['suction_pressure_kpa' => '250 kPa', 'suction_temperature_evaporator_c' => '1']);

        return $visit;
    }

    /** @return iterable<string> */
    private function pages(Visit $visit): iterable
    {
        yield from ['/', '/sites', '/settings', '/refrigerant', '/handbook', '/bench/saturation'];
        $circuit = $visit->circuit_id;
        foreach (['', '/plant', '/refrigerant', '/tag', '/winter', '/edit'] as $page) {
            yield "/circuits/$circuit$page";
        }
        foreach (Station::cases() as $station) {
            yield "/visits/{$visit->id}/{$station->value}";
        }
        yield from ["/visits/{$visit->id}/report", "/visits/{$visit->id}/why"];
        yield "/visits/{$visit->id}/put_right?card=charge";
        foreach (Cards::all() as $card) {
            yield "/visits/{$visit->id}/{$card->station->value}?card={$card->key}";
        }
        foreach (Fault::cases() as $fault) {
            yield "/handbook/{$fault->value}";
        }
        foreach (Calculator::cases() as $calculator) {
            yield "/bench/{$calculator->value}";
        }
    }

    /** @return list<string> what a page says in metric units, with the words around it */
    private static function metric(string $html): array
    {
        // An invoice gives each amount in every unit.
        $own = preg_replace('~<table class="ledger invoice">.*?</table>~s', '', $html) ?? '';
        $text = preg_replace(['~<(script|style|title)\b.*?</\1>~s', '~<[^>]+>~'], ['|', '|'], $own) ?? '';
        preg_match_all(self::METRIC, html_entity_decode($text), $found);

        return array_map(trim(...), $found[0]);
    }
}
