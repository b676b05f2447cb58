<?php

namespace App\View;

use App\Models\Visit;
use App\Records\Author;
use App\Records\Making;
use App\Records\Recorder;
use Metrum\Exchange\QuickLine;
use Metrum\Log\FactKind;
use Metrum\Log\NotAFact;

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
                $text = $said->kind->rule()->line($recorder->unsaved($said), $author->units);
                $note = $said->kind === FactKind::Note ? 'note: ' : '';
                $pieces[] = ['text' => $note.$text, 'refused' => false];
            } catch (NotAFact $reason) {
                $pieces[] = ['text' => $reason->in($author->units), 'refused' => true];
            }
        }
        $this->pieces = $pieces;
        $this->completion = $reader->completion($line);
    }
}
