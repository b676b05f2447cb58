<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Metrum\Data\Refused;
use Metrum\Exchange\VisitFile;
use Metrum\Exchange\VisitReader;
use Metrum\Exchange\VisitWriter;
use Metrum\Findings\Findings;
use Metrum\Findings\RackFindings;
use Metrum\Log\Source;
use Metrum\Twin\CannotStand;
use Metrum\Twin\Twins;

/** Takes visit files into the logbook: all of a file, or nothing of it; the same visit once, however often it comes. */
final readonly class Importer
{
    public function __construct(private User $user, private Judge $judge, private Twins $twins)
    {
    }

    /**
     * @param  ?Circuit  $circuit  where the visits belong; circuits of their own are made where none is given
     * @return non-empty-list<Visit>
     *
     * @throws Refused
     */
    public function import(VisitLines $lines, ?Circuit $circuit): array
    {
        $all = $reasons = [];
        foreach ($lines->all as [$number, $line]) {
            try {
                $all[] = $this->check($line, $circuit);
            } catch (Refused $file) {
                foreach ($file->reasons as $reason) {
                    $reasons[] = $lines->at($number, $reason);
                }
            }
        }
        if ($reasons !== []) {
            throw new Refused($reasons);
        }
        assert($all !== []);

        return array_map(fn (VisitFile|RackFindings $file): Visit => $this->take($file, $circuit), $all);
    }

    /** What a line tells: of one circuit, or of a whole rack. @throws Refused */
    public function check(string $line, ?Circuit $circuit = null): VisitFile|RackFindings
    {
        $file = VisitReader::any($line);
        if ($file instanceof RackFindings) {
            self::happened($file->takenAt);
            RackIntake::standing($file);

            return $circuit === null
                ? $file
                : throw new Refused(['circuits: a whole rack is imported as its own rack; choose no circuit']);
        }
        self::happened($file->findings->takenAt);
        $this->standing($file->findings);

        return $file;
    }

    /** Takes one visit in, in a moment of its own: others write in between. */
    public function take(VisitFile|RackFindings $file, ?Circuit $circuit): Visit
    {
        $visit = DB::transaction(
            fn (): Visit => $file instanceof RackFindings
                ? (new RackIntake($this->user))->take($file)
                : $this->known($file->findings) ?? $this->visit($file, $circuit),
        );
        if ($visit->wasRecentlyCreated) {
            $this->judge->again($visit);
        }

        return $visit;
    }

    /** @throws Refused where the visit has not happened yet; clocks may differ by a day over the world */
    private static function happened(?string $takenAt): void
    {
        if ($takenAt !== null && Carbon::parse($takenAt)->isAfter(Carbon::now()->addDay())) {
            throw new Refused(['taken_at: got "'.$takenAt.'", which is in the future']);
        }
    }

    /** @throws Refused where no plant can be as the file describes its own */
    private function standing(Findings $findings): void
    {
        try {
            $this->twins->of($findings->circuit, HouseRuleChoice::inForce());
        } catch (CannotStand $reason) {
            $path = $reason->culprit === null ? 'system.refrigerant' : 'design.'.$reason->culprit->value;

            throw new Refused([$path.': '.$reason->getMessage()]);
        }
    }

    /** The visit that tells the same already: by its id where it has one of ours, else by what it tells. */
    private function known(Findings $findings): ?Visit
    {
        $id = self::ulid($findings);
        $same = $id === null ? Visit::query()->where('told', self::told($findings)) : self::inAnyLetters($id);
        $known = $same->with('circuit.plant', 'circuit.site')->first();
        if ($id === null) {
            return $known;
        }

        return $known !== null && self::told($known->findings()) === self::told($findings) ? $known : null;
    }

    private function visit(VisitFile $file, ?Circuit $circuit): Visit
    {
        $findings = $file->findings;
        $circuit ??= $this->circuitOf($file);
        $takenAt = $findings->takenAt === null ? Carbon::now() : Carbon::parse($findings->takenAt)->utc();
        $id = self::ulid($findings);
        $isFree = $id !== null && ! self::inAnyLetters($id)->exists();
        $visit = Visit::open(
            $circuit->loadMissing('site', 'plant'),
            $this->user,
            $takenAt,
            $isFree ? strtolower($id) : null,
        );
        $visit->update(['told' => self::told($findings)]);
        $recorder = new Recorder(
            $visit,
            Author::of($this->user),
            new Making($takenAt->toDateTimeImmutable()),
            Source::Import,
        );
        $file->told === null ? $recorder->import($findings) : $recorder->replay($file->told);

        return $visit;
    }

    /** @return Builder<Visit> the visit of an id, however its letters are written */
    private static function inAnyLetters(string $ulid): Builder
    {
        return Visit::query()->whereIn('id', [$ulid, strtolower($ulid), strtoupper($ulid)]);
    }

    private static function ulid(Findings $findings): ?string
    {
        return Str::isUlid((string) $findings->id) ? (string) $findings->id : null;
    }

    /** What a file tells of a plant, in short; when and where may be written differently for a visit with an id. */
    private static function told(Findings $findings): string
    {
        $file = VisitWriter::file($findings);
        $parts = ['state', 'readings', 'observations', 'tests'];
        if (self::ulid($findings) === null) {
            array_push($parts, 'id', 'taken_at', 'system', 'design');
        }
        $words = [
            ...array_column($findings->complaints, 'value'),
            ...array_column($findings->confirmed, 'value'),
        ];
        sort($words);
        $told = array_intersect_key($file, array_flip($parts)) + ['words' => $words];
        // The order of keys does not matter.
        foreach ($told as &$part) {
            if (is_array($part) && ! array_is_list($part)) {
                ksort($part);
            }
        }
        ksort($told);

        return hash('sha256', json_encode($told, JSON_THROW_ON_ERROR));
    }

    /** A circuit of a plant as the file tells it, under the site for imported visits at that atmosphere. */
    private function circuitOf(VisitFile $file): Circuit
    {
        $findings = $file->findings;
        $site = ImportedSite::at($findings->circuit->atmosphere);
        $name = 'From file '.($findings->id ?? now()->format('j M H:i'));

        $plant = $file->plant->with($file->circuit, $findings->circuit);

        return Circuit::establishAll($site, $plant, $name, $file->names)[$file->circuit->value];
    }
}
