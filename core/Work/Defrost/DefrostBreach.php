<?php

declare(strict_types=1);

namespace Metrum\Work\Defrost;

/** A rule that a plan of defrosts does not keep. */
final readonly class DefrostBreach
{
    public const TOO_MANY = 'too_many';

    public const NO_GAS = 'no_gas';

    public const BUSY = 'busy';

    public const LEVEL = 'level';

    public const HEAD = 'head';

    public const TOO_FEW = 'too_few';

    public const UNEVEN = 'uneven';

    /**
     * @param  self::*  $rule
     * @param  ?int  $minute  of the day at which it begins; null: of the whole day
     * @param  list<string>  $circuits  by part
     */
    public function __construct(public string $rule, public ?int $minute, public array $circuits)
    {
    }
}
