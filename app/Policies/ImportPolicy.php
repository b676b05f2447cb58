<?php

namespace App\Policies;

use App\Models\Import;
use App\Models\User;

final class ImportPolicy
{
    /** Who brought a file goes on with it. */
    public function follow(User $user, Import $import): bool
    {
        return $import->user_id === $user->id || $user->isLead();
    }
}
