<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Knowledge\ChargePurpose;
use Metrum\Knowledge\Control;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\ClockSet;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Log\Statement;

/**
 * Reads what people type of their work: "valve 1/4 out", "washed condenser", "set 2", "wait 15"; with how it was found
 * and why behind it, in any order.
 */
final class WorkLine
{
    private const AMOUNT = '(?<amount>\d+\s+\d\/\d|\d+\/\d|\d*[.,]\d+|\d+|\d*\s*[½¼¾⅛⅜⅝⅞])\s*(?:of\s+a\s+)?(?:turns?)?';

    /** Ways a turn is said: the pattern, and which way it is where no word of it says so. */
    private const TURNS = [
        '(?:turned\s+)?(?:the\s+)?(?:%s)(?:\s+(?<which>[A-Z]|coil\s+\d+))?\s+%s\s*(?<way>in|out)' => '',
        // "valve in 3" is a pipe's temperature: a turn told so has a fraction, or says that it is one.
        '(?:turned\s+)?(?:the\s+)?(?:%s)(?:\s+(?<which>[A-Z]|coil\s+\d+))?\s+(?<way>in|out)\s+'.
            '(?=.*[\/½¼¾⅛⅜⅝⅞t])%s' => '',
        'opened\s+(?:the\s+)?(?:%s)(?:\s+(?<which>[A-Z]|coil\s+\d+))?\s+%s' => 'out',
        'closed\s+(?:the\s+)?(?:%s)(?:\s+(?<which>[A-Z]|coil\s+\d+))?\s+%s' => 'in',
    ];

    /** Clauses behind what was done: how it was found, and why. */
    private const CLAUSES = '/\s+(?<name>(?:as\s+)?found|because|as\s+found\s+at)\s+/iu';

    private const TURNED = [
        'regulator_turn' => '(?:pressure\s+)?regulator|epr',
        'head_valve_turn' => 'head(?:\s+pressure)?\s+valve',
        'valve_turn' => '(?:expansion\s+)?valve|txv',
    ];

    private const DONE = [
        'condenser_washed' => '(?:washed|cleaned)\s+(?:the\s+)?condenser',
        'coil_cleaned' => '(?:washed|cleaned)\s+(?:the\s+)?coil',
    ];

    /** What is no part of its own: it is put right by another move. */
    private const NO_PART = '/^(?:fan|fan\s+motor|gasket|door\s+gasket|load|delivery|product)$/iu';

    /** Controls that are set to a value; without a name it is the thermostat. */
    private const SET = [
        'low_cut_out_set' => 'cut[\s-]?out',
        'low_cut_in_set' => 'cut[\s-]?in',
        'fan_delay_set' => 'fan\s+delay',
        'defrost_count_set' => 'defrosts',
        'defrost_length_set' => 'defrost\s+length',
        'defrost_end_set' => 'defrost\s+end',
        'drip_time_set' => 'drip(?:\s+time)?',
        'thermostat_set' => '(?:thermostat|box)?',
    ];

    /** Refrigerant in or out, and why before its leak is found. */
    private const CHARGED =
        '(?<way>added|charged|put\s+in|topped\s+up|took\s+out|taken\s+out|recovered|removed)\s+'.
        '(?<amount>\d[\d.,]*\s*(?:kg|g|lb|lbs|oz)?)(?:\s+(?:of\s+)?(?:refrigerant|gas|r-?\d+\w*))?';

    /** What is left open, with the word that puts it back. */
    private const OPEN = [
        'cap' => ['off', 'on'],
        'bulb' => ['off', 'on'],
        'magnet' => ['on', 'off'],
        'valve' => ['shut', 'open'],
    ];

    /** One part of a line; null where it is not about work. */
    public static function read(string $part): ?Statement
    {
        [$text, $found, $why] = self::clauses(trim($part));

        return self::turned($text, $found, $why) ??
            (self::charged($text, $why) ??
                (self::set($text, $found, $why) ??
                    (self::done($text, $found, $why) ??
                        ($found === '' && $why === '' ? self::waiting($text) ?? self::open($text) : null))));
    }

