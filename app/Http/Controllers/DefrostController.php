<?php

namespace App\Http\Controllers;

use App\Models\Plant;
use App\Records\DefrostFile;
use App\View\Defrost\DefrostAsked;
use App\View\Defrost\DefrostPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** The defrost schedule of a rack: everything that is asked stands in the address, so it can be kept and sent. */
final class DefrostController extends Controller
{
    /** Letters of what is typed in one field. */
    private const LONGEST = 200;

    public function show(Request $request, Plant $plant): View
    {
        return view('defrost.show', ['page' => self::page($request, $plant)]);
    }

    /** Keeps a schedule as it is set at the controller; what is no time is sent back as it was typed. */
    public function keep(Request $request, Plant $plant): RedirectResponse
    {
        $asked = self::asked($request);
        $page = self::page($request, $plant);
        if ($page->isRefused()) {
            return redirect()->route('defrost.show', [$plant, ...$asked->typed]);
        }
        $plant->update(['defrosts' => $page->fields()]);

        return redirect()->route('defrost.show', $plant)->with('said', 'Schedule saved. The board shows what is next.');
    }

    public function csv(Request $request, Plant $plant): Response
    {
        return self::file(
            $plant,
            DefrostFile::csv(self::page($request, $plant)->lines()),
            'csv',
            'text/csv; charset=utf-8',
        );
    }

    public function calendar(Request $request, Plant $plant): Response
    {
        return self::file(
            $plant,
            DefrostFile::calendar(self::page($request, $plant)->lines(), $plant),
            'ics',
            'text/calendar; charset=utf-8',
        );
    }

    private static function page(Request $request, Plant $plant): DefrostPage
    {
        abort_unless(count($plant->known()->branches) > 1, 404);

        return new DefrostPage($plant, $request->user(), self::asked($request));
    }

    private static function asked(Request $request): DefrostAsked
    {
        $fields = array_filter(
            $request->except('_token'),
            static fn (mixed $one): bool => is_string($one) && mb_strlen($one) <= self::LONGEST,
        );

        return new DefrostAsked(array_map(trim(...), $fields));
    }

    private static function file(Plant $plant, string $text, string $ending, string $type): Response
    {
        $name = Str::slug($plant->site->name.' '.$plant->label().' defrost').'.'.$ending;

        return response($text, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => 'attachment; filename="'.$name.'"',
        ]);
    }
}
