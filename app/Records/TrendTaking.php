<?php

namespace App\Records;

use App\Models\TrendRecord;
use App\Models\User;
use App\Models\Visit;
use Metrum\Log\Content;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\Trace;
use Metrum\Log\NotAFact;
use Metrum\Log\Source;

/** Takes a value of a trend as a reading of the visit, seen when the controller wrote it down. */
final readonly class TrendTaking
{
    /** s before now within which a value says something of this visit: two days. */
    private const LONGEST = 172_800;

    public function __construct(private Visit $visit, private User $user)
    {
    }

    /**
     * @param  string  $at  moment on the wall, as a field of a form has it
     * @return string what was kept, in words
     *
     * @throws NotAFact where no value stands there, or it is too old
     */
    public function take(TrendRecord $record, string $at): string
    {
        $moment = strtotime($at);
        if ($moment === false) {
            throw NotAFact::because("You entered “{$at}”. Enter date and time, such as 2026-12-01 06:40.");
        }
        $trend = $record->trend();
        $point = $trend->at((float) $moment);
        if ($point === null) {
            throw NotAFact::because('No value within 15 min of '.date('j M H:i', $moment).'. The trend runs from '.
                date('j M H:i', (int) $trend->begins()).' to '.date('j M H:i', (int) $trend->ends()).'.');
        }
        $now = now()->toDateTimeImmutable();
        $ago = $now->getTimestamp() - (int) $point[0];
        if ($ago < 0 || $ago > self::LONGEST) {
            throw NotAFact::because('The value is of '.date('j M H:i', (int) $point[0]).
                '. Only values of the last two days count for this visit.');
        }
        $author = Author::of($this->user);
        $content = new Content($trend->reading->value, $point[1], null, [
            'unit' => $author->units->of($trend->reading->quantity())->value,
            Trace::AGO => (float) $ago,
        ]);
        (new Recorder($this->visit, $author, new Making($now), Source::Import))
            ->append(FactKind::Reading, $content, null, $trend->part);

        return $trend->reading->label().' '.$author->units->text($point[1], $trend->reading->quantity()).
            ' of '.date('H:i', (int) $point[0]).' taken as a reading.';
    }
}
