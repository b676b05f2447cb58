<?php

namespace App\View;

use App\Models\Visit;
use App\Records\Author;
use App\Records\Making;
use App\Records\Recorder;
use Metrum\Exchange\QuickLine;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\NotAFact;
use Metrum\Quantity\Units;

/** What a half-typed quick line would be kept as, before it is. */
final readonly class LineMeaning
{
    /** @var list<array{text: string, refused: bool}> */
    public array $pieces;

    public ?string $completion;

    public function __construct(Visit $visit, Author $author, \DateTimeImmutable $at, string $line)
    {
        $reader = new QuickLine();
        $recorder = new Recorder($visit, $author, new Making($at));
        $pieces = [];
        foreach ($reader->read($line) as $said) {
            try {
                $text = self::named($recorder->unsaved($said), $author->units);
                $note = $said->kind === FactKind::Note ? 'note: ' : '';
                $pieces[] = ['text' => $note.$text, 'refused' => false];
            } catch (NotAFact $reason) {
                $pieces[] = ['text' => $reason->in($author->units), 'refused' => true];
            }
        }
        $this->pieces = $pieces;
        $this->completion = $reader->completion($line);
    }

    /** With the whole name of a reading: its short one would not show that the wrong place was understood. */
    private static function named(Fact $fact, Units $units): string
    {
        $text = $fact->rule()->line($fact, $units);
        $reading = $fact->kind === FactKind::Reading ? Reading::from($fact->content->key) : null;

        return $reading === null ? $text : $reading->label().mb_substr($text, mb_strlen($reading->short()));
    }
}
