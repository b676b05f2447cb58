<?php

namespace Database\Seeders;

use App\Models\Attachment;
use App\Models\Circuit;
use App\Models\Cylinder;
use App\Models\FollowUp;
use App\Models\OwnerChoice;
use App\Models\Site;
use App\Models\StockMove;
use App\Models\User;
use App\Models\Visit;
use App\Models\Workshop;
use App\Records\Attachments\AttachmentFiles;
use App\Records\Author;
use App\Records\CardKeeper;
use App\Records\Judge;
use App\Records\LedgerImport;
use App\Records\LeftSo;
use App\Records\Making;
use App\Records\Mover;
use App\Records\Recorder;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Metrum\Installation\CompressorClass;
use Metrum\Knowledge\Reading;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\NoteWritten;
use Metrum\Log\Statement;
use Metrum\Quantity\Format;

/** The made-up harbour town of Tarnevik: six sites with their circuits, visits, a ledger. Nothing in it exists. */
final class DemoSeeder extends Seeder
{
    public const EMAIL = 'technician@tarnevik.example';

    public const PASSWORD = 'cold-room-2';

    /** Seconds that each kind of entry takes a person. */
    private const PACE = ['observation' => 40, 'reading' => 75, 'test' => 360];

    private const VISIT_MINUTES = 75;

    /** Seconds that a move takes, and after which its readings are taken. */
    private const MOVE = 120;

    private const SETTLED = 16 * 60;

    /** Seconds for which nothing was entered in a visit that stands open. */
    private const LEAST_AGO = 5 * 60;

    private User $user;

    public function __construct(private readonly Judge $judge)
    {
    }

    public function run(): void
    {
        if (Attachment::query()->doesntExist()) {
            // Of a database that was thrown away.
            (new AttachmentFiles())->forgetAll();
        }
        $this->user = User::query()->create([
            'name' => 'Ylva Brandt-Osei',
            'email' => self::EMAIL,
            'password' => self::PASSWORD,
            'role' => 'lead',
        ]);
        User::query()->create([
            'name' => 'Tamsin Roelke',
            'email' => 'second@tarnevik.example',
            'password' => self::PASSWORD,
        ]);
        Workshop::current()->fill([
            'name' => 'Brandt-Osei Cold Works',
            'address' => 'Slip 3, Tarnevik',
            'contact' => 'office@tarnevik.example',
            'tax_percent' => 20.0,
            'labour' => 7800,
            'call_out' => 8500,
            'prices' => "R-448A; kg; 62\nR-134a; kg; 48\nR-404A; kg; 145\nFilter drier; pc; 38\nFan motor; pc; 140",
        ])->save();
        $story = json_decode((string) file_get_contents(__DIR__.'/demo.json'), true, 32, JSON_THROW_ON_ERROR);
        $circuits = [];
        foreach ($story['sites'] as $entry) {
            $circuits += $this->site($entry);
        }
        $years = json_decode((string) file_get_contents(__DIR__.'/years.json'), true, 32, JSON_THROW_ON_ERROR);
        foreach ([...$years, ...$story['visits']] as $entry) {
            $this->visit($circuits[$entry['circuit']], $entry);
        }
        $rack = json_decode((string) file_get_contents(__DIR__.'/rack.json'), true, 32, JSON_THROW_ON_ERROR);
        (new DemoRack($this->user, $rack))->run();
        foreach ($story['cylinders'] as $entry) {
            $this->cylinder($entry);
        }
        $this->ledger($circuits, $story['ledger']);
    }

    /** @param  array<string, mixed>  $entry */
    private function cylinder(array $entry): void
    {
        $cylinder = Cylinder::query()->create([
            'label' => $entry['label'],
            'refrigerant' => $entry['refrigerant'],
            'is_recovered' => $entry['recovered'],
            'tare' => $entry['tare'],
            'water' => $entry['water_l'] / 1000,
        ]);
        StockMove::query()->create([
            'cylinder_id' => $cylinder->id,
            'user_id' => $this->user->id,
            'kilograms' => $entry['content'],
            'why' => 'counted',
            'moved_at' => Carbon::now()->subDays(120),
        ]);
    }

    /**
     * @param  array<string, Circuit>  $circuits
     * @param  list<array<string, mixed>>  $entries
     */
    private function ledger(array $circuits, array $entries): void
    {
        $rows = [];
        foreach ($entries as $i => $entry) {
            $at = Carbon::now()->startOfDay()->subDays($entry['days_ago'])->addHours(10);
            $circuit = $circuits[$entry['circuit']]->id;
            $rows[$i + 1] = ['circuit_id' => $circuit, 'at' => $at->toIso8601String()] + $entry;
        }
        (new LedgerImport($this->user))->take($rows);
        Visit::query()->doesntHave('verdict')->get()->each($this->judge->again(...));
    }

