<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;

/** What is usual for a kind of plant: shown beside a field, and taken where nothing is known. */
final readonly class Usual
{
    /**
     * @param  array<string, mixed>  $system  words of the visit file
     * @param  array<string, float>  $design  figures of the visit file, in its units
     * @param  float  $cooling  W
     * @param  float  $others  what unlisted circuits draw from its compressors, as a multiple of its own draw
     * @param  array<string, float>  $parts  how often a part is fitted that nobody named, 0 … 1, by Condition
     */
    private function __construct(
        public array $system,
        public array $design,
        public string $refrigerant,
        public float $cooling,
        public float $others,
        public LoadKind $load,
        public bool $isBelowFreezing,
        private array $parts,
    ) {
    }

    /** @throws BrokenData */
    public static function of(Kind $kind): self
    {
        $row = Knowledge::file('kinds')->row($kind->value);

        return new self(
            ['kind' => $kind->value] + $row->object('system'),
            $row->numbers('design'),
            $row->text('refrigerant'),
            $row->number('cooling_w'),
            $row->number('others', 0.0),
            $row->word('load', LoadKind::class),
            $row->flag('below_freezing'),
            $row->numbers('usually'),
        );
    }

    /** How often a part is fitted of which nobody said whether it is, 0 … 1. */
    public function chanceOf(Condition $part): float
    {
        return $this->parts[$part->value] ?? 1.0;
    }

    /** A word of the system as it stands in a form; null where there is none. */
    public function word(SystemKey $key): ?string
    {
        $word = $this->system[$key->value] ?? null;

        return is_bool($word) ? ($word ? 'yes' : 'no') : (is_string($word) ? $word : null);
    }

    /** SI; null where nothing is usual. */
    public function value(DesignKey $key): ?float
    {
        $value = $this->design[$key->value] ?? null;

        return $value === null ? null : $key->field()->fileUnit()->toSi($value);
    }
}
