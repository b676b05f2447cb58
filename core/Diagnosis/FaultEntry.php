<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Diagnosis\Seen\SeenBy;
use Metrum\Installation\Fit;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;

/** One fault as the catalogue tells it: in words for people, and the weights its evidence carries. */
final readonly class FaultEntry
{
    private const KEYS = [
        'fault',
        'shared',
        'name',
        'prior',
        'when_new',
        'how_often',
        'mechanism',
        'for_the_owner',
        'what_we_do',
        'twin',
        'speaks_for',
        'speaks_against',
        'check',
        'proven_by',
        'cause_by',
        'before_replacing',
        'remedy',
        'do',
        'cautions',
        'seen_by',
        'brings_about',
        'shows_as',
        'for',
        'only_for',
        'not_for',
        'signs',
        'signs_capillary',
        'words',
        'causes',
        'complaints',
    ];

    /**
     * @param  string  $mechanism  in one sentence, for the technician
     * @param  string  $forTheOwner  the same without a word of the trade
     * @param  string  $whatWeDo  what will be done about it, for the owner
     * @param  float  $whenNew  how much oftener within a unit's first weeks: debris, settings; 1: as often
     * @param  list<string>  $speaksFor
     * @param  list<string>  $speaksAgainst
     * @param  list<string>  $check
     * @param  list<Asked>  $provenBy  what would convict or clear it before anything is changed, best first
     * @param  list<Asked>  $causeBy  what tells what makes it do that
     * @param  list<Exclusion>  $beforeReplacing  what is looked at before it is named for replacement; none: no part is
     * @param  Remedy  $remedy  with what putting it right opens
     * @param  list<string>  $do
     * @param  list<string>  $cautions  keys of data/cautions.json
     * @param  Fit  $fit  plants that can have it: where a part is not fitted it cannot fail
     * @param  list<SeenBy>  $seenBy  what is this fault and no mere sign of it
     * @param  array<string, float>  $bringsAbout  how often it has made of the plant what then is no fault of its own,
     *                                             0 … 1, by Fault
     * @param  array<string, float>  $showsAs  how often it shows the figures of a fault that the twin carries, by Fault
     * @param  array<string, Shift>  $signs  by Sign, at full severity
     * @param  array<string, Shift>  $capillarySigns  what differs where a capillary feeds
     * @param  array<string, array<string, float>>  $words  chance of an answer at full severity, by question and word
     * @param  array<string, CauseEntry>  $causes  what can lie behind it, by Cause
     * @param  array<string, float>  $complaints  chance of hearing it
     */
    private function __construct(
        public Fault $fault,
        public string $name,
        public string $mechanism,
        public string $forTheOwner,
        public string $whatWeDo,
        public string $howOften,
        public float $prior,
        public float $whenNew,
        public array $speaksFor,
        public array $speaksAgainst,
        public array $check,
        public array $provenBy,
        public array $causeBy,
        public array $beforeReplacing,
        public Remedy $remedy,
        public array $do,
        public array $cautions,
        public Fit $fit,
        public array $seenBy,
        public array $bringsAbout,
        public array $showsAs,
        public array $signs,
        public array $capillarySigns,
        public array $words,
        public array $causes,
        public array $complaints,
    ) {
    }

    /** @throws BrokenData */
    public static function of(DataRow $row, Fault $fault): self
    {
        $row->only(self::KEYS);
        if ($row->text('fault') !== $fault->value) {
            throw $row->broken('fault', 'expected '.$fault->value);
        }

        return new self(
            fault: $fault,
            name: $row->text('name'),
            mechanism: $row->text('mechanism'),
            forTheOwner: $row->text('for_the_owner'),
            whatWeDo: $row->text('what_we_do'),
            howOften: $row->text('how_often'),
            prior: $row->number('prior'),
            whenNew: $row->has('when_new') ? $row->number('when_new') : 1.0,
            speaksFor: $row->texts('speaks_for'),
            speaksAgainst: $row->texts('speaks_against'),
            check: $row->texts('check'),
            provenBy: self::keys($row, 'proven_by'),
            causeBy: self::keys($row, 'cause_by'),
            beforeReplacing: Exclusion::ofRow($row->row('before_replacing')),
            remedy: Remedy::of($row, 'remedy'),
            do: $row->texts('do'),
            cautions: $row->texts('cautions'),
            fit: Fit::ofRow($row),
            seenBy: SeenBy::ofRow($row->row('seen_by')),
            bringsAbout: self::ofFaults($row, 'brings_about'),
            showsAs: self::ofFaults($row, 'shows_as'),
            signs: Shift::ofRow($row->row('signs')),
            capillarySigns: Shift::ofRow($row->row('signs_capillary')),
            words: self::chances($row->row('words')),
            causes: CauseEntry::ofRow($row->row('causes')),
            complaints: self::heard($row),
        );
    }

    /**
     * @return list<Asked>
     *
     * @throws BrokenData
     */
    public static function keys(DataRow $row, string $key): array
    {
        return array_map(
            static fn (string $one): Asked => Observation::tryFrom($one) ??
                (Test::tryFrom($one) ??
                    (Reading::tryFrom($one) ?? throw $row->broken($key, $one.' is nothing that is asked'))),
            $row->texts($key),
        );
    }

    /** @return array<string, float> how often each cause is the one, 0 … 1, by Cause */
    public function shares(): array
    {
        return array_map(static fn (CauseEntry $one): float => $one->share, $this->causes);
    }

    /** @return ?array<string, float> chance of each answer to a question at full severity; null: as at a sound plant */
    public function toldOf(string $question, ?Cause $cause = null): ?array
    {
        $byCause = $cause === null ? null : $this->causes[$cause->value] ?? null;

        return $byCause?->words[$question] ?? ($this->words[$question] ?? null);
    }

    /**
     * @return array<string, float>
     *
     * @throws BrokenData
     */
    private static function ofFaults(DataRow $row, string $key): array
    {
        $row->row($key)->only(array_column(Fault::cases(), 'value'));

        return $row->numbers($key);
    }

    /**
     * @return array<string, array<string, float>> by question and word
     *
     * @throws BrokenData
     */
    public static function chances(DataRow $rows): array
    {
        $chances = [];
        foreach ($rows->keys() as $key) {
            $asked =
                Observation::tryFrom($key) ??
                (Test::tryFrom($key) ?? throw $rows->broken($key, 'no such question'));
            $chances[$key] = $rows->numbers($key);
            $rows->row($key)->only(array_column($asked->words(), 'value'));
        }

        return $chances;
    }

    /** @return array<string, float> */
    private static function heard(DataRow $row): array
    {
        $row->row('complaints')->only(array_column(Complaint::cases(), 'value'));

        return $row->numbers('complaints');
    }
}
