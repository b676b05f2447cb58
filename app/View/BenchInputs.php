<?php

namespace App\View;

use Metrum\Circuit\Fault;
use Metrum\Quantity\Kind;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Reader;
use Metrum\Quantity\Unit;

/** What was set at the plant bench: typed values in one's own units, kept where they cannot be, with the reason. */
final class BenchInputs
{
    /** Faults that show only in time. */
    public const IN_TIME = [
        Fault::ExcessLoad,
        Fault::ThermostatWrong,
        Fault::LowPressureControlWrong,
        Fault::FanDelayHolding,
        Fault::DefrostClockWrong,
        Fault::DefrostHeaterFailed,
        Fault::DefrostNotTerminating,
        Fault::DefrostTooFew,
        Fault::DrainBlocked,
    ];

    public const SEVERITIES = [
        20 => 'just noticeable',
        40 => 'plain',
        60 => 'marked',
        80 => 'heavy',
        100 => 'does no work',
    ];

    /** Key => kind, least and most (SI; shares 0 … 1; turns). */
    private const FIELDS = [
        'ambient' => [Kind::Temperature, 233.15, 323.15],
        'box' => [Kind::Temperature, 223.15, 313.15],
        'load' => [Kind::Share, 0.02, 2.0],
        'added' => [Kind::Mass, -50.0, 50.0],
        'turns' => [Kind::Turns, -4.0, 4.0],
        'regulator' => [Kind::Turns, -6.0, 6.0],
        'coil' => [Kind::Share, 0.0, 1.0],
        'condenser' => [Kind::Share, 0.0, 1.0],
    ];

    public const NAMES = [
        'ambient' => 'Ambient',
        'box' => 'Box',
        'load' => 'or load',
        'added' => 'Charge added',
        'turns' => 'Valve, turns in',
        'regulator' => 'Regulator, turns in',
        'coil' => 'Coil',
        'condenser' => 'Condenser',
    ];

    /** @var array<string, float> */
    private array $values = [];

    /** @var array<string, string> */
    public array $errors = [];

    /** @var list<array{Fault, float}> */
    public array $faults = [];

    /** @param  array<string, mixed>  $typed */
    public function __construct(private readonly array $typed, private readonly Units $units)
    {
        foreach (self::FIELDS as $key => [$kind, $least, $most]) {
            $text = $this->typed($key);
            if ($text === '') {
                continue;
            }
            try {
                // Less refrigerant is a negative amount here, and turns may be either way.
                $negative = $kind === Kind::Mass && preg_match('/^\s*[-−]/u', $text) === 1;
                $value = Reader::read(
                    $negative ? ltrim($text, " \t-−") : $text,
                    $kind,
                    $kind === Kind::Share ? Unit::Percent : $units->of($kind),
                )->si;
                $value = $negative ? -$value : $value;
                if ($value < $least || $value > $most) {
                    $this->errors[$key] =
                        self::NAMES[$key].
                        ': "'.
                        mb_substr($text, 0, 20).
                        '" was given; possible is '.
                        $units->span($least, $most, $kind).
                        ' '.
                        ($kind === Kind::Share ? '%' : $units->symbol($kind)).
                        '.';
                } else {
                    $this->values[$key] = $value;
                }
            } catch (NotAQuantity $error) {
                $this->errors[$key] = self::NAMES[$key].': '.$error->getMessage();
            }
        }
        foreach (['', '2'] as $which) {
            $fault = Fault::tryFrom($this->typed('fault'.$which));
            $severity = $this->typed('severity'.$which);
            if ($fault !== null && $fault !== Fault::NoFault) {
                $this->faults[] = [
                    $fault,
                    is_numeric($severity) ? max(0.0, min(1.0, (float) $severity / 100)) : 0.6,
                ];
            }
        }
    }

    public function typed(string $key): string
    {
        $given = $this->typed[$key] ?? '';

        return is_string($given) ? trim($given) : '';
    }

    /** SI, or null where nothing usable was typed. */
    public function value(string $key): ?float
    {
        return $this->values[$key] ?? null;
    }

    /** Takes a value back that the plant cannot have. */
    public function refuse(string $key, string $why): void
    {
        unset($this->values[$key]);
        $this->errors[$key] = $why;
    }

    public function unit(string $key): string
    {
        $kind = self::FIELDS[$key][0];

        return $kind === Kind::Share ? '%' : $this->units->symbol($kind);
    }
}
