<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Chapter;
use Metrum\Findings\Chapters;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\RackLog;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Log\Log;
use Metrum\Log\Window;
use Metrum\Twin\Expectation;
use Metrum\Twin\Twins;
use Metrum\Work\Charging\Charging;
use Metrum\Work\Charging\WeighedCharge;

/**
 * All that follows from a window of the log: chapter by chapter what was moved, foretold and found, what was learned of
 * it, and what it says of the plant. Each is worked where it is first asked for, and once.
 */
final class Assessment
{
    public readonly Log $log;

    public readonly Chapters $chapters;

    public readonly Settling $settling;

    public readonly TwinForecasts $forecasts;

    public readonly Responses $responses;

    /** @var list<Account> as far as they were worked */
    private array $accounts = [];

    private readonly ChapterVerdicts $verdicts;

    /** @var array<int, array<string, Figures>> by number of the chapter, by part */
    private array $figures = [];

    /** @var array{?float}|null kg by the ledger, once it was asked */
    private ?array $booked = null;

    /**
     * @param  ?\Closure(): list<array{Control, PartId, list<list<array{float, float}>>}>  $earlier  settled readings of
     *                                                        earlier visits, by control and part; asked for when
     *                                                        something is to be learned of them
     * @param  ?\Closure(): ?float  $book  kg in the plant by its ledger when the visit was opened
     * @param  list<Findings>  $good  what was found where the circuit ran well: its one twin is drawn to it
     * @param  RackVerdicts  $racks  what is held of whole plants, where it is one of several circuits
     */
    public function __construct(
        public readonly Window $window,
        public readonly HouseRules $rules,
        private readonly Twins $twins,
        private readonly ?\Closure $earlier = null,
        private readonly ?\Closure $book = null,
        public readonly array $good = [],
        private readonly RackVerdicts $racks = new RackVerdicts(),
    ) {
        $this->log = $window->log;
        $this->chapters = Chapters::of($window);
        $this->settling = new Settling($this->log, $rules);
        $this->verdicts = new ChapterVerdicts($this, $twins, new RackBeside($window, $racks));
        $this->forecasts = new TwinForecasts($this, $twins);
        $this->responses = new Responses($this, $earlier);
    }

    /** How it goes on once more was told: what was worked of chapters to which nothing was added stands. */
    public function after(Window $window): self
    {
        $known = [$this->twins, $this->earlier, $this->book, $this->good, $this->racks];
        $next = new self($window, $this->rules, ...$known);
        $stands = array_flip($this->chapters->untouchedIn($next->chapters, $window->log->addedTo($this->log)));
        $next->accounts = array_slice($this->accounts, 0, count($stands));
        $next->verdicts->goOn($this->verdicts, $stands);
        // What was told of other circuits of a rack may change what is held of this one.
        $next->verdicts->forgetLast($window->rack === null ? null : $next->chapters->present());
        $next->figures = array_intersect_key($this->figures, $stands);
        $next->forecasts->goOn($this->forecasts, $stands);

        return $next;
    }

    /** @return non-empty-list<Account> */
    public function accounts(): array
    {
        foreach (array_slice($this->chapters->all, count($this->accounts), null, true) as $place => $chapter) {
            $came = (new Outcomes($this))->cameOf($place, $this->accounts);
            $before = $this->accounts === [] ? null : end($this->accounts);
            $this->accounts[] = Account::following($chapter, $came, $before);
        }

        assert($this->accounts !== []);

        return $this->accounts;
    }

    public function present(): Account
    {
        $accounts = $this->accounts();

        return $accounts[array_key_last($accounts)];
    }

    /** As found: the first chapter in which anything was found. */
    public function asFound(): Account
    {
        foreach ($this->accounts() as $account) {
            if ($account->chapter->wasLookedAt()) {
                return $account;
            }
        }

        return $this->accounts()[0];
    }

    /** What is judged: the last chapter in which anything was found, without what was put right before. */
    public function judged(): Account
    {
        foreach (array_reverse($this->accounts()) as $account) {
            if ($account->chapter->wasLookedAt()) {
                return $account;
            }
        }

        return $this->accounts()[0];
    }

    /** Whether something was moved since anything was found. */
    public function isBeforeLastMove(): bool
    {
        return $this->judged() !== $this->present() && $this->present()->chapter->began !== null;
    }

