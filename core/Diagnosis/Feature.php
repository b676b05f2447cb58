<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Share;
use Metrum\Findings\Sign;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;

/** One thing that is weighed: of what it tells, and under which condition it is one of its own. */
final readonly class Feature
{
    private function __construct(
        public FeatureKind $kind,
        public Sign|Reading|Share|DerivedFigure|Observation|Test|Complaint|Condition|null $of,
        public ?Condition $under = null,
    ) {
    }

    /** @param  ?Condition  $under  where what is told means something else than it usually does */
    public static function of(
        Sign|Reading|Share|DerivedFigure|Observation|Test|Complaint|Condition $one,
        ?Condition $under = null,
    ): self {
        $kind = match (true) {
            $one instanceof Sign => FeatureKind::Sign,
            $one instanceof Reading => FeatureKind::Reading,
            $one instanceof Share => FeatureKind::Share,
            $one instanceof DerivedFigure => FeatureKind::Figure,
            $one instanceof Complaint => FeatureKind::Complaint,
            $one instanceof Condition => FeatureKind::Plant,
            $one instanceof Observation, $one instanceof Test => FeatureKind::Answer,
        };

        return new self($kind, $one, $under);
    }

    public static function ambient(): self
    {
        return new self(FeatureKind::Ambient, null);
    }

    /** By its name. @throws \ValueError where there is no such thing */
    public static function named(string $name): self
    {
        [$plain, $under] = explode('/', $name.'/');
        [$first, $key] = explode(' ', $plain.' ');
        $kind = FeatureKind::from($first);

        return new self(
            $kind,
            match ($kind) {
                FeatureKind::Sign => Sign::from($key),
                FeatureKind::Reading => Reading::from($key),
                FeatureKind::Share => Share::from($key),
                FeatureKind::Figure => DerivedFigure::from($key),
                FeatureKind::Answer => Observation::tryFrom($key) ?? Test::from($key),
                FeatureKind::Complaint => Complaint::from($key),
                FeatureKind::Plant => Condition::from($key),
                FeatureKind::Ambient => null,
            },
            $under === '' ? null : Condition::from($under),
        );
    }

    /** "sign td_coil/shared" */
    public function name(): string
    {
        return $this->kind->value.
            ($this->of === null ? '' : ' '.$this->of->value).
            ($this->under === null ? '' : '/'.$this->under->value);
    }

    public function under(?Condition $condition): self
    {
        return new self($this->kind, $this->of, $condition);
    }

    /** Whether it is told by a word or a complaint. */
    public function isAnswer(): bool
    {
        return $this->kind === FeatureKind::Answer || $this->kind === FeatureKind::Complaint;
    }
}
