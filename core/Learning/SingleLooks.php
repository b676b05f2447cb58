<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Kind;
use Metrum\Installation\LoadKind;
use Metrum\Installation\SystemKey;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/**
 * What each answer says alone, and with the complaint it goes with: the table that a person looks through. A change of
 * any weight shows in it as a difference.
 */
final readonly class SingleLooks
{
    /** Faults named of each. */
    private const NAMED = 3;

    /** With which complaint an answer goes, by the complaint whose looks name it; else with a box too warm. */
    private const PREFERRED = [
        Complaint::WaterLeak,
        Complaint::IcedUp,
        Complaint::TooCold,
        Complaint::NotRunning,
        Complaint::ShortCycling,
        Complaint::HighEnergy,
        Complaint::Noisy,
    ];

    public function __construct(private Diagnosis $diagnosis = new Diagnosis())
    {
    }

    /** The page of the table, as it stands in docs. */
    public static function page(): string
    {
        $above = [
            '# What each look says alone',
            '',
            'Each answer of each observation and test entered alone, at the usual system of the first type that is',
            'asked for it, then with the complaint it goes with: the first three suspects and their chance in %.',
            'Written by `bench/looks`; a test compares it with the present diagnosis.',
            '',
        ];

        return implode("\n", [...$above, ...(new self())->table()])."\n";
    }

    /** @return list<string> lines of a Markdown table */
    public function table(): array
    {
        $lines = ['| checked | answer | alone | with the complaint |', '|---|---|---|---|'];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            foreach ($asked->taking()->fit->isOfBoard() ? [] : $asked->words() as $word) {
                $lines[] = $this->line($asked, $word);
            }
        }

        return $lines;
    }

    private function line(Question $asked, Word $word): string
    {
        $findings = new Findings(self::plant($asked));
        $complaint = self::complaint($asked, $findings->circuit);
        $alone = $this->diagnosis->of($findings->with($asked, $word), 0, 0);
        $heard = new Findings($findings->circuit, complaints: [$complaint]);
        $with = $this->diagnosis->of($heard->with($asked, $word), 0, 0);

        return sprintf(
            '| %s | %s | %s | %s: %s |',
            $asked->label(),
            mb_strtolower($word->label()),
            self::named($alone),
            mb_strtolower($complaint->label()),
            self::named($with),
        );
    }

    /** The usual plant of the first kind at which it is asked. */
    private static function plant(Question $asked): Circuit
    {
        foreach ([Kind::WalkInCooler, Kind::WalkInFreezer, Kind::RackCircuitMedium, Kind::RackCircuitLow] as $kind) {
            $plant = Circuit::plain($kind);
            if ($asked->taking()->isAskedAt($plant)) {
                return $plant;
            }
        }

        foreach ([Circuit::plain(Kind::IceMachine), self::onWater()] as $plant) {
            if ($asked->taking()->isAskedAt($plant)) {
                return $plant;
            }
        }

        return self::flooding();
    }

    /** An ice machine whose condenser water cools. */
    private static function onWater(): Circuit
    {
        $usual = Kind::IceMachine->usual();
        $condenser = [SystemKey::Condenser->value => CondenserPlace::Water->value];

        return Circuit::fromWords($condenser + $usual->system + ['refrigerant' => $usual->refrigerant], $usual->design);
    }

    /** A cooler whose head a valve holds by flooding. */
    private static function flooding(): Circuit
    {
        $usual = Kind::WalkInCooler->usual();
        $head = [SystemKey::HeadPressureControl->value => HeadPressureControl::FloodingValve->value];

        return Circuit::fromWords($head + $usual->system + ['refrigerant' => $usual->refrigerant], $usual->design);
    }

    private static function complaint(Question $asked, Circuit $plant): Complaint
    {
        foreach (self::PREFERRED as $complaint) {
            if (in_array($asked, array_slice($complaint->looks(), 0, 1), true)) {
                return $complaint;
            }
        }

        return $plant->cools(LoadKind::IceMachine) ? Complaint::LowProduction : Complaint::TooWarm;
    }

    private static function named(Verdict $verdict): string
    {
        $named = [];
        foreach ($verdict->ranked(self::NAMED) as $suspect) {
            $named[] = sprintf('%s %.0f', $suspect->fault->value, 100 * $suspect->probability);
        }

        return implode(', ', $named);
    }
}
