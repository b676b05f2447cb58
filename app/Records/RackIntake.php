<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Metrum\Data\Refused;
use Metrum\Findings\PartFindings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Log\Content;
use Metrum\Log\FactKind;
use Metrum\Log\Source;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Rack\RackTwin;

/** Takes the file of a visit to a whole rack into the logbook: its plant, and what was found part by part. */
final readonly class RackIntake
{
    public function __construct(private User $user)
    {
    }

    /** @throws Refused where no such rack can be built with its refrigerant */
    public static function standing(RackFindings $found): void
    {
        try {
            RackTwin::of($found);
        } catch (OutsideTable $reason) {
            throw new Refused(['system.refrigerant: '.$reason->getMessage()]);
        }
    }

    /** The visit that tells the same already, else one that is made. */
    public function take(RackFindings $found): Visit
    {
        $told = hash('sha256', serialize($found));
        $known = Visit::query()->where('told', $told)->with('circuit.plant', 'circuit.site')->first();

        return $known ?? $this->visit($found, $told);
    }

    private function visit(RackFindings $found, string $told): Visit
    {
        $name = 'Rack from file '.($found->id ?? now()->format('j M H:i'));
        $site = ImportedSite::at($found->plant->atmosphere);
        $circuits = Circuit::establishAll($site, $found->plant, $name, $found->names);
        $first = $circuits[$found->plant->branches[0]->part->value];
        $first->plant->update(['name' => mb_substr($name, 0, 120)]);
        $takenAt = $found->takenAt === null ? Carbon::now() : Carbon::parse($found->takenAt)->utc();
        $isFree = Str::isUlid((string) $found->id) && Visit::query()->find(strtolower((string) $found->id)) === null;
        $visit = Visit::open(
            $first->loadMissing('site', 'plant'),
            $this->user,
            $takenAt,
            $isFree ? strtolower((string) $found->id) : null,
        );
        $visit->update(['told' => $told]);
        $made = new Making($takenAt->toDateTimeImmutable());
        $recorder = new Recorder($visit, Author::of($this->user), $made, Source::Import);
        self::record($recorder, PartId::plant(), $found->shared);
        foreach ($found->parts as $part => $own) {
            self::record($recorder, PartId::of($part), $own);
        }

        return $visit;
    }

    private static function record(Recorder $recorder, PartId $part, PartFindings $found): void
    {
        foreach ($found->complaints as $complaint) {
            $recorder->append(FactKind::Complaint, new Content($complaint->value, null, 'yes'), null, $part);
        }
        if ($found->state !== null) {
            $recorder->append(FactKind::State, new Content('state', null, $found->state->value), null, $part);
        }
        foreach ($found->observations as $key => $word) {
            $recorder->append(FactKind::Observation, new Content($key, null, $word->value), null, $part);
        }
        foreach ($found->readings as $key => $si) {
            $unit = Reading::from($key)->fileUnit()->value;
            $recorder->append(FactKind::Reading, new Content($key, $si, null, ['unit' => $unit]), null, $part);
        }
        foreach ($found->tests as $key => $word) {
            $recorder->append(FactKind::Test, new Content($key, null, $word->value), null, $part);
        }
    }
}
