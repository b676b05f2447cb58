<?php

namespace App\Policies;

use App\Models\User;
use App\Models\Visit;
use Illuminate\Auth\Access\Response;

final class VisitPolicy
{
    public function view(User $user, Visit $visit): bool
    {
        return true;
    }

    public function followUp(User $user, Visit $visit): bool
    {
        return true;
    }

    /** Entries are taken while the visit is open; a closed one must be opened again first. */
    public function enter(User $user, Visit $visit): Response
    {
        if ($visit->isOpen()) {
            return Response::allow();
        }
        $when = $visit->closed_at?->format('H:i, j M');

        return Response::deny("This visit was closed at $when. Open it again to enter more.");
    }
}
