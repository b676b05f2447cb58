<?php

declare(strict_types=1);

namespace Metrum\Bench;

use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\Library;

/** What a person typed for a calculator, input by input: amounts, or refusals in words. */
final class TypedInputs
{
    /** @var array<string, float|string|list<float>|list<list<float>>> */
    private array $values = [];

    /** @var array<string, string> by key */
    private array $refusals = [];

    private bool $lacks = false;

    /** In which an absolute pressure was typed. */
    private ?Unit $vacuum = null;

    /** @param  array<string, string>  $typed  by key */
    public function __construct(Calculation $calculation, private readonly array $typed, private readonly Units $units)
    {
        foreach ($calculation->asks() as $input) {
            $text = trim($this->typed[$input->key] ?? '');
            if ($text === '') {
                $this->lacks = $this->lacks || ! $input->optional;

                continue;
            }
            try {
                $this->values[$input->key] = $this->read($input, $text);
            } catch (NotAQuantity|CannotBe $refusal) {
                $this->refusals[$input->key] = $refusal->getMessage();
            }
        }
    }

    /** Null while something is missing or cannot be. */
    public function given(): ?Inputs
    {
        return $this->lacks || $this->refusals !== []
            ? null
            : new Inputs($this->values, $this->units->asTyped($this->vacuum));
    }

    /** @return array<string, string> by key */
    public function refusals(): array
    {
        return $this->refusals;
    }

    /**
     * @return float|string|list<float>|list<list<float>>
     *
     * @throws NotAQuantity|CannotBe
     */
    private function read(Input $input, string $text): float|string|array
    {
        return match ($input->shape) {
            Shape::Refrigerant => Library::known()->has($text)
                ? $text
                : throw CannotBe::at($input->key, 'refrigerant not available'),
            Shape::One => $this->amount($input, $text),
            Shape::Series => $this->series($input, $text),
            Shape::Table => $this->table($input, $text),
        };
    }

    /** @throws NotAQuantity */
    private function amount(Input $input, string $text): float
    {
        assert($input->field !== null);

        $amount = $input->field->read($text, $this->units);
        if ($input->field->kind === QuantityKind::AbsolutePressure) {
            $this->vacuum = $amount->unit;
        }

        return $amount->si;
    }

    /**
     * Values with semicolons, commas with a blank behind, or lines between.
     *
     * @return list<float>
     *
     * @throws NotAQuantity|CannotBe
     */
    private function series(Input $input, string $text): array
    {
        $parts = self::parts('/\s*;\s*|,\s+|\n+/', $text);
        if (count($parts) < $input->least || count($parts) > Input::MOST) {
            $given = count($parts);
            $span = $input->least.' to '.Input::MOST;

            throw CannotBe::at(
                $input->key,
                "$input->label: you entered $given values. Enter $span, separated by ;.",
            );
        }

        return array_map(fn (string $part): float => $this->amount($input, $part), $parts);
    }

    /**
     * Rows with semicolons or lines between, their values with blanks.
     *
     * @return list<list<float>>
     *
     * @throws NotAQuantity|CannotBe
     */
    private function table(Input $input, string $text): array
    {
        $table = [];
        foreach (self::parts('/\s*;\s*|\n+/', $text) as $row) {
            $cells = self::parts('/\s+/', $row);
            if (count($cells) !== count($input->columns)) {
                $labels = array_map(
                    static fn (Input $one): string => mb_strtolower($one->label),
                    $input->columns,
                );
                $wanted = implode(' and ', $labels);

                throw CannotBe::at(
                    $input->key,
                    "$input->label: you entered “{$row}”. Enter $wanted, rows separated by ;.",
                );
            }
            $values = [];
            foreach ($input->columns as $i => $column) {
                $values[] = $this->amount($column, $cells[$i]);
            }
            $table[] = $values;
        }

        return $table;
    }

    /** @return list<string> */
    private static function parts(string $between, string $text): array
    {
        $parts = preg_split($between, trim($text), -1, PREG_SPLIT_NO_EMPTY);

        return $parts === false ? [] : $parts;
    }
}
