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

    /** Entries are taken while the visit is open; a closed one must be opened again first. */
    public function enter(User $user, Visit $visit): Response
    {
        return $visit->isOpen()
            ? Response::allow()
            : Response::deny('This visit is closed. Open it again to enter more.');
    }
}
