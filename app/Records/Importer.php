<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\HouseRule;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Metrum\Exchange\RefusedFile;
use Metrum\Exchange\VisitReader;
use Metrum\Exchange\VisitWriter;
use Metrum\Findings\Findings;

/** Takes visit files into the logbook: all of a file, or nothing of it. */
final readonly class Importer
{
    public function __construct(private User $user)
    {
    }

    /**
     * @param  ?Circuit  $circuit  where the visit belongs; a circuit of its own is made where none is given
     * @return list<Visit>
     *
     * @throws RefusedFile
     */
    public function import(string $text, ?Circuit $circuit): array
    {
        $all = [];
        $lines =
            json_decode($text) === null && str_contains(trim($text), "\n")
                ? array_filter(explode("\n", $text), static fn (string $line): bool => trim($line) !== '')
                : [$text];
        $reasons = [];
        foreach ($lines as $i => $line) {
            try {
                $all[] = VisitReader::json($line);
            } catch (RefusedFile $file) {
                array_push(
                    $reasons,
                    ...array_map(
                        static fn (string $reason): string => count($lines) > 1
                            ? 'line '.($i + 1).', '.$reason
                            : $reason,
                        $file->reasons,
                    ),
                );
            }
        }
        if ($reasons !== []) {
            throw new RefusedFile($reasons);
        }

        return DB::transaction(
            fn (): array => array_map(fn (Findings $findings): Visit => $this->visit($findings, $circuit), $all),
        );
    }

    private function visit(Findings $findings, ?Circuit $circuit): Visit
    {
        $known =
            $findings->id !== null && Str::isUlid($findings->id)
                ? Visit::query()->with('circuit.site')->where('id', $findings->id)->first()
                : null;
        if ($known !== null && self::sameFindings($known->findings(), $findings)) {
            return $known;
        }
        $circuit ??= $this->circuitOf($findings);
        $takenAt = $findings->takenAt === null ? Carbon::now() : Carbon::parse($findings->takenAt)->utc();
        $visit = $circuit
            ->visits()
            ->create(
                ($known === null && Str::isUlid((string) $findings->id) ? ['id' => $findings->id] : []) + [
                    'user_id' => $this->user->id,
                    'opened_at' => $takenAt,
                    'house_rules' => HouseRule::inForce()->choices,
                ],
            );
        $visit->setRelation('circuit', $circuit->loadMissing('site'));
        (new Recorder($visit, $this->user, 'import'))->import($findings, $takenAt);

        return $visit;
    }

    /** Whether two files tell the same of a plant; when and where may be written differently. */
    private static function sameFindings(Findings $one, Findings $other): bool
    {
        $told = static function (Findings $findings): array {
            $file = array_intersect_key(
                VisitWriter::file($findings),
                array_flip(['state', 'readings', 'observations', 'tests']),
            );
            $words = [
                ...array_column($findings->complaints, 'value'),
                ...array_column($findings->confirmed, 'value'),
            ];
            sort($words);

            return $file + ['words' => $words];
        };

        // Not identical: the order of keys does not matter.
        return $told($one) == $told($other);
    }

    /** A circuit with just these words and figures, under the site for imported visits at that atmosphere. */
    private function circuitOf(Findings $findings): Circuit
    {
        $file = VisitWriter::file($findings);
        /** @var array<string, mixed> $system */
        $system = $file['system'];
        $pressure = $findings->circuit->atmosphere->pascal;
        unset($system['atmospheric_kpa']);
        $altitude = round((1 - ($pressure / 101325) ** (1 / 5.25588)) / 2.25577e-5, 2);
        $site = Site::query()->firstOrCreate(
            [
                'name' => 'Imported visits',
                'altitude_m' => abs($altitude) < 3 ? 0.0 : max(-500.0, min(6000.0, $altitude)),
            ],
            ['place' => 'Visits that came as files'],
        );

        return $site
            ->circuits()
            ->create([
                'name' => 'From file '.($findings->id ?? now()->format('j M H:i')),
                'system' => $system,
                'design' => $file['design'] ?? [],
            ]);
    }
}
