<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Findings;
use Metrum\Findings\Mark;
use Metrum\Knowledge\Fault;

/** What is kept of a verdict: enough to name it later without working it anew. */
final readonly class Snapshot
{
    /** Faults that are kept of a ranking. */
    public const RANKED = 3;

    /**
     * @param  bool  $blank  nothing was entered
     * @param  bool  $settled  the readings could be judged as they were
     * @param  list<Fault>  $confirmed
     * @param  list<array{Fault, float}>  $ranking  the first three, most probable first
     */
    public function __construct(
        public bool $blank,
        public bool $settled,
        public array $confirmed,
        public array $ranking,
    ) {
    }

    public static function of(Verdict $verdict, Findings $findings): self
    {
        $ranking = array_map(
            static fn (Suspect $one): array => [$one->fault, $one->probability],
            $verdict->ranked(self::RANKED),
        );

        return new self($verdict->blank, $verdict->settled->isOpen(), $findings->confirmed, $ranking);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'blank' => $this->blank,
            'settled' => $this->settled,
            'confirmed' => array_column($this->confirmed, 'value'),
            'ranking' => array_map(
                static fn (array $one): array => ['fault' => $one[0]->value, 'probability' => $one[1]],
                $this->ranking,
            ),
        ];
    }

    /** @param  array<string, mixed>  $kept  what toArray gave; faults that are no longer known are left out */
    public static function fromArray(array $kept): self
    {
        $confirmed = $ranking = [];
        foreach (is_array($kept['confirmed'] ?? null) ? $kept['confirmed'] : [] as $word) {
            $confirmed[] = is_string($word) ? Fault::tryFrom($word) : null;
        }
        foreach (is_array($kept['ranking'] ?? null) ? $kept['ranking'] : [] as $one) {
            $fault = is_array($one) && is_string($one['fault'] ?? null) ? Fault::tryFrom($one['fault']) : null;
            $probability = is_array($one) ? $one['probability'] ?? 0.0 : 0.0;
            if ($fault !== null) {
                $ranking[] = [$fault, is_numeric($probability) ? (float) $probability : 0.0];
            }
        }

        return new self(
            ($kept['blank'] ?? true) === true,
            ($kept['settled'] ?? false) === true,
            array_values(array_filter($confirmed)),
            $ranking,
        );
    }

    public function isProven(): bool
    {
        return $this->confirmed !== [];
    }

    public function title(): string
    {
        return match (true) {
            $this->isProven() => implode(
                '; ',
                array_map(static fn (Fault $one): string => $one->label(), $this->confirmed),
            ),
            $this->blank || $this->ranking === [] => 'Nothing entered yet',
            ! $this->leads() => 'No clear cause yet',
            default => $this->ranking[0][0]->label(),
        };
    }

    /** Whether something stands first surely enough to be named. */
    public function leads(): bool
    {
        return $this->isProven() ||
            ($this->ranking !== [] && Sureness::of($this->ranking[0][1])->isAtLeast(Sureness::Leaning));
    }

    /** Of what stands first; null where it was proven, or nothing was entered. */
    public function probability(): ?float
    {
        return $this->isProven() || $this->blank ? null : $this->ranking[0][1] ?? null;
    }

    /** ● act, ◐ look, ○ fine, by what stands first and how surely. */
    public function mark(): Mark
    {
        return match (true) {
            $this->isProven() => Mark::Act,
            $this->blank || $this->ranking === [] => Mark::Fine,
            default => Verdict::markOf($this->ranking[0][0], Sureness::of($this->ranking[0][1])),
        };
    }

    /** A fault leads that nobody has proven. */
    public function needsALook(): bool
    {
        $probability = $this->probability();

        return $probability !== null &&
            $this->ranking[0][0] !== Fault::NoFault &&
            Sureness::of($probability)->isAtLeast(Sureness::Leaning);
    }
}
