<?php

declare(strict_types=1);

namespace Metrum\Circuit;

use Metrum\Quantity\BrokenData;

/** What is usual for a kind of plant: shown beside a field, and taken where nothing is known. */
final readonly class Usual
{
    /**
     * @param  array<string, mixed>  $system  words of the visit file
     * @param  array<string, float>  $design  figures of the visit file, in its units
     * @param  float  $cooling  W
     */
    private function __construct(
        public array $system,
        public array $design,
        public string $refrigerant,
        public float $cooling,
    ) {
    }

    /** @throws BrokenData */
    public static function of(Kind $kind): self
    {
        $row = DataFile::read('kinds')->row($kind->value);

        return new self(
            ['kind' => $kind->value] + $row->object('system'),
            $row->numbers('design'),
            $row->text('refrigerant'),
            $row->number('cooling_w'),
        );
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
