<?php

namespace App\View;

use App\Models\Entry;
use App\Models\User;
use App\Models\Visit;
use App\Picture\Course;
use App\Records\Log;
use Metrum\Circuit\DataFile;
use Metrum\Circuit\Fitted;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Derived;
use Metrum\Findings\Findings;
use Metrum\Plant\TwinExpectation;
use Metrum\Quantity\Format;
use Metrum\Quantity\Kind;

/** Everything that one page of a visit shows. */
final readonly class VisitPage
{
    public Log $log;

    public Findings $findings;

    public Verdict $verdict;

    public TwinExpectation $expectation;

    public Units $units;

    public Explain $explain;

    public function __construct(public Visit $visit, public Stage $stage, User $user)
    {
        $visit->loadMissing('circuit.site');
        $this->units = $user->units();
        $this->explain = new Explain($this->units);
        $this->log = $visit->log();
        $this->findings = $visit->findings($this->log);
        $this->expectation = $visit->expectation($this->findings);
        $this->verdict = $visit->verdict($this->findings, expectation: $this->expectation);
    }

    public function course(): Course
    {
        return new Course(
            $this->findings,
            $this->verdict->figures,
            $this->visit->rules(),
            $this->units,
            match ($this->stage) {
                Stage::Gauges => 346.0,
                Stage::Box, Stage::Unit, Stage::Verdict => 236.0,
                default => 330.0,
            },
            expectation: $this->expectation,
        );
    }

    public function phoneCourse(): Course
    {
        return new Course(
            $this->findings,
            $this->verdict->figures,
            $this->visit->rules(),
            $this->units,
            downward: true,
            expectation: $this->expectation,
        );
    }

    /** @return list<Cell> */
    public function cells(): array
    {
        return $this->cellsOf($this->stage->readings());
    }

    /** @return list<Cell> */
    public function moreCells(): array
    {
        return $this->cellsOf($this->stage->moreReadings());
    }

    public function cell(Reading $reading, ?string $typed = null, ?string $error = null): Cell
    {
        $unit = $this->units->of($reading->quantity());
        $si = $this->findings->reading($reading);
        $check = $this->verdict->nextCheck();

        return new Cell(
            $reading,
            $unit->symbol(),
            $error !== null ? (string) $typed : ($si === null ? '' : Format::value($si, $unit)),
            $this->hint($reading),
            $check !== null && in_array($reading, $check->readings, true),
            $error,
        );
    }

    /** @return list<Choice> */
    public function choices(): array
    {
        $asked = array_filter(
            [...$this->stage->observations(), ...$this->stage->tests()],
            fn (Observation|Test $key): bool => Fitted::asks($this->findings->circuit, $key),
        );

        return array_values(array_map($this->choice(...), $asked));
    }

    public function choice(Observation|Test $asked): Choice
    {
        $chosen = $asked instanceof Test ? $this->findings->tested($asked) : $this->findings->observed($asked);
        /** @var array{how: string} $told */
        $told = DataFile::read('checks')[$asked->value];

        return new Choice(
            $asked,
            $chosen,
            $this->verdict->nextCheck()?->key === $asked,
            $asked instanceof Test ? $told['how'] : '',
        );
    }

    /** Whether the control of an entry stands on this page. */
    public function shows(string $kind, string $key): bool
    {
        $controls = match ($kind) {
            'reading' => array_map(static fn (Cell $cell): string => $cell->reading->value, [
                ...$this->cells(),
                ...$this->moreCells(),
            ]),
            'observation', 'test' => array_map(
                static fn (Choice $choice): string => $choice->asked->value,
                $this->choices(),
            ),
            'complaint' => $this->stage === Stage::Complaint ? [$key] : [],
            'state' => [$key],
            default => [],
        };

        return in_array($key, $controls, true);
    }

    /** @return list<string> cautions of a test or observation, in words */
    public function cautionsOf(Observation|Test $asked): array
    {
        /** @var array{cautions: list<string>} $told */
        $told = DataFile::read('checks')[$asked->value];

        return Cautions::words($told['cautions']);
    }

    /** @return list<string> cautions that belong to this station, before hands go there */
    public function stationCautions(): array
    {
        $own = Cautions::ofRefrigerant($this->findings->circuit->refrigerant);

        return match ($this->stage) {
            Stage::Box => Cautions::words(['wet_floor', 'fans_lockout']),
            Stage::Unit => Cautions::words(['hot_surface', 'fans_lockout']),
            Stage::Gauges => [...$own, ...Cautions::words(['hoses', 'licence'])],
            Stage::Verdict => Cautions::words(['put_back']),
            default => [],
        };
    }

    /** @return list<array{stage: Stage, done: int, all: int, mark: string, said: string}> */
    public function walk(): array
    {
        $walk = [];
        foreach (Stage::cases() as $stage) {
            [$done, $all, $said] = $this->progress($stage);
            $walk[] = [
                'stage' => $stage,
                'done' => $done,
                'all' => $all,
                'said' => $said,
                'mark' => $done === 0 ? 'none' : ($done < $all ? 'part' : 'whole'),
            ];
        }

        return $walk;
    }

    /** @return list<Entry> */
    public function latest(): array
    {
        return $this->log->latest(4);
    }

    /** The control at which a check is entered. */
    public function linkTo(Check $check): string
    {
        $control =
            ($check->key instanceof Reading ? 'cell' : 'choice').
            '-'.
            str_replace('_', '-', $check->key->value);

        return route('visits.show', [$this->visit, Stage::of($check->key)->value]).'#'.$control;
    }

    /** A fresh id for the next entry of a control; sent again it is the same entry. */
    public function ulid(): string
    {
        return (string) \Illuminate\Support\Str::ulid();
    }

    public function stateWord(): string
    {
        return match (true) {
            $this->findings->state === null => 'Settled?',
            $this->findings->isSettled() => 'Running, settled',
            default => $this->findings->state->label(),
        };
    }

    /** What the suspects behind the first three have together. */
    public function restShare(): float
    {
        return max(
            0.0,
            1.0 -
                array_sum(
                    array_map(static fn ($suspect): float => $suspect->probability, $this->verdict->ranked(3)),
                ),
        );
    }

    /** @return list<\Metrum\Findings\Figure> */
    public function figures(): array
    {
        return array_values($this->verdict->figures->all());
    }

    public function sentenceFor(): OwnerSummary
    {
        return new OwnerSummary($this->findings, $this->verdict, $this->units);
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<Cell>
     */
    private function cellsOf(array $readings): array
    {
        $asked = array_filter(
            $readings,
            fn (Reading $reading): bool => Fitted::asks($this->findings->circuit, $reading) ||
                $this->findings->reading($reading) !== null,
        );

        return array_values(array_map(fn (Reading $reading): Cell => $this->cell($reading), $asked));
    }

    /** @return array{int, int, string} */
    private function progress(Stage $stage): array
    {
        if ($stage === Stage::Complaint) {
            $words = array_map(
                static fn ($complaint): string => mb_strtolower($complaint->label()),
                $this->findings->complaints,
            );

            return [count($words) > 0 ? 1 : 0, 1, implode(', ', $words)];
        }
        if ($stage === Stage::Verdict) {
            return [
                count($this->findings->tests) + count($this->findings->confirmed),
                count($this->findings->tests) + count($this->findings->confirmed) + 1,
                count($this->findings->tests) > 0 ? count($this->findings->tests).' tested' : '',
            ];
        }
        if ($stage === Stage::Leave) {
            return [$this->visit->isOpen() ? 0 : 1, 1, $this->visit->isOpen() ? '' : 'closed'];
        }
        $keys = array_filter(
            [
                ...$stage->observations(),
                ...$stage === Stage::Gauges ? array_slice($stage->readings(), 0, 10) : $stage->readings(),
            ],
            fn (Observation|Reading $key): bool => Fitted::asks($this->findings->circuit, $key),
        );
        $done = count(
            array_filter(
                $keys,
                fn (Observation|Reading $key): bool => $key instanceof Reading
                    ? $this->findings->reading($key) !== null
                    : $this->findings->observed($key) !== null,
            ),
        );

        return [$done, count($keys), $done.' of '.count($keys)];
    }

    private function hint(Reading $reading): string
    {
        $figures = $this->verdict->figures;
        $temperature = fn (Derived $key): ?string => $figures->value($key) === null
            ? null
            : $this->units->number((float) $figures->value($key), Kind::Temperature);
        $difference = fn (Derived $key): ?string => $figures->value($key) === null
            ? null
            : $this->units->number((float) $figures->value($key), Kind::Difference);
        $say = static fn (string $before, ?string $value, string $after = ''): string => $value === null
            ? ''
            : $before.$value.$after;
        $set = $this->findings->circuit->design->boxSetPoint;

        return match ($reading) {
            Reading::DischargePressure => $temperature(Derived::CondensingDew) === null
                ? ''
                : ($temperature(Derived::CondensingDew) === $temperature(Derived::SaturatedCondensing)
                    ? $temperature(Derived::CondensingDew).' saturated'
                    : $temperature(Derived::CondensingDew).
                        ' dew · '.
                        $temperature(Derived::SaturatedCondensing).
                        ' bubble'),
            Reading::SuctionPressure => $say('', $temperature(Derived::SaturatedSuction), ' dew').
                $say(' · ', $temperature(Derived::CoilMiddle), ' mid'),
            Reading::EvaporatorPressure => $this->findings->reading($reading) === null
                ? ''
                : $say('', $temperature(Derived::SaturatedEvaporator), ' dew'),
            Reading::DischargeTemperature => $say('expected ', $temperature(Derived::ExpectedDischarge)),
            Reading::CondenserOutletTemperature => $say(
                'subcooled ',
                $difference(Derived::CondenserSubcooling),
            ),
            Reading::ReceiverOutletTemperature => $say('subcooled ', $difference(Derived::ReceiverSubcooling)),
            Reading::DrierOutletTemperature => $say('drop ', $difference(Derived::DrierDrop)),
            Reading::SuctionTemperatureEvaporator => $say(
                'superheat ',
                $difference(Derived::EvaporatorSuperheat),
            ),
            Reading::SuctionTemperatureCompressor => $say(
                'superheat ',
                $difference(Derived::CompressorSuperheat),
            ),
            Reading::BoxTemperature => $set === null
                ? ''
                : 'set '.$this->units->number($set, Kind::Temperature),
            Reading::SupplyAirTemperature => $say('drop ', $difference(Derived::CoilAirDrop)),
            Reading::CondenserAirOutTemperature => $say('rise ', $difference(Derived::CondenserAirRise)),
            Reading::CompressorCurrent => $figures->value(Derived::CurrentShare) === null
                ? ''
                : Format::number(100 * (float) $figures->value(Derived::CurrentShare), 0).' % of rated',
            Reading::AmbientTemperature => $say('split ', $difference(Derived::CondenserSplit)),
            default => '',
        };
    }
}
