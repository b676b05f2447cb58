<?php

namespace App\View\Replacement;

use App\View\Owner\Money;
use Metrum\Quantity\Format;
use Metrum\Work\Replacement\Payback;

/** When replacement has paid itself back, in a sentence. */
final readonly class PaybackWords
{
    /** Years beyond which nobody counts. */
    private const FAR = 25.0;

    public function __construct(private Money $money)
    {
    }

    /** Empty where prices are missing. @param  string  $against  with what it is compared */
    public function of(?Payback $payback, string $against): string
    {
        if ($payback === null) {
            return '';
        }
        if ($payback->extra <= 0.0) {
            return "Compared with $against: replacement costs no more at first.";
        }
        $saving = $payback->saving;
        if ($saving->high <= 0.0) {
            return "Compared with $against: costs ".$this->whole($payback->extra).' more at first. No saving is known.';
        }

        return "Compared with $against: costs ".$this->whole($payback->extra).' more at first, saves '.
            $this->whole($saving->low).' to '.$this->whole($saving->high).' a year; '.self::years($payback);
    }

    private static function years(Payback $payback): string
    {
        [$from, $to, $likely] = [$payback->earliest(), $payback->latest(), $payback->likely()];
        $far = Format::number(self::FAR, 0);
        if ($from === null || $from > self::FAR) {
            return "not paid back within $far years.";
        }
        $said = $likely === null || $likely > self::FAR
            ? "likely not paid back within $far years"
            : 'likely paid back in '.Format::number($likely, 0).' years';
        $ends = $to === null || $to > self::FAR
            ? ' at the earliest, perhaps never'
            : ' to '.Format::number($to, 0).' years';

        return $said.' ('.Format::number($from, 0).$ends.').';
    }

    private function whole(float $amount): string
    {
        return $this->money->whole($amount);
    }
}
