<?php

namespace App\Http\Controllers;

use App\Http\Requests\ChoiceRequest;
use App\Http\Requests\DecisionRules;
use App\Models\DecisionWord;
use App\Models\OwnerChoice;
use App\Models\Visit;
use App\Models\Workshop;
use App\Records\Judge;
use App\Records\Owner\ChoiceDrafts;
use App\Records\Owner\OwnerLink;
use App\View\Owner\OwnerMail;
use App\View\Owner\VisitChoices;
use App\View\ReportPdf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\App;
use Illuminate\Support\Facades\Mail;

/** What an owner may choose after a visit: written here, sent by link and e-mail. */
final class ChoiceController extends Controller
{
    public function show(Request $request, Visit $visit): View
    {
        $visit->loadMissing('circuit.site', 'user');
        $link = OwnerLink::to($visit);

        return view('owner.choices', [
            'visit' => $visit,
            'choices' => new VisitChoices($visit, 'en'),
            'link' => $link,
            'mayChange' => $request->user()->can('tell', $visit),
        ]);
    }

    /** Puts down what the desk proposes; asked again it adds nothing. */
    public function propose(Request $request, Visit $visit, Judge $judge): RedirectResponse
    {
        $this->authorize('tell', $visit);
        $drafts = new ChoiceDrafts(Workshop::current(), $request->user());
        $count = $drafts->propose($judge->of($visit->loadMissing('circuit.site', 'circuit.plant'), 0));
        $said = $count === 0
            ? 'Nothing to propose: nothing leads, all was repaired, or there are choices already. Add one by hand.'
            : "$count choices proposed. Check every line before you send them.";

        return redirect()->route('visits.choices', $visit)->with('said', $said);
    }

    public function store(ChoiceRequest $request, Visit $visit): RedirectResponse
    {
        $place = (int) OwnerChoice::query()->where('visit_id', $visit->id)->max('place') + 1;
        OwnerChoice::query()->create($request->columns() + [
            'visit_id' => $visit->id,
            'user_id' => $request->user()->id,
            'place' => $place,
            'does' => '',
        ]);

        return redirect()->route('visits.choices', $visit)->with('said', 'Choice added.');
    }

    public function update(ChoiceRequest $request, OwnerChoice $choice): RedirectResponse
    {
        abort_if($choice->decision() !== null, 409, 'The owner has decided on this choice. Add another one instead.');
        $choice->update($request->columns());

        return redirect()->route('visits.choices', $choice->visit_id)->with('said', 'Saved.');
    }

    public function destroy(OwnerChoice $choice): RedirectResponse
    {
        $this->authorize('tell', $choice->visit);
        abort_if($choice->decision() !== null, 409, 'The owner has decided on this choice: it stays on record.');
        $choice->delete();

        return redirect()->route('visits.choices', $choice->visit_id)->with('said', 'Choice removed.');
    }

    /** What an owner said by word of mouth or on the phone. */
    public function decide(Request $request, OwnerChoice $choice): RedirectResponse
    {
        $this->authorize('tell', $choice->visit);
        $told = $request->validate(DecisionRules::all());
        $choice->decide(DecisionWord::from($told['word']), $told['who'], $request->user());

        return redirect()->route('visits.choices', $choice->visit_id)->with('said', 'Decision on record.');
    }

    public function send(Request $request, Visit $visit, Judge $judge): RedirectResponse
    {
        $this->authorize('tell', $visit);
        $to = $request->validate(['email' => ['required', 'email', 'max:200']])['email'];
        $visit->loadMissing('circuit.site', 'circuit.plant', 'user');
        App::setLocale($visit->circuit->site->language);
        $pdf = ReportPdf::of($judge->of($visit), $request->user());
        Mail::to($to)->send(new OwnerMail($visit, OwnerLink::to($visit), $pdf));

        return redirect()->route('visits.choices', $visit)->with('said', "Sent to $to.");
    }
}
