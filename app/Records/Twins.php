<?php

namespace App\Records;

use Illuminate\Contracts\Cache\Repository;
use Metrum\Circuit\Circuit;
use Metrum\Circuit\HouseRules;
use Metrum\Findings\Findings;
use Metrum\Plant\Twin;

/** The twins of circuits as they are known, kept between requests with what they worked out. */
final class Twins
{
    private const DAYS = 30;

    /** @var array<string, Twin> */
    private array $here = [];

    public function __construct(private readonly Repository $kept)
    {
    }

    /** @param  list<Findings>  $good  visits at which the plant ran well */
    public function of(Circuit $circuit, HouseRules $rules, array $good = []): Twin
    {
        $key =
            'twin '.
            self::edition().
            md5(
                serialize([
                    $circuit,
                    $rules,
                    array_map(static fn (Findings $findings): array => $findings->readings, $good),
                ]),
            );
        if (! isset($this->here[$key])) {
            $kept = $this->kept->get($key);
            $this->here[$key] = $kept instanceof Twin ? $kept : Twin::fittedTo($circuit, $rules, $good);
        }

        return $this->here[$key];
    }

    /** Keeps what was learned; called when the answer is sent. */
    public function keep(): void
    {
        foreach ($this->here as $key => $twin) {
            if ($twin->hasLearned()) {
                $this->kept->put($key, $twin, now()->addDays(self::DAYS));
            }
        }
        $this->here = [];
    }

    /** Twins of an older model are not those of this one. */
    private static function edition(): string
    {
        static $edition = null;

        return $edition ??= max(array_map(filemtime(...), glob(base_path('core/*/*.php')) ?: [__FILE__])).' ';
    }
}
