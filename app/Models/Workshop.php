<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The workshop as its customers know it, and what it takes.
 *
 * @property int $id
 * @property string $name
 * @property string $address
 * @property string $contact
 * @property string $currency  ISO 4217
 * @property float $tax_percent
 * @property int $labour  an hour, in hundredths of the currency
 * @property int $call_out
 * @property ?string $calendar_key  by which its calendar is subscribed to
 * @property ?string $prices  one a line: name; unit; price
 */
final class Workshop extends Model
{
    private const ONLY = 1;

    public const CURRENCIES = ['EUR', 'GBP', 'USD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'CAD', 'AUD'];

    public $incrementing = false;

    protected $table = 'workshop';

    protected $fillable = [
        'id',
        'name',
        'address',
        'contact',
        'currency',
        'tax_percent',
        'labour',
        'call_out',
        'prices',
        'calendar_key',
    ];

    /** @var array<string, mixed> as a new one is */
    protected $attributes = [
        'id' => self::ONLY,
        'name' => '',
        'address' => '',
        'contact' => '',
        'currency' => 'EUR',
        'tax_percent' => 0.0,
        'labour' => 0,
        'call_out' => 0,
    ];

    protected function casts(): array
    {
        return ['tax_percent' => 'float'];
    }

    /** The one that there is, as it was set, or as a new one is. */
    public static function current(): self
    {
        return self::query()->find(self::ONLY) ?? new self();
    }

    /** @return array<string, string> those that can be chosen, by themselves */
    public static function currencies(): array
    {
        return array_combine(self::CURRENCIES, self::CURRENCIES);
    }

    /** As it is typed. */
    public function typedLabour(): string
    {
        return number_format($this->labour / 100, 2, '.', '');
    }

    public function typedCallOut(): string
    {
        return number_format($this->call_out / 100, 2, '.', '');
    }

    /** Hundredths of the currency for one of what is sold; null where it is not on the list. */
    public function price(string $name): ?int
    {
        foreach (PriceLines::read((string) $this->prices)->lines as $line) {
            if (mb_strtolower($line->what) === mb_strtolower($name)) {
                return $line->price;
            }
        }

        return null;
    }
}
