<?php

namespace App\View\Board;

use App\Models\User;
use App\Models\Visit;
use App\Picture\LevelPicture;
use App\Picture\RackCourse;
use App\Records\LevelHistory;
use App\View\Defrost\NextDefrosts;
use App\View\Explain;
use Illuminate\Support\Str;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\Mark;
use Metrum\Findings\RackFindings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Units;
use Metrum\Work\Assessment;

/** The board of a plant of several circuits: all that its page shows at a visit, each worked once. */
final class BoardPage
{
    /** What this page is called where an entry says on which page it was made. */
    public const PAGE = 'board';

    /** Cells of what all circuits share, in the order in which they are read off. */
    private const SHARED = [
        Reading::SuctionHeader,
        Reading::SuctionSet,
        Reading::DischargePressure,
        Reading::HeadSet,
        Reading::AmbientTemperature,
        Reading::ReceiverLevel,
        Reading::CompressorsRunning,
        Reading::CompressorsFitted,
        Reading::CondenserFansRunning,
        Reading::CondenserFansFitted,
        Reading::StoreTemperature,
        Reading::StoreHumidity,
        Reading::ReceiverOutletTemperature,
    ];

    private const ASKED = [Observation::SightGlass, Observation::HeatReclaim];

    public readonly RackFindings $found;

    /** Null where no twin of such a plant can be built. */
    public readonly ?RackVerdict $verdict;

    /** What is judged: until something was read after a change, what was found before it. */
    public readonly RackFindings $judged;

    public readonly Units $units;

    public readonly bool $mayEnter;

    public readonly string $entries;

    public readonly BoardSentences $said;

    public readonly BoardHeld $held;

    /** @var list<BoardRow> */
    public readonly array $rows;

    private ?BoardCharge $charge = null;

    private ?BoardWork $work = null;

    private ?BoardIsolation $isolation = null;

    public function __construct(
        public readonly Visit $visit,
        User $user,
        private readonly Assessment $assessment,
    ) {
        $this->verdict = $assessment->rack();
        $this->units = $user->units();
        $this->found = $visit->rack();
        $visit->loadMissing('attachments');
        $this->mayEnter = $user->can('enter', $visit);
        $this->entries = route('entries.store', $visit);
        $this->judged = $visit->rackJudged();
        $this->said = new BoardSentences($this->judged, $this->verdict, $this->units);
        $this->held = new BoardHeld($this->judged, $this->verdict, $this->said, $this->units);
        $this->rows = (new BoardRows($visit, $this->found, $this->judged, $this->verdict, $this->units))->all();
    }

    public function ulid(): string
    {
        return (string) Str::ulid();
    }

    /** @return list<BoardRow> */
    public function worstFirst(): array
    {
        return BoardRows::worstFirst($this->rows);
    }

    /** How many facts the log has. */
    public function length(): int
    {
        return count($this->visit->log()->facts);
    }

    /** Whether nothing at all was entered yet. */
    public function isBlank(): bool
    {
        return $this->held->isBlank();
    }

    public function course(): RackCourse
    {
        return new RackCourse($this->judged, $this->verdict, $this->units);
    }

    /** @return array<string, string> where each circuit is walked, by part */
    public function addresses(): array
    {
        $addresses = [];
        foreach ($this->rows as $row) {
            $addresses += $row->address === '' ? [] : [$row->branch->part->value => $row->address];
        }

        return $addresses;
    }

    public function level(): ?LevelPicture
    {
        return $this->verdict === null
            ? null
            : LevelPicture::of($this->verdict->examined, LevelHistory::of($this->visit), $this->units);
    }

