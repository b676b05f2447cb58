<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Bench\Calculator;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Shape;
use Metrum\Data\Refused;
use Metrum\Quantity\Unanswerable;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\Library;

/** One line of `metrum:calculate`: a calculator by name and its inputs in file units, its outputs and its steps. */
final class CalculatorQuestion
{
    private const SHOWN = 40;

    /** @var array<string, float|string|list<float>|list<list<float>>> */
    private array $values = [];

    /** @var list<string> */
    private array $reasons = [];

    /**
     * @return array{outputs: array<string, mixed>, steps: list<string>}
     *
     * @throws Refused
     */
    public static function answer(string $line): array
    {
        $asked = json_decode($line, true, 8);
        if (! is_array($asked) || array_is_list($asked)) {
            throw new Refused(['line: expected a JSON object']);
        }
        $name = $asked['calculator'] ?? null;
        $calculator = is_string($name) ? Calculator::tryFrom($name) : null;
        if ($calculator === null) {
            $known = implode(', ', array_column(Calculator::cases(), 'value'));
            $what = is_string($name) ? '"'.self::shown($name).'" is unknown' : 'expected a name';

            throw new Refused(["calculator: $what; allowed: $known"]);
        }
        $inputs = $asked['inputs'] ?? null;
        if (! is_array($inputs) || ($inputs !== [] && array_is_list($inputs))) {
            throw new Refused(['inputs: expected a JSON object']);
        }

        return (new self())->of($calculator, $inputs);
    }

    /**
     * @param  array<mixed>  $inputs
     * @return array{outputs: array<string, mixed>, steps: list<string>}
     *
     * @throws Refused
     */
    private function of(Calculator $calculator, array $inputs): array
    {
        $calculation = $calculator->does();
        $asks = $calculation->asks();
        $keys = array_map(static fn (Input $one): string => $one->key, $asks);
        foreach (array_diff(array_map(strval(...), array_keys($inputs)), $keys) as $unknown) {
            $this->refuse(self::shown($unknown), 'unknown key; allowed: '.implode(', ', $keys));
        }
        foreach ($asks as $input) {
            if (array_key_exists($input->key, $inputs)) {
                $this->take($input, $inputs[$input->key]);
            } elseif (! $input->optional) {
                $this->refuse($input->key, 'missing');
            }
        }
        if ($this->reasons !== []) {
            throw new Refused($this->reasons);
        }
        try {
            $answer = $calculation->answer(new Inputs($this->values, new Units(pressure: Unit::Kilopascal)));
        } catch (CannotBe $wrong) {
            throw new Refused(["inputs.{$wrong->input}: {$wrong->getMessage()}"]);
        } catch (Unanswerable $wrong) {
            throw new Refused(['inputs: '.$wrong->getMessage()]);
        }
        $outputs = [];
        foreach ($answer->outputs as $output) {
            $outputs[$output->key] = $output->inFile();
        }

        return ['outputs' => $outputs, 'steps' => $answer->steps];
    }

    private function take(Input $input, mixed $given): void
    {
        $value = match ($input->shape) {
            Shape::Refrigerant => $this->fluid($given),
            Shape::One => $this->number($input, $given, $input->key),
            Shape::Series => $this->series($input, $given),
            Shape::Table => $this->table($input, $given),
        };
        if ($value !== null) {
            $this->values[$input->key] = $value;
        }
    }

    private function fluid(mixed $given): ?string
    {
        $library = Library::known();
        if (is_string($given) && $library->has($given)) {
            return $given;
        }
        $what = is_string($given) ? '"'.self::shown($given).'" is not available' : 'expected a name';

        return $this->refuse('refrigerant', $what.'; known: '.implode(', ', $library->names()));
    }

    private function number(Input $input, mixed $given, string $path): ?float
    {
        if ((! is_int($given) && ! is_float($given)) || $input->field === null) {
            return $this->refuse($path, 'expected a number');
        }
        $si = $input->unit->toSi((float) $given);
        $refusal = $input->field->refusal($si, $input->unit);

        return $refusal === null ? $si : $this->refuse($path, "got $given; $refusal");
    }

    /** @return ?list<float> */
    private function series(Input $input, mixed $given): ?array
    {
        $rows = $this->listed($input, $given);
        $series = [];
        foreach ($rows ?? [] as $i => $one) {
            $series[] = $this->number($input, $one, "{$input->key}.$i") ?? NAN;
        }

        return $rows === null ? null : $series;
    }

    /** @return ?list<list<float>> */
    private function table(Input $input, mixed $given): ?array
    {
        $rows = $this->listed($input, $given);
        $table = [];
        foreach ($rows ?? [] as $i => $row) {
            $cells = [];
            foreach ($input->columns as $place => $column) {
                $path = "{$input->key}.$i.{$column->key}";
                $cells[] = $this->number($column, self::cell($column, $place, $row), $path) ?? NAN;
            }
            $table[] = $cells;
        }

        return $rows === null ? null : $table;
    }

    /** A cell of a row that is an object by key, or a list by place; a row of one cell may be that cell alone. */
    private static function cell(Input $column, int $place, mixed $row): mixed
    {
        if (! is_array($row)) {
            return $place === 0 ? $row : null;
        }
        foreach ([$column->key, ...$column->also] as $key) {
            if (array_key_exists($key, $row)) {
                return $row[$key];
            }
        }

        return array_is_list($row) ? $row[$place] ?? null : null;
    }

    /** @return ?list<mixed> */
    private function listed(Input $input, mixed $given): ?array
    {
        if (! is_array($given) || ! array_is_list($given)) {
            return $this->refuse($input->key, 'expected a list');
        }
        $count = count($given);
        if ($count < $input->least || $count > Input::MOST) {
            $span = $input->least.' to '.Input::MOST;

            return $this->refuse($input->key, "got $count values, expected $span");
        }

        return $given;
    }

    private function refuse(string $path, string $why): null
    {
        $this->reasons[] = "inputs.$path: $why";

        return null;
    }

    private static function shown(string $text): string
    {
        return mb_strlen($text) > self::SHOWN ? mb_substr($text, 0, self::SHOWN).'…' : $text;
    }
}
