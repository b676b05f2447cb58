<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Installation\Fit;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Prerequisite;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Station;
use Metrum\Knowledge\Whereabouts;

/** Reads one file of data/cards/ and holds its parts against each other; a mistake is named with file and path. */
final readonly class CardReader
{
    private const KEYS = [
        'card',
        'name',
        'why',
        'does',
        'station',
        'minutes',
        'where',
        'stops',
        'tools',
        'effort',
        'fits',
        'gates',
        'cautions',
        'suspects',
        'steps',
        'outcome',
        'after',
    ];

    /** @throws BrokenData */
    public static function read(DataRow $row, string $key): Card
    {
        $row->only(self::KEYS);
        if ($row->text('card') !== $key) {
            throw $row->broken('card', "must be \"$key\", as the file is named");
        }
        $row->row('fits')->only(['for', 'only_for', 'not_for']);
        $steps = array_map(StepReader::read(...), $row->rows('steps'));
        $outcomes = array_map(Outcome::ofRow(...), $row->rows('outcome'));
        if ($steps === [] || $outcomes === []) {
            throw $row->broken('steps', 'steps and at least one outcome are required');
        }
        $card = new Card(
            key: $key,
            name: $row->text('name'),
            why: $row->text('why'),
            does: $row->word('does', Does::class),
            station: $row->word('station', Station::class),
            minutes: (int) $row->number('minutes'),
            where: $row->has('where') ? $row->word('where', Whereabouts::class) : Whereabouts::Unit,
            stops: $row->flag('stops', false),
            tools: $row->texts('tools'),
            effort: $row->word('effort', Effort::class),
            fit: Fit::ofRow($row->row('fits')),
            gates: $row->words('gates', Prerequisite::class),
            cautions: $row->texts('cautions'),
            suspects: $row->words('suspects', Fault::class),
            steps: $steps,
            outcomes: $outcomes,
            after: array_map(
                static fn (string $one): Asked => Reading::tryFrom($one) ??
                    (Observation::tryFrom($one) ?? throw $row->broken('after', "no such reading: $one")),
                $row->texts('after'),
            ),
        );
        CardCheck::check($card, $row);

        return $card;
    }
}
