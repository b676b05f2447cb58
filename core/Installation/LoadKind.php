<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What takes up the cold, and so how it takes heat in. */
enum LoadKind: string
{
    case Room = 'room';
    case Cabinet = 'cabinet';
    case DisplayCase = 'display_case';
    case IceMachine = 'ice_machine';
    /** The air that people are in. */
    case Air = 'air';
}
