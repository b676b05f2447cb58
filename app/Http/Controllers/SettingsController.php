<?php

namespace App\Http\Controllers;

use App\Http\Requests\HouseRulesRequest;
use App\Http\Requests\SettingsRequest;
use App\Http\Requests\WorkshopRequest;
use App\Models\HouseRuleChoice;
use App\Models\Workshop;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Metrum\Knowledge\HouseRule;

final class SettingsController extends Controller
{
    public function edit(Request $request): View
    {
        return view('settings.edit', [
            'user' => $request->user(),
            'inForce' => HouseRuleChoice::inForce(),
            'rules' => HouseRule::cases(),
            'workshop' => Workshop::current(),
        ]);
    }

    public function update(SettingsRequest $request): RedirectResponse
    {
        $request->user()->update(['settings' => $request->validated() + ($request->user()->settings ?? [])]);

        return redirect()->route('settings')->with('said', 'Saved.');
    }

    public function rules(HouseRulesRequest $request): RedirectResponse
    {
        foreach ($request->choices() as $rule => $choice) {
            HouseRuleChoice::query()->updateOrCreate(
                ['rule' => $rule],
                ['choice' => $choice, 'user_id' => $request->user()->id],
            );
        }

        return redirect()
            ->route('settings')
            ->with(
                'said',
                'Saved. New visits use these rules; earlier visits keep theirs.',
            );
    }

    /** Name, address and prices, as customers get to see them. */
    public function workshop(WorkshopRequest $request): RedirectResponse
    {
        Workshop::current()->fill($request->columns())->save();

        return redirect()->route('settings')->with('said', 'Saved. New choices use these prices.');
    }

    public function theme(Request $request): RedirectResponse
    {
        $theme = (string) $request->string('theme');
        $request->user()->update([
            'settings' => ['theme' => in_array($theme, ['paper', 'cold'], true) ? $theme : 'auto'] +
                ($request->user()->settings ?? []),
        ]);

        return back();
    }
}
