<?php

namespace App\Policies;

use App\Models\User;
use App\Models\Visit;
use Illuminate\Auth\Access\Response;

/** Everybody reads every visit. Its technician works in it while it is open; a lead works in all and reopens them. */
final class VisitPolicy
{
    public function view(User $user, Visit $visit): bool
    {
        return true;
    }

    /** Entries are taken while the visit is open; a closed one must be opened again first. */
    public function enter(User $user, Visit $visit): Response
    {
        if (! $visit->isOpen()) {
            $when = $visit->closed_at?->format('H:i, j M');

            return Response::deny("This visit was closed at $when. Reopen it to add entries.");
        }

        return self::belongs($user, $visit);
    }

    public function close(User $user, Visit $visit): Response
    {
        return self::belongs($user, $visit);
    }

    public function markRanWell(User $user, Visit $visit): Response
    {
        return self::belongs($user, $visit);
    }

    public function followUp(User $user, Visit $visit): Response
    {
        return self::belongs($user, $visit);
    }

    public function reopen(User $user, Visit $visit): Response
    {
        return $user->isLead() ? Response::allow() : Response::deny('Only a lead can reopen a closed visit.');
    }

    /** What is told to its owner, also after it was closed: by its technician or a lead. */
    public function tell(User $user, Visit $visit): Response
    {
        return self::belongs($user, $visit);
    }

    private static function belongs(User $user, Visit $visit): Response
    {
        return $visit->user_id === $user->id || $user->isLead()
            ? Response::allow()
            : Response::deny('This visit belongs to a colleague. Start your own on this circuit.');
    }
}
