<?php

namespace App\Records;

use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\URL;

/** A link with which somebody chooses a password, once, within a week. */
final readonly class Invitation
{
    public const DAYS = 7;

    private function __construct(private User $user)
    {
    }

    public static function to(User $user): self
    {
        return new self($user);
    }

    public function link(): string
    {
        return URL::temporarySignedRoute('invitation', $this->expires(), [
            'user' => $this->user->id,
            'once' => $this->seal(),
        ]);
    }

    public function expires(): Carbon
    {
        return Carbon::now()->addDays(self::DAYS);
    }

    /** Whether it was not used yet: a password that was chosen since breaks it. */
    public function isSealedBy(string $seal): bool
    {
        return ! $this->user->isDisabled() && hash_equals($this->seal(), $seal);
    }

    private function seal(): string
    {
        return substr(hash('sha256', $this->user->password), 0, 16);
    }
}
