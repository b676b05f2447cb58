<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Findings;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;

/**
 * What a skilled hand would look at next. Where one suspect leads: what proves it, what makes it do that, what may hide
 * behind it. Where none does: what parts the first ones, as the trade knows it, then by information for minutes and
 * risk. Where nothing is known: the looks that belong to the complaint.
 */
final readonly class NextChecks
{
    /** Probability from which a suspect is to be proven, and from which one may hide behind it. */
    private const LEADS = 0.7;

    private const SEEN_LEADS = 0.4;

    private const HIDES = 0.04;

    /** Suspects that are to be told apart. */
    private const APART = 3;

    /** Checks named to prove a suspect, and to find its cause. */
    private const OF_A_KIND = 2;

    /** Looks before the first tool is fetched. */
    private const FIRST_LOOKS = 3;

    private Sensible $sensible;

    private Proposals $propose;

    private Separation $apart;

    private Findings $findings;

    /** @var array<string, float> by Fault, most probable first */
    private array $faults;

    private Fault $first;

    public function __construct(Examination $examined, private Weighing $weighing)
    {
        $this->findings = $examined->findings;
        $told = new KnownAnswers($this->findings, $examined->figures);
        $this->sensible = new Sensible(
            $this->findings,
            $told,
            $examined->doubted,
            $examined->withheld(),
        );
        $this->propose = new Proposals(
            $this->findings,
            $weighing,
            $examined->expectation,
            $examined->conditions,
        );
        $this->apart = new Separation($this->sensible, $this->propose);
        $this->faults = $weighing->byFault();
        $this->first = Fault::from((string) array_key_first($this->faults));
    }

    /** @return list<Check> best first, one for each thing that is entered first */
    public function ranked(int $most): array
    {
        $checks = match (true) {
            $this->leads() => [...$this->ofLeading(), ...$this->hiding()],
            $this->isNothingKnown() => [...$this->looks(), ...$this->apart->ranked(true)],
            default => [...$this->basics(), ...$this->separating(), ...$this->apart->ranked(false)],
        };
        $first = [];
        foreach ($checks as $check) {
            $first[$check->key->value] ??= $check;
        }

        return array_slice(array_values($first), 0, $most);
    }

    private function leads(): bool
    {
        return match (true) {
            $this->first === Fault::NoFault => false,
            $this->isSeen($this->first) => $this->seenTogether() >= self::SEEN_LEADS,
            default => $this->faults[$this->first->value] >= self::LEADS,
        };
    }

    /** Chance of all that is seen, 0 … 1: two faults that are seen are both there, and no rivals. */
    private function seenTogether(): float
    {
        $isSeen = fn (string $fault): bool => $this->isSeen(Fault::from($fault));

        return array_sum(array_filter($this->faults, $isSeen, ARRAY_FILTER_USE_KEY));
    }

    /** While nothing was measured and little seen, what needs no tool comes first (A-01). */
    private function isNothingKnown(): bool
    {
        return $this->findings->readings === [] && count($this->findings->observations) < self::FIRST_LOOKS;
    }

    /** @return list<Check> to prove the suspect that leads, and to find its cause */
    private function ofLeading(): array
    {
        $entry = FaultCatalogue::entry($this->first);
        $proof = array_slice($this->of($entry->provenBy, Purpose::Prove), 0, self::OF_A_KIND);
        $cause = array_slice($this->of($entry->causeBy, Purpose::FindCause), 0, self::OF_A_KIND);
        if (! $this->isSeen($this->first)) {
            return [...$proof, ...$cause];
        }
        // What is seen needs no proof; how far it goes can be measured.
        $measured = array_filter($proof, static fn (Check $one): bool => $one->key instanceof Reading);

        return [...$cause, ...array_values($measured)];
    }

    private function isSeen(Fault $fault): bool
    {
        foreach ($this->weighing->seen() as $seen) {
            if (in_array($fault, $seen->faults, true)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Check> what would prove those that may hide behind the one that leads */
    private function hiding(): array
    {
        $checks = [];
        foreach (array_slice($this->faults, 1, self::APART, true) as $name => $chance) {
            $fault = Fault::from($name);
            if ($chance >= self::HIDES && $fault !== Fault::NoFault) {
                $checks = [
                    ...$checks,
                    ...$this->of(Separators::of($this->first, $fault), Purpose::TellApart),
                    ...$this->of($this->ofBehind($fault), Purpose::TellApart),
                ];
            }
        }

        return array_values(
            array_filter($checks, static fn (Check $one): bool => Sensible::isLook($one->key)),
        );
    }

    /** @return list<Asked> what would prove a fault; where it is seen, what makes it do that */
    private function ofBehind(Fault $fault): array
    {
        $entry = FaultCatalogue::entry($fault);

        return $this->isSeen($fault) ? $entry->causeBy : $entry->provenBy;
    }

    /** @return list<Check> what parts the first few, as the trade knows it */
    private function separating(): array
    {
        $names = array_keys(array_slice($this->faults, 0, self::APART, true));
        $checks = [];
        foreach ($names as $i => $one) {
            foreach (array_slice($names, $i + 1) as $other) {
                $asked = Separators::of(Fault::from($one), Fault::from($other));
                $checks = [...$checks, ...array_slice($this->of($asked, Purpose::TellApart), 0, 1)];
            }
        }

        return $checks;
    }

    /** @return list<Check> what every pressure is judged by: a head by its air, a suction by the box */
    private function basics(): array
    {
        $isRead = fn (Reading $one): bool => $this->findings->reading($one) !== null;
        $keys = [
            ...$isRead(Reading::DischargePressure) ? [Reading::AmbientTemperature] : [],
            ...$isRead(Reading::SuctionPressure) ? [Reading::BoxTemperature] : [],
        ];

        return $this->of($keys, Purpose::TellApart);
    }

    /** @return list<Check> the looks that belong to what was complained of */
    private function looks(): array
    {
        $checks = [];
        foreach ($this->findings->complaints as $complaint) {
            $checks = [...$checks, ...$this->of($complaint->looks(), Purpose::TellApart)];
        }

        return array_values(
            array_filter($checks, static fn (Check $one): bool => $one->effort === Effort::Look),
        );
    }

    /**
     * @param  list<Asked>  $keys
     * @return list<Check> those of them that make sense now; what is turned or opened for comes last
     */
    private function of(array $keys, Purpose $purpose): array
    {
        $checks = [];
        foreach ($keys as $key) {
            $check = match (true) {
                ! $this->sensible->is($key) => null,
                $key instanceof Question => $this->propose->ofQuestion($key),
                default => $this->propose->ofReading($key),
            };
            if ($check !== null && $this->sensible->isToBeHad($check)) {
                $checks[] = $check->for($purpose);
            }
        }

        usort(
            $checks,
            static fn (Check $a, Check $b): int => Sensible::isLook($b->key) <=> Sensible::isLook($a->key),
        );

        return $checks;
    }
}
