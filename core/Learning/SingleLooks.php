<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\Complaint;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Question;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;

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

    /** @return list<string> lines of a Markdown table */
    public function table(): array
    {
        $lines = ['| looked at | answer | alone | with the complaint |', '|---|---|---|---|'];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            foreach ($asked->words() as $word) {
                $lines[] = $this->line($asked, $word);
            }
        }

        return $lines;
    }

    private function line(Question $asked, Word $word): string
    {
        $findings = new Findings(Circuit::plain(self::kind($asked)));
        $complaint = self::complaint($asked);
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

    /** The first kind of plant at which it is asked. */
    private static function kind(Question $asked): Kind
    {
        foreach ([Kind::WalkInCooler, Kind::WalkInFreezer, Kind::RackCircuitMedium, Kind::RackCircuitLow] as $kind) {
            if (Circuit::plain($kind)->asks($asked)) {
                return $kind;
            }
        }

        return Kind::IceMachine;
    }

    private static function complaint(Question $asked): Complaint
    {
        foreach (self::PREFERRED as $complaint) {
            if (in_array($asked, array_slice($complaint->looks(), 0, 1), true)) {
                return $complaint;
            }
        }

        return Complaint::TooWarm;
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
