<?php

namespace App\View;

use App\Models\Visit;
use App\Picture\Course;
use App\Picture\CourseFacts;
use App\Picture\IceCyclePicture;
use App\Records\JudgedVisit;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Suspect;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Log\FactKind;
use Metrum\Quantity\Units;

/** What a colleague or the maker's help line asks for, with what was not measured named. */
final readonly class HelpSheet
{
    /** What stands for a moment of the freeze where there is none. */
    private const STEADY = [Reading::SuctionPressure, Reading::DischargePressure];

    private const SUSPECTS = 3;

    private const COURSE_HEIGHT = 260.0;

    private const FIGURES = [
        'Superheat' => DerivedFigure::EvaporatorSuperheat,
        'Subcooling' => DerivedFigure::Subcooling,
    ];

    public Visit $visit;

    public ReportBasis $basis;

    /** What was read, in one picture; null of an ice machine, which has its own. */
    public ?Course $course;

    /** @var array<string, list<array{name: string, value: string, isKnown: bool, place: string}>> as shown */
    public array $rows;

    /** @var array<string, list<array{name: string, value: string, isKnown: bool, place: string}>> all of them */
    private array $asked;

    private function __construct(
        private JudgedVisit $judged,
        public IceSheet|FlakeSheet|null $sheet,
        private Units $units,
    ) {
        $this->visit = $judged->visit->loadMissing('circuit.site', 'user');
        $this->basis = new ReportBasis($this->visit, $judged->findings->circuit, $units);
        $this->course = $this->drawn();
        $this->asked = $this->asked();
        $this->rows = $sheet === null ? array_filter(array_map(self::known(...), $this->asked)) : $this->asked;
    }

    public static function of(JudgedVisit $judged, Units $units): self
    {
        return new self($judged, IceSheet::of($judged, $units) ?? FlakeSheet::of($judged, $units), $units);
    }

    private function drawn(): ?Course
    {
        if ($this->sheet !== null) {
            return null;
        }
        $findings = $this->judged->findings;
        $rules = $this->judged->rules;
        $facts = new CourseFacts($findings, Figures::of($findings, $rules), $rules, $this->judged->expectation);

        return Course::across($facts, $this->units, self::COURSE_HEIGHT);
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

    /** @return array<string, list<array{name: string, value: string, isKnown: bool, place: string}>> by heading */
    private function asked(): array
    {
        $circuit = $this->judged->findings->circuit;
        $asked = HelpQuestions::of($circuit, $this->judged->findings);
        $rows = array_map(fn (array $all): array => array_map($this->row(...), $all), $asked);
        if ($this->sheet === null) {
            return [...$rows, 'Figures' => $this->figures()];
        }
        $steady = $circuit->makesBatches() ? [] : array_map($this->row(...), self::STEADY);
        $rows['Refrigerant'] = [...$this->figures(), ...$steady, ...$rows['Refrigerant']];

        return $rows;
    }

    /** @return array{name: string, value: string, isKnown: bool, place: string} */
    private function row(Reading|Observation|Test $asked): array
    {
        $value = $this->value($asked);

        return [
            'name' => $asked->label(),
            'value' => $value ?? ($asked instanceof Reading ? 'not measured' : 'not checked'),
            'isKnown' => $value !== null,
            'place' => $asked instanceof Reading && $this->sheet === null ? $asked->place() : '',
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

    /** @return list<array{name: string, value: string, isKnown: bool, place: string}> */
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
                'place' => '',
            ];
        }

        return $rows;
    }

    /**
     * @param  list<array{name: string, value: string, isKnown: bool, place: string}>  $rows
     * @return list<array{name: string, value: string, isKnown: bool, place: string}>
     */
    private static function known(array $rows): array
    {
        return array_values(array_filter($rows, static fn (array $one): bool => $one['isKnown']));
    }

    /** @return list<string> what was not measured or checked */
    public function missing(): array
    {
        $missing = [];
        foreach ($this->asked as $rows) {
            foreach ($rows as $row) {
                if (! $row['isKnown']) {
                    $missing[] = lcfirst($row['name']);
                }
            }
        }

        $checks = $this->sheet === null ? $this->judged->verdict->checks : [];
        $next = array_map(static fn (Check $one): string => Explain::within($one->title()), $checks);

        return array_values(array_unique([...$missing, ...$next]));
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
            static fn (Suspect $one): string => $one->entry()->name.' '.Explain::percent($one->probability),
            $this->judged->verdict->blank ? [] : $this->judged->verdict->ranked(self::SUSPECTS),
        );
    }

    /** @return list<string> procedures that were done, with what they came to */
    public function tried(): array
    {
        $explain = new Explain($this->units);

        return array_map($explain->fact(...), $this->judged->desk->cards()->ended());
    }

    /** @return list<string> */
    public function excluded(): array
    {
        return array_map(static fn (Fault $one): string => $one->label(), $this->judged->findings->ruledOut);
    }
}