    /**
     * @param  array<string, mixed>  $entry
     * @return array<string, Circuit> by name
     */
    private function site(array $entry): array
    {
        $site = Site::query()->create([
            'name' => $entry['name'],
            'place' => $entry['place'],
            'contact' => $entry['contact'],
            'altitude_m' => $entry['altitude_m'],
        ]);
        $circuits = [];
        foreach ($entry['circuits'] as $one) {
            $circuit = Circuit::establish($site, $one['name'], $one['system'], $one['design']);
            $circuit->update(['notes' => $one['notes'] ?? null]);
            $circuit->plant->update(['replacement' => $one['replacement'] ?? null]);
            if (isset($one['compressor'])) {
                $this->compressor($circuit, $one['compressor']);
            }
            $circuits[$one['name']] = $circuit->setRelation('site', $site);
        }

        return $circuits;
    }

    /** @param  string  $class  of its compressor */
    private function compressor(Circuit $circuit, string $class): void
    {
        $known = $circuit->plant->known();
        $unit = $known->fitted()[0];
        $circuit->plant->keep($known->knowing($unit->within([], CompressorClass::tryFrom($class))));
    }

    /** @param  array<string, mixed>  $entry */
    private function visit(Circuit $circuit, array $entry): void
    {
        $at = $this->began($circuit, $entry);
        $visit = Visit::open($circuit, $this->user, $at);
        $recorder = new Recorder($visit, Author::of($this->user), new Making($at->toDateTimeImmutable()));
        $time = $at->copy();
        foreach ($this->said($circuit, $entry) as $said) {
            $time->addSeconds(self::PACE[$said->kind->value] ?? 0);
            $recorder->at($time->toDateTimeImmutable())->record($said);
        }
        foreach ($entry['first'] ?? [] as $card) {
            $this->card($visit, $recorder, $time, $card);
        }
        foreach ($this->work($entry) as $step) {
            $this->step($visit, $recorder, $time, $step);
        }
        foreach ($entry['cards'] ?? [] as $card) {
            $this->card($visit, $recorder, $time, $card);
        }
        $before = null;
        foreach ($entry['photos'] ?? [] as $photo) {
            $time->addMinute();
            $kept = (new DemoPhoto($visit))->add($photo, $time->copy(), ($photo['pair'] ?? false) ? $before : null);
            $before = $kept->id;
        }
        foreach ($entry['choices'] ?? [] as $place => $choice) {
            $this->choice($visit, $place, $choice);
        }
        (new LeftSo($visit, $this->user))->note($visit->log()->history(FactKind::Move));
        if (isset($entry['follow_up'])) {
            FollowUp::query()->create([
                'visit_id' => $visit->id,
                'circuit_id' => $circuit->id,
                'user_id' => $this->user->id,
                'due_on' => Carbon::now()->addDays($entry['follow_up'][0]),
                'what' => $entry['follow_up'][1],
            ]);
        }
        if (! ($entry['open'] ?? false)) {
            $end = $at->copy()->addMinutes(self::VISIT_MINUTES);
            $closed = $end->max($time->copy()->addSeconds(self::MOVE));
            $visit->update(['closed_at' => $closed, 'ran_well_at' => ($entry['well'] ?? false) ? $closed : null]);
        }
        $this->judge->again($visit);
    }

    /**
     * What was put to the owner, and what they said days ago.
     *
     * @param  array<string, mixed>  $told
     */
    private function choice(Visit $visit, int $place, array $told): void
    {
        $known = array_diff_key($told, ['decided' => true]);
        $choice = OwnerChoice::query()->create($known + [
            'visit_id' => $visit->id,
            'user_id' => $this->user->id,
            'place' => $place,
        ]);
        if (isset($told['decided'])) {
            [$word, $who, $days] = $told['decided'];
            $choice->decisions()->create([
                'word' => $word,
                'who' => $who,
                'decided_at' => Carbon::now()->startOfDay()->subDays($days)->addHours(18),
            ]);
        }
    }

    /**
     * When a visit was opened: at its hour, or so long ago that all that it holds lies behind. What is entered from
     * now on comes after it, at whatever hour the town is made.
     *
     * @param  array<string, mixed>  $entry
     */
    private function began(Circuit $circuit, array $entry): Carbon
    {
        $lasted = $this->seconds($circuit, $entry);
        if (isset($entry['ended_minutes_ago'])) {
            return Carbon::now()->subSeconds(60 * $entry['ended_minutes_ago'] + $lasted);
        }
        $hour = Carbon::now()->startOfDay()->subDays($entry['days_ago'])->setTimeFromTimeString($entry['at']);

        return $hour->min(Carbon::now()->subSeconds(self::LEAST_AGO + $lasted));
    }

