<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Asked;
use Metrum\Circuit\Effort;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Question;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Plant\Expectation;

/**
 * Ranks what has not been looked at yet by the information it is expected to bring (bits) for its minutes and its
 * risk.
 */
final readonly class NextChecks
{
    /** Probability from which a suspect is to be proven. */
    private const LEADS = 0.75;

    /** Looks before the first tool is fetched. */
    private const FIRST_LOOKS = 3;

    /** Bits below which a check is not worth naming. */
    private const LEAST_GAIN = 0.004;

    /** Bits a minute below which deciding tells more than looking on: three hours a bit. */
    private const LEAST_WORTH = 0.0055;

    private AlreadyTold $told;

    private Proposals $propose;

    public function __construct(
        private Findings $findings,
        private Weighing $weighing,
        Expectation $expectation,
        Conditions $conditions,
        Figures $figures,
    ) {
        $this->told = new AlreadyTold($findings, $figures);
        $this->propose = new Proposals($findings, $weighing, $expectation, $conditions);
    }

    /**
     * Best first, one for each thing that is entered first: once one suspect leads clearly, what would convict or clear
     * it; then what tells what makes it do that; then what tells the suspects apart.
     *
     * @return list<Check>
     */
    public function ranked(int $most): array
    {
        $checks = [...$this->ofLeading(), ...$this->apart()];
        $first = [];
        foreach ($checks as $check) {
            $first[$check->key->value] ??= $check;
        }

        return array_slice(array_values($first), 0, $most);
    }

    /** @return list<Check> to prove the suspect that leads, and to find its cause */
    private function ofLeading(): array
    {
        $faults = $this->weighing->byFault();
        $first = Fault::from((string) array_key_first($faults));
        if ($first === Fault::NoFault || $faults[$first->value] < self::LEADS) {
            return [];
        }
        $entry = FaultCatalogue::entry($first);
        $checks = [];
        foreach (
            [[Purpose::Prove, $entry->provenBy], [Purpose::FindCause, $entry->causeBy]] as [$purpose, $keys]
        ) {
            $check = $this->firstOf($keys);
            if ($check !== null) {
                $checks[] = $check->for($purpose);
            }
        }

        return $checks;
    }

    /** @param  list<Asked>  $keys */
    private function firstOf(array $keys): ?Check
    {
        foreach ($keys as $key) {
            if ($this->isKnown($key)) {
                continue;
            }
            $check =
                $key instanceof Question ? $this->propose->ofQuestion($key) : $this->propose->ofReading($key);
            if ($check !== null) {
                return $check;
            }
        }

        return null;
    }

    /** Answered, told by something else, or not to be had at such a plant. */
    private function isKnown(Asked $key): bool
    {
        $answered = match (true) {
            $key instanceof Observation => $this->findings->observed($key) !== null,
            $key instanceof Test => $this->findings->tested($key) !== null,
            $key instanceof Reading => $this->findings->reading($key) !== null,
            default => false,
        };

        return $answered || ! $this->findings->circuit->asks($key) || $this->told->is($key);
    }

    /** @return list<Check> by what they tell of the suspects for their minutes and risk */
    private function apart(): array
    {
        $checks = [];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            $checks[] = $this->isKnown($asked) ? null : $this->propose->ofQuestion($asked);
        }
        $checks = [...$checks, ...$this->measured()];
        $worthy = array_values(
            array_filter(
                $checks,
                static fn (?Check $one): bool => $one !== null &&
                    $one->gain >= self::LEAST_GAIN &&
                    $one->worth >= self::LEAST_WORTH,
            ),
        );
        $looks = $this->looksFirst();
        usort(
            $worthy,
            static fn (Check $a, Check $b): int => [$looks && $b->effort === Effort::Look, $b->worth] <=> [
                $looks && $a->effort === Effort::Look,
                $a->worth,
            ],
        );

        return $worthy;
    }

    /** @return list<Check> of signs; what one hose or clamp brings besides counts too, ever less */
    private function measured(): array
    {
        $checks = [];
        foreach (Sign::cases() as $sign) {
            $check = $this->propose->ofSign($sign);
            if ($check !== null && ! $this->told->is($check->key)) {
                $checks[] = $check;
            }
        }
        usort($checks, static fn (Check $a, Check $b): int => $b->gain <=> $a->gain);
        $shared = [];
        foreach ($checks as $check) {
            $gain = $check->gain;
            $n = 1;
            foreach ($checks as $other) {
                if (
                    $other !== $check &&
                    array_udiff($other->readings, $check->readings, self::compared(...)) === []
                ) {
                    $gain += $other->gain / ++$n;
                }
            }
            $shared[] = $check->bringing($gain);
        }

        return $shared;
    }

    private static function compared(Reading $a, Reading $b): int
    {
        return $a->value <=> $b->value;
    }

    /** While nothing was measured and little seen, what needs no tool comes first (A-01). */
    private function looksFirst(): bool
    {
        return $this->findings->readings === [] && count($this->findings->observations) < self::FIRST_LOOKS;
    }
}
