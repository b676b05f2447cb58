<?php

namespace App\Http\Controllers;

use App\Http\Requests\DecisionRules;
use App\Models\Attachment;
use App\Models\DecisionWord;
use App\Models\OwnerChoice;
use App\Models\Visit;
use App\Records\Attachments\PrintedPhoto;
use App\Records\Judge;
use App\Records\Owner\OwnerLink;
use App\View\Owner\OwnerPage;
use App\View\ReportPdf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\App;

/** What an owner sees by their link: one visit, told to them, with its choices. No sign-in, no other data. */
final class OwnerController extends Controller
{
    /** s that a browser may keep a photo. */
    private const KEPT = 600;

    public function show(Request $request, Visit $visit, Judge $judge): View
    {
        $visit = self::checked($request, $visit);

        return view('owner.show', ['page' => new OwnerPage($judge->of($visit), self::link($request, $visit))]);
    }

    public function pdf(Request $request, Visit $visit, Judge $judge): Response
    {
        $visit = self::checked($request, $visit);

        return ReportPdf::of($judge->of($visit), $visit->user)->response();
    }

    /** With its marks drawn on it. */
    public function photo(Request $request, Visit $visit, Attachment $attachment, PrintedPhoto $printed): Response
    {
        self::checked($request, $visit);
        $isOfPlant = $attachment->visit->circuit->plant_id === $visit->circuit->plant_id;
        $isSeen = $attachment->isShown() && $attachment->isPhoto() && $isOfPlant;
        $bytes = $isSeen ? $printed->bytes($attachment) : null;
        if ($bytes === null) {
            abort(404);
        }

        return new Response($bytes, 200, [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => 'private, max-age='.self::KEPT,
        ]);
    }

    public function decide(Request $request, Visit $visit, OwnerChoice $choice): RedirectResponse
    {
        $visit = self::checked($request, $visit);
        abort_unless($choice->visit_id === $visit->id, 404);
        $told = $request->validate(DecisionRules::all());
        $choice->decide(DecisionWord::from($told['word']), $told['who'], null);

        return redirect()->to(self::link($request, $visit)->page())->with('said', __('Thank you. We have noted it.'));
    }

    private static function checked(Request $request, Visit $visit): Visit
    {
        abort_unless(
            $request->hasValidSignature(),
            403,
            'This link has expired or was changed. Ask the workshop for a new one.',
        );
        App::setLocale($visit->loadMissing('circuit.site', 'circuit.plant', 'user')->circuit->site->language);

        return $visit;
    }

    private static function link(Request $request, Visit $visit): OwnerLink
    {
        return OwnerLink::within($visit, $request->integer('expires'));
    }
}
