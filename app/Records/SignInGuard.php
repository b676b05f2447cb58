<?php

namespace App\Records;

use App\Models\User;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Support\Facades\Cache;

/**
 * Slows guessing down: by account and source together, by source, and by account from everywhere.
 *
 * A try is counted before its password is looked at, one after the other, so that many at once do not pass together;
 * one that was right is taken off again. A device on which that person has signed in before has a count of its own:
 * no stranger locks it out, neither by the account nor from behind the same router.
 */
final readonly class SignInGuard
{
    /** Tries that failed, and the seconds after which they are forgotten. */
    private const PAIR = [6, 60];

    private const DEVICE = [20, 60];

    private const SOURCE = [30, 60];

    private const ACCOUNT = [40, 600];

    /** Seconds for which one try waits for another to be counted. */
    private const TURN = 5;

    public function __construct(private RateLimiter $limiter)
    {
    }

    /** Counts a try, or gives the seconds to wait before another one. */
    public function wait(string $email, string $source, bool $isKnownDevice): int
    {
        $store = Cache::getStore();
        $count = fn (): int => $this->counted($this->keys($email, $source, $isKnownDevice));

        return $store instanceof LockProvider
            ? (int) $store->lock('sign-in turn', self::TURN)->block(self::TURN, $count)
            : $count();
    }

    /** Takes a try off that was right; what failed before it between these two is forgotten. */
    public function succeeded(string $email, string $source, bool $isKnownDevice): void
    {
        foreach ($this->keys($email, $source, $isKnownDevice) as $key => [, $seconds]) {
            $this->limiter->decrement($key, $seconds);
        }
        $this->limiter->clear(self::pair($email, $source));
        $this->limiter->clear(self::device($email));
    }

    /** What a device keeps on which somebody has signed in. */
    public static function mark(User $user): string
    {
        return $user->id;
    }

    /**
     * @param  array<string, array{int, int}>  $keys
     * @return int seconds; 0 where the try was counted
     */
    private function counted(array $keys): int
    {
        $held = [];
        foreach ($keys as $key => [$most]) {
            if ($this->limiter->tooManyAttempts($key, $most)) {
                $held[] = max(1, $this->limiter->availableIn($key));
            }
        }
        if ($held !== []) {
            return max($held);
        }
        foreach ($keys as $key => [, $seconds]) {
            $this->limiter->hit($key, $seconds);
        }

        return 0;
    }

    /** @return array<string, array{int, int}> */
    private function keys(string $email, string $source, bool $isKnownDevice): array
    {
        return $isKnownDevice
            ? [self::device($email) => self::DEVICE]
            : [
                self::pair($email, $source) => self::PAIR,
                "sign-in from $source" => self::SOURCE,
                'sign-in '.sha1($email) => self::ACCOUNT,
            ];
    }

    private static function pair(string $email, string $source): string
    {
        return 'sign-in '.sha1($email).' from '.$source;
    }

    private static function device(string $email): string
    {
        return 'sign-in '.sha1($email).' on a known device';
    }
}
