<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Quantity\QuantityKind;

/**
 * With what a temperature was taken, where that was no probe or clamp at its place. It is typed behind the number:
 * "96 infrared", "96 infrared bare", "96 far".
 */
enum Taken: string
{
    /** A clamp well away from the compressor: the line has cooled on the way. */
    case Far = 'far';
    /** Infrared on tape, paint or another matt spot: within some kelvin. */
    case InfraredMatt = 'infrared_matt';
    /** Infrared on bare metal: it shows what is mirrored in it. */
    case InfraredBare = 'infrared_bare';

    /** Behind a number, longest first. */
    private const TYPED = [
        'infrared bare metal' => self::InfraredBare,
        'infrared bare' => self::InfraredBare,
        'ir bare' => self::InfraredBare,
        'infrared matt' => self::InfraredMatt,
        'infrared tape' => self::InfraredMatt,
        'infrared' => self::InfraredMatt,
        'ir matt' => self::InfraredMatt,
        'ir' => self::InfraredMatt,
        'clamped far' => self::Far,
        'far' => self::Far,
    ];

    public function label(): string
    {
        return match ($this) {
            self::Far => 'clamped far away',
            self::InfraredMatt => 'infrared, matt spot',
            self::InfraredBare => 'infrared, bare metal',
        };
    }

    /** Whether the number is no measure of what was to be read: infrared sees a surface and no air. */
    public function isDoubtfulOf(Reading $reading): bool
    {
        return $this === self::InfraredBare || $this === self::Far || self::isOfAir($reading);
    }

    public static function isOfAir(Reading $reading): bool
    {
        return in_array($reading->row()->drawn, [MeasuringPlace::AirIn, MeasuringPlace::AirOut], true);
    }

    /** As it is typed behind a number. */
    public function typed(): string
    {
        return match ($this) {
            self::Far => 'far',
            self::InfraredMatt => 'infrared',
            self::InfraredBare => 'infrared bare',
        };
    }

    /** Whether it can be said of a reading: of a temperature that has its place. */
    public static function isSaidOf(Reading $reading): bool
    {
        return $reading->row()->drawn !== null && $reading->quantity() === QuantityKind::Temperature;
    }

    /** @return list<self> in which ways a reading may have been taken otherwise than with a clamp at its place */
    public static function of(Reading $reading): array
    {
        return match (true) {
            ! self::isSaidOf($reading) => [],
            $reading === Reading::DischargeTemperature => self::cases(),
            default => [self::InfraredMatt, self::InfraredBare],
        };
    }

    /**
     * What stands behind a number, apart from it.
     *
     * @return array{string, ?self} what was typed without it
     */
    public static function apart(string $typed): array
    {
        foreach (self::TYPED as $words => $taken) {
            $pattern = '/^(.*[^\s,])[\s,]+'.preg_quote($words, '/').'\s*$/iu';
            if (preg_match($pattern, $typed, $found) === 1) {
                return [$found[1], $taken];
            }
        }

        return [$typed, null];
    }

    /**
     * With what a text begins.
     *
     * @return ?array{self, int} and how long that is
     */
    public static function leading(string $text): ?array
    {
        foreach (self::TYPED as $words => $taken) {
            if (preg_match('/^'.preg_quote($words, '/').'(?![\w.])/iu', $text, $found) === 1) {
                return [$taken, strlen($found[0])];
            }
        }

        return null;
    }
}
