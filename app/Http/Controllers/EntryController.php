<?php

namespace App\Http\Controllers;

use App\Http\Requests\EntryRequest;
use App\Http\Requests\UndoRequest;
use App\Http\Requests\VisitRequest;
use App\Models\Visit;
use App\Records\Author;
use App\Records\BoardLine;
use App\Records\CardKeeper;
use App\Records\CircuitBook;
use App\Records\Judge;
use App\Records\LeftSo;
use App\Records\LevelReturns;
use App\Records\Mover;
use App\Records\Recorder;
use App\View\LineMeaning;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;

final class EntryController extends Controller
{
    use AnswersFromVisits;

    /** Saves one entry; answers with all that it changed. */
    public function store(EntryRequest $request, Visit $visit, Judge $judge): Response|RedirectResponse
    {
        $recorder = self::recorder($request, $visit);
        $mover = new Mover($judge, $recorder, $visit);
        $cards = self::cards($recorder, $request, $visit, $judge);
        $line = $request->isOfBoard() ? new BoardLine($visit, $request->typed()) : null;
        try {
            $facts = match (true) {
                $request->isLine() => $recorder->line(
                    $line->typed ?? $request->typed(),
                    $request->id(),
                    static fn (Statement $said, string $id): array => $mover->move(
                        $said,
                        $said->with[PlantMoved::OVERRULED] ?? '',
                        $id,
                    ),
                    $line === null ? null : $line->of(...),
                ),
                $request->isMove() => $mover->move(
                    $request->said(),
                    $request->overruled(),
                    $request->validated('id'),
                ),
                $request->isStep() => $cards->step($request->said(), $request->validated('id')),
                default => [$recorder->record($request->said(), $request->validated('id'))],
            };
        } catch (NotAFact $refusal) {
            throw self::refused($request, $refusal);
        }

        (new CircuitBook(Author::of($request->user()), now()->toDateTimeImmutable(), $judge))->follow($visit, $facts);
        $cards->keepStops();
        (new LeftSo($visit, $request->user()))->note($facts);
        self::returns($request, $visit, $judge)->note($facts);

        return $this->answer($request, $judge, $facts);
    }

    /** What a quick line would be kept as, while it is typed. */
    public function meaning(Request $request, Visit $visit): View
    {
        $this->authorize('view', $visit);
        $line = mb_substr((string) $request->string('value'), 0, 2000);

        return view('visit.meaning', [
            'meaning' => new LineMeaning($visit, Author::of($request->user()), now()->toDateTimeImmutable(), $line),
        ]);
    }

    public function undo(UndoRequest $request, Visit $visit, Judge $judge): Response|RedirectResponse
    {
        $fact = $request->fact();
        $recorder = self::recorder($request, $visit);
        try {
            $recorder->undo($fact, $request->validated('id'));
        } catch (NotAFact $refusal) {
            throw self::refused($request, $refusal);
        }
        self::cards($recorder, $request, $visit, $judge)->keepStops();

        return $this->answer($request, $judge, [$fact]);
    }

    private static function recorder(VisitRequest $request, Visit $visit): Recorder
    {
        return new Recorder($visit, Author::of($request->user()), $request->making());
    }

    private static function returns(VisitRequest $request, Visit $visit, Judge $judge): LevelReturns
    {
        $units = Author::of($request->user())->units;

        return new LevelReturns($visit->loadMissing('circuit.plant'), $request->user(), $judge, $units);
    }

    private static function cards(
        Recorder $recorder,
        VisitRequest $request,
        Visit $visit,
        Judge $judge,
    ): CardKeeper {
        return new CardKeeper($judge, $recorder, $visit, Author::of($request->user())->units);
    }

    private static function refused(VisitRequest $request, NotAFact $refusal): ValidationException
    {
        $said = $refusal->in(Author::of($request->user())->units);

        return ValidationException::withMessages(['value' => $said])
            ->redirectTo(route('visits.show', $request->shown()));
    }
}
