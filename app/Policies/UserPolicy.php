<?php

namespace App\Policies;

use App\Models\User;

/** A lead makes people, changes what they may, and shuts them out; nobody does so to themselves. */
final class UserPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->isLead();
    }

    public function create(User $user): bool
    {
        return $user->isLead();
    }

    public function update(User $user, User $other): bool
    {
        return $user->isLead() && $user->id !== $other->id;
    }
}
