<?php

namespace App\Policies;

use App\Models\StockMove;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Everybody sees the stock and weighs; a weight is taken back by whoever entered it, or by a lead. */
final class StockMovePolicy
{
    public function undo(User $user, StockMove $move): Response
    {
        return $move->user_id === $user->id || $user->isLead()
            ? Response::allow()
            : Response::deny('This weighing belongs to a colleague. They or a lead can undo it; re-weigh it instead.');
    }
}