    /**
     * How long it took to enter all of a visit.
     *
     * @param  array<string, mixed>  $entry
     */
    private function seconds(Circuit $circuit, array $entry): int
    {
        $seconds = 0;
        foreach ($this->said($circuit, $entry) as $said) {
            $seconds += self::PACE[$said->kind->value] ?? 0;
        }
        foreach ($this->work($entry) as $step) {
            $read = isset($step['measured']) ? self::SETTLED + count($step['measured']) * self::PACE['reading'] : 0;
            $seconds += self::MOVE + $read;
        }
        foreach ([...$entry['first'] ?? [], ...$entry['cards'] ?? []] as $card) {
            $seconds += 60 * array_sum(array_column($this->steps($card), 2));
        }

        return $seconds;
    }

    /**
     * What was moved, each with the plant as it then was.
     *
     * @param  array<string, mixed>  $entry
     * @return list<array<string, mixed>>
     */
    private function work(array $entry): array
    {
        $plant = $entry['plant'] ?? [];
        $twin = isset($entry['twin']) ? ['twin' => $entry['twin']] : [];
        $steps = [];
        foreach ($entry['work'] ?? [] as $step) {
            $plant = ($step['plant'] ?? []) + $plant;
            $steps[] = ['plant' => $plant] + $step + $twin;
        }

        return $steps;
    }

    /** @param  array<string, mixed>  $step */
    private function step(Visit $visit, Recorder $recorder, Carbon $time, array $step): void
    {
        $time->addSeconds(self::MOVE);
        $said = new Statement(FactKind::Move, $step['move'], $step['value'] ?? '', $step['found'] ?? '');
        $at = $recorder->at($time->toDateTimeImmutable());
        (new Mover($this->judge, $at, $visit))->move($said, $step['why'] ?? '', null);
        if (! isset($step['measured'])) {
            return;
        }
        $time->addSeconds(self::SETTLED);
        foreach ($this->measured($visit->circuit, $step) as $said) {
            $time->addSeconds(self::PACE['reading']);
            $recorder->at($time->toDateTimeImmutable())->record($said);
        }
    }

    /**
     * Works a card step by step, and ends it where it is not left open.
     *
     * @param  array<string, mixed>  $card
     */
    private function card(Visit $visit, Recorder $recorder, Carbon $time, array $card): void
    {
        foreach ($this->steps($card) as [$step, $typed, $minutes]) {
            $time->addMinutes($minutes);
            $at = $recorder->at($time->toDateTimeImmutable());
            $said = new Statement(FactKind::Card, $card['card'].'.'.$step, $typed);
            (new CardKeeper($this->judge, $at, $visit, $this->user->units()))->step($said, null);
        }
    }

    /**
     * @param  array<string, mixed>  $card
     * @return list<array{string, string, int}> step, what is typed, and minutes that it takes
     */
    private function steps(array $card): array
    {
        /** @var list<array{string, string, int}> $steps */
        $steps = [['begun', 'yes', 1], ...$card['steps']];
        if (! ($card['open'] ?? false)) {
            $steps[] = ['done', 'yes', 1];
        }

        return $steps;
    }

    /**
     * @param  array<string, mixed>  $entry
     * @return \Generator<int, Statement> what instruments read at the plant
     */
    private function measured(Circuit $circuit, array $entry): \Generator
    {
        $known = $circuit->known();
        $computed = match (true) {
            isset($entry['ice']) => (new DemoIce($known))->readings($entry['ice']),
            isset($entry['twin']) => (new DemoTwin($known))->readings($entry['twin']),
            default => (new DemoPlant($known))->readings($entry['plant']),
        };
        foreach ($entry['measured'] as $key) {
            $unit = $this->user->units()->of(Reading::from($key)->quantity());
            yield new Statement(
                FactKind::Reading,
                $key,
                Format::value($computed[$key], $unit).' '.$unit->symbol(),
            );
        }
    }

    /**
     * @param  array<string, mixed>  $entry
     * @return \Generator<int, Statement> all that was said at a visit, in order
     */
    private function said(Circuit $circuit, array $entry): \Generator
    {
        foreach ($entry['complaint'] as $word) {
            yield new Statement(FactKind::Complaint, $word, 'yes');
        }
        foreach ($entry['goods'] ?? [] as $key => $typed) {
            yield new Statement(FactKind::Goods, $key, $typed);
        }
        foreach ($entry['observations'] ?? [] as $key => $word) {
            yield new Statement(FactKind::Observation, $key, $word);
        }
        if (isset($entry['state'])) {
            yield new Statement(FactKind::State, 'state', $entry['state']);
        }
        yield from $this->measured($circuit, $entry);
        foreach ($entry['readings'] ?? [] as $key => $typed) {
            yield new Statement(FactKind::Reading, $key, $typed);
        }
        foreach ($entry['tests'] ?? [] as $key => $word) {
            yield new Statement(FactKind::Test, $key, $word);
        }
        foreach ($entry['notes'] ?? [] as $note) {
            yield new Statement(FactKind::Note, NoteWritten::PLAIN, $note);
        }
        foreach ($entry['confirmed'] ?? [] as $fault) {
            yield new Statement(FactKind::Confirmed, $fault, 'yes');
        }
    }
}
