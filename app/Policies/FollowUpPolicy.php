<?php

namespace App\Policies;

use App\Models\FollowUp;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Auth\Access\Response;

/** A promise is ticked off by whoever gave it, by whoever is at the plant now, or by a lead. */
final class FollowUpPolicy
{
    public function tick(User $user, FollowUp $followUp): Response
    {
        return $followUp->user_id === $user->id || $user->isLead() || self::isThere($user, $followUp)
            ? Response::allow()
            : Response::deny('This follow-up belongs to a colleague. Start a visit on the circuit to take it over.');
    }

    private static function isThere(User $user, FollowUp $followUp): bool
    {
        return Visit::stillOpen()
            ->where('circuit_id', $followUp->circuit_id)
            ->where('user_id', $user->id)
            ->exists();
    }
}
