<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Data\Knowledge;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Fault;
use Metrum\Twin\Ice\IceAilment;

/** How a fault shows on the simulated plant, as its file has it under "twin": in the loop, in time, or not at all. */
final readonly class Ailment
{
    /** Said of what the simulated plant does not show. */
    private const NOTHING = 'nothing';

    private const COLD = 'cold';

    /**
     * @param  list<float>  $by  how far it goes at full severity, in the numbers that the effect takes
     * @param  bool  $inTheCold  whether it shows in cold weather only
     * @param  bool  $costs  whether it costs capacity or head in any weather, so that a grade can be told by them
     * @param  Kind  $kind  of a plain plant that can have it
     * @param  array<string, mixed>  $parts  what such a plant needs besides, as a visit file's system has it
     */
    private function __construct(
        public ?LoopEffect $loop,
        public ?TimeEffect $time,
        public array $by,
        public bool $inTheCold,
        public bool $costs,
        private Kind $kind,
        private array $parts,
    ) {
    }

    /** @throws BrokenData */
    public static function of(Fault $fault): self
    {
        return Knowledge::once(
            'ailment '.$fault->value,
            static fn (): self => self::ofRow(Knowledge::file('faults/'.$fault->value)->row('twin')),
        );
    }

    /** @throws BrokenData where the effect is none of ours, or takes other numbers */
    public static function ofRow(DataRow $row): self
    {
        $row->only(['effect', 'by', 'weather', 'costs', 'plant', IceAilment::KEY]);
        $effect = $row->text('effect');
        $loop = LoopEffect::tryFrom($effect);
        $time = TimeEffect::tryFrom($effect);
        if ($loop === null && $time === null && $effect !== self::NOTHING) {
            $possible = '"'.self::NOTHING.'" where it has none';
            throw $row->broken('effect', "\"$effect\" is not an effect of the simulated system; $possible");
        }
        $by = $row->has('by') ? array_values($row->numbers('by')) : [];
        $takes = $loop?->takes() ?? $time?->takes() ?? 0;
        if (count($by) !== $takes) {
            throw $row->broken('by', "$effect takes $takes numbers, got ".count($by));
        }
        $weather = $row->has('weather') ? $row->text('weather') : null;
        if (! in_array($weather, [null, self::COLD], true)) {
            throw $row->broken('weather', "\"$weather\" is not \"".self::COLD.'"');
        }
        $plant = $row->row('plant')->only(['kind', 'system']);

        return new self(
            $loop,
            $time,
            $by,
            $weather === self::COLD,
            $row->flag('costs', true),
            $plant->has('kind') ? $plant->word('kind', Kind::class) : Kind::WalkInCooler,
            $plant->has('system') ? $plant->object('system') : [],
        );
    }

    /** A plain plant that can have it. */
    public function plainPlant(): Circuit
    {
        $usual = $this->kind->usual();

        return Circuit::fromWords(
            $this->parts + $usual->system + ['refrigerant' => $usual->refrigerant],
            $usual->design,
        );
    }

    /** Whether refrigerant is missing, whatever for. */
    public function isShortage(): bool
    {
        return $this->loop?->isShortage() === true;
    }

    /** Whether there is too much refrigerant. */
    public function isSurplus(): bool
    {
        return $this->loop?->isSurplus() === true;
    }

    /** Whether the refrigerant's loop of such a plant shows it. */
    public function showsAt(Machine $machine): bool
    {
        return $this->loop?->isPossible($machine) ?? false;
    }
}
