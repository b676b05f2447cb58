<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Diagnosis\ConfirmedFaults;
use Metrum\Diagnosis\Examination;
use Metrum\Diagnosis\Signal;
use Metrum\Findings\Mark;

/** Whether what is seen explains the rest: the twin with it in, laid beside the readings. */
final readonly class Explained
{
    /**
     * @param  list<Signal>  $odd  signs that a sound plant would not show
     * @param  list<array{Signal, float}>  $left  those that stay over, and by how much in the unit of the sign
     */
    private function __construct(public array $odd, public array $left)
    {
    }

    /**
     * @param  ConfirmedFaults  $with  what the seen faults explain
     * @param  array<string, float|string>  $features  as they were found, by name
     */
    public static function of(Examination $examined, ConfirmedFaults $with, array $features): self
    {
        $without = $with->without($features);
        $odd = $left = [];
        foreach ($features as $feature => $value) {
            [$kind, $key] = [...explode(' ', explode('/', $feature)[0]), ''];
            $signal = $kind === 'sign' ? $examined->signals[$key] : null;
            if ($signal === null || ! is_float($value) || abs($value) <= Mark::FINE_WITHIN) {
                continue;
            }
            $odd[] = $signal;
            $after = (float) ($without[$feature] ?? $value);
            if ($after * $value > 0.0 && abs($after) > Mark::FINE_WITHIN) {
                $left[] = [$signal, $after * $signal->expected->deviation];
            }
        }

        return new self($odd, $left);
    }

    public function isAll(): bool
    {
        return $this->left === [];
    }

    public function isNothing(): bool
    {
        return count($this->left) === count($this->odd);
    }
}
