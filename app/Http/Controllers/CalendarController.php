<?php

namespace App\Http\Controllers;

use App\Models\FollowUp;
use App\Models\User;
use App\Models\Workshop;
use App\Records\Calendar;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** Calendars to subscribe to, each at a secret address that can be renewed. */
final class CalendarController extends Controller
{
    private const LENGTH = 40;

    /** Of one technician, or of the whole workshop, by whose key it is. */
    public function show(string $key): Response
    {
        $user = User::query()->where('calendar_key', $key)->whereNull('disabled_at')->first();
        $isOfWorkshop = $user === null && $key === Workshop::current()->calendar_key;
        abort_unless($user !== null || $isOfWorkshop, 404);
        $open = FollowUp::query()->whereNull('done_at')->with('circuit.site')->orderBy('due_on');
        $all = $user === null ? $open->get() : $open->where('user_id', $user->id)->get();
        $name = $user === null ? 'Follow-ups' : "Follow-ups, $user->name";

        return new Response(Calendar::ofAll($name, $all), 200, ['Content-Type' => 'text/calendar; charset=utf-8']);
    }

    /** A new address of one's own: the one before leads nowhere any more. */
    public function renew(Request $request): RedirectResponse
    {
        $request->user()->update(['calendar_key' => Str::random(self::LENGTH)]);

        return redirect()->route('settings')->with('said', 'New calendar address. The one before no longer works.');
    }

    /** The same of the workshop's. */
    public function renewWorkshop(): RedirectResponse
    {
        $this->authorize('change-house-rules');
        Workshop::current()->fill(['calendar_key' => Str::random(self::LENGTH)])->save();

        return redirect()->route('settings')->with('said', 'New calendar address. The one before no longer works.');
    }
}
