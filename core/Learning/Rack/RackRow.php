<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Diagnosis\Rack\CircuitSigns;
use Metrum\Diagnosis\Rack\PlantSigns;
use Metrum\Diagnosis\Rack\RackCurves;
use Metrum\Diagnosis\Rack\RackEvidence;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackScale;
use Metrum\Diagnosis\Rack\RackSign;
use Metrum\Diagnosis\Rack\RackWords;
use Metrum\Installation\Branch;
use Metrum\Knowledge\Fault;
use Metrum\Learning\Lesson;

/** What is kept of a drawn rack, or of one circuit of it, for fitting: its truth, its numbers, what words say. */
final readonly class RackRow
{
    /**
     * @param  bool  $plant  of what all share; else of a circuit
     * @param  string  $fault  as a word
     * @param  array<string, float>  $signs  SI by RackSign
     * @param  list<float>  $given  nats by place of the fault
     * @param  list<int>  $closed  places
     */
    private function __construct(
        public int $number,
        public bool $plant,
        public string $fault,
        public array $signs,
        public array $given,
        public array $closed,
    ) {
    }

    /** @return list<Fault> that are learned of what circuits share, or of one circuit; nothing wrong first */
    public static function faults(bool $plant): array
    {
        $names = array_keys($plant ? RackIlls::PLANT : RackIlls::CIRCUIT);

        return [Fault::NoFault, ...array_map(Fault::from(...), $names)];
    }

    /** @return list<self> the plant's own, and those of circuits that were read */
    public static function of(int $number, RackPatient $patient): array
    {
        $examined = RackExamination::of($patient->findings);
        $words = new RackWords($examined);
        $ofPlant = self::faults(plant: true);
        $rows = [
            new self(
                $number,
                true,
                $patient->ofPlant->value,
                (new PlantSigns($examined))->all(),
                self::added($words->ofPlant($ofPlant), count($ofPlant)),
                self::places($ofPlant, RackScale::notOfPlant($examined)),
            ),
        ];
        foreach ($patient->findings->plant->branches as $branch) {
            if (self::isRead($patient, $branch)) {
                $rows[] = self::circuit($number, $examined, $branch, $words, $patient);
            }
        }

        return $rows;
    }

    private static function isRead(RackPatient $patient, Branch $branch): bool
    {
        $isNoted = in_array($branch->part->value, $patient->wellRead, true);

        return $patient
            ->findings
            ->cools($branch) && ($isNoted || crc32($branch->part->value.$patient->ofCircuit->severity) % 4 === 0);
    }

    private static function circuit(
        int $number,
        RackExamination $examined,
        Branch $branch,
        RackWords $words,
        RackPatient $patient,
    ): self {
        $faults = self::faults(plant: false);
        $fault = $patient->ofCircuit->isOf($branch->part) ? $patient->ofCircuit->fault : Fault::NoFault;
        $closed = array_values(array_diff_key(
            self::places($faults, RackScale::notOfCircuit($branch)),
            [],
        ));

        return new self(
            $number,
            false,
            $fault->value,
            (new CircuitSigns($examined, $branch))->all(),
            self::added($words->ofCircuit($branch, $faults), count($faults)),
            array_values(array_diff($closed, [(int) array_search($fault, $faults, true)])),
        );
    }

    /**
     * @param  list<RackEvidence>  $evidence
     * @return list<float> nats by place
     */
    private static function added(array $evidence, int $faults): array
    {
        $added = array_fill(0, $faults, 0.0);
        foreach ($evidence as $piece) {
            foreach ($piece->weights as $place => $weight) {
                $added[$place] += $weight;
            }
        }

        return array_values($added);
    }

    /**
     * @param  list<Fault>  $faults
     * @param  list<Fault>  $which
     * @return list<int>
     */
    private static function places(array $faults, array $which): array
    {
        return array_keys(array_filter($faults, static fn (Fault $one): bool => in_array($one, $which, true)));
    }

    /** @param  array<string, list<int>>  $columns  of each sign's knots */
    public function lesson(array $columns): Lesson
    {
        $taken = $parts = [];
        foreach ($this->signs as $key => $value) {
            [$knot, $way] = RackCurves::place(RackSign::from($key), $value);
            $taken[] = $columns[$key][$knot];
            $parts[] = 1 - $way;
            if ($way > 0.0) {
                $taken[] = $columns[$key][$knot + 1];
                $parts[] = $way;
            }
        }
        $place = (int) array_search(Fault::from($this->fault), self::faults($this->plant), true);

        return new Lesson($taken, $parts, [$place => 1.0], $this->closed, $this->given);
    }

    public function line(): string
    {
        $round = static fn (float $one): float => round($one, 4);

        return json_encode(
            [
                $this->number,
                $this->plant,
                $this->fault,
                array_map($round, $this->signs),
                array_map($round, $this->given),
                $this->closed,
            ],
            JSON_THROW_ON_ERROR,
        );
    }

    public static function fromLine(string $line): self
    {
        /** @var array{int, bool, string, array<string, float|int>, list<float|int>, list<int>} $row */
        $row = json_decode($line, true, 8, JSON_THROW_ON_ERROR);

        return new self(
            $row[0],
            $row[1],
            $row[2],
            array_map(floatval(...), $row[3]),
            array_map(floatval(...), $row[4]),
            $row[5],
        );
    }
}
