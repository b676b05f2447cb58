<?php

namespace App\View\Board;

use App\Models\User;
use App\Models\Visit;
use App\Picture\LevelPicture;
use App\Picture\RackCourse;
use App\Records\LevelHistory;
use App\View\Explain;
use Illuminate\Support\Str;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Rack\RackCheck;
use Metrum\Diagnosis\Rack\RackChecks;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackJudge;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\Mark;
use Metrum\Findings\RackFindings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Log\FactKind;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\OutsideTable;

/** The board of a plant of several circuits: all that its page shows at a visit, each worked once. */
final class BoardPage
{
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
        Reading::Added,
    ];

    private const ASKED = [Observation::SightGlass, Observation::HeatReclaim];

    /** Probability from which one fault is named. */
    private const LEADS = 0.5;

    private const CHECKS = 3;

    private const CAUTIONS = 3;

    public readonly RackFindings $found;

    public readonly ?RackVerdict $verdict;

    public readonly Units $units;

    public readonly bool $mayEnter;

    public readonly string $entries;

    public readonly BoardSentences $said;

    /** @var list<BoardRow> */
    public readonly array $rows;

    private readonly BoardRows $maker;

    public function __construct(public readonly Visit $visit, User $user)
    {
        $this->units = $user->units();
        $this->found = $visit->rack();
        $this->verdict = self::judged($this->found);
        $this->mayEnter = $user->can('enter', $visit);
        $this->entries = route('entries.store', $visit);
        $this->said = new BoardSentences($this->found, $this->verdict, $this->units);
        $this->maker = new BoardRows($visit, $this->found, $this->verdict, $this->units);
        $this->rows = $this->maker->all();
    }

    private static function judged(RackFindings $found): ?RackVerdict
    {
        try {
            return (new RackJudge())->of(RackExamination::of($found));
        } catch (OutsideTable) {
            return null;
        }
    }

    public function ulid(): string
    {
        return (string) Str::ulid();
    }

    /** @return list<BoardRow> */
    public function worstFirst(): array
    {
        return $this->maker->worstFirst();
    }

    /** How many facts the log has. */
    public function length(): int
    {
        return count($this->visit->log()->facts);
    }

    /** Whether nothing at all was entered yet. */
    public function isBlank(): bool
    {
        return $this->found->shared->isEmpty() && $this->found->parts === [];
    }

    public function course(): RackCourse
    {
        return new RackCourse($this->found, $this->verdict, $this->units);
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
        $counts = [];
        foreach (
            [
                ['Compressors', Reading::CompressorsRunning, Reading::CompressorsFitted],
                ['Condenser fans', Reading::CondenserFansRunning, Reading::CondenserFansFitted],
            ] as [$name, $running, $fitted]
        ) {
            [$on, $all] = [$shared->reading($running), $shared->reading($fitted)];
            if ($on !== null && $all !== null) {
                $counts[] = ['name' => $name, 'value' => (int) $on.' of '.(int) $all];
            }
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
        $facts = [
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
        ];
        $limit = $this->said->limit();

        return $limit === '' ? $facts : [...$facts, ['name' => 'Limit of the group', 'value' => $limit, 'asks' => false]];
    }

    /** @return list<array{side: string, said: string}> what speaks for and against what leads */
    public function evidence(): array
    {
        if ($this->verdict === null || $this->ranking() === []) {
            return [];
        }

        return (new BoardEvidence($this->verdict->examined, $this->units))->of(
            $this->verdict->plant,
            RackVerdict::leading($this->ranking()),
        );
    }

    /** @return list<array{answer: string, leads: string}> what each answer of a check would leave */
    public function outcomes(RackCheck $check): array
    {
        $outcomes = [];
        foreach ($check->outcomes as $word => $ranking) {
            $leading = RackVerdict::leading($ranking);
            $outcomes[] = [
                'answer' => Word::from($word)->label(),
                'leads' => Explain::within($leading->label()).', '.$this->percent(max($ranking)),
            ];
        }

        return array_slice($outcomes, 0, 4);
    }

    /** @return list<BoardCell> */
    public function cells(): array
    {
        return array_map(
            fn (Reading $reading): BoardCell => new BoardCell(
                PartId::plant(),
                $reading,
                $reading->short(),
                $this->found->shared->reading($reading),
                $this->units,
            ),
            self::SHARED,
        );
    }

    /** @return list<BoardChoice> */
    public function choices(): array
    {
        return array_map(function (Observation $asked): BoardChoice {
            $answers = [];
            foreach ($asked->words() as $word) {
                $answers[$word->value] = $word->label();
            }

            return new BoardChoice(
                PartId::plant(),
                FactKind::Observation,
                $asked->value,
                $asked->label(),
                $answers,
                $this->found->shared->observed($asked)?->value,
            );
        }, self::ASKED);
    }

    /** @return array<string, float> what is held of what all circuits share, highest first */
    public function ranking(): array
    {
        return $this->verdict === null || $this->isBlank() ? [] : $this->verdict->plantRanking();
    }

    /** Whether one fault of the plant leads clearly enough to be named. */
    public function leads(): bool
    {
        return (array_values($this->ranking())[0] ?? 0.0) >= self::LEADS;
    }

    /** @return list<array{string, float}> name and probability of the first three */
    public function suspects(): array
    {
        $suspects = [];
        foreach (array_slice($this->ranking(), 0, 3) as $fault => $chance) {
            $suspects[] = [self::nameOf(Fault::from($fault)), $chance];
        }

        return $suspects;
    }

    /** What it is called where it is about what all circuits share. */
    public static function nameOf(Fault $fault): string
    {
        return $fault === Fault::NoFault ? 'Shared system: no fault' : $fault->label();
    }

    /** @return list<RackCheck> */
    public function checks(): array
    {
        return $this->verdict === null ? [] : (new RackChecks($this->verdict))->ranked(self::CHECKS);
    }

    public function placeOf(RackCheck $check): string
    {
        $branch = $this->found->plant->branch($check->of);

        return $branch === null ? 'rack' : $this->found->nameOf($branch);
    }

    /** @return list<string> */
    public function cautions(): array
    {
        $leading = $this->ranking() === [] ? Fault::NoFault : RackVerdict::leading($this->ranking());
        $words = [
            ...$this->said->closed() === [] ? [] : Cautions::words(['trapped_liquid', 'put_back']),
            ...Cautions::words(FaultCatalogue::entry($leading)->cautions),
            ...Cautions::ofRefrigerant($this->found->plant->highSide->refrigerant),
        ];

        return array_slice(array_values(array_unique($words)), 0, self::CAUTIONS);
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
