<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Visit;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Values that are possible each by itself and make no plant together take no page down. */
final class ExtremesTest extends TestCase
{
    /** @return iterable<string, array{string, string, array<string, float>, string}> with the value that is too much */
    public static function impossible(): iterable
    {
        yield 'superheat' => ['walk_in_freezer', 'R-449A', ['superheat_k' => 40.0], 'superheat_k'];
        yield 'a box too cold' => [
            'reach_in_cooler',
            'R-448A',
            ['box_set_point_c' => -60.0],
            'box_set_point_c',
        ];
        yield 'a box too warm' => ['walk_in_cooler', 'R-744', ['box_set_point_c' => 40.0], 'box_set_point_c'];
    }

    /** @param  array<string, float>  $design */
    #[DataProvider('impossible')]
    public function test_the_form_says_at_once_which_value_stands_in_the_way(
        string $kind,
        string $refrigerant,
        array $design,
        string $culprit,
    ): void {
        $form = "/sites/{$this->circuit->site->id}/circuits/create";
        $this->actingAs($this->technician)
            ->from($form)
            ->post(
                "/sites/{$this->circuit->site->id}/circuits",
                [
                    'name' => 'Odd',
                    'kind' => $kind,
                    'refrigerant' => $refrigerant,
                    'condenser' => 'air_outdoor',
                ] + array_map(strval(...), $design),
            )
            ->assertRedirect($form)
            ->assertSessionHasErrors($culprit);
        $this->get($form)
            ->assertSee('no plant on '.$refrigerant.' can be built so')
            ->assertSee('value="Odd"', false);
        self::assertSame(1, Circuit::query()->count());
    }

    /** @param  array<string, float>  $design */
    #[DataProvider('impossible')]
    public function test_one_that_is_there_already_takes_no_page_down(
        string $kind,
        string $refrigerant,
        array $design,
    ): void {
        $system = ['kind' => $kind, 'refrigerant' => $refrigerant, 'condenser' => 'air_outdoor'];
        $circuit = Circuit::establish($this->circuit->site, 'Odd room', $system, $design);
        $visit = Visit::open($circuit->load('site', 'plant'), $this->technician, now());
        $this->enter($visit, 'complaint', 'too_warm', 'yes')->assertOk();
        $this->read($visit, ['box_temperature_c' => '9', 'ambient_temperature_c' => '28']);
        foreach (
            ['complaint', 'box', 'unit', 'gauges', 'verdict', 'leave', 'report', 'report.pdf', 'file.json'] as $page
        ) {
            $this->get("/visits/{$visit->id}/$page")->assertOk();
        }
        $this->get("/visits/{$visit->id}/what-if/mended")->assertNotFound();
        $this->get("/visits/{$visit->id}/bench")->assertRedirect();
        $this->post("/visits/{$visit->id}/close")->assertRedirect();
        $this->get('/')->assertOk();
        $this->get("/circuits/{$circuit->id}")
            ->assertOk()
            ->assertSee('no plant on '.$refrigerant.' can be built so')
            ->assertSee('judged by design values and house rules');
        foreach (['plant', 'plant/run', 'edit'] as $page) {
            $this->get("/circuits/{$circuit->id}/$page")->assertOk();
        }
        $this->get("/circuits/{$circuit->id}/plant")->assertSee('cannot be simulated');
        self::assertSame(0, Artisan::call('metrum:verdicts', ['--all' => true]));
    }

    public function test_a_file_of_such_a_plant_is_refused_with_its_path(): void
    {
        $file = [
            'format' => 'metrum-visit',
            'version' => 1,
            'system' => ['kind' => 'walk_in_freezer', 'refrigerant' => 'R-449A'],
            'design' => ['superheat_k' => 40],
        ];
        $this->actingAs($this->technician)
            ->from('/import')
            ->post('/import', [
                'file' => UploadedFile::fake()->createWithContent(
                    'visit.json',
                    json_encode($file, JSON_THROW_ON_ERROR),
                ),
            ])
            ->assertRedirect('/import');
        $this->get('/import')->assertSee('design.superheat_k: ')->assertSee('40.0 K was given');
        self::assertSame(0, Visit::query()->count());
    }
}
