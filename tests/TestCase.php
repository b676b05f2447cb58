<?php

namespace Tests;

use App\Models\Circuit;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Core\Visits;

/** A workshop with one technician, one site and one walk-in cooler, in a real SQLite database. */
abstract class TestCase extends FrameworkTestCase
{
    use RefreshDatabase;

    protected User $technician;

    protected Circuit $circuit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $this->technician = User::query()->create([
            'name' => 'Ylva',
            'email' => 'ylva@tarnevik.example',
            'password' => 'a cold room',
            'role' => 'technician',
        ]);
        $site = Site::query()->create(['name' => 'Brygga fish hall', 'place' => 'Quay 4', 'altitude_m' => 3]);
        $this->circuit = $site
            ->circuits()
            ->create([
                'name' => 'Cold room 2',
                'system' => Visits::COOLER['system'],
                'design' => Visits::COOLER['design'],
            ]);
    }

    protected function visit(): Visit
    {
        return $this->circuit
            ->visits()
            ->create(['user_id' => $this->technician->id, 'opened_at' => now(), 'house_rules' => []]);
    }

    /** Sends an entry as the page does. @param  array<string, string>  $more */
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
            ['HX-Request' => 'true'],
        );
    }

    /** @param  array<string, string>  $readings  by key, as typed */
    protected function read(Visit $visit, array $readings): void
    {
        foreach ($readings as $key => $typed) {
            $this->enter($visit, 'reading', $key, $typed)->assertOk();
        }
    }
}
