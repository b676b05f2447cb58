<?php

namespace App\View;

use App\Models\User;
use App\Models\Visit;
use App\Picture\EnvelopePicture;
use App\Records\JudgedVisit;
use App\View\Compressor\CompressorFigures;
use App\View\Compressor\OilSheet;
use App\View\Compressor\SliderTable;
use App\View\Compressor\TripHistory;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\Findings;
use Metrum\Installation\CompressorClass;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\Envelope;
use Metrum\Installation\PartId;
use Metrum\Installation\SuctionGroup;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Compressor\CompressorCourse;
use Metrum\Work\Compressor\OperatingPoint;
use Metrum\Work\Compressor\PointKind;
use Metrum\Work\Compressor\RackCompressorCourse;
use Metrum\Work\Compressor\ReplacementReasons;
use Metrum\Work\Compressor\Sliders;

/** One page of a compressor: where it runs in its envelope, what is tried on it, why it trips, what replaces it. */
final readonly class CompressorPage
{
    public Visit $visit;

    public CompressorClass $class;

    public CompressorUnit $unit;

    public Envelope $envelope;

    public EnvelopePicture $picture;

    public ?SliderTable $tried;

    /** @var list<array{name: string, value: string, said: string, mark: string}> */
    public array $figures;

    /** @var array<string, bool> what must be answered before another one is put in, and whether it is */
    public array $reasons;

    private CompressorCourse|RackCompressorCourse $courses;

    /** @var list<OperatingPoint> */
    private array $course;

    private Findings $findings;

    private ?RackVerdict $rack;

    private SuctionGroup $group;

    private Units $units;

    /** @param  array<string, mixed>  $chosen  class, of which compressor, and sliders by their names */
    public function __construct(private JudgedVisit $judged, User $user, private array $chosen)
    {
        $this->visit = $judged->visit->loadMissing('circuit.site', 'circuit.plant');
        $this->units = $user->units();
        $this->rack = $this->visit->isOfRack() ? $judged->assessment->rack() : null;
        $this->unit = $this->chosenUnit();
        $this->group = $this->groupOf($this->unit);
        $this->findings = $this->found();
        $class = $chosen['class'] ?? '';
        $this->class = CompressorClass::tryFrom(is_string($class) ? $class : '') ??
            $this->unit->class ??
            CompressorClass::usual($this->findings->circuit);
        $this->envelope = $this->unit->within($this->unit->corners, $this->class)->envelope($this->class);
        $this->courses = $this->rack === null
            ? new CompressorCourse($judged->assessment)
            : new RackCompressorCourse($this->rack, $this->group, $judged->rules);
        $this->tried = SliderTable::of($judged, Sliders::of($chosen), $this->units);
        $tried = $this->tried?->point();
        $this->course = [...$this->courses->points(), ...$tried === null ? [] : [$tried]];
        $this->picture = new EnvelopePicture($this->envelope, $this->course, $this->units);
        $this->figures = (new CompressorFigures($this->findings, $judged->rules, $this->class, $this->units))->all();
        $this->reasons = (new ReplacementReasons($this->findings, $judged->log))->all();
    }

    /** Why it trips on oil, with its trips at earlier visits; they are read from logs, so only where shown. */
    public function oil(): OilSheet
    {
        $trips = (new TripHistory($this->visit, $this->units))->rows();

        return new OilSheet($this->findings, $this->judged->rules, $trips);
    }

    private function chosenUnit(): CompressorUnit
    {
        $units = $this->units();
        foreach ($units as $unit) {
            if ($unit->part->value === ($this->chosen['of'] ?? '')) {
                return $unit;
            }
        }

        return $units[0];
    }

    /** @return non-empty-list<CompressorUnit> as they are known now: corners may be entered at an open visit */
    private function units(): array
    {
        return $this->visit->circuit->plant->setRelation('site', $this->visit->circuit->site)->known()->fitted();
    }

    private function groupOf(CompressorUnit $unit): SuctionGroup
    {
        $plant = $this->visit->plantAsOpened();
        foreach ($plant->groups as $group) {
            foreach ($group->compressors as $one) {
                if ($one->part->is($unit->part)) {
                    return $group;
                }
            }
        }

        return $plant->groups[0];
    }

    /** What is known of it: of a rack what its group and itself show. */
    private function found(): Findings
    {
        if ($this->rack === null) {
            return $this->judged->present();
        }
        $own = $this->rack->examined->found->of($this->unit->part);
        $group = $this->rack->examined->group($this->group);

        return new Findings(
            $group->circuit,
            $group->state,
            readings: $own->readings + $group->readings,
            observations: $own->observations + $group->observations,
            tests: $own->tests + $group->tests,
        );
    }

    /** @return list<array{name: string, part: PartId, isChosen: bool}> where there are several */
    public function choices(): array
    {
        $units = $this->units();

        return count($units) < 2 ? [] : array_map(fn (CompressorUnit $one): array => [
            'name' => self::nameOf($one),
            'part' => $one->part,
            'isChosen' => $one->part->is($this->unit->part),
        ], $units);
    }

    private static function nameOf(CompressorUnit $unit): string
    {
        return $unit->name === '' ? $unit->part->value : $unit->name;
    }

    /** "Compressor: Freezer", "Compressor C2: rack" */
    public function title(): string
    {
        $name = count($this->units()) < 2 ? '' : ' '.self::nameOf($this->unit);

        return "Compressor$name: {$this->name()}";
    }

    /** Of what: its circuit, or its rack. */
    public function name(): string
    {
        return $this->visit->isOfRack() ? $this->visit->circuit->plant->label() : $this->visit->circuit->name;
    }

    /** @return list<array{name: string, at: string, said: string, isOutside: bool}> whether it may run so */
    public function points(): array
    {
        return array_map(fn (OperatingPoint $one): array => [
            'name' => $one->kind->label().($one->ambient === null ? '' : ', air '.$this->degrees($one->ambient)),
            'at' => 'evaporating '.$this->degrees($one->evaporating).', condensing '.$this->degrees($one->condensing),
            'said' => $this->said($one),
            'isOutside' => ! $this->envelope->holds($one->evaporating, $one->condensing),
        ], $this->course);
    }

    private function said(OperatingPoint $one): string
    {
        $zone = $this->envelope->zoneAt($one->evaporating, $one->condensing);

        return match (true) {
            ! $this->envelope->holds($one->evaporating, $one->condensing) => $one->kind === PointKind::PumpDown
                ? 'outside'.$this->outside()
                : 'outside',
            $zone !== null => "inside, needs $zone",
            default => 'inside',
        };
    }

    /** ", about 25 s of each pump-down" */
    private function outside(): string
    {
        $seconds = $this->courses instanceof CompressorCourse
            ? $this->courses->secondsOutside($this->envelope)
            : null;

        return $seconds === null || $seconds <= 0.0
            ? ''
            : ', about '.Format::number(round($seconds, -1), 0).' s of each pump-down';
    }

    private function degrees(float $kelvin): string
    {
        return $this->units->text($kelvin, QuantityKind::Temperature);
    }

    public function isExplained(): bool
    {
        return ! in_array(false, $this->reasons, true);
    }

    /** @return array<string, string> by word */
    public function classes(): array
    {
        $labels = [];
        foreach (CompressorClass::cases() as $class) {
            $labels[$class->value] = $class->label();
        }

        return $labels;
    }

    public function hasOwnCorners(): bool
    {
        return $this->unit->corners !== [];
    }

    /** As they are typed: "−35 25", a corner a line. */
    public function corners(): string
    {
        $unit = $this->units->of(QuantityKind::Temperature);

        return implode("\n", array_map(
            static fn (array $one): string => Format::value($one[0], $unit).' '.Format::value($one[1], $unit),
            $this->unit->corners,
        ));
    }

    public function unitOfCorners(): string
    {
        return $this->units->of(QuantityKind::Temperature)->symbol();
    }
}
