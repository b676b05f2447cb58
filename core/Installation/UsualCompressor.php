<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What compression by a usual machine loses: the twin compresses so, and a discharge pipe is expected so. */
final readonly class UsualCompressor
{
    /** Share of the work that leaves through the shell. */
    public const SHELL_LOSS = 0.06;

    /** Share of the difference to the air that is lost before the clamp, 15 cm down the pipe. */
    public const PIPE_LOSS = 0.08;

    /**
     * Isentropic efficiency at the shaft, 0.35 … 0.67: a flat parabola over ratio, best near 3.5, as published for
     * semi-hermetic machines.
     */
    public static function isentropicEfficiency(float $ratio): float
    {
        $far = $ratio - 3.5;

        return max(0.35, 0.67 - ($far < 0 ? 0.03 : 0.0035) * $far * $far);
    }

    /** Work that stays in the gas for each unit of loss-free work. */
    public static function intoGas(float $ratio): float
    {
        return (1 - self::SHELL_LOSS) / self::isentropicEfficiency($ratio);
    }

    /** What a clamp reads, K. @param  float  $gas  K @param  float  $around  K */
    public static function pipeTemperature(float $gas, float $around): float
    {
        return $gas - self::PIPE_LOSS * ($gas - $around);
    }
}
