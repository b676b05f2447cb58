<?php

namespace App\View;

use App\Picture\Strip;
use App\Records\Judged;
use Metrum\Circuit\Control;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\Metering;
use Metrum\Diagnosis\Cautions;
use Metrum\Findings\Derived;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\Kind;
use Metrum\Quantity\Units;
use Metrum\Work\Account;
use Metrum\Work\Forecast;
use Metrum\Work\MayMove;
use Metrum\Work\NextMove;
use Metrum\Work\Outcome;
use Metrum\Work\Positions;
use Metrum\Work\Precondition;
use Metrum\Work\Work;

/** The station where things are put right: the strip, one open card, and what came of the last move. */
final class WorkPage
{
    /** Eighths of a turn that can be chosen. */
    public const EIGHTHS = [1, 2, 4];

    private const FIRST_EIGHTHS = 2;

    /** Which card a suspect asks for. */
    private const ASKED = [
        Fault::CondenserAirflowLow->value => Control::CondenserWashed,
        Fault::EvaporatorAirflowLow->value => Control::CoilCleaned,
        Fault::EvaporatorIced->value => Control::CoilThawed,
        Fault::Undercharge->value => Control::Charge,
        Fault::WinterUndercharge->value => Control::Charge,
        Fault::Overcharge->value => Control::Charge,
        Fault::RegulatorSetHigh->value => Control::RegulatorTurn,
        Fault::RegulatorSetLow->value => Control::RegulatorTurn,
        Fault::HeadPressureLow->value => Control::HeadValveTurn,
        Fault::DrainBlocked->value => Control::DrainCleared,
        Fault::ThermostatWrong->value => Control::ThermostatSet,
        Fault::FanDelayHolding->value => Control::FanDelaySet,
        Fault::LowPressureControlWrong->value => Control::LowCutOutSet,
        Fault::ExcessLoad->value => Control::DoorMended,
    ];

    public readonly Control $control;

    /** SI, positive = in; null where nothing is turned. */
    public readonly ?float $value;

    private readonly MayMove $may;

    private readonly Positions $positions;

    private readonly NextMove $next;

    private ?Forecast $forecast = null;

    /** @var array{?array{float, Forecast}}|null */
    private ?array $proposed = null;

    /**
     * @param  ?Control  $chosen  card; null: the one moved last, else the one that the verdict asks for
     * @param  ?float  $eighths  of a turn, positive = in; null: as proposed
     */
    public function __construct(
        private readonly Judged $judged,
        private readonly Units $units,
        ?Control $chosen = null,
        ?float $eighths = null,
        public readonly string $subject = '',
    ) {
        $this->may = new MayMove($judged->work, $judged->rules);
        $this->positions = new Positions($judged->work->chapters);
        $this->next = new NextMove($judged->work, $judged->rules, $judged->twins);
        $this->control = $chosen ?? $this->usual();
        $this->value = $this->isTurned() ? ($eighths === null ? $this->proposed() : $eighths / 8) : null;
    }

    private function usual(): Control
    {
        $last = $this->judged->work->present()->chapter->began?->content;
        $first = $this->judged->verdict->first()->fault;
        $asked = $last === null ? self::ASKED[$first->value] ?? Control::ValveTurn : Control::from($last->key);

        return in_array($asked, $this->cards(), true) ? $asked : $this->cards()[0];
    }

    private function proposed(): float
    {
        $move = $this->nextMove();
        if ($move !== null) {
            return $move[0];
        }
        $band = $this->next->band($this->control, $this->judged->work->judged()->chapter);
        $now = $this->judged->work->figure(
            $this->judged->work->judged()->chapter,
            $this->control,
            $this->subject,
        );
        $isLow = $band !== null && $now !== null && $now < $band->middle();

        return ($isLow ? 1 : -1) * (self::FIRST_EIGHTHS / 8);
    }

    /** @return ?array{float, Forecast} */
    private function nextMove(): ?array
    {
        return ($this->proposed ??= [$this->next->of($this->control, $this->subject)])[0];
    }

