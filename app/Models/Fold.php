<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a closed visit came to, folded.
 *
 * @property string $visit_id
 * @property string $edition
 * @property string $rests_on
 * @property int $last_fact
 * @property string $fold
 * @property ?string $departures  of its figures from the twin; null where it was closed before that was kept
 * @property string $drifting  keys of the figures of its circuit that drifted when it was closed, parted by spaces
 */
final class Fold extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'visit_id';

    protected $keyType = 'string';

    protected $fillable = ['visit_id', 'edition', 'rests_on', 'last_fact', 'fold', 'departures', 'drifting'];
}
