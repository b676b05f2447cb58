<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Card\Card;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Hazard;
use Metrum\Knowledge\Reading;
use Metrum\Language\Heading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Language\WorkReason;
use Metrum\Log\Kinds\LeftOpen;
use Metrum\Quantity\Magnitude;
use Metrum\Work\Goods\GoodsRow;
use Metrum\Work\Goods\GoodsState;
use Metrum\Work\Leaks\LeakWork;
use Metrum\Work\Movements;

/** What stays open when a visit ends, for the owner. The technician's list stands at leaving. */
final readonly class OpenItems
{
    public function __construct(private Desk $desk)
    {
    }

    /** @return list<Sentence> */
    public function all(): array
    {
        $leaving = $this->desk->leaving();
        $leak = new LeakWork($this->desk->assessment);
        $early = Movements::beforeTheLeakWasFound($this->desk->assessment->log) !== [];

        return array_values(array_filter([
            ...array_map(
                static fn (Hazard $one): Sentence => Sentence::of(
                    Reason::Danger,
                    hazard: Heading::within($one->label()),
                ),
                $leaving->hazards(),
            ),
            ...array_map(static fn (array $one): Sentence => self::touched(...$one), $leaving->touched()),
            $early && ! $leak->isMended() ? Sentence::of(Reason::LeaksOutAgain) : null,
            ! $early && $leak->isOpen() ? Sentence::of(Reason::LeakOpen) : null,
            $leaving->fans->ofCoil ? Sentence::of(Reason::CoilFansStopped) : null,
            $leaving->fans->ofCondenser ? Sentence::of(Reason::CondenserFansStopped) : null,
            $this->boxOff(),
            $this->goods(),
            ...array_map(
                static fn (array $one): Sentence => self::begun($one[0]),
                $this->desk->cards()->open(),
            ),
        ]));
    }

    private function goods(): ?Sentence
    {
        $assessment = $this->desk->assessment;
        $last = \DateTimeImmutable::createFromInterface($assessment->log->lastTold());
        $state = GoodsState::of($assessment->log, $assessment->rules, $last);
        $names = array_map(
            static fn (GoodsRow $one): Sentence => Sentence::plain($one->goods->label()),
            $state->out(),
        );

        return $state->isUndecided()
            ? Sentence::of(WorkReason::GoodsUndecided, goods: Several::beside($names))
            : null;
    }

    private static function touched(string $key, PartId $part): Sentence
    {
        $what = LeftOpen::said($key);

        return $part->name() === ''
            ? Sentence::of(Reason::NotPutBack, what: $what)
            : Sentence::of(Reason::NotPutBackOf, what: $what, part: $part->name());
    }

    private static function begun(Card $card): Sentence
    {
        return Sentence::of(Reason::BegunNotFinished, card: Heading::within($card->name));
    }

    private function boxOff(): ?Sentence
    {
        $findings = $this->desk->assessment->present()->findings();
        $box = $findings->reading(Reading::BoxTemperature);
        $set = $findings->circuit->design->boxSetPoint;
        if ($box === null || $set === null || abs($box - $set) <= OwnerView::OFF) {
            return null;
        }

        return Sentence::of(
            $box > $set ? Reason::StillWarmer : Reason::StillColder,
            by: Magnitude::degrees(abs($box - $set)),
            room: $findings->circuit->room(),
        );
    }
}