    public function isTurned(): bool
    {
        return $this->control->row()->field?->kind === Kind::Turns;
    }

    /** @return non-empty-list<Control> that this plant has, in the order of the work */
    public function cards(): array
    {
        $circuit = $this->judged->findings->circuit;
        $has = [
            Control::CondenserWashed->value => true,
            Control::CoilCleaned->value => true,
            Control::CoilThawed->value => true,
            Control::ValveTurn->value => $circuit->metering === null || $circuit->metering === Metering::Txv,
            Control::RegulatorTurn->value => $circuit->regulator === true,
            Control::HeadValveTurn->value => $circuit->headPressureControl === HeadPressureControl::FloodingValve,
        ];
        $order = [
            Control::ValveTurn,
            Control::RegulatorTurn,
            Control::HeadValveTurn,
            Control::Charge,
            Control::CondenserWashed,
            Control::CoilCleaned,
            Control::CoilThawed,
            Control::FanMended,
            Control::BulbRemounted,
            Control::PartReplaced,
            Control::DoorMended,
            Control::DrainCleared,
            Control::LowCutOutSet,
            Control::LowCutInSet,
            Control::ThermostatSet,
            Control::FanDelaySet,
            Control::ValveShut,
            Control::ValveOpened,
        ];

        return array_values(array_filter($order, static fn (Control $one): bool => $has[$one->value] ?? true));
    }

    /** @return list<Precondition> */
    public function preconditions(): array
    {
        return $this->may->preconditions($this->control, $this->subject);
    }

    /** Whether it is held back but by a word. */
    public function isHeldBack(): bool
    {
        foreach ($this->preconditions() as $one) {
            if ($one->fails()) {
                return true;
            }
        }

        return $this->may->isTooSoon($this->control, $this->subject);
    }

    public function isTooSoon(): bool
    {
        return $this->may->isTooSoon($this->control, $this->subject);
    }

    public function asFound(): ?string
    {
        return $this->positions->asFound($this->control, $this->subject);
    }

    /** "now ½ out from there"; empty where it stands as found. */
    public function position(): string
    {
        $turned = $this->positions->now($this->control, $this->subject);

        return ! $this->isTurned() || abs($turned) < 1e-6 ? '' : 'now '.$this->turns($turned).' from there';
    }

    /** The move that undoes all of its moves, SI; null where it stands as found. */
    public function allTheWayBack(): ?float
    {
        $turned = $this->positions->now($this->control, $this->subject);

        return ! $this->isTurned() || abs($turned) < 1e-6 ? null : -$turned;
    }

    /** "¼ out" */
    public function turns(float $turns): string
    {
        return PlantMoved::turns($turns).($turns < 0.0 ? ' out' : ' in');
    }

    /** As it is typed: "0.25 out". */
    public function typed(): string
    {
        return $this->typedTurns((float) $this->value);
    }

    public function typedTurns(float $turns): string
    {
        return sprintf('%.4g %s', abs($turns), $turns < 0.0 ? 'out' : 'in');
    }

    public function forecast(): Forecast
    {
        return $this->forecast ??=
            $this->judged->work->forecast($this->control, $this->value ?? 1.0, $this->subject) ??
            new Forecast([]);
    }

    /** @return list<array{string, string, string, string}> figure, before, after, deviation with its unit */
    public function foretold(): array
    {
        $rows = [];
        foreach ($this->control->isStep() && $this->value === null ? [] : $this->forecast()->figures as $one) {
            $kind = $one->figure->quantity();
            $rows[] = [
                $one->figure->label(),
                $this->units->number($one->before, $kind),
                $this->units->number($one->after(), $kind),
                '± '.$this->units->text($one->deviation, Kind::Difference),
            ];
        }

        return $rows;
    }

