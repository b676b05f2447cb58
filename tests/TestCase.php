<?php

namespace Tests;

use App\Models\Circuit;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use App\Records\Judge;
use App\Records\JudgedVisit;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Core\Visits;

/** A workshop with one technician, one site and one walk-in cooler, in a real SQLite database. */
abstract class TestCase extends FrameworkTestCase
{
    use RefreshDatabase;

    /** Headers with which a device sends its entries. */
    protected const OUTBOX = ['X-Requested-With' => 'XMLHttpRequest', 'Accept' => '*/*'];

    protected User $technician;

    protected Circuit $circuit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        Storage::fake('local');
        // Each process has a database of its own, and with it its own writers.
        config(['database.writers_lock' => sys_get_temp_dir().'/metrum-writers-'.getmypid().'.lock']);
        $this->technician = User::query()->create([
            'name' => 'Ylva',
            'email' => 'ylva@tarnevik.example',
            'password' => 'a cold room',
            'role' => 'technician',
        ]);
        $site = Site::query()->create(['name' => 'Brygga fish hall', 'place' => 'Quay 4', 'altitude_m' => 3]);
        $system = Visits::COOLER['system'];
        $this->circuit = Circuit::establish($site, 'Cold room 2', $system, Visits::COOLER['design']);
    }

    /** On a session of their own, as each has who signs in. */
    public function actingAs(Authenticatable $user, $guard = null): static
    {
        session()->forget('password_hash_web');

        return parent::actingAs($user, $guard);
    }

    /**
     * Pages as a browser shows them: a new line in the source is a blank.
     *
     * @return TestResponse<Response>
     */
    protected function createTestResponse($response, $request): TestResponse
    {
        $text = $response->getContent();
        if (is_string($text) && str_contains((string) $response->headers->get('Content-Type'), 'text/html')) {
            $response->setContent((string) preg_replace('/\s+/', ' ', $text));
        }

        return parent::createTestResponse($response, $request);
    }

    /** Somebody else of the workshop. */
    protected function colleague(string $role = User::TECHNICIAN): User
    {
        return User::query()->create([
            'name' => 'Odd',
            'email' => "$role@tarnevik.example",
            'password' => 'another cold room',
            'role' => $role,
        ]);
    }

    protected function visit(): Visit
    {
        return Visit::open($this->circuit->load('site', 'plant'), $this->technician, now());
    }

    /**
     * Sends an entry as the page does.
     *
     * @param  array<string, string>  $more
     * @return TestResponse<Response>
     */
    protected function enter(
        Visit $visit,
        string $kind,
        string $key,
        string $value,
        array $more = [],
    ): TestResponse {
        return $this->actingAs($this->technician)->post(
            "/visits/{$visit->id}/entries",
            $more + [
                'id' => (string) Str::ulid(),
                'kind' => $kind,
                'key' => $key,
                'value' => $value,
                'stage' => 'gauges',
            ],
            self::OUTBOX,
        );
    }

    /** An open visit that reads short of refrigerant: a superheat near 14 K, no level, bubbles in the glass. */
    protected function starved(): Visit
    {
        $visit = $this->visit();
        $this->enter($visit, 'state', 'state', 'running_settled');
        $this->read($visit, [
            'suction_pressure_kpa' => '215 kPa',
            'discharge_pressure_kpa' => '1420 kPa',
            'ambient_temperature_c' => '25',
            'box_temperature_c' => '3.2',
            'suction_temperature_evaporator_c' => '2',
            'receiver_outlet_temperature_c' => '32.6',
            'receiver_level_percent' => '3',
        ]);
        $this->enter($visit, 'observation', 'sight_glass', 'bubbles');

        return $visit;
    }

    /** What the visit says now. */
    protected function judged(Visit $visit): JudgedVisit
    {
        return app(Judge::class)->of($visit->load('circuit.site', 'circuit.plant'));
    }

    /** @param  array<string, string>  $readings  by key, as typed */
    protected function read(Visit $visit, array $readings): void
    {
        foreach ($readings as $key => $typed) {
            $this->enter($visit, 'reading', $key, $typed)->assertOk();
        }
    }
}
