<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasManyThrough;
use Metrum\Language\Tongue;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Format;

/**
 * @property string $id
 * @property string $name
 * @property ?string $place
 * @property float $altitude_m
 * @property ?string $contact
 * @property string $language of the owner's report
 */
final class Site extends Model
{
    use HasUlids;

    protected $fillable = ['name', 'place', 'altitude_m', 'contact', 'language'];

    /** @var array<string, string> as a new one is */
    protected $attributes = ['language' => Tongue::ENGLISH];

    protected function casts(): array
    {
        return ['altitude_m' => 'float'];
    }

    /** @return HasMany<Plant, $this> */
    public function plants(): HasMany
    {
        return $this->hasMany(Plant::class);
    }

    /** @return HasManyThrough<Circuit, Plant, $this> */
    public function circuits(): HasManyThrough
    {
        return $this->hasManyThrough(Circuit::class, Plant::class)->orderBy('parts.name');
    }

    public function atmosphere(): Atmosphere
    {
        return Atmosphere::atAltitude($this->altitude_m);
    }

    /** Its height above the sea, in whole metres. */
    public function height(): string
    {
        return Format::number($this->altitude_m, 0);
    }
}
