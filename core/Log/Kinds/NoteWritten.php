<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;

/** A note, kept in its own words. Notes add up; the wording of the summary for the owner is replaced. */
final readonly class NoteWritten implements KindOfFact
{
    public const PLAIN = 'note';

    public const SUMMARY = 'summary';

    /** What may mean two things: it is asked back, with the question as its reason. */
    public const UNCLEAR = 'unclear';

    private const LONGEST = 4000;

    public function content(Statement $said, Ground $ground): Content
    {
        if ($said->key === self::UNCLEAR) {
            throw NotAFact::because("\"$said->typed\" can mean more than one thing: $said->reason");
        }
        $key = $said->key === self::SUMMARY ? self::SUMMARY : self::PLAIN;
        if ($said->typed === '') {
            return $key === self::SUMMARY ? new Content($key) : throw NotAFact::because('Type a note first.');
        }

        $length = mb_strlen($said->typed);
        if ($length > self::LONGEST) {
            throw NotAFact::because(
                "The note has $length characters; the limit is ".self::LONGEST.'. Shorten it; nothing was cut.',
            );
        }

        return new Content($key, null, null, ['text' => $said->typed]);
    }

    public function place(Fact $fact): string
    {
        return $fact->content->key === self::SUMMARY ? self::SUMMARY : $fact->id;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;

        return $content->text('text');
    }

    public function stale(Content $content): array
    {
        return [];
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }
}
