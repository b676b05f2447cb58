<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What a part of a plant is. */
enum PartKind: string
{
    case Plant = 'plant';
    case Condenser = 'condenser';
    case Receiver = 'receiver';
    case Group = 'group';
    case Compressor = 'compressor';
    case Circuit = 'circuit';
    case Cabinet = 'case';
    case Coil = 'coil';
    case Valve = 'valve';
    case Regulator = 'regulator';
    case Solenoid = 'solenoid';
    case Fan = 'fan';
    /** Whatever else a person calls so. */
    case Other = 'part';

    /** Whether it belongs to one circuit; the rest is shared by all circuits of its plant. */
    public function isOfCircuit(): bool
    {
        return match ($this) {
            self::Cabinet, self::Coil, self::Valve, self::Regulator, self::Solenoid, self::Fan, self::Other => true,
            self::Plant, self::Condenser, self::Receiver, self::Group, self::Compressor, self::Circuit => false,
        };
    }

    /** Whether there is one of it at most, so that its kind alone names it. */
    public function isSingle(): bool
    {
        return match ($this) {
            self::Plant, self::Condenser, self::Receiver => true,
            self::Group,
            self::Compressor,
            self::Circuit,
            self::Cabinet,
            self::Coil,
            self::Valve,
            self::Regulator,
            self::Solenoid,
            self::Fan,
            self::Other => false,
        };
    }
}
