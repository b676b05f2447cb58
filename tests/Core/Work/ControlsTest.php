<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Circuit\Control;
use Metrum\Circuit\DataFile;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;
use Metrum\Diagnosis\Cautions;
use Metrum\Findings\Derived;
use Metrum\Work\Outcome;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** data/moves.json says of every control what the rest of the house can understand. */
final class ControlsTest extends TestCase
{
    /** @return iterable<string, array{Control}> */
    public static function controls(): iterable
    {
        foreach (Control::cases() as $control) {
            yield $control->value => [$control];
        }
    }

    #[DataProvider('controls')]
    public function test_its_row_names_only_what_there_is(Control $control): void
    {
        $row = $control->row();
        self::assertNotSame('', $row->label);
        foreach ($row->figures as $figure) {
            self::assertNotNull(Derived::tryFrom($figure), $figure);
        }
        foreach ($row->changes as $key) {
            $known = Reading::tryFrom($key) ?? (Observation::tryFrom($key) ?? Test::tryFrom($key));
            self::assertNotNull($known, $key);
        }
        foreach (Cautions::words($row->cautions) as $caution) {
            self::assertNotSame('', $caution);
        }
        foreach (DataFile::read('moves')->row($control->value)->row('says')->keys() as $outcome) {
            self::assertNotNull(Outcome::tryFrom($outcome), $outcome);
        }
        if ($control->isStep()) {
            self::assertNotNull($row->step);
            self::assertNotNull($row->atOnce);
            self::assertNotSame([], $row->figures, 'a step is made for a figure');
            self::assertNotNull($row->settles, 'a step settles');
        }
    }

    public function test_the_file_names_no_other_controls(): void
    {
        self::assertSame(array_column(Control::cases(), 'value'), DataFile::read('moves')->keys());
    }
}
