<?php

namespace App\View;

use App\Models\Visit;
use App\Picture\IceCyclePicture;
use App\Records\JudgedVisit;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Log\FactKind;
use Metrum\Quantity\Units;

/** What a colleague or the maker's help line asks for of an ice machine, with what was not measured named. */
final readonly class HelpSheet
{
    /** What is asked for, by heading. */
    private const ASKED = [
        'Site' => [
            Reading::AmbientTemperature,
            Reading::WaterTemperature,
            Reading::SupplyVoltage,
            Reading::CyclesSinceStart,
        ],
        'Ice' => [
            Reading::IceInQuarter,
            Reading::IceMoisture,
            Reading::GearboxCurrent,
            Reading::FreezeTime,
            Reading::HarvestTime,
            Reading::IcePerCycle,
            Reading::MeasuredBridge,
            Observation::IcePattern,
            Observation::Harvest,
            Observation::FreezeEnded,
        ],
        'Water' => [
            Reading::WaterPerCycle,
            Reading::SumpTemperature,
            Observation::WaterFlow,
            Observation::WaterInletInFreeze,
            Observation::WaterLevel,
            Observation::DumpValve,
            Observation::Scale,
        ],
        'Refrigerant' => [
            Reading::SuctionBegin,
            Reading::SuctionEnd,
            Reading::DischargeEnd,
            Reading::SuctionHarvest,
            Reading::DischargeHarvest,
            Reading::SuctionTemperatureEvaporator,
            Reading::DischargeTemperature,
            Reading::CondenserOutletTemperature,
            Reading::CompressorCurrent,
            Observation::HotGasLineInFreeze,
            Test::HotGasValveCalled,
            Observation::CondenserFans,
            Observation::CondenserFace,
            Observation::CondenserWater,
        ],
    ];

    /** What stands for a moment of the freeze where there is none. */
    private const STEADY = [Reading::SuctionPressure, Reading::DischargePressure];

    private const FIGURES = [
        'Superheat' => DerivedFigure::EvaporatorSuperheat,
        'Subcooling' => DerivedFigure::Subcooling,
    ];

    public Visit $visit;

    public ReportBasis $basis;

    /** @var array<string, list<array{name: string, value: string, isKnown: bool}>> by heading */
    public array $rows;

    private function __construct(
        private JudgedVisit $judged,
        public IceSheet|FlakeSheet $sheet,
        private Units $units,
    ) {
        $this->visit = $judged->visit->loadMissing('circuit.site', 'user');
        $this->basis = new ReportBasis($this->visit, $judged->findings->circuit, $units);
        $this->rows = $this->asked();
    }

    /** Null where it is no ice machine, or none can be simulated. */
    public static function of(JudgedVisit $judged, Units $units): ?self
    {
        $sheet = IceSheet::of($judged, $units) ?? FlakeSheet::of($judged, $units);

        return $sheet === null ? null : new self($judged, $sheet, $units);
    }

    /** Of a machine that makes batches. */
    public function cycle(): ?IceCyclePicture
    {
        return $this->sheet instanceof IceSheet ? $this->sheet->picture : null;
    }

    /** "Cycle 3 since start: counts."; empty where there are none. */
    public function counted(): string
    {
        return $this->sheet instanceof IceSheet ? $this->sheet->cycle() : '';
    }

    public function complaint(): string
    {
        $words = array_map(
            static fn (Complaint $one): string => lcfirst($one->label()),
            $this->judged->findings->complaints,
        );

        return $words === [] ? 'not entered' : implode(', ', $words);
    }

    /** @return array<string, list<array{name: string, value: string, isKnown: bool}>> by heading */
    private function asked(): array
    {
        $rows = [];
        foreach (self::ASKED as $heading => $asked) {
            $fits = array_filter(
                $asked,
                fn (Asked $one): bool => $one->taking()->isAskedAt($this->judged->findings->circuit),
            );
            $rows[$heading] = array_map($this->row(...), array_values($fits));
        }
        $steady = $this->judged->findings->circuit->makesBatches() ? [] : array_map($this->row(...), self::STEADY);
        $rows['Refrigerant'] = [...$this->figures(), ...$steady, ...$rows['Refrigerant']];

        return $rows;
    }

    /** @return array{name: string, value: string, isKnown: bool} */
    private function row(Reading|Observation|Test $asked): array
    {
        $value = $this->value($asked);

        return [
            'name' => $asked->label(),
            'value' => $value ?? ($asked instanceof Reading ? 'not measured' : 'not checked'),
            'isKnown' => $value !== null,
        ];
    }

    private function value(Reading|Observation|Test $asked): ?string
    {
        $findings = $this->judged->findings;
        if (! $asked instanceof Reading) {
            $word = $findings->observations[$asked->value] ?? $findings->tests[$asked->value] ?? null;

            return $word === null ? null : lcfirst($word->label());
        }
        $si = $findings->reading($asked);

        return $si === null ? null : $this->units->text($si, $asked->quantity());
    }

    /** @return list<array{name: string, value: string, isKnown: bool}> */
    private function figures(): array
    {
        $figures = Figures::of($this->judged->findings, $this->judged->rules);
        $minute = $this->value(Reading::FreezeMinute);
        $rows = [];
        foreach (self::FIGURES as $name => $key) {
            $value = $figures->value($key);
            $rows[] = [
                'name' => $name.($value === null || $minute === null ? '' : ", $minute into the freeze"),
                'value' => $value === null ? 'not measured' : $this->units->text($value, $key->quantity()),
                'isKnown' => $value !== null,
            ];
        }

        return $rows;
    }

    /** @return list<string> what was not measured or checked */
    public function missing(): array
    {
        $missing = [];
        foreach ($this->rows as $rows) {
            foreach ($rows as $row) {
                if (! $row['isKnown']) {
                    $missing[] = lcfirst($row['name']);
                }
            }
        }

        return $missing;
    }

    /** @return list<string> what was changed, in the order in which it was */
    public function moves(): array
    {
        $explain = new Explain($this->units);

        return array_map(
            static fn ($fact): string => $fact->takenAt->format('H:i').' '.$explain->fact($fact),
            $this->judged->log->standing(FactKind::Move),
        );
    }

    /** @return list<string> suspects with their chance */
    public function suspects(): array
    {
        return array_map(
            static fn ($one): string => $one->entry()->name.' '.round(100 * $one->probability).' %',
            $this->judged->verdict->ranked(3),
        );
    }
}