    /** @return array{string, string, string} what was done, how it was found, and why */
    private static function clauses(string $text): array
    {
        $split = preg_split(self::CLAUSES, $text, -1, PREG_SPLIT_DELIM_CAPTURE);
        $parts = $split === false ? [$text] : $split;
        $said = ['found' => '', 'because' => ''];
        for ($i = 1; $i < count($parts); $i += 2) {
            $name = str_ends_with(mb_strtolower($parts[$i]), 'because') ? 'because' : 'found';
            $said[$name] = trim($parts[$i + 1]);
        }

        return [trim($parts[0]), $said['found'], $said['because']];
    }

    /** @return array<string, string> as a move is told why it is made all the same */
    private static function why(string $why): array
    {
        return $why === '' ? [] : [PlantMoved::OVERRULED => $why];
    }

    /** "set cut-out 0.3 bar found 0.1", "set 2 found 5" */
    private static function set(string $text, string $found, string $why): ?Statement
    {
        foreach (self::SET as $key => $names) {
            $pattern = "/^set\s+(?:the\s+)?(?:$names)\s*(?:to\s+)?(?<amount>[-−+]?\d[\d.,]*(?:\s*[^\d\s]\S*)?)$/iu";
            if (preg_match($pattern, $text, $is) === 1) {
                return new Statement(FactKind::Move, $key, $is['amount'], $found, with: self::why($why));
            }
        }

        return null;
    }

    /** "added 350 g because product cannot wait", "took out 200 g" */
    private static function charged(string $text, string $why): ?Statement
    {
        if (preg_match('/^'.self::CHARGED.'$/iu', $text, $is) !== 1) {
            return null;
        }
        $isIn = preg_match('/^(?:added|charged|put\s+in|topped\s+up)$/iu', $is['way']) === 1;
        $isRecovered = mb_strtolower($is['way']) === 'recovered';

        return new Statement(
            FactKind::Move,
            Control::Charge->value,
            ($isIn ? '' : '-').trim($is['amount']),
            with: self::why($why) + ($isRecovered ? [WeighedAmount::PURPOSE => ChargePurpose::Repair->value] : []),
        );
    }

    private static function turned(string $text, string $found, string $why): ?Statement
    {
        foreach (self::TURNED as $key => $names) {
            foreach (self::TURNS as $turn => $way) {
                // "valve B 1/4 out": one capital or a number tells which.
                $pattern = '/^'.sprintf($turn, $names, self::AMOUNT).'$/u';
                if (preg_match($pattern, $text, $is) === 1 || preg_match($pattern.'i', $text, $is) === 1) {
                    return new Statement(
                        FactKind::Move,
                        $key,
                        trim($is['amount']).' '.strtolower($is['way'] ?? $way),
                        $found,
                        $is['which'],
                        self::why($why),
                    );
                }
            }
        }

        return null;
    }

    /** "washed condenser", "replaced the drier because it was plugged" */
    private static function done(string $text, string $found, string $why): ?Statement
    {
        foreach (self::DONE as $key => $names) {
            if (preg_match("/^(?:$names)$/iu", $text) === 1) {
                return new Statement(FactKind::Move, Control::from($key)->value, 'done', $found, with: self::why($why));
            }
        }
        $isPart = preg_match('/^(?:replaced|new)\s+(?:the\s+)?(?<part>[\p{L}][\p{L} -]{2,40})$/iu', $text, $is) === 1;

        return $isPart && preg_match(self::NO_PART, $is['part']) !== 1
            ? new Statement(
                FactKind::Move,
                Control::PartReplaced->value,
                'done',
                $found,
                trim($is['part']),
                self::why($why),
            )
            : null;
    }

    private static function waiting(string $text): ?Statement
    {
        return preg_match('/^(?:wait|clock|timer)\s+(\d+(?:[.,]\d+)?\s*(?:min(?:utes)?|m|h|s)?)$/iu', $text, $is) === 1
            ? new Statement(FactKind::Clock, ClockSet::SETTLING, $is[1])
            : null;
    }

    private static function open(string $text): ?Statement
    {
        foreach (self::OPEN as $what => [$opened, $back]) {
            if (preg_match("/^$what\s+($opened|$back)$/iu", $text, $is) === 1) {
                $kind = strtolower($is[1]) === $opened ? FactKind::Touched : FactKind::Restored;

                return new Statement($kind, $what.'_'.$opened, 'yes');
            }
        }

        return null;
    }
}
