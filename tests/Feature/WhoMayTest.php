<?php

namespace Tests\Feature;

use App\Models\Cylinder;
use App\Models\FollowUp;
use App\Models\Import;
use App\Models\OwnerChoice;
use App\Models\TrendRecord;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Routing\Route as Registered;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Metrum\Findings\Trend;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Media;
use Tests\TestCase;

/** Every way in, and who may go it: nobody, the technician of a visit, another technician, a lead. */
final class WhoMayTest extends TestCase
{
    private const GUEST = 'guest';

    private const OWN = 'technician';

    private const OTHER = 'other technician';

    private const LEAD = 'lead';

    private const ALL = [self::GUEST, self::OWN, self::OTHER, self::LEAD];

    private const SIGNED_IN = [self::OWN, self::OTHER, self::LEAD];

    private const ITS_OWN = [self::OWN, self::LEAD];

    private const LEADS = [self::LEAD];

    /** Method and address of each route, and who may. */
    private const ROUTES = [
        'GET up' => self::ALL,
        'GET offline' => self::ALL,
        'GET sign-in' => self::ALL,
        'POST sign-in' => self::ALL,
        // Whoever has the key: it is secret, and one that is none leads nowhere.
        'GET calendar/{key}.ics' => self::ALL,
        'POST settings/calendar' => self::SIGNED_IN,
        'POST settings/workshop/calendar' => self::LEADS,
        'GET owner/{visit}' => [],
        'GET owner/{visit}/report.pdf' => [],
        'GET owner/{visit}/photos/{attachment}' => [],
        'POST owner/{visit}/choices/{choice}' => [],
        'GET invitation/{user}' => [],
        'POST invitation/{user}' => [],
        'POST sign-out' => self::SIGNED_IN,
        'GET /' => self::SIGNED_IN,
        'GET find' => self::SIGNED_IN,
        'GET search' => self::SIGNED_IN,
        'GET search/{list}.csv' => self::SIGNED_IN,
        'GET sites' => self::SIGNED_IN,
        'POST sites' => self::SIGNED_IN,
        'GET sites/create' => self::SIGNED_IN,
        'GET sites/{site}' => self::SIGNED_IN,
        'GET sites/{site}/tags' => self::SIGNED_IN,
        'GET circuits/{circuit}/code' => self::SIGNED_IN,
        'GET sites/{site}/edit' => self::SIGNED_IN,
        'PUT sites/{site}' => self::SIGNED_IN,
        'GET sites/{site}/circuits/create' => self::SIGNED_IN,
        'POST sites/{site}/circuits' => self::SIGNED_IN,
        'GET circuits/{circuit}' => self::SIGNED_IN,
        'GET circuits/{circuit}/compare' => self::SIGNED_IN,
        'GET circuits/{circuit}/figures.csv' => self::SIGNED_IN,
        'GET circuits/{circuit}/replacement' => self::SIGNED_IN,
        'POST circuits/{circuit}/replacement' => self::SIGNED_IN,
        'GET circuits/{circuit}/edit' => self::SIGNED_IN,
        'PUT circuits/{circuit}' => self::SIGNED_IN,
        'POST circuits/{circuit}/again' => self::SIGNED_IN,
        'POST circuits/{circuit}/weak-points' => self::SIGNED_IN,
        'GET racks/{plant}/defrost' => self::SIGNED_IN,
        'POST racks/{plant}/defrost' => self::SIGNED_IN,
        'GET racks/{plant}/defrost.csv' => self::SIGNED_IN,
        'GET racks/{plant}/defrost.ics' => self::SIGNED_IN,
        'GET circuits/{circuit}/plant' => self::SIGNED_IN,
        'GET circuits/{circuit}/plant/run' => self::SIGNED_IN,
        'GET plants/{kind}' => self::SIGNED_IN,
        'GET plants/{kind}/run' => self::SIGNED_IN,
        'POST circuits/{circuit}/visits' => self::SIGNED_IN,
        'GET visits/{visit}/{stage?}' => self::SIGNED_IN,
        'GET visits/{visit}/why' => self::SIGNED_IN,
        'GET handbook' => self::SIGNED_IN,
        'GET handbook/words' => self::SIGNED_IN,
        'GET handbook/{fault}' => self::SIGNED_IN,
        'GET bench/saturation' => self::SIGNED_IN,
        'GET bench/{calculator?}' => self::SIGNED_IN,
        'GET visits/{visit}/choices' => self::SIGNED_IN,
        'POST visits/{visit}/choices' => self::ITS_OWN,
        'POST visits/{visit}/choices/propose' => self::ITS_OWN,
        'POST visits/{visit}/choices/send' => self::ITS_OWN,
        'PUT choices/{choice}' => self::ITS_OWN,
        'DELETE choices/{choice}' => self::ITS_OWN,
        'POST choices/{choice}/decide' => self::ITS_OWN,
        'GET visits/{visit}/report' => self::SIGNED_IN,
        'GET visits/{visit}/report.pdf' => self::SIGNED_IN,
        'GET visits/{visit}/board' => self::SIGNED_IN,
        'GET visits/{visit}/cases' => self::SIGNED_IN,
        'GET visits/{visit}/compressor' => self::SIGNED_IN,
        'POST visits/{visit}/compressor' => self::SIGNED_IN,
        'GET visits/{visit}/compressor/tried' => self::SIGNED_IN,
        'GET visits/{visit}/goods' => self::SIGNED_IN,
        'GET visits/{visit}/goods.csv' => self::SIGNED_IN,
        'GET visits/{visit}/help-sheet' => self::SIGNED_IN,
        'GET visits/{visit}/handover' => self::SIGNED_IN,
        'GET visits/{visit}/trend' => self::SIGNED_IN,
        'POST visits/{visit}/trend' => self::ITS_OWN,
        'GET visits/{visit}/trend/{name}/columns' => self::ITS_OWN,
        'POST visits/{visit}/trend/{name}/columns' => self::ITS_OWN,
        'POST visits/{visit}/trend/{trend}/take' => self::ITS_OWN,
        'POST visits/{visit}/trend/{trend}/remove' => self::ITS_OWN,
        'POST visits/{visit}/attachments' => self::ITS_OWN,
        'POST attachments/{attachment}/piece' => self::ITS_OWN,
        'GET attachments/{attachment}' => self::SIGNED_IN,
        'GET attachments/{attachment}/file' => self::SIGNED_IN,
        'GET attachments/{attachment}/small' => self::SIGNED_IN,
        'PUT attachments/{attachment}' => self::ITS_OWN,
        'DELETE attachments/{attachment}' => self::LEADS,
        'GET visits/{visit}/file.json' => self::SIGNED_IN,
        'GET visits/{visit}/bench' => self::SIGNED_IN,
        'GET visits/{visit}/meaning' => self::SIGNED_IN,
        'GET visits/{visit}/what-if/{question}' => self::SIGNED_IN,
        'POST visits/{visit}/entries' => self::ITS_OWN,
        'POST visits/{visit}/entries/{entry}/undo' => self::ITS_OWN,
        'POST visits/{visit}/follow-ups' => self::ITS_OWN,
        'POST visits/{visit}/ran-well' => self::ITS_OWN,
        'POST visits/{visit}/close' => self::ITS_OWN,
        'POST visits/{visit}/reopen' => self::LEADS,
        'POST follow-ups/{followUp}/done' => self::ITS_OWN,
        'GET follow-ups/{followUp}/calendar.ics' => self::SIGNED_IN,
        'GET refrigerant' => self::SIGNED_IN,
        'GET refrigerant/ledger.csv' => self::SIGNED_IN,
        'GET refrigerant/ledger.json' => self::SIGNED_IN,
        'GET refrigerant/import' => self::SIGNED_IN,
        'POST refrigerant/import' => self::SIGNED_IN,
        'GET circuits/{circuit}/refrigerant' => self::SIGNED_IN,
        'GET circuits/{circuit}/winter' => self::SIGNED_IN,
        'GET circuits/{circuit}/tag' => self::SIGNED_IN,
        'GET cylinders/create' => self::SIGNED_IN,
        'POST cylinders' => self::SIGNED_IN,
        'GET cylinders/{cylinder}' => self::SIGNED_IN,
        'GET cylinders/{cylinder}/edit' => self::SIGNED_IN,
        'PUT cylinders/{cylinder}' => self::SIGNED_IN,
        'POST cylinders/{cylinder}/weigh' => self::SIGNED_IN,
        'POST cylinders/{cylinder}/moves/{move}/undo' => self::ITS_OWN,
        'GET import' => self::SIGNED_IN,
        'POST import' => self::SIGNED_IN,
        'GET import/{import}' => self::ITS_OWN,
        'POST import/{import}/step' => self::ITS_OWN,
        'GET people' => self::LEADS,
        'POST people' => self::LEADS,
        'PUT people/{user}' => self::LEADS,
        'POST people/{user}/invite' => self::LEADS,
        'PUT password' => self::SIGNED_IN,
        'GET settings' => self::SIGNED_IN,
        'PUT settings' => self::SIGNED_IN,
        'PUT settings/rules' => self::LEADS,
        'PUT settings/workshop' => self::LEADS,
        'POST settings/theme' => self::SIGNED_IN,
    ];

