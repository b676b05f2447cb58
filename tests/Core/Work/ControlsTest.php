<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Data\Knowledge;
use Metrum\Diagnosis\Cautions;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\MoveAnswer;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
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
            self::assertNotNull(DerivedFigure::tryFrom($figure), $figure);
        }
        foreach ($row->changes as $key) {
            $known = Reading::tryFrom($key) ?? (Observation::tryFrom($key) ?? Test::tryFrom($key));
            self::assertNotNull($known, $key);
        }
        foreach (Cautions::words($row->cautions) as $caution) {
            self::assertNotSame('', $caution);
        }
        foreach (Knowledge::file('moves')->row($control->value)->row('says')->keys() as $outcome) {
            self::assertNotNull(MoveOutcome::tryFrom($outcome), $outcome);
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
        self::assertSame(array_column(Control::cases(), 'value'), Knowledge::file('moves')->keys());
    }

    public function test_what_a_move_came_to_speaks_in_the_right_direction(): void
    {
        $said = static function (Control $control, MoveOutcome $outcome, float $value, bool $again = false): array {
            return (new MoveAnswer($control, $outcome, $value, PartId::circuit(), $again))->speech()->faults ?? [];
        };
        $short = Fault::Undercharge->value;
        $much = Fault::Overcharge->value;
        self::assertGreaterThan(0.0, $said(Control::Charge, MoveOutcome::AsForetold, 0.4)[$short]);
        self::assertLessThan(0.0, $said(Control::Charge, MoveOutcome::Nothing, 0.4, true)[$short]);
        self::assertSame([], $said(Control::Charge, MoveOutcome::Nothing, 0.4), 'a receiver hides the first');
        self::assertGreaterThan(0.0, $said(Control::Charge, MoveOutcome::AsForetold, -0.4)[$much]);
        self::assertLessThan(0.0, $said(Control::Charge, MoveOutcome::Nothing, -0.4)[$much]);
        $dirt = Fault::CondenserAirflowLow->value;
        self::assertLessThan(0.0, $said(Control::CondenserWashed, MoveOutcome::Nothing, 1.0)[$dirt]);
        self::assertLessThan(0.0, $said(Control::ValveTurn, MoveOutcome::AsForetold, -0.25)[$short]);
        $stuck = Fault::ValveUnderfeeding->value;
        self::assertGreaterThan(0.0, $said(Control::ValveTurn, MoveOutcome::Nothing, -0.25, true)[$stuck]);
    }
}
