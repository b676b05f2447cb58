<?php

namespace App\View;

use App\Picture\ChargePicture;
use App\Records\JudgedVisit;
use App\Records\Stock;
use Metrum\Card\Cards;
use Metrum\Installation\DesignKey;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRule;
use Metrum\Language\Sentence;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Charging\ChargeRow;
use Metrum\Work\Charging\ChargeStory;
use Metrum\Work\Charging\Charging;
use Metrum\Work\Charging\ChargingCircumstances;
use Metrum\Work\Charging\ChargingSchool;
use Metrum\Work\Charging\LeavesAs;
use Metrum\Work\Movements;
use Metrum\Work\NextMove;

/** Charging at a visit: by which school, what is missing and how surely, the next addition, out of which cylinder. */
final class ChargingPage
{
    public readonly Charging $charging;

    public readonly ChargeStory $story;

    public readonly ChargingCircumstances $around;

    public readonly CylinderChoice $choice;

    /** @var array{?float}|null the next addition, once it was worked */
    private ?array $next = null;

    public function __construct(
        private readonly JudgedVisit $judged,
        private readonly Units $units,
        Stock $stock,
        private readonly PartId $part,
    ) {
        $this->choice = new CylinderChoice($stock, $judged->findings->circuit->refrigerant, $judged->log, $units);
        $this->charging = $judged->assessment->charging($part);
        $this->around = new ChargingCircumstances($judged->assessment, $this->charging);
        $this->story = new ChargeStory($judged->assessment, $this->charging, $this->around);
    }

    /** @return list<array{name: string, link: string, isTaken: bool, fits: bool, why: string}> */
    public function schools(): array
    {
        $circuit = $this->judged->findings->circuit;
        $schools = [];
        foreach (ChargingSchool::cases() as $school) {
            $card = Cards::find($school->value);
            [$fits, $why] = $school->why($circuit);
            if ($card !== null) {
                $schools[] = [
                    'name' => $card->name,
                    'link' => CardList::link($this->judged->visit, $card),
                    'isTaken' => $school === $this->charging->school,
                    'fits' => $fits,
                    'why' => $why,
                ];
            }
        }

        return $schools;
    }

    public function picture(float $width): ?ChargePicture
    {
        return $this->charging->log->rows === [] ? null : new ChargePicture($this->charging, $this->units, $width);
    }

    /** @return list<array{string, string, string, string, string}> added, superheat, subcooling, glass, level */
    public function rows(): array
    {
        $kelvin = fn (?float $value): string => $value === null
            ? ''
            : $this->units->text($value, QuantityKind::Difference);

        return array_map(
            fn (ChargeRow $row): array => [
                $row->added === 0.0 ? 'as found' : $this->units->signedMass($row->added),
                $kelvin($row->superheat()),
                $kelvin($row->subcooling()),
                $row->glass === null ? '' : mb_strtolower($row->glass->label()),
                $row->level === null ? '' : Format::number(100 * $row->level, 0).' %',
            ],
            $this->charging->log->rows,
        );
    }

    /** @return list<string> what would tell how large the plant is, in words; empty where something does */
    public function sizesAsked(): array
    {
        return $this->charging->isShared()
            ? []
            : array_map(
                static fn (DesignKey $key): string => Explain::within($key->field()->label),
                $this->charging->sizesAsked(),
            );
    }

    /** kg of the next addition, below 0 to take back; null where none is proposed, or a gate or clock holds it. */
    public function next(): ?float
    {
        $this->next ??= [(new NextMove($this->judged->assessment))->of(Control::Charge, $this->part)[0] ?? null];

        return $this->next[0];
    }

    /** "add 80 g", "take back 40 g" */
    public function nextWords(): string
    {
        $next = $this->next();

        return match (true) {
            $next === null => '',
            $next > 0.0 => 'add '.$this->units->mass($next),
            default => 'recover '.$this->units->mass(-$next),
        };
    }

    /** As it is typed; empty where nothing is proposed. */
    public function typed(): string
    {
        $next = $this->next();

        return match (true) {
            $next === null => '',
            $next < 0.0 => '-'.$this->units->mass(-$next),
            default => $this->units->mass($next),
        };
    }

    /** @return list<string> what must be thought of before the next addition */
    public function warnings(): array
    {
        $missing = $this->charging->missing();
        $room = $this->around->room();

        return array_values(array_filter([
            $room === null
                ? ''
                : 'Room for only '.$this->units->mass($room).' more (receiver when pumped down, or nameplate charge).',
            ...array_map(
                fn (Sentence $one): string => $one->in($this->units),
                $missing !== null && $missing > 0.0 ? $this->charging->addition()->limits($missing) : [],
            ),
            $this->around->floods()
                ? 'A clear sight glass on a mild day does not confirm the winter charge. See Winter charge.'
                : '',
            $this->charging->machine() !== null && $this->around->isCool()
                ? 'Charged on a cool day: re-check in warm weather.'
                : '',
        ], static fn (string $one): bool => $one !== ''));
    }

    /** "112 % of the plate"; empty where it is not known. */
    public function overPlate(): string
    {
        $plate = $this->judged->findings->circuit->design->nameplateCharge;
        $share = $this->around->shareOfPlate();
        if ($plate === null || $share === null) {
            return '';
        }

        return Format::number(100 * $share, 0).' % of nameplate charge '.$this->units->mass($plate).
            ($this->around->isOverPlate() ? ': nameplate wrong, or leak not found?' : '');
    }

    /** "added 350 g, taken out 40 g at this visit" */
    public function moved(): string
    {
        $moved = Movements::of($this->judged->log);

        return implode(', ', array_filter([
            $moved->added > 0.0 ? 'added '.$this->units->mass($moved->added) : '',
            $moved->recovered > 0.0 ? 'recovered '.$this->units->mass($moved->recovered) : '',
        ]));
    }

    /** How the air leaves the hoses, by the house rule (Z-23). */
    public function hoses(): string
    {
        return 'Hoses: '.$this->judged->rules->band(HouseRule::HosePurge)->source.'.';
    }

    /** @return array{string, string} the card that explains stops on low pressure: name and link */
    public function stops(): array
    {
        $card = Cards::find('low_pressure_stops');

        return $card === null ? ['', ''] : [$card->name, CardList::link($this->judged->visit, $card)];
    }

    /** "leaves the cylinder as liquid" (N-06). */
    public function leavesAs(): string
    {
        return match ($this->around->leavesAs()) {
            LeavesAs::LiquidAsBlend => 'Blend: charge as liquid, '.
                'metered into the suction of the running compressor.',
            LeavesAs::LiquidByRule => 'House rule: charge as liquid, '.
                'metered, never into a stopped compressor.',
            LeavesAs::EitherWay => 'Single-component refrigerant: vapour into the low side is also allowed.',
        };
    }
}