    public function test_no_route_is_left_out(): void
    {
        $ways = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $ways[] = self::way($route);
        }
        $known = array_keys(self::ROUTES);
        sort($ways);
        sort($known);
        self::assertSame($known, $ways);
    }

    /** @return iterable<string, array{string}> */
    public static function ways(): iterable
    {
        foreach (array_keys(self::ROUTES) as $way) {
            yield $way => [$way];
        }
    }

    #[DataProvider('ways')]
    public function test_who_may_go_it(string $way): void
    {
        $visit = $this->visit();
        $this->read($visit, ['box_temperature_c' => '4']);
        [$method, $path] = explode(' ', $way);
        $address = '/'.strtr(ltrim($path, '/'), $this->parameters($visit));
        $choice = DB::table('owner_choices')->first();
        $people = array_map($this->person(...), array_combine(self::ALL, self::ALL));
        $in = [];
        foreach ($people as $who => $person) {
            $visit->update(['closed_at' => str_ends_with($way, 'reopen') ? now() : null]);
            // What one person removed is there for the next.
            DB::table('owner_choices')->insertOrIgnore((array) $choice);
            Auth::logout();
            session()->flush();
            $answer = ($person === null ? $this : $this->actingAs($person))->call($method, $address);
            self::assertLessThan(500, $answer->getStatusCode());
            $toTheDoor = str_ends_with((string) $answer->headers->get('Location'), '/sign-in');
            if ($answer->getStatusCode() !== 403 && ! $toTheDoor) {
                $in[] = $who;
            }
        }
        // Who tries to sign in with nothing, or signs out, ends at the door by right.
        $byRight = match ($way) {
            'POST sign-in' => [self::GUEST],
            'POST sign-out' => self::SIGNED_IN,
            default => [],
        };
        self::assertSame(self::ROUTES[$way], [...$byRight, ...array_values(array_diff($in, $byRight))]);
    }

    private function person(string $who): ?User
    {
        return match ($who) {
            self::GUEST => null,
            self::OWN => $this->technician,
            self::OTHER => $this->colleague(),
            default => $this->colleague(User::LEAD),
        };
    }

    /** @return array<string, string> */
    private function parameters(Visit $visit): array
    {
        $followUp = FollowUp::note($visit, $this->technician, Carbon::now()->addWeek(), 'look again', null);
        $cylinder = Cylinder::query()->create([
            'label' => 'T-1',
            'refrigerant' => 'R-448A',
            'tare' => 9.0,
            'water' => 0.0134,
        ]);
        $somebody = User::invite('Runa', 'runa@tarnevik.example', User::TECHNICIAN);

        return [
            '{site}' => $this->circuit->site->id,
            '{circuit}' => $this->circuit->id,
            '{kind}' => 'walk_in_cooler',
            '{visit}' => $visit->id,
            '{stage?}' => 'box',
            '{question}' => 'hot',
            '{fault}' => 'undercharge',
            '{calculator?}' => 'superheat',
            '{entry}' => $visit->log()->facts[0]->id,
            '{followUp}' => $followUp->id,
            '{key}' => 'none',
            '{attachment}' => Media::kept($visit)->id,
            '{choice}' => OwnerChoice::query()->create([
                'visit_id' => $visit->id,
                'user_id' => $this->technician->id,
                'place' => 0,
                'title' => 'Repair now',
                'does' => '',
            ])->id,
            '{cylinder}' => $cylinder->id,
            '{move}' => $cylinder->stockMoves()->create([
                'user_id' => $this->technician->id,
                'kilograms' => 1.0,
                'why' => 'counted',
                'moved_at' => now(),
            ])->id,
            '{trend}' => TrendRecord::keep(
                $visit,
                Trend::of(Reading::BoxTemperature, PartId::circuit(), [[0.0, 276.0]]),
            )->id,
            '{name}' => '01jd0000000000000000000000',
            '{user}' => $somebody->id,
            '{import}' => Import::query()->create([
                'user_id' => $this->technician->id,
                'name' => 'visits.jsonl',
                'visits' => 30,
                'checked' => 30,
                'taken' => 30,
            ])->id,
        ];
    }

    private static function way(Registered $route): string
    {
        return $route->methods()[0].' '.$route->uri();
    }
}
