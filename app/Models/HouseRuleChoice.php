<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Metrum\Knowledge\HouseRules;

/**
 * @property string $rule
 * @property string|array{float, float} $choice a school's id or an own band
 */
final class HouseRuleChoice extends Model
{
    public $incrementing = false;

    protected $table = 'house_rules';

    protected $primaryKey = 'rule';

    protected $keyType = 'string';

    protected $fillable = ['rule', 'choice', 'user_id'];

    protected function casts(): array
    {
        return ['choice' => 'json'];
    }

    /** The rules that the workshop has chosen; the rest by default. */
    public static function inForce(): HouseRules
    {
        $rows = self::query()->get();

        return new HouseRules(
            $rows->mapWithKeys(static fn (self $row): array => [$row->rule => $row->choice])->all(),
        );
    }
}
