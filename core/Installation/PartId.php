<?php

declare(strict_types=1);

namespace Metrum\Installation;

/**
 * Names one part of a plant by the way to it: "circuit 1", "circuit 1/valve B", "compressor 2", "plant". Each step is
 * what the part is and, where there can be several, its number or letter; what people call it besides is its label.
 */
final readonly class PartId implements \Stringable
{
    /** Letters of one step's number, letter or name; and of all. */
    public const LONGEST_MARK = 120;

    public const LONGEST = 160;

    private const BELOW = '/';

    /** What stands for it in a name. */
    private const NO_STEP = '∕';

    private function __construct(public string $value)
    {
    }

    public static function plant(): self
    {
        return new self(PartKind::Plant->value);
    }

    public static function circuit(int $number = 1): self
    {
        return new self(PartKind::Circuit->value.' '.$number);
    }

    /** A part that all circuits of a plant share. */
    public static function shared(PartKind $kind, string $mark = ''): self
    {
        return new self(self::step($kind, $mark));
    }

    /** A part of this one. */
    public function below(PartKind $kind, string $mark = ''): self
    {
        return new self($this->value.self::BELOW.self::step($kind, $mark));
    }

    /** As it stands in a store or a file. @throws NoPart */
    public static function of(string $value): self
    {
        $steps = explode(self::BELOW, $value);
        foreach ($steps as $place => $step) {
            $kind = self::kindOf($step);
            $isRight = $kind !== null && ($place === 0) !== $kind->isOfCircuit() && self::isMarked($kind, $step);
            if (! $isRight) {
                throw NoPart::given($value);
            }
        }
        $isOfCircuit = count($steps) === 1 || self::kindOf($steps[0]) === PartKind::Circuit;
        if (! $isOfCircuit || mb_strlen($value) > self::LONGEST) {
            throw NoPart::given($value);
        }

        return new self($value);
    }

    /**
     * As a person says it of a circuit: "valve B", "the left one"; nothing is the circuit itself. The whole way to it
     * is understood too.
     *
     * @throws NoPart
     */
    public static function said(string $said, self $circuit): self
    {
        $plain = trim((string) preg_replace('/\s+/u', ' ', $said));
        if ($plain === '') {
            return $circuit;
        }
        $steps = array_map(
            static fn (string $step): string => self::lowered(trim($step)),
            explode(self::BELOW, $plain),
        );
        $first = self::kindOf($steps[0]);
        $isWhole = $first !== null && ! $first->isOfCircuit();
        try {
            return $isWhole ? self::of(implode(self::BELOW, $steps)) : self::within($circuit, $steps);
        } catch (NoPart $reason) {
            // "condenser fan" is what somebody calls a part.
            return count($steps) === 1 ? self::called($plain, $circuit) : throw $reason;
        }
    }

    /** @param  non-empty-list<string>  $steps  as a person names them */
    private static function within(self $circuit, array $steps): self
    {
        return self::of(implode(self::BELOW, [$circuit->value, ...array_map(self::named(...), $steps)]));
    }

    /** A part of a circuit by whatever people call it: "valve B", "the left one". @throws NoPart where it is nothing */
    public static function called(string $name, self $circuit): self
    {
        // What a name holds is no way to another part.
        $plain = trim((string) preg_replace('/[\s\p{C}]+/u', ' ', str_replace(self::BELOW, self::NO_STEP, $name)));

        return self::of($circuit->value.self::BELOW.self::named($plain));
    }

    /** What it is. */
    public function kind(): PartKind
    {
        return self::kindOf($this->last()) ?? PartKind::Other;
    }

    /** What it is called beside its circuit, "valve B"; empty for a circuit, or the plant, itself. */
    public function name(): string
    {
        return match ($this->kind()) {
            PartKind::Plant, PartKind::Circuit => '',
            PartKind::Other => substr($this->last(), strlen(PartKind::Other->value) + 1),
            PartKind::Condenser,
            PartKind::Receiver,
            PartKind::Group,
            PartKind::Compressor,
            PartKind::Cabinet,
            PartKind::Coil,
            PartKind::Valve,
            PartKind::Regulator,
            PartKind::Solenoid,
            PartKind::Fan => implode(', ', array_slice(explode(self::BELOW, $this->value), $this->isBelowCircuit())),
        };
    }

    public function is(self $other): bool
    {
        return $this->value === $other->value;
    }

    /** Whether it is that part, or belongs to it. */
    public function isWithin(self $whole): bool
    {
        return $this->is($whole) ||
            $whole->kind() === PartKind::Plant ||
            str_starts_with($this->value, $whole->value.self::BELOW);
    }

    /** The first step of the way to it: the circuit, or the shared part, that it belongs to. */
    public function root(): string
    {
        return explode(self::BELOW, $this->value)[0];
    }

    public function isCompressor(): bool
    {
        return $this->kind() === PartKind::Compressor;
    }

    /** Whether what is said of it is known of a circuit: it belongs to that, or to all. */
    public function concerns(self $circuit): bool
    {
        return $this->isWithin($circuit) || self::kindOf($this->root()) !== PartKind::Circuit;
    }

    /** Whether it is no other suction group than that. @param  ?self  $group  null: there is but one */
    public function isNotOfAnother(?self $group): bool
    {
        return $group === null || $this->kind() !== PartKind::Group || $this->is($group);
    }

    /** The same part where its circuit is another one. */
    public function at(self $circuit, self $other): self
    {
        return $this->isWithin($circuit) && $circuit->kind() === PartKind::Circuit
            ? new self($other->value.substr($this->value, strlen($circuit->value)))
            : $this;
    }

    /** The circuit that it belongs to; null for what all circuits share. */
    public function ofCircuit(): ?self
    {
        $first = explode(self::BELOW, $this->value)[0];

        return self::kindOf($first) === PartKind::Circuit ? new self($first) : null;
    }

    public function __toString(): string
    {
        return $this->value;
    }

    private function isBelowCircuit(): int
    {
        return $this->ofCircuit() === null ? 0 : 1;
    }

    private function last(): string
    {
        $steps = explode(self::BELOW, $this->value);

        return $steps[count($steps) - 1];
    }

    private static function step(PartKind $kind, string $mark): string
    {
        return $mark === '' ? $kind->value : $kind->value.' '.$mark;
    }

    /** What a step of the way is; null where it begins with no such word. */
    private static function kindOf(string $step): ?PartKind
    {
        return PartKind::tryFrom(explode(' ', $step, 2)[0]);
    }

    private static function isMarked(PartKind $kind, string $step): bool
    {
        $mark = explode(' ', $step, 2)[1] ?? '';
        $isNumbered = $kind !== PartKind::Circuit || preg_match('/^[1-9]\d{0,2}$/', $mark) === 1;

        return $isNumbered &&
            ($mark === '' ? $kind !== PartKind::Other : ! $kind->isSingle()) &&
            preg_match('/^[^\p{C}]{0,'.self::LONGEST_MARK.'}$/u', $mark) === 1 &&
            trim($mark) === $mark;
    }

    /** A step with its kind as it is written, whatever letters were typed. */
    private static function lowered(string $step): string
    {
        [$word, $mark] = [...explode(' ', $step, 2), ''];
        $kind = PartKind::tryFrom(mb_strtolower($word));

        return $kind === null ? $step : self::step($kind, $mark);
    }

    /** A step as a person names it: what begins with no kind is a part of that name. */
    private static function named(string $step): string
    {
        $lowered = self::lowered($step);

        return self::kindOf($lowered)?->isOfCircuit() === true && self::isMarked(self::kindOf($lowered), $lowered)
            ? $lowered
            : self::step(PartKind::Other, $step);
    }
}
