<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Metrum\Quantity\Units;

/**
 * @property string $id
 * @property string $name
 * @property string $email
 * @property string $role
 * @property array<string, string>|null $settings
 */
final class User extends Authenticatable
{
    use HasUlids;

    protected $fillable = ['name', 'email', 'password', 'role', 'settings'];

    protected $hidden = ['password', 'remember_token'];

    protected function casts(): array
    {
        return ['password' => 'hashed', 'settings' => 'array'];
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
        return $this->role === 'lead';
    }
}