    /** What a chapter says; as long as nothing was found in it, what the one before it says. */
    public function verdict(Account $account): Verdict
    {
        $before = $this->accounts[$account->chapter->number - 2] ?? null;
        if ($before !== null && ! $account->chapter->wasLookedAt()) {
            $this->verdict($before);
        }

        return $this->verdicts->of($account, $before);
    }

    /** What a chapter says, with what speaks for and against the first few. */
    public function explained(Account $account, int $suspects = 3): Verdict
    {
        return $this->verdicts->weighed($account, $suspects);
    }

    /** What the one twin of this plant expects of what is judged; by the house rules alone where none can be built. */
    public function expectation(): Expectation
    {
        return $this->verdicts->expectation($this->judged());
    }

    /** What is judged, worked now. @param  int  $checks  how many next checks are wanted */
    public function checked(int $checks): Verdict
    {
        return $this->verdicts->checked($this->judged(), $checks);
    }

    /** The verdict on what is judged, where it was worked already. */
    public function knowing(Verdict $verdict): self
    {
        $this->verdicts->keep($this->judged(), $verdict);

        return $this;
    }

    /** What is held of all of the plant now; null of one circuit, and where no twin of it can be built. */
    public function rack(): ?RackVerdict
    {
        $rack = $this->window->rack;

        return $rack === null ? null : $this->racks->of(RackLog::findings($rack->judged()));
    }

    /** How the ranking of what is judged came about. */
    public function path(): PathOfVerdict
    {
        return $this->verdicts->path($this->window);
    }

    /**
     * What would come of a move, made now.
     *
     * @param  float  $value  SI; 1 for what is done or not
     */
    public function forecast(Control $control, float $value, ?PartId $part = null): ?Forecast
    {
        $part = $this->window->partOf($control, $part);
        if ($part->kind() === PartKind::Plant) {
            // The twin of one circuit foretells nothing of what all of them share.
            return null;
        }
        if ($control === Control::Charge && $this->charging($part)->isAsked()) {
            return $this->charging($part)->forecast($value);
        }
        $account = $this->lastRead($control, $part);

        // By what is suspected now: the plant may have been read again but for this figure.
        return $account === null
            ? null
            : $this->forecasts->forecasting($account->chapter, $part)?->of(
                $control,
                $value,
                $this->verdict($this->judged())->suspects,
                $this->responses->of($control, $part),
            );
    }

    /** The last chapter in which the figure that a control is made for was read settled; null where there is none. */
    public function lastRead(Control $control, PartId $part): ?Account
    {
        foreach (array_reverse($this->accounts()) as $account) {
            if ($this->figure($account->chapter, $control, $part) !== null) {
                return $account;
            }
        }

        return null;
    }

    /** The charging of the circuit, or of a part of it. */
    public function charging(?PartId $part = null): Charging
    {
        return $this->forecasts->charging($part ?? $this->window->circuit);
    }

    /** What is in the plant by weights, now or at the end of a chapter. */
    public function weighedIn(int $chapter = PHP_INT_MAX): WeighedCharge
    {
        // The ledger is asked once, however many sentences follow from it.
        $this->booked ??= [$this->book === null ? null : ($this->book)()];

        return WeighedCharge::of($this, $this->booked[0], $chapter);
    }

    /** The figure that a control is made for, of a part of the circuit, where it was read settled; SI. */
    public function figure(Chapter $chapter, Control $control, PartId $part): ?float
    {
        $needed = $this->needed($chapter, $control, $part);
        $figure = self::figureOf($control);

        return $needed === null || $figure === null || $this->settling->isEarly($chapter, ...$needed)
            ? null
            : $this->figures($chapter, $part)->value($figure);
    }

    /** @return ?list<Reading> that the figure of a control follows from in a chapter; null where it does not follow */
    public function needed(Chapter $chapter, Control $control, PartId $part): ?array
    {
        $figure = self::figureOf($control);
        $found = $figure === null ? null : $this->figures($chapter, $part)->figure($figure);

        return $found === null
            ? null
            : array_values(array_filter($found->from, static fn ($one): bool => $one instanceof Reading));
    }

    /** All that follows from what was found in a chapter, of a part of the circuit. */
    public function figures(Chapter $chapter, PartId $part): Figures
    {
        return $this->figures[$chapter->number][$part->value] ??= Figures::of($chapter->of($part), $this->rules);
    }

    public static function figureOf(Control $control): ?DerivedFigure
    {
        return DerivedFigure::tryFrom($control->row()->figures[0] ?? '');
    }
}
