<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\Hazard;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;

/** Something was touched that has to be put back, or was put back. What it is, is said in a few words. */
final readonly class LeftOpen implements KindOfFact
{
    private const LONGEST = 60;

    /** @param  bool  $back  put back; false: touched */
    public function __construct(private bool $back)
    {
    }

    public function content(Statement $said, Ground $ground): Content
    {
        $key = trim($said->key);
        if ($key === '' || mb_strlen($key) > self::LONGEST) {
            throw NotAFact::because('Enter what was changed, in 1 to '.self::LONGEST.' characters.');
        }

        return new Content(
            $key,
            null,
            'yes',
            $said->reason === '' ? [] : ['reason' => $said->reason],
        );
    }

    public function place(Fact $fact): string
    {
        return $fact->id;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;
        $reason = $content->text('reason');
        $hazard = Hazard::tryFrom($content->key);
        if ($hazard !== null && $reason === '') {
            return ($this->back ? 'Made safe: ' : 'Danger: ').lcfirst($hazard->label());
        }
        $part = $fact->part->name();
        $what = self::said($content->key).($part === '' ? '' : ' of '.$part);
        $how = match (true) {
            ! $this->back => 'To restore: ',
            $reason !== '' => 'Left as is: ',
            default => 'Restored: ',
        };

        return $how.$what.($reason === '' ? '' : ', because '.$reason);
    }

    /** "stem cracked": how what was touched is called, within a sentence; a person's own words stay theirs. */
    public static function said(string $key): string
    {
        return match ($key) {
            'valve_shut' => 'valve closed',
            'regulator_stem_on_manual' => 'EPR stem on manual',
            'solenoid_coil_off' => 'solenoid coil off its stem',
            'bulb_off' => 'bulb off the line',
            default => str_replace('_', ' ', $key),
        };
    }

    public function stale(Content $content): array
    {
        return [Region::Work, Region::Verdict];
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }
}
