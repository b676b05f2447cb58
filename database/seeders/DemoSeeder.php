<?php

namespace Database\Seeders;

use App\Models\Circuit;
use App\Models\FollowUp;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use App\Records\Recorder;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Metrum\Circuit\Reading;
use Metrum\Quantity\Format;

/** The made-up harbour town of Tarnevik: five sites, ten circuits, twelve visits. Nothing in it exists. */
final class DemoSeeder extends Seeder
{
    public const EMAIL = 'technician@tarnevik.example';

    public const PASSWORD = 'cold-room-2';

    private User $user;

    public function run(): void
    {
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
        $story = json_decode((string) file_get_contents(__DIR__.'/demo.json'), true, 32, JSON_THROW_ON_ERROR);
        $circuits = [];
        foreach ($story['sites'] as $entry) {
            $site = Site::query()->create([
                'name' => $entry['name'],
                'place' => $entry['place'],
                'contact' => $entry['contact'],
                'altitude_m' => $entry['altitude_m'],
            ]);
            foreach ($entry['circuits'] as $one) {
                $circuits[$one['name']] = $site
                    ->circuits()
                    ->create([
                        'name' => $one['name'],
                        'system' => $one['system'],
                        'design' => $one['design'],
                        'notes' => $one['notes'] ?? null,
                    ]);
            }
        }
        foreach ($story['visits'] as $entry) {
            $this->visit($circuits[$entry['circuit']], $entry);
        }
        Carbon::setTestNow();
    }

    /** @param  array<string, mixed>  $entry */
    private function visit(Circuit $circuit, array $entry): void
    {
        $at = Carbon::now()->startOfDay()->subDays($entry['days_ago'])->setTimeFromTimeString($entry['at']);
        Carbon::setTestNow($at);
        $visit = Visit::query()->create([
            'circuit_id' => $circuit->id,
            'user_id' => $this->user->id,
            'opened_at' => $at,
            'house_rules' => [],
        ]);
        $visit->setRelation('circuit', $circuit->load('site'));
        $recorder = new Recorder($visit, $this->user);
        foreach ($entry['complaint'] as $word) {
            $recorder->record('complaint', $word, 'yes');
        }
        foreach ($entry['observations'] ?? [] as $key => $word) {
            Carbon::setTestNow(Carbon::now()->addSeconds(40));
            $recorder->record('observation', $key, $word);
        }
        if (isset($entry['state'])) {
            $recorder->record('state', 'state', $entry['state']);
        }
        $computed = (new DemoPlant($circuit->plant()))->readings($entry['plant']);
        foreach ($entry['measured'] as $key) {
            Carbon::setTestNow(Carbon::now()->addSeconds(75));
            $reading = Reading::from($key);
            $unit = $this->user->units()->of($reading->quantity());
            $recorder->record('reading', $key, Format::value($computed[$key], $unit).' '.$unit->symbol());
        }
        foreach ($entry['readings'] ?? [] as $key => $typed) {
            Carbon::setTestNow(Carbon::now()->addSeconds(60));
            $recorder->record('reading', $key, $typed);
        }
        foreach ($entry['tests'] ?? [] as $key => $word) {
            Carbon::setTestNow(Carbon::now()->addMinutes(6));
            $recorder->record('test', $key, $word);
        }
        foreach ($entry['notes'] ?? [] as $note) {
            $recorder->record('note', 'note', $note);
        }
        foreach ($entry['confirmed'] ?? [] as $fault) {
            $recorder->record('confirmed', $fault, 'yes');
        }
        Carbon::setTestNow();
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
            $visit->update(['closed_at' => $at->copy()->addMinutes(75)]);
        }
    }
}
