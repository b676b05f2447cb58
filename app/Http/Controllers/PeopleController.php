<?php

namespace App\Http\Controllers;

use App\Http\Requests\InviteRequest;
use App\Models\User;
use App\Records\Invitation;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** People of the workshop: a lead invites them, says what they may, and shuts out who has left. */
final class PeopleController extends Controller
{
    public function index(): View
    {
        $this->authorize('viewAny', User::class);

        return view('people.index', ['people' => User::query()->orderBy('name')->get()]);
    }

    public function store(InviteRequest $request): RedirectResponse
    {
        $user = User::invite(
            $request->validated('name'),
            $request->validated('email'),
            $request->validated('role'),
        );

        return self::invited($user);
    }

    /** A new link, as for somebody who has forgotten the password. */
    public function invite(User $user): RedirectResponse
    {
        $this->authorize('update', $user);

        return self::invited($user);
    }

    public function update(Request $request, User $user): RedirectResponse
    {
        $this->authorize('update', $user);
        $wanted = $request->validate([
            'role' => ['sometimes', Rule::in(array_keys(User::ROLES))],
            'disabled' => ['sometimes', 'boolean'],
        ]);
        if (isset($wanted['role'])) {
            $user->update(['role' => $wanted['role']]);
        }
        if (isset($wanted['disabled'])) {
            $user->update([
                'disabled_at' => $request->boolean('disabled') ? $user->disabled_at ?? now() : null,
            ]);
        }

        return redirect()
            ->route('people')
            ->with('said', "Saved: {$user->name}.");
    }

    private static function invited(User $user): RedirectResponse
    {
        return redirect()
            ->route('people')
            ->with('invited', ['name' => $user->name, 'link' => Invitation::to($user)->link()]);
    }
}
