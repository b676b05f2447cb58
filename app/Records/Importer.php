<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Metrum\Circuit\CircuitWriter;
use Metrum\Circuit\Refused;
use Metrum\Exchange\VisitReader;
use Metrum\Exchange\VisitWriter;
use Metrum\Findings\Findings;
use Metrum\Log\Source;
use Metrum\Plant\CannotStand;
use Metrum\Plant\Twins;

/** Takes visit files into the logbook: all of a file, or nothing of it. */
final readonly class Importer
{
    /** m by which a site may lie off and still be at sea level. */
    private const NEAR_SEA_LEVEL = 3.0;

    public function __construct(private User $user, private Judge $judge, private Twins $twins)
    {
    }

    /**
     * @param  ?Circuit  $circuit  where the visit belongs; a circuit of its own is made where none is given
     * @return non-empty-list<Visit>
     *
     * @throws Refused
     */
    public function import(string $text, ?Circuit $circuit): array
    {
        $all = $this->read($text);
        $visits = DB::transaction(
            fn (): array => array_map(fn (Findings $findings): Visit => $this->visit($findings, $circuit), $all),
        );
        foreach ($visits as $visit) {
            $this->judge->again($visit);
        }

        return $visits;
    }

    /**
     * @return non-empty-list<Findings>
     *
     * @throws Refused
     */
    private function read(string $text): array
    {
        $many = json_decode($text) === null && str_contains(trim($text), "\n");
        $lines = $many
            ? array_filter(explode("\n", $text), static fn (string $line): bool => trim($line) !== '')
            : [$text];
        $all = $reasons = [];
        foreach ($lines as $i => $line) {
            try {
                $all[] = $this->standing(self::happened(VisitReader::json($line)));
            } catch (Refused $file) {
                foreach ($file->reasons as $reason) {
                    $reasons[] = $many ? 'line '.($i + 1).', '.$reason : $reason;
                }
            }
        }

        return $reasons === [] && $all !== []
            ? $all
            : throw new Refused($reasons === [] ? ['file: it is empty'] : $reasons);
    }

    /** @throws Refused where the visit has not happened yet; clocks may differ by a day over the world */
    private static function happened(Findings $findings): Findings
    {
        $takenAt = $findings->takenAt;
        if ($takenAt !== null && Carbon::parse($takenAt)->isAfter(Carbon::now()->addDay())) {
            throw new Refused(['taken_at: "'.$takenAt.'" was given; it has not come yet']);
        }

        return $findings;
    }

    /** @throws Refused where no plant can be as the file describes its own */
    private function standing(Findings $findings): Findings
    {
        try {
            $this->twins->of($findings->circuit, HouseRuleChoice::inForce());
        } catch (CannotStand $reason) {
            $path = $reason->culprit === null ? 'system.refrigerant' : 'design.'.$reason->culprit->value;

            throw new Refused([$path.': '.$reason->getMessage()]);
        }

        return $findings;
    }

    private function visit(Findings $findings, ?Circuit $circuit): Visit
    {
        $id = Str::isUlid((string) $findings->id) ? (string) $findings->id : null;
        $known =
            $id === null
                ? null
                : Visit::query()->with('circuit.plant', 'circuit.site')->where('id', $id)->first();
        if ($known !== null && self::sameFindings($known->findings(), $findings)) {
            return $known;
        }
        $circuit ??= $this->circuitOf($findings);
        $takenAt = $findings->takenAt === null ? Carbon::now() : Carbon::parse($findings->takenAt)->utc();
        $visit = Visit::open(
            $circuit->loadMissing('site', 'plant'),
            $this->user,
            $takenAt,
            $known === null ? $id : null,
        );
        $recorder = new Recorder(
            $visit,
            Author::of($this->user),
            $takenAt->toDateTimeImmutable(),
            Source::Import,
        );
        $recorder->import($findings);

        return $visit;
    }

    /** Whether two files tell the same of a plant; when and where may be written differently. */
    private static function sameFindings(Findings $one, Findings $other): bool
    {
        $told = static function (Findings $findings): array {
            $parts = array_flip(['state', 'readings', 'observations', 'tests']);
            $words = [
                ...array_column($findings->complaints, 'value'),
                ...array_column($findings->confirmed, 'value'),
            ];
            sort($words);

            return array_intersect_key(VisitWriter::file($findings), $parts) + ['words' => $words];
        };

        // Not identical: the order of keys does not matter.
        return $told($one) == $told($other);
    }

    /** A circuit with just these words and figures, under the site for imported visits at that atmosphere. */
    private function circuitOf(Findings $findings): Circuit
    {
        $system = array_diff_key(CircuitWriter::system($findings->circuit), ['atmospheric_kpa' => true]);
        $altitude = round($findings->circuit->atmosphere->altitude(), 2);
        $site = Site::query()->firstOrCreate(
            [
                'name' => 'Imported visits',
                'altitude_m' => abs($altitude) < self::NEAR_SEA_LEVEL ? 0.0 : $altitude,
            ],
            ['place' => 'Visits that came as files'],
        );
        $name = 'From file '.($findings->id ?? now()->format('j M H:i'));

        return Circuit::establish($site, $name, $system, CircuitWriter::design($findings->circuit));
    }
}
