<?php

namespace App\View\Board;

use Metrum\Findings\Mark;
use Metrum\Findings\PartFindings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Units;

/**
 * The compressors of a rack side by side: whether each runs, and if not, what stopped it; its current and discharge.
 *
 * @phpstan-type Shown array{
 *     id: string,
 *     name: string,
 *     part: PartId,
 *     sign: string,
 *     cells: list<BoardCell>,
 *     choice: BoardChoice
 * }
 */
final readonly class BoardCompressors
{
    private const READ = [Reading::CompressorCurrent, Reading::DischargeTemperature];

    /** Of a rack the suction header calls compressors, and no thermostat. */
    private const WORDS = [
        Word::Running,
        Word::OffNotCalled,
        Word::OffOnLowPressure,
        Word::OffOnHighPressure,
        Word::OffOnOverload,
        Word::OffOnOil,
        Word::ShortCycling,
        Word::WillNotStart,
    ];

    public function __construct(private RackFindings $found, private Units $units)
    {
    }

    /** @return list<Shown> */
    public function all(): array
    {
        return array_map($this->one(...), $this->found->plant->compressors());
    }

    /** What is said of them so far: "C3 off on overload"; empty where nothing is. */
    public function said(): string
    {
        $said = [];
        foreach ($this->found->plant->compressors() as $unit) {
            $word = $this->found->of($unit->part)->observed(Observation::Compressor);
            if ($word !== null) {
                $said[] = $this->found->nameOf($unit).' '.lcfirst($word->label());
            }
        }

        return implode(', ', $said);
    }

    /** @return list<array{name: string, value: string, asks: bool}> each that tripped or does not start */
    public function tripped(): array
    {
        $tripped = [];
        foreach ($this->found->plant->compressors() as $unit) {
            $own = $this->found->of($unit->part);
            if (self::mark($own) === Mark::Act) {
                $tripped[] = [
                    'name' => 'Compressor '.$this->found->nameOf($unit),
                    'value' => $own->observed(Observation::Compressor)?->label().
                        ': find out why before you reset it, once.',
                    'asks' => true,
                ];
            }
        }

        return $tripped;
    }

    /** @return Shown */
    private function one(CompressorUnit $unit): array
    {
        $own = $this->found->of($unit->part);

        return [
            'name' => $this->found->nameOf($unit),
            'part' => $unit->part,
            'sign' => self::mark($own)->sign(),
            'cells' => array_map(
                fn (Reading $reading): BoardCell => BoardCell::of($unit->part, $reading, $own, $this->units),
                self::READ,
            ),
            'id' => 'board-'.strtr($unit->part->value, ' ', '-'),
            'choice' => BoardChoice::of($unit->part, Observation::Compressor, $own, self::WORDS),
        ];
    }

    /** What tripped must be answered; one that nothing calls need not run. */
    private static function mark(PartFindings $own): Mark
    {
        $word = $own->observed(Observation::Compressor);

        return match (true) {
            $word === Word::WillNotStart, $word?->stop()?->isTrip() === true => Mark::Act,
            $word === null, $word === Word::Running, $word === Word::OffNotCalled => Mark::Fine,
            default => Mark::Look,
        };
    }
}
