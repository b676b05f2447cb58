<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Metrum\Quantity\Units;

/**
 * @property string $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property string $role
 * @property array<string, string>|null $settings
 * @property ?Carbon $disabled_at
 * @property ?string $calendar_key  by which their follow-ups are subscribed to
 */
final class User extends Authenticatable
{
    use HasUlids;

    public const LEAD = 'lead';

    public const TECHNICIAN = 'technician';

    public const ROLES = [self::TECHNICIAN => 'Technician', self::LEAD => 'Lead'];

    protected $fillable = ['name', 'email', 'password', 'role', 'settings', 'disabled_at', 'calendar_key'];

    protected $hidden = ['password', 'remember_token', 'calendar_key'];

    protected function casts(): array
    {
        return ['password' => 'hashed', 'settings' => 'array', 'disabled_at' => 'datetime'];
    }

    /** Somebody who has no password yet: an invitation lets them choose one. */
    public static function invite(string $name, string $email, string $role): self
    {
        return self::query()->create([
            'name' => $name,
            'email' => mb_strtolower($email),
            'password' => Str::random(40),
            'role' => $role,
        ]);
    }

    public function units(): Units
    {
        return Units::fromSettings($this->settings ?? []);
    }

    /** paper, cold, or auto by the system's preference */
    public function theme(): string
    {
        return $this->settings['theme'] ?? 'auto';
    }

    public function isLead(): bool
    {
        return $this->role === self::LEAD;
    }

    public function isDisabled(): bool
    {
        return $this->disabled_at !== null;
    }
}
