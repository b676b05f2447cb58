<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Metrum\Work\Ledger\Cylinder as Known;

/**
 * A cylinder of the workshop. What is in it follows from what happened to it.
 *
 * @property string $id
 * @property string $label
 * @property string $refrigerant
 * @property bool $is_recovered
 * @property float $tare kg
 * @property float $water m³
 * @property string $note
 * @property ?Carbon $gone_at
 */
final class Cylinder extends Model
{
    use HasUlids;

    protected $fillable = ['id', 'label', 'refrigerant', 'is_recovered', 'tare', 'water', 'note', 'gone_at'];

    protected function casts(): array
    {
        return ['is_recovered' => 'boolean', 'tare' => 'float', 'water' => 'float', 'gone_at' => 'datetime'];
    }

    /** @return HasMany<StockMove, $this> */
    public function stockMoves(): HasMany
    {
        return $this->hasMany(StockMove::class)->orderBy('moved_at')->orderBy('id');
    }

    /** @param  float  $content  kg */
    public function known(float $content): Known
    {
        return new Known(
            $this->id,
            $this->label,
            $this->refrigerant,
            $this->tare,
            $this->water,
            $this->is_recovered,
            $content,
        );
    }
}
