<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Section;
use Metrum\Findings\PartFindings;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Atmosphere;

/** Reads what was found of one thing in a file: readings in file units, answers in words. */
final class FoundReader
{
    /** Keys of it. */
    public const KEYS = ['complaint', 'state', 'readings', 'observations', 'tests'];

    public static function part(Section $row, Atmosphere $air): PartFindings
    {
        return new PartFindings(
            self::readings($row, $air),
            self::answers($row, 'observations', Observation::class),
            self::answers($row, 'tests', Test::class),
            $row->word('state', State::class),
            $row->words('complaint', Complaint::class),
        );
    }

    /** The same of a compressor of several: it may also be off because nothing calls it. */
    public static function compressor(Section $row, Atmosphere $air): PartFindings
    {
        $asked = $row->section('observations');
        $word = $asked->given(Observation::Compressor->value);

        return $word === Word::OffNotCalled->value
            ? new PartFindings(
                self::readings($row, $air),
                [Observation::Compressor->value => Word::OffNotCalled] +
                    self::answers($row, 'observations', Observation::class, [Observation::Compressor->value]),
                self::answers($row, 'tests', Test::class),
            )
            : self::part($row, $air);
    }

    /** @return array<string, float> SI, by key of Reading */
    public static function readings(Section $found, Atmosphere $atmosphere): array
    {
        $section = $found->section('readings');
        $section->only(array_column(Reading::cases(), 'value'));
        $readings = [];
        foreach ($section->keys() as $key) {
            $reading = Reading::tryFrom($key);
            $si = $reading === null ? null : $section->amount($key, $reading->field($atmosphere));
            if ($si !== null) {
                $readings[$key] = $si;
            }
        }

        return $readings;
    }

    /**
     * @param  class-string<Observation>|class-string<Test>  $questions
     * @param  list<string>  $besides  keys that are read elsewhere
     * @return array<string, Word>
     */
    public static function answers(Section $found, string $name, string $questions, array $besides = []): array
    {
        $section = $found->section($name);
        $section->only(array_column($questions::cases(), 'value'));
        $answers = [];
        foreach (array_diff($section->keys(), $besides) as $key) {
            $asked = $questions::tryFrom($key);
            if ($asked === null) {
                continue;
            }
            $word = $section->oneOf($key, $asked->words(), $section->given($key));
            if ($word !== null) {
                $answers[$key] = $word;
            }
        }

        return $answers;
    }
}
