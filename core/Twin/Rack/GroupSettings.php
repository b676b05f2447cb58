<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Findings\RackFindings;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Reading;

/** What was read of how a suction group is set and fitted. */
final readonly class GroupSettings
{
    /**
     * @param  ?float  $suction  Pa abs that it is set to hold at its header; null: as planned
     * @param  int  $compressors  how many are fitted; 0: as listed
     */
    public function __construct(public ?float $suction = null, public int $compressors = 0)
    {
    }

    /** @return array<string, self> by the group's part */
    public static function in(RackFindings $found): array
    {
        $settings = [];
        foreach ($found->plant->groups as $group) {
            $settings[$group->part->value] = self::of($found, $group);
        }

        return $settings;
    }

    private static function of(RackFindings $found, SuctionGroup $group): self
    {
        return new self(
            $found->absoluteOf($group, Reading::SuctionSet) ?? $found->absoluteOf($group, Reading::SuctionHeader),
            (int) ($found->ofGroup($group)->reading(Reading::CompressorsFitted) ?? 0.0),
        );
    }

    /**
     * As many as are fitted, each by what it is listed for.
     *
     * @return non-empty-list<RackCompressor>
     */
    public function compressorsOf(SuctionGroup $group): array
    {
        $units = $group->compressors;
        $known = BranchSizing::known(array_map(static fn (CompressorUnit $unit): ?float => $unit->capacity, $units));
        $usual = $known === [] ? 1.0 : array_sum($known) / count($known);
        $sizes = [];
        for ($i = 0; $i < max(1, $this->compressors, count($units)); $i++) {
            $sizes[] = ($units[$i] ?? null)->capacity ?? $usual;
        }
        $all = array_sum($sizes);

        $units = array_map(static fn (float $size): RackCompressor => new RackCompressor($size / $all), $sizes);
        assert($units !== []);

        return $units;
    }
}