    /** @return list<array{name: string, value: string}> what runs of what is fitted, and the glass */
    public function counts(): array
    {
        $shared = $this->found->shared;
        $counts = $this->groups()->counts();
        [$on, $all] = [
            $shared->reading(Reading::CondenserFansRunning),
            $shared->reading(Reading::CondenserFansFitted),
        ];
        if ($on !== null && $all !== null) {
            $counts[] = ['name' => 'Condenser fans', 'value' => (int) $on.' of '.(int) $all];
        }
        $glass = $shared->observed(Observation::SightGlass);

        return $glass === null
            ? $counts
            : [...$counts, ['name' => 'Sight glass', 'value' => mb_strtolower($glass->label())]];
    }

    /** @return list<array{name: string, value: string, asks: bool}> */
    public function facts(): array
    {
        $closed = $this->said->closed();
        $defrosting = $this->said->defrosting();
        $next = (new NextDefrosts($this->visit->circuit->plant, $this->found))->words(now());
        $facts = [
            ...$this->compressors()->tripped(),
            ...$next === '' ? [] : [['name' => 'Next defrost', 'value' => $next, 'asks' => false]],
            [
                'name' => 'In defrost',
                'value' => $defrosting === [] ? 'none said' : implode(', ', $defrosting),
                'asks' => false,
            ],
            [
                'name' => 'Closed off',
                'value' => $closed === [] ? 'none' : implode(', ', $closed),
                'asks' => $closed !== [],
            ],
            ...$this->isolation()->deadlines(now(), $this->visit->rules()->band(HouseRule::Isolated)->high),
        ];

        return [...$facts, ...$this->groups()->limits($this->said)];
    }

    /** Whether nothing was read since the last change, so that all is as before it. */
    public function isBeforeChange(): bool
    {
        return $this->visit->isRackBeforeChange();
    }

    public function noAnswer(): string
    {
        return $this->said->noAnswer($this->visit->log());
    }

    public function isolation(): BoardIsolation
    {
        return $this->isolation ??= BoardIsolation::of(
            $this->visit->log(),
            $this->found,
            $this->verdict?->examined,
            $this->units,
        );
    }

    /** @return list<string> what cannot be true together, and what to read again */
    public function contradictions(): array
    {
        $said = [];
        foreach ($this->verdict->examined->contradictions ?? [] as [$part, $one]) {
            $named = $this->found->plant->named($part);
            $of = $named === null ? '' : $this->found->nameOf($named).': ';
            $sentence = $one->sentence()->in($this->units);
            $said[] = $of.($of === '' ? $sentence : Explain::within($sentence));
        }

        return $said;
    }

    public function charge(): BoardCharge
    {
        return $this->charge ??= new BoardCharge($this->visit, $this->assessment, $this->found, $this->units);
    }

    public function work(): BoardWork
    {
        return $this->work ??= new BoardWork($this->visit, $this->found, $this->units);
    }

    /** "Deli counter: box 4.1" */
    public function exampleLine(): string
    {
        return $this->found->nameOf($this->found->plant->branches[0]).': box 3.4';
    }

    public function groups(): BoardGroups
    {
        return new BoardGroups($this->found, $this->units);
    }

    /** @return list<BoardCell> of what all share */
    public function cells(): array
    {
        return array_map(
            fn (Reading $reading): BoardCell => BoardCell::of(
                PartId::plant(),
                $reading,
                $this->found->shared,
                $this->units,
            ),
            $this->groups()->shared(self::SHARED),
        );
    }

    /** @return list<BoardChoice> */
    public function choices(): array
    {
        return array_map(
            fn (Observation $asked): BoardChoice => BoardChoice::of(PartId::plant(), $asked, $this->found->shared),
            self::ASKED,
        );
    }

    public function compressors(): BoardCompressors
    {
        return new BoardCompressors($this->found, $this->units);
    }

    /** "86 %" */
    public function percent(float $chance): string
    {
        return Explain::percent($chance);
    }

    /** The worst mark of all circuits. */
    public function worst(): Mark
    {
        $worst = Mark::Fine;
        foreach ($this->rows as $row) {
            $worst = $worst->or($row->mark);
        }

        return $worst;
    }
}
