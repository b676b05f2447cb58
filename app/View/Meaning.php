<?php

namespace App\View;

use App\Models\User;
use App\Models\Visit;
use App\Records\NotRecordable;
use App\Records\Recorder;
use Metrum\Exchange\QuickLine;

/** What a half-typed quick line would be kept as, before it is. */
final readonly class Meaning
{
    /** @var list<array{text: string, refused: bool}> */
    public array $pieces;

    public ?string $completion;

    public function __construct(Visit $visit, User $user, string $line)
    {
        $visit->loadMissing('circuit.site');
        $reader = new QuickLine();
        $recorder = new Recorder($visit, $user);
        $explain = new Explain($user->units());
        $pieces = [];
        foreach ($reader->read($line) as $said) {
            try {
                $text = $explain->entry($recorder->meant($said));
                $pieces[] = ['text' => $said->kind === 'note' ? 'note: '.$text : $text, 'refused' => false];
            } catch (NotRecordable $error) {
                $pieces[] = ['text' => $error->getMessage(), 'refused' => true];
            }
        }
        $this->pieces = $pieces;
        $this->completion = $reader->completion($line);
    }
}
