<?php

namespace App\Records;

use App\Models\User;
use Metrum\Quantity\Units;

/** Who says something, and in which units. */
final readonly class Author
{
    private function __construct(public string $id, public Units $units)
    {
    }

    public static function of(User $user): self
    {
        return new self($user->id, $user->units());
    }
}
