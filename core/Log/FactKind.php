<?php

declare(strict_types=1);

namespace Metrum\Log;

/** The kinds of facts. What each is and does is one class; nobody else switches over kinds. */
enum FactKind: string
{
    case Reading = 'reading';
    case Observation = 'observation';
    case Test = 'test';
    case State = 'state';
    case Complaint = 'complaint';
    case Confirmed = 'confirmed';
    case RuledOut = 'ruled_out';
    case Note = 'note';
    case Move = 'move';
    case Card = 'card';
    case Clock = 'clock';
    case Touched = 'touched';
    case Restored = 'restored';
    case Goods = 'goods';
    case Site = 'site';
    case Circuit = 'circuit';
    case Undo = 'undo';

    public function rule(): KindOfFact
    {
        return match ($this) {
            self::Reading => new Kinds\ReadingTaken(),
            self::Observation => new Kinds\WordAnswer(\Metrum\Knowledge\Observation::class),
            self::Test => new Kinds\WordAnswer(\Metrum\Knowledge\Test::class),
            self::State => new Kinds\StateSaid(),
            self::Complaint => new Kinds\ComplaintHeard(),
            self::Confirmed => new Kinds\FaultJudged('Confirmed'),
            self::RuledOut => new Kinds\FaultJudged('Ruled out'),
            self::Note => new Kinds\NoteWritten(),
            self::Move => new Kinds\PlantMoved(),
            self::Card => new Kinds\StepTaken(),
            self::Clock => new Kinds\ClockSet(),
            self::Touched => new Kinds\LeftOpen(back: false),
            self::Restored => new Kinds\LeftOpen(back: true),
            self::Goods => new Kinds\GoodsTold(),
            self::Site => new Kinds\SiteTold(),
            self::Circuit => new Kinds\CircuitChanged(),
            self::Undo => new Kinds\TakenBack(),
        };
    }

    /** What was asked where such a fact answers a question; null where it is none, or no such question is known. */
    public function asked(string $key): ?\Metrum\Knowledge\Asked
    {
        return match ($this) {
            self::Reading => \Metrum\Knowledge\Reading::tryFrom($key),
            self::Observation => \Metrum\Knowledge\Observation::tryFrom($key),
            self::Test => \Metrum\Knowledge\Test::tryFrom($key),
            self::State,
            self::Complaint,
            self::Confirmed,
            self::RuledOut,
            self::Note,
            self::Move,
            self::Card,
            self::Clock,
            self::Touched,
            self::Restored,
            self::Goods,
            self::Site,
            self::Circuit,
            self::Undo => null,
        };
    }
}
