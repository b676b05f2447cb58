<?php

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class SignInTest extends TestCase
{
    public function test_every_page_but_sign_in_needs_a_user(): void
    {
        $visit = $this->visit();
        $parameters = [
            '{site}' => $this->circuit->site->id,
            '{kind}' => 'walk_in_cooler',
            '{question}' => 'hot',
            '{circuit}' => $this->circuit->id,
            '{visit}' => $visit->id,
            '{stage?}' => 'box',
            '{entry}' => 'x',
            '{followUp}' => 'x',
            '{user}' => $this->technician->id,
            '{import}' => 'x',
        ];
        $closed = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $path = '/'.strtr($route->uri(), $parameters);
            if (
                in_array($path, ['/sign-in', '/up', '/offline'], true) ||
                str_starts_with($path, '/invitation') ||
                // Their addresses are their keys.
                str_starts_with($path, '/owner') ||
                str_starts_with($path, '/calendar') ||
                str_starts_with($path, '/storage')
            ) {
                continue;
            }
            $this->call($route->methods()[0], $path)->assertRedirect('/sign-in');
            $closed++;
        }
        self::assertGreaterThan(25, $closed);
    }

    public function test_the_right_words_open_the_door(): void
    {
        $this->get('/sites')->assertRedirect('/sign-in');
        $this->post('/sign-in', [
            'email' => 'Ylva@Tarnevik.example',
            'password' => 'a cold room',
        ])->assertRedirect('/sites');
        $this->assertAuthenticatedAs($this->technician);
        $this->get('/sign-in')->assertRedirect('/');
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function test_wrong_words_are_told_plainly_and_the_address_is_kept(): void
    {
        $this->from('/sign-in')
            ->post('/sign-in', ['email' => 'ylva@tarnevik.example', 'password' => 'no'])
            ->assertRedirect('/sign-in');
        $this->get('/sign-in')->assertSee('Wrong e-mail address or password')->assertSee('ylva@tarnevik.example');
        $this->assertGuest();
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function guess(string $email, string $source, string $password = 'a guess'): TestResponse
    {
        return $this->withServerVariables(['REMOTE_ADDR' => $source])->post('/sign-in', [
            'email' => $email,
            'password' => $password,
        ]);
    }

    public function test_guessing_is_slowed_down_and_the_address_stays_in_its_field(): void
    {
        for ($try = 0; $try < 6; $try++) {
            $this->guess('ylva@tarnevik.example', '10.0.0.1')->assertRedirect('/sign-in');
        }
        $this->guess('ylva@tarnevik.example', '10.0.0.1', 'a cold room')
            ->assertStatus(429)
            ->assertSee('Too many attempts. Try again in')
            ->assertSee('value="ylva@tarnevik.example"', false);
        $this->assertGuest();
        $this->travel(61)->seconds();
        $this->guess('ylva@tarnevik.example', '10.0.0.1', 'a cold room')->assertRedirect('/');
    }

    public function test_one_source_cannot_try_many_addresses(): void
    {
        for ($try = 0; $try < 30; $try++) {
            $this->guess("somebody$try@tarnevik.example", '10.0.0.1')->assertRedirect();
        }
        $this->guess('ylva@tarnevik.example', '10.0.0.1', 'a cold room')->assertStatus(429);
        $this->guess('ylva@tarnevik.example', '10.0.0.2', 'a cold room')->assertRedirect('/');
    }

    public function test_many_sources_cannot_try_one_address_nor_lock_its_owner_out(): void
    {
        $this->guess('ylva@tarnevik.example', '10.0.9.9', 'a cold room')->assertRedirect('/');
        $known = (string) $this->technician->id;
        $this->post('/sign-out');
        for ($try = 0; $try < 40; $try++) {
            $this->guess('ylva@tarnevik.example', "10.0.0.$try")->assertRedirect();
        }
        $this->guess('ylva@tarnevik.example', '10.0.1.1', 'a cold room')->assertStatus(429);
        $this->assertGuest();
        $this->withCookie('metrum_known', $known)
            ->guess('ylva@tarnevik.example', '10.0.9.9', 'a cold room')
            ->assertRedirect('/');
        $this->assertAuthenticated();
    }

    public function test_right_words_are_never_counted(): void
    {
        for ($try = 0; $try < 12; $try++) {
            $this->guess('ylva@tarnevik.example', '10.0.0.1', 'a cold room')->assertRedirect('/');
            $this->post('/sign-out');
        }
    }

    public function test_to_stay_signed_in_is_a_choice(): void
    {
        $words = ['email' => 'ylva@tarnevik.example', 'password' => 'a cold room'];
        $remembers = fn (): bool => $this->technician->fresh()?->getRememberToken() !== '';
        $this->post('/sign-in', $words);
        self::assertFalse($remembers());
        $this->post('/sign-out');
        $this->post('/sign-in', $words + ['remember' => '1']);
        self::assertTrue($remembers());
    }

    public function test_an_unknown_address_is_checked_as_a_known_one_is(): void
    {
        Hash::spy();
        Hash::shouldReceive('make')->andReturn('nobody');
        Hash::shouldReceive('check')->twice()->andReturn(false);
        $this->guess('ylva@tarnevik.example', '10.0.0.1')->assertRedirect();
        $this->guess('nobody@tarnevik.example', '10.0.0.1')->assertRedirect();
    }

    public function test_passwords_are_hashed(): void
    {
        $stored = User::query()->sole()->getAttributes()['password'];
        self::assertNotSame('a cold room', $stored);
        self::assertTrue(Hash::check('a cold room', $stored));
    }

    public function test_answers_carry_the_headers_that_keep_strangers_out(): void
    {
        $answer = $this->actingAs($this->technician)->get('/')->assertOk();
        $policy = (string) $answer->headers->get('Content-Security-Policy');
        self::assertStringContainsString("default-src 'none'", $policy);
        self::assertStringNotContainsString('unsafe', $policy);
        self::assertSame('nosniff', $answer->headers->get('X-Content-Type-Options'));
        self::assertSame('DENY', $answer->headers->get('X-Frame-Options'));
        foreach (['style="', '<style', ' onclick', 'javascript:', '<script>'] as $inline) {
            self::assertStringNotContainsString($inline, (string) $answer->getContent());
        }
    }

    /** @return iterable<string, array{string, int}> */
    public static function lost(): iterable
    {
        yield 'no such page' => ['/nowhere', 404];
        yield 'no such visit' => ['/visits/01J8ZQ6V7W8X9Y0Z1A2B3C4D5E', 404];
        yield 'no such circuit' => ['/circuits/nothing', 404];
        yield 'a station that is none' => ['/visits/{visit}/moon', 200];
    }

    #[DataProvider('lost')]
    public function test_who_is_lost_is_answered_in_words(string $path, int $status): void
    {
        $answer = $this->actingAs($this->technician)
            ->get(str_replace('{visit}', $this->visit()->id, $path))
            ->assertStatus($status);
        $answer->assertDontSee('Stack trace')->assertDontSee('vendor/')->assertSee('Metrum');
    }

    public function test_a_form_without_its_token_is_refused(): void
    {
        $this->app['env'] = 'production';
        $answer = $this->actingAs($this->technician)->post('/sites', ['name' => 'Elsewhere']);
        $answer->assertStatus(419)->assertDontSee('Stack trace');
        $this->assertDatabaseMissing('sites', ['name' => 'Elsewhere']);
    }
}
