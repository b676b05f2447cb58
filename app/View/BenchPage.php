<?php

namespace App\View;

use App\Models\Visit;
use App\Picture\Bars;
use Illuminate\Http\Request;
use Metrum\Bench\Answer;
use Metrum\Bench\Calculator;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Group;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Shape;
use Metrum\Bench\TypedInputs;
use Metrum\Findings\Findings;
use Metrum\Installation\DesignKey;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unanswerable;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\Library;

/** One calculator of the bench: what it asks, what was typed, and what it answers. */
final class BenchPage
{
    /** Inputs that go by another name at a visit. */
    private const AT_A_VISIT = [
        'liquid_pipe_c' => Reading::CondenserOutletTemperature,
        'suction_pipe_compressor_c' => Reading::SuctionTemperatureCompressor,
        'measured_evaporator_pressure_kpa' => Reading::EvaporatorPressure,
        'measured_pressure_kpa' => Reading::DischargePressure,
        'return_gas_before_c' => Reading::SuctionTemperatureCompressor,
        'bulb_temperature_c' => Reading::SuctionTemperatureEvaporator,
        'receiver_pressure_kpa' => Reading::DischargePressure,
    ];

    /** Answers that a note holds. */
    private const NOTED = 6;

    private const OF_DESIGN = [
        'box_set_point_c' => DesignKey::BoxSetPoint,
        'evaporator_td_k' => DesignKey::EvaporatorTd,
        'condenser_split_k' => DesignKey::CondenserSplit,
        'rated_current_a' => DesignKey::RatedCurrent,
        'target_superheat_k' => DesignKey::Superheat,
    ];

    private readonly TypedInputs $typed;

    private readonly ?Inputs $all;

    private ?Answer $answer = null;

    private string $impossible = '';

    /** @param  array<string, string>  $given  as typed, by key */
    public function __construct(
        public readonly Calculator $calculator,
        private readonly array $given,
        private readonly Units $units,
        public readonly ?Visit $from = null,
        private readonly ?Findings $findings = null,
    ) {
        $typed = [];
        foreach ($this->inputs() as $input) {
            $typed[$input->key] = $this->value($input);
        }
        $this->typed = new TypedInputs($calculator->does(), $typed, $units);
        $all = $this->typed->given();
        $this->all = $all;
        try {
            $this->answer = $all === null ? null : $calculator->does()->answer($all);
        } catch (CannotBe $wrong) {
            $this->impossible = $this->label($wrong->input).': '.$wrong->getMessage().'.';
        } catch (Unanswerable $wrong) {
            $this->impossible = $wrong->getMessage();
        }
    }

    /** @return array<string, string> what the bench is opened with from a page: its visit stays at hand */
    public static function of(Request $request): array
    {
        $visit = $request->route('visit') ?? $request->query('visit');
        $id = $visit instanceof Visit ? $visit->id : $visit;

        return is_string($id) ? ['visit' => $id] : [];
    }

    private function label(string $key): string
    {
        foreach ($this->inputs() as $input) {
            if ($input->key === $key) {
                return $input->label;
            }
        }

        return $key;
    }

    /** @return list<Input> */
    public function inputs(): array
    {
        return $this->calculator->does()->asks();
    }

    /** As typed, else as it was found at the visit; empty where nothing is known. */
    public function value(Input $input): string
    {
        return $this->given[$input->key] ?? $this->found($input);
    }

    private function found(Input $input): string
    {
        $findings = $this->findings;
        if ($findings === null) {
            return $input->shape === Shape::Refrigerant ? 'R-448A' : '';
        }
        if ($input->shape === Shape::Refrigerant) {
            return $findings->circuit->refrigerant;
        }
        if ($input->key === 'atmospheric_kpa') {
            return $this->shown($input, $findings->circuit->atmosphere->pascal);
        }
        $reading = self::AT_A_VISIT[$input->key] ?? Reading::tryFrom($input->key);
        $design = self::OF_DESIGN[$input->key] ?? null;
        $si = match (true) {
            $reading !== null => $findings->reading($reading),
            $design !== null => $findings->circuit->design->value($design),
            default => null,
        };

        return $si === null ? '' : $this->shown($input, $si);
    }

    private function shown(Input $input, float $si): string
    {
        $unit = $this->unit($input);

        return Format::value($si, $unit).' '.$unit->symbol();
    }

    public function unit(Input $input): Unit
    {
        return $input->field === null ? Unit::One : $this->units->of($input->field->kind);
    }

    /** What may be typed, in a few words. */
    public function hint(Input $input): string
    {
        return match ($input->shape) {
            Shape::Series => 'separate values with ;',
            Shape::Table => implode(' ', array_map(
                static fn (Input $one): string => mb_strtolower($one->label),
                $input->columns,
            )).', rows with ; between',
            Shape::One, Shape::Refrigerant => $input->optional ? 'empty: sea level' : '',
        };
    }

    public function refusal(Input $input): string
    {
        return $this->typed->refusals()[$input->key] ?? '';
    }

    /** What cannot be, where everything was typed; empty where it can. */
    public function impossible(): string
    {
        return $this->impossible;
    }

    /** @return list<array{string, string}> what it answers: label and value */
    public function outputs(): array
    {
        $rows = [];
        foreach ($this->answer->outputs ?? [] as $output) {
            $rows[] = [$output->label, $output->text($this->units)];
        }

        return $rows;
    }

    /** Where one says it faster than words. */
    public function picture(): ?Bars
    {
        return $this->answer === null || $this->all === null
            ? null
            : (new BenchPicture($this->all, $this->answer, $this->units))->of($this->calculator);
    }

    /** Readings that were typed here, as a quick line of the visit says them; empty where none was. */
    public function readings(): string
    {
        $said = [];
        foreach ($this->inputs() as $input) {
            $reading = self::AT_A_VISIT[$input->key] ?? Reading::tryFrom($input->key);
            $typed = trim($this->given[$input->key] ?? '');
            $isOwn = $typed !== '' && $typed !== $this->found($input);
            if ($reading !== null && $isOwn && $this->refusal($input) === '') {
                $said[] = $reading->taking()->said[0].' '.$typed;
            }
        }

        return implode('; ', $said);
    }

    /** What it answers, as a note of the visit keeps it. */
    public function note(): string
    {
        $told = array_map(
            static fn (array $one): string => mb_strtolower($one[0]).' '.$one[1],
            array_slice($this->outputs(), 0, self::NOTED),
        );

        return 'Calculator, '.mb_strtolower($this->calculator->title()).': '.implode(', ', $told);
    }

    /** @return list<string> */
    public function steps(): array
    {
        return $this->answer->steps ?? [];
    }

    /** @return array<string, string> */
    public static function refrigerants(): array
    {
        $names = Library::known()->names();

        return array_combine($names, $names);
    }

    /** @return list<Group> */
    public static function groups(): array
    {
        return Group::cases();
    }

    /** Which unit a kind is typed in where none is said. */
    public function usual(Input $input): string
    {
        $isPlain = $input->field === null || $input->field->kind === QuantityKind::Ratio;

        return $isPlain ? '' : $this->unit($input)->symbol();
    }
}
