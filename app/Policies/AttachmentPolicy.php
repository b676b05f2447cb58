<?php

namespace App\Policies;

use App\Models\Attachment;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Support\Facades\Gate;

/** Who may see a visit sees its photos and hears its voice notes, nobody else. A lead alone removes one. */
final class AttachmentPolicy
{
    public function view(User $user, Attachment $attachment): Response
    {
        return $attachment->isShown() && Gate::forUser($user)->allows('view', $attachment->visit)
            ? Response::allow()
            : Response::denyAsNotFound();
    }

    /** Pieces are taken of whoever began it, while its visit is open. */
    public function send(User $user, Attachment $attachment): Response
    {
        return $attachment->user_id === $user->id || $user->isLead()
            ? Gate::forUser($user)->inspect('enter', $attachment->visit)
            : Response::deny('Only who took it can send it.');
    }

    /** Its caption, marks and pair, also after the visit: who took it, or a lead. */
    public function update(User $user, Attachment $attachment): Response
    {
        return $attachment->isShown() && ($attachment->user_id === $user->id || $user->isLead())
            ? Response::allow()
            : Response::deny('This photo belongs to a colleague. They or a lead can change it.');
    }

    public function delete(User $user, Attachment $attachment): Response
    {
        return $user->isLead()
            ? Response::allow()
            : Response::deny('Only a lead can delete a photo or voice note, with a reason.');
    }
}
