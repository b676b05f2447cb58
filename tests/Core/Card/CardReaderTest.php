<?php

declare(strict_types=1);

namespace Tests\Core\Card;

use Metrum\Card\CardReader;
use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A mistake in a card's file is named with the file and the path at which it stands. */
final class CardReaderTest extends TestCase
{
    private const CARD = [
        'card' => 'trial',
        'name' => 'Trial',
        'why' => 'To see what is refused.',
        'does' => 'test',
        'station' => 'verdict',
        'minutes' => 5,
        'tools' => [],
        'effort' => 'hand',
        'fits' => [],
        'gates' => ['running'],
        'cautions' => [],
        'suspects' => [],
        'steps' => [
            ['key' => 'warm', 'take' => 'temperature', 'label' => 'Warm', 'least' => 0, 'most' => 90],
            ['key' => 'cold', 'take' => 'temperature', 'label' => 'Cold', 'least' => 0, 'most' => 90],
            ['key' => 'apart', 'figure' => 'difference', 'with' => ['of_c' => 'warm', 'less_c' => 'cold']],
        ],
        'outcome' => [
            [
                'key' => 'far',
                'label' => 'Far',
                'when' => [['of' => 'apart.difference_k', 'above' => 2]],
                'says' => 'By {apart.difference_k}.',
            ],
            ['key' => 'near', 'label' => 'Near', 'when' => [], 'says' => 'Near.'],
        ],
        'after' => [],
    ];

    public function test_a_right_one_is_read(): void
    {
        self::assertSame('Trial', self::read([])->name);
    }

    /** @return iterable<string, array{string, mixed, string}> path, what stands there instead, path that is named */
    public static function mistakes(): iterable
    {
        yield 'another name than its file' => ['card', 'other', 'card'];
        yield 'an unknown key' => ['colour', 'red', 'colour'];
        yield 'no such station' => ['station', 'roof', 'station'];
        yield 'no such gate' => ['gates', ['weather'], 'gates.0'];
        yield 'no such fault' => ['suspects', ['bad luck'], 'suspects.0'];
        yield 'a step that does nothing' => ['steps.0', ['key' => 'warm'], 'steps.0.key'];
        yield 'a step that does two things' => ['steps.0.tick', 'Done', 'steps.0.key'];
        yield 'no such quantity' => ['steps.0.take', 'mood', 'steps.0.take'];
        yield 'two steps of one name' => ['steps.1.key', 'warm', 'steps.1.key'];
        yield 'a name that is kept for the card' => ['steps.1.key', 'done', 'steps.1.key'];
        yield 'no such sum' => ['steps.2.figure', 'magic', 'steps.2.figure'];
        yield 'an input that is missing' => ['steps.2.with', ['of_c' => 'warm'], 'steps.2.with.less_c'];
        yield 'an input that is none' => [
            'steps.2.with',
            ['of_c' => 'warm', 'less_c' => 'cold', 'more' => 'warm'],
            'steps.2.with.more',
        ];
        yield 'a figure of a step that is not there' => ['steps.2.with.of_c', 'hot', 'steps.2.with.of_c'];
        yield 'no such reading' => ['steps.2.with.of_c', 'reading:mood_c', 'steps.2.with.of_c'];
        yield 'no such house rule' => ['outcome.0.when.0.above', 'rule:luck.low', 'outcome.0.when.0.above'];
        yield 'a rule without its end' => ['outcome.0.when.0.above', 'rule:drier_drop', 'outcome.0.when.0.above'];
        yield 'a figure without its output' => ['outcome.0.when.0.of', 'apart', 'outcome.0.when.0'];
        yield 'a clause without a comparison' => ['outcome.0.when.0', ['of' => 'warm'], 'outcome.0.when.0.of'];
        yield 'a sentence with an unknown value' => ['outcome.0.says', 'By {luck}.', 'outcome.0'];
        yield 'no such test' => ['outcome.0.tells', ['luck' => 'yes'], 'outcome.0.tells.luck'];
        yield 'a test that is not answered so' => [
            'outcome.0.tells',
            ['valve_screen' => 'rated'],
            'outcome.0.tells.valve_screen',
        ];
        yield 'nothing that holds in the end' => ['outcome.1.when', [['of' => 'warm', 'above' => 2]], 'outcome.1.when'];
        yield 'two ends of one name' => ['outcome.1.key', 'far', 'outcome'];
        yield 'something touched and never put back' => ['steps.0.touches', 'a stem', 'steps'];
        yield 'something put back that nobody touched' => ['steps.0.restores', 'a stem', 'steps'];
    }

    public function test_an_answer_that_is_none_of_its_step_is_named(): void
    {
        $this->expectException(BrokenData::class);
        $this->expectExceptionMessageMatches('~trial\.json: outcome\.0\.when\.0\.is~');
        self::read([
            'steps.0' => ['key' => 'warm', 'choose' => ['a' => 'this'], 'label' => 'Which?'],
            'outcome.0.when.0' => ['of' => 'warm', 'is' => 'b'],
        ]);
    }

    #[DataProvider('mistakes')]
    public function test_a_mistake_is_named_with_its_place(string $path, mixed $instead, string $named): void
    {
        $this->expectException(BrokenData::class);
        $this->expectExceptionMessageMatches('~data/cards/trial\.json: '.preg_quote($named, '~').'~');
        self::read([$path => $instead]);
    }

    /** @param  array<string, mixed>  $instead  by path */
    private static function read(array $instead): \Metrum\Card\Card
    {
        $card = self::CARD;
        foreach ($instead as $path => $value) {
            $place = &$card;
            foreach (explode('.', $path) as $key) {
                $place = &$place[$key];
            }
            $place = $value;
            unset($place);
        }

        return CardReader::read(new DataRow('data/cards/trial.json', $card), 'trial');
    }
}
