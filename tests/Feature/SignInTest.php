<?php

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;
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
        ];
        $closed = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $path = '/'.strtr($route->uri(), $parameters);
            if (in_array($path, ['/sign-in', '/up'], true) || str_starts_with($path, '/storage')) {
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
        $this->get('/sign-in')->assertSee('do not belong together')->assertSee('ylva@tarnevik.example');
        $this->assertGuest();
    }

    public function test_guessing_is_slowed_down(): void
    {
        for ($try = 0; $try < 6; $try++) {
            $this->post('/sign-in', [
                'email' => 'ylva@tarnevik.example',
                'password' => 'guess '.$try,
            ])->assertRedirect();
        }
        $this->post('/sign-in', [
            'email' => 'ylva@tarnevik.example',
            'password' => 'a cold room',
        ])->assertStatus(429);
        $this->assertGuest();
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
