<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** How what is given of a plant's charge can contradict itself. */
enum ConflictKind: string
{
    case PlateTooMuch = 'plate_too_much';
    case PlateTooLittle = 'plate_too_little';
    case ReceiverTooSmall = 'receiver_too_small';
}