    /** What this control did so far, in one sentence; empty where it was not moved and read. */
    public function response(): string
    {
        $response = $this->judged->work->response($this->control, $this->subject);
        if ($response === null) {
            return '';
        }
        $unit = $this->isTurned() ? 'a turn in' : 'a kg';
        $twin = $response->byTwin === null
            ? ''
            : '; the twin alone says '.$this->units->number($response->byTwin, Kind::Difference);

        return sprintf(
            '%s ± %s %s, by %d %s%s.',
            $this->units->number($response->slope, Kind::Difference),
            $this->units->text($response->deviation, Kind::Difference),
            $unit,
            $response->pairs,
            $response->pairs === 1 ? 'move' : 'moves',
            $twin,
        );
    }

    /** What the next move would be, in one sentence; empty where none is proposed. */
    public function proposal(): string
    {
        $move = $this->nextMove();

        return $move === null ? '' : 'Next: '.$this->turns($move[0]).'.';
    }

    /** @return list<string> cautions where the hand goes */
    public function cautions(): array
    {
        return Cautions::words($this->control->row()->cautions);
    }

    /** @return list<string> what came of each move, newest first */
    public function outcomes(): array
    {
        $told = [];
        foreach (array_reverse($this->judged->work->accounts()) as $account) {
            $sentence = $this->outcome($account);
            if ($sentence !== '') {
                $told[] = $sentence;
            }
        }

        return $told;
    }

    private function outcome(Account $account): string
    {
        $move = $account->chapter->began?->content;
        if ($move === null) {
            return '';
        }
        $said = (new PlantMoved())->line($move, $this->units);
        $main = $account->forecast?->main();
        if ($account->outcome === Outcome::NotRead || $main === null || $account->change === null) {
            $wait = Control::from($move->key)->row()->figures === [] ? '' : ': not read again yet';

            return $said.$wait.'.';
        }

        return sprintf(
            '%s: %s. %s %s, foretold %s.%s',
            $said,
            $account->outcome->label(),
            $main->figure->label(),
            $this->signed($account->change),
            $this->signed($main->change).' ± '.$this->units->text($main->deviation, Kind::Difference),
            self::means(Control::from($move->key), $account->outcome),
        );
    }

    private function signed(float $change): string
    {
        return ($change > 0.0 ? '+' : '').$this->units->text($change, Kind::Difference);
    }

    /** What an outcome says of the plant. */
    private static function means(Control $control, Outcome $outcome): string
    {
        return match (true) {
            $control === Control::ValveTurn && $outcome === Outcome::AsForetold => ' The valve answers: not stuck, its bulb is alive.',
            $control === Control::ValveTurn && $outcome === Outcome::Nothing => ' A valve that does not answer twice is stuck, or its bulb has lost its charge.',
            $control === Control::ValveTurn && $outcome === Outcome::OtherWay => ' Something else moved it: read again before turning on.',
            $control === Control::CondenserWashed &&
                $outcome !== Outcome::Nothing &&
                $outcome !== Outcome::OtherWay => ' Dirt was one cause, and is put right.',
            $control === Control::CondenserWashed => ' It was not dirt that kept the head up.',
            $control === Control::Charge && $outcome === Outcome::Nothing => ' Refrigerant that changes nothing was not what was missing.',
            default => '',
        };
    }

    /** What is read again after the last move; empty where nothing is waited for. */
    public function toRead(): string
    {
        $last = $this->judged->work->present()->chapter->began?->content;
        if ($last === null || ! $this->judged->work->isBeforeLastMove()) {
            return '';
        }
        $needs = array_map(
            static fn ($one): string => Explain::within($one->label()),
            Control::from($last->key)->row()->needs,
        );

        return implode(', ', $needs);
    }

    public function strip(float $width): ?Strip
    {
        $figure = Work::figureOf($this->control);
        if ($figure === null) {
            return null;
        }

        return new Strip(
            $this->judged->work,
            $this->control,
            $this->subject,
            $this->next->band($this->control, $this->judged->work->chapters->present()),
            $this->units,
            $width,
        );
    }

    /** What the strip is about. */
    public function figure(): ?Derived
    {
        return Work::figureOf($this->control);
    }
}
