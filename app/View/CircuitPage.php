<?php

namespace App\View;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\Models\OwnerChoice;
use App\Models\User;
use App\Models\Visit;
use App\Picture\Course;
use App\Picture\CourseFacts;
use App\Records\CircuitHistory;
use App\Records\FigureRecord;
use App\Records\Folds;
use App\Records\Judge;
use App\Records\Stock;
use App\View\Owner\VisitChoices;
use App\View\Record\AsLeft;
use App\View\Record\CircuitPhotos;
use App\View\Record\FigurePairs;
use App\View\Record\FigureTrends;
use App\View\Record\LeakLine;
use App\View\Record\StillOpen;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Kind;
use Metrum\Installation\LoadKind;
use Metrum\Installation\SystemKey;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Units;
use Metrum\Twin\ChargeConflict;
use Metrum\Twin\Filling;
use Metrum\Twin\TwinExpectation;
use Metrum\Twin\Twins;

/** Everything that the page of one circuit shows. */
final readonly class CircuitPage
{
    private const COURSE_HEIGHT = 300.0;

    public Units $units;

    public CircuitHistory $history;

    public ?Visit $latest;

    public Course $course;

    /** Why it has no twin; null where it has one. */
    public ?string $impossible;

    /** @var list<string> where plate, receiver, condenser and lines contradict each other */
    public array $conflicts;

    public StillOpen $open;

    public AsLeft $asLeft;

    public FigureTrends $trends;

    public CircuitPhotos $photos;

    /** What its system lost by the ledger; null: nothing that is known. */
    public ?LeakLine $leak;

    /** What was offered to the owner last; null: nothing ever was. */
    public ?VisitChoices $choices;

    /** The last visit at which it was marked as running well; null where there is none. */
    public ?Visit $good;

    /** @var list<array{name: string, was: string, is: string, change: string}> then, and at the last visit */
    public array $pairs;

    public function __construct(public Circuit $circuit, User $user, Judge $judge, Twins $twins, Folds $folds)
    {
        $this->units = $user->units();
        $this->history = new CircuitHistory($circuit, $judge);
        $this->latest = $this->history->latest();
        $this->asLeft = new AsLeft($circuit, $user, $judge, $folds);
        $ledger = (new Stock())->ledger($circuit);
        $this->trends = new FigureTrends(FigureRecord::of($circuit), $ledger, $this->units);
        $this->leak = LeakLine::of($ledger, $this->units);
        $this->photos = new CircuitPhotos($circuit);
        $offered = OwnerChoice::visitsTo($circuit)->first();
        $this->choices = $offered === null ? null : new VisitChoices($offered, 'en');
        $this->open = new StillOpen(
            $circuit,
            $circuit->followUps()->whereNull('done_at')->get(),
            $this->history->open(),
            $this->history->visits->first()?->log(),
            $this->choices->cards ?? [],
        );
        $findings = $this->latest === null ? new Findings($circuit->known()) : $this->latest->lastRead();
        $rules = $this->latest === null ? HouseRuleChoice::inForce() : $this->latest->rules();
        $well = $folds->good($circuit, $this->latest);
        $expectation = $twins->expectation($findings, $rules, $well);
        $this->good = Visit::thatRanWell($circuit->id)->whereKeyNot($this->latest->id ?? '')->first();
        $this->pairs = $well === [] ? [] : (new FigurePairs($well[0], $findings, $rules, $this->units))->few();
        $this->impossible =
            $expectation instanceof TwinExpectation ? null : $twins->whyNone($findings->circuit, $rules);
        $this->conflicts = $expectation instanceof TwinExpectation
            ? self::conflicts($expectation, $rules, $this->units)
            : [];
        $facts = new CourseFacts($findings, Figures::of($findings, $rules), $rules, $expectation);
        $this->course = Course::across($facts, $this->units, self::COURSE_HEIGHT);
    }

    /** @return list<string> */
    private static function conflicts(TwinExpectation $expectation, HouseRules $rules, Units $units): array
    {
        $machine = $expectation->twin->machine;
        $filling = new Filling($machine->circuit, new Wanted($machine->circuit, $rules));

        return array_map(
            static fn (ChargeConflict $one): string => $one->sentence($units),
            $filling->conflicts($machine),
        );
    }

    private function load(): ?LoadKind
    {
        return Kind::tryFrom((string) $this->circuit->kind)?->load();
    }

    /** @return list<array{name: string, value: ?string}> */
    public function system(): array
    {
        $words = $this->circuit->systemWords();
        $facts = [];
        $load = $this->load();
        foreach (array_filter(SystemKey::cases(), static fn (SystemKey $one): bool => $one->isOf($load)) as $key) {
            $facts[] = ['name' => $key->label(), 'value' => $key->told($words[$key->value] ?? null)];
        }

        return $facts;
    }

    /** @return list<array{name: string, value: ?string}> */
    public function design(): array
    {
        $figures = $this->circuit->designWords();
        $facts = [];
        $load = $this->load();
        foreach (array_filter(DesignKey::cases(), static fn (DesignKey $one): bool => $one->isOf($load)) as $key) {
            $field = $key->field();
            $value = $figures[$key->value] ?? null;
            $facts[] = [
                'name' => $field->label,
                'value' => $value === null
                        ? null
                        : $this->units->text($field->fileUnit()->toSi((float) $value), $field->kind),
            ];
        }

        return $facts;
    }
}
