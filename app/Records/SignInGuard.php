<?php

namespace App\Records;

use App\Models\User;
use Illuminate\Cache\RateLimiter;

/**
 * Slows guessing down: by address and source together, by source, and by address from everywhere.
 *
 * Only tries that failed are counted. The last count would let a stranger lock somebody out, so it does not hold for a
 * device on which that person has signed in before.
 */
final readonly class SignInGuard
{
    /** Failed tries, and the seconds after which they are forgotten. */
    private const PAIR = [6, 60];

    private const SOURCE = [30, 60];

    private const ADDRESS = [40, 600];

    public function __construct(private RateLimiter $limiter)
    {
    }

    /** Seconds to wait before another try; 0: none. */
    public function wait(string $email, string $source, bool $isKnownDevice): int
    {
        $held = [];
        foreach ($this->keys($email, $source) as $key => [$most]) {
            if ($isKnownDevice && $key === self::address($email)) {
                continue;
            }
            if ($this->limiter->tooManyAttempts($key, $most)) {
                $held[] = $this->limiter->availableIn($key);
            }
        }

        return $held === [] ? 0 : max(1, ...$held);
    }

    public function failed(string $email, string $source): void
    {
        foreach ($this->keys($email, $source) as $key => [, $seconds]) {
            $this->limiter->hit($key, $seconds);
        }
    }

    public function succeeded(string $email, string $source): void
    {
        $this->limiter->clear(self::pair($email, $source));
    }

    /** What a device keeps on which somebody has signed in. */
    public static function mark(User $user): string
    {
        return $user->id;
    }

    /** @return array<string, array{int, int}> */
    private function keys(string $email, string $source): array
    {
        return [
            self::pair($email, $source) => self::PAIR,
            "sign-in from $source" => self::SOURCE,
            self::address($email) => self::ADDRESS,
        ];
    }

    private static function pair(string $email, string $source): string
    {
        return 'sign-in '.sha1($email).' from '.$source;
    }

    private static function address(string $email): string
    {
        return 'sign-in '.sha1($email);
    }
}
