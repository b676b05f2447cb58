<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Metrum\Diagnosis\Snapshot;

/**
 * What a closed visit ended on, or an open one stands at, with the edition it was worked with.
 *
 * @property string $visit_id
 * @property string $edition
 * @property bool $needs_a_look
 * @property float $probability
 * @property array<string, mixed> $snapshot
 * @property Carbon $worked_at
 */
final class VerdictSnapshot extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $table = 'verdicts';

    protected $primaryKey = 'visit_id';

    protected $keyType = 'string';

    protected $fillable = ['visit_id', 'edition', 'needs_a_look', 'probability', 'snapshot', 'worked_at'];

    protected function casts(): array
    {
        return [
            'needs_a_look' => 'bool',
            'probability' => 'float',
            'snapshot' => 'array',
            'worked_at' => 'datetime',
        ];
    }

    public function verdict(): Snapshot
    {
        return Snapshot::fromArray($this->snapshot);
    }
}
