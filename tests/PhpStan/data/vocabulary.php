<?php

namespace Tests\PhpStan\Data;

enum Reply
{
    case Yes;
    case No;
    case Perhaps;

    public function silent(): bool
    {
        return match ($this) {
            self::Yes => true,
            default => false,
        };
    }

    public function named(): bool
    {
        return match ($this) {
            self::Yes => true,
            self::No, self::Perhaps => false,
        };
    }

    public function general(): string
    {
        return match ($this) {
            self::Yes => 'of course',
            default => strtolower($this->name),
        };
    }

    public function ofANumber(int $count): string
    {
        return match ($count) {
            0 => 'none',
            default => 'some',
        };
    }
}
