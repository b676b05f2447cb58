<?php

namespace App\View\Board;

use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Str;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\CaseMark;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\CaseForm;
use Metrum\Installation\Coil;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/**
 * The cases of one circuit side by side: each with its air, fans, ice and product; the coil pressure is of all.
 *
 * @phpstan-type Shown array{
 *     name: string, form: string, sign: string, over: string, cells: list<BoardCell>, choices: list<BoardChoice>
 * }
 */
final readonly class BoardCases
{
    private const READ = [
        Reading::BoxTemperature,
        Reading::SupplyAirTemperature,
        Reading::SuctionTemperatureEvaporator,
        Reading::ProductTemperature,
        Reading::FansRunning,
        Reading::FansFitted,
    ];

    private const SEEN = [
        Observation::EvaporatorFans,
        Observation::FrostCoil,
        Observation::EvaporatorFace,
        Observation::Product,
    ];

    public RackFindings $found;

    public Units $units;

    public bool $mayEnter;

    public string $entries;

    public function __construct(
        public Visit $visit,
        User $user,
        private ?RackVerdict $verdict,
        public Branch $branch,
    ) {
        $this->units = $user->units();
        $this->found = $visit->rack();
        $this->mayEnter = $user->can('enter', $visit);
        $this->entries = route('entries.store', $visit);
    }

    public function ulid(): string
    {
        return (string) Str::ulid();
    }

    public function domId(): string
    {
        return 'board-cases-'.strtr($this->branch->part->value, ' ', '-');
    }

    public function name(): string
    {
        return $this->found->nameOf($this->branch);
    }

    /** Who holds the regulator open; empty where nobody stands out. */
    public function holding(): string
    {
        $case = $this->verdict?->holdsOpen($this->branch);

        return $case === null
            ? ''
            : $this->found->nameOf($case).' keeps the EPR open. The cold cases next to it do not confirm that the '.
                'EPR works.';
    }

    public function pressure(): BoardCell
    {
        return BoardCell::of(
            $this->branch->part,
            Reading::EvaporatorPressure,
            $this->found->of($this->branch->part),
            $this->units,
            'Coil pressure, all cases',
        );
    }

    /** @return list<Shown> */
    public function all(): array
    {
        return array_map($this->one(...), $this->branch->coils);
    }

    /** @return Shown */
    private function one(Coil $coil): array
    {
        $over = $this->found->aboveSet($this->branch, $coil);
        $own = $this->found->of($coil->part);

        return [
            'name' => $this->found->nameOf($coil),
            'form' => $coil->form?->label() ?? '',
            'sign' => CaseMark::of($over, $this->found->cools($this->branch))->sign(),
            'over' => match (true) {
                $over === null => 'air not read',
                abs($over) < 0.5 => 'at set point',
                default => $this->units->text(abs($over), QuantityKind::Difference).
                    ($over > 0.0 ? ' above set' : ' below set'),
            },
            'cells' => array_map(
                fn (Reading $reading): BoardCell => BoardCell::of($coil->part, $reading, $own, $this->units),
                self::READ,
            ),
            'choices' => array_map(
                static fn (Observation $asked): BoardChoice => BoardChoice::of($coil->part, $asked, $own),
                [...self::SEEN, ...self::ofForm($coil->form)],
            ),
        ];
    }

    /** @return list<Observation> what only some forms have */
    private static function ofForm(?CaseForm $form): array
    {
        return match ($form) {
            CaseForm::OpenMultideck, CaseForm::Service => [Observation::AirCurtain, Observation::NightCover],
            CaseForm::Island => [Observation::NightCover],
            CaseForm::GlassDoor, null => [Observation::Doors],
        };
    }
}
