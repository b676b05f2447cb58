<?php

namespace Tests\Feature;

use App\Models\User;
use App\Records\Invitation;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Tests\TestCase;

/** People of a workshop: how they come in, what they may, and how they are out. */
final class PeopleTest extends TestCase
{
    private function invited(): User
    {
        return User::invite('Runa', 'Runa@Tarnevik.example', User::TECHNICIAN);
    }

    public function test_a_lead_invites_somebody_who_chooses_a_password_once(): void
    {
        $this->actingAs($this->colleague(User::LEAD))
            ->post('/people', ['name' => 'Runa', 'email' => 'Runa@Tarnevik.example', 'role' => 'technician'])
            ->assertRedirect('/people');
        $this->get('/people')->assertSee('Invitation link for Runa')->assertSee('/invitation/', false);
        $runa = User::query()->where('email', 'runa@tarnevik.example')->sole();
        $link = Invitation::to($runa)->link();
        Auth::logout();

        $this->get($link)->assertOk()->assertSee('Welcome, Runa');
        $this->from($link)
            ->post($link, ['password' => 'short', 'password_confirmation' => 'short'])
            ->assertSessionHasErrors('password');
        $this->post($link, [
            'password' => 'ice on the pier',
            'password_confirmation' => 'ice on the pier',
        ])->assertRedirect('/');
        $this->assertAuthenticatedAs($runa);
        Auth::logout();
        $this->get($link)
            ->assertForbidden()
            ->assertSee('This link was already used or has expired. Ask a lead for a new one');
    }

    public function test_a_link_ends_after_a_week_and_cannot_be_altered(): void
    {
        $runa = $this->invited();
        $link = Invitation::to($runa)->link();
        $this->get(str_replace($runa->id, $this->technician->id, $link))->assertForbidden();
        $this->travel(Invitation::DAYS)->days();
        $this->travel(1)->minutes();
        $this->get($link)->assertForbidden();
    }

    public function test_the_same_address_is_not_invited_twice_and_a_bad_one_is_told(): void
    {
        $this->actingAs($this->colleague(User::LEAD));
        foreach (['ylva@TARNEVIK.example', 'nobody', ''] as $email) {
            $this->from('/people')
                ->post('/people', ['name' => 'Twice', 'email' => $email, 'role' => 'technician'])
                ->assertSessionHasErrors('email');
        }
        $this->post('/people', [
            'name' => 'X',
            'email' => 'x@tarnevik.example',
            'role' => 'king',
        ])->assertSessionHasErrors('role');
        self::assertSame(2, User::query()->count());
    }

    public function test_who_is_shut_out_is_out_at_once_and_can_be_let_in_again(): void
    {
        $lead = $this->colleague(User::LEAD);
        $this->actingAs($lead)->put("/people/{$this->technician->id}", ['disabled' => 1]);
        $this->actingAs($this->technician->refresh())->get('/')->assertRedirect('/sign-in');
        $words = ['email' => 'ylva@tarnevik.example', 'password' => 'a cold room'];
        $this->post('/sign-in', $words)->assertSessionHasErrors([
            'email' => 'This account is deactivated. A lead can reactivate it.',
        ]);
        $this->actingAs($lead)->put("/people/{$this->technician->id}", ['disabled' => 0]);
        Auth::logout();
        $this->post('/sign-in', $words)->assertRedirect('/');
    }

    public function test_a_lead_cannot_shut_themselves_out_or_give_up_the_last_key(): void
    {
        $lead = $this->colleague(User::LEAD);
        $this->actingAs($lead)
            ->put("/people/{$lead->id}", ['role' => 'technician'])
            ->assertForbidden();
        $this->actingAs($lead)
            ->put("/people/{$lead->id}", ['disabled' => 1])
            ->assertForbidden();
        $this->put("/people/{$this->technician->id}", ['role' => 'lead'])->assertRedirect('/people');
        self::assertTrue($this->technician->fresh()?->isLead());
    }

    public function test_a_changed_password_ends_other_sessions(): void
    {
        $words = ['email' => 'ylva@tarnevik.example', 'password' => 'a cold room'];
        $this->post('/sign-in', $words)->assertRedirect('/');
        $this->get('/')->assertOk();
        $elsewhere = session()->all();
        $this->from('/settings')
            ->put('/password', [
                'current' => 'wrong',
                'password' => 'ice on the pier',
                'password_confirmation' => 'ice on the pier',
            ])
            ->assertSessionHasErrors('current');
        $this->put('/password', [
            'current' => 'a cold room',
            'password' => 'ice on the pier',
            'password_confirmation' => 'ice on the pier',
        ])->assertRedirect('/settings');
        $this->get('/')->assertOk();
        self::assertTrue(Hash::check('ice on the pier', (string) $this->technician->fresh()?->password));

        session()->flush();
        Auth::forgetGuards();
        $this->withSession($elsewhere)->get('/')->assertRedirect('/sign-in');
    }

    public function test_the_first_person_comes_by_the_command_line(): void
    {
        User::query()->delete();
        self::assertSame(
            0,
            Artisan::call('metrum:user', ['email' => 'First@tarnevik.example', '--name' => 'Solveig']),
        );
        self::assertStringContainsString('/invitation/', Artisan::output());
        $first = User::query()->sole();
        self::assertTrue($first->isLead());
        Artisan::call('metrum:user', ['email' => 'second@tarnevik.example']);
        self::assertFalse(User::query()->where('email', 'second@tarnevik.example')->sole()->isLead());
        self::assertSame(2, Artisan::call('metrum:user', ['email' => 'nobody']));
        self::assertSame(2, Artisan::call('metrum:user', ['email' => 'a@b.example', '--role' => 'king']));
        self::assertSame(2, User::query()->count());
    }
}
