<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Circuit\Control;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\ClockSet;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Said;

/** Reads what people type of their work: "valve 1/4 out", "washed condenser", "set 2", "wait 15". */
final class WorkLine
{
    private const AMOUNT =
        '(?<amount>\d+\s+\d\/\d|\d+\/\d|\d*[.,]\d+|\d+|\d*\s*[½¼¾⅛⅜⅝⅞])'.
        '\s*(?:turns?\s+)?(?<way>in|out)';

    private const FOUND = '(?:\s+(?:as\s+)?found\s+(?<found>.+))?';

    private const TURNED = [
        'regulator_turn' => '(?:pressure\s+)?regulator|epr',
        'head_valve_turn' => 'head(?:\s+pressure)?\s+valve',
        'valve_turn' => '(?:expansion\s+)?valve|txv',
    ];

    private const DONE = [
        'condenser_washed' => '(?:washed|cleaned)\s+(?:the\s+)?condenser|condenser\s+(?:washed|cleaned)',
        'coil_cleaned' => '(?:washed|cleaned)\s+(?:the\s+)?coil|coil\s+(?:washed|cleaned)',
        'coil_thawed' => '(?:thawed|defrosted)\s+(?:the\s+)?coil|coil\s+thawed',
        'drain_cleared' => 'cleared\s+(?:the\s+)?drain|drain\s+cleared',
        'bulb_remounted' => 'remounted\s+(?:the\s+)?bulb|bulb\s+remounted',
        'door_mended' => '(?:mended|closed)\s+(?:the\s+)?door|door\s+mended',
    ];

    /** Controls that are set to a value; without a name it is the thermostat. */
    private const SET = [
        'low_cut_out_set' => 'cut[\s-]?out',
        'low_cut_in_set' => 'cut[\s-]?in',
        'fan_delay_set' => 'fan\s+delay',
        'defrost_count_set' => 'defrosts',
        'defrost_length_set' => 'defrost\s+length',
        'defrost_end_set' => 'defrost\s+end',
        'drip_time_set' => 'drip(?:\s+time)?',
        'thermostat_set' => '(?:thermostat|box|point)?',
    ];

    /** Refrigerant in or out, and why before its leak is found. */
    private const CHARGED =
        '(?<way>added|charged|took\s+out|taken\s+out|recovered)\s+(?<amount>\d[\d.,]*\s*(?:kg|g|lb|lbs|oz)?)'.
        '(?:\s+(?:of\s+)?(?:refrigerant|gas))?(?:\s+because\s+(?<why>.+))?';

    /** What is left open, with the word that puts it back. */
    private const OPEN = [
        'stem' => ['cracked', 'back'],
        'cap' => ['off', 'on'],
        'bulb' => ['off', 'on'],
        'magnet' => ['on', 'off'],
        'valve' => ['shut', 'open'],
    ];

    /** One part of a line; null where it is not about work. */
    public static function read(string $part): ?Said
    {
        $text = trim($part);

        return self::turned($text) ??
            (self::charged($text) ??
                (self::set($text) ?? (self::done($text) ?? (self::waiting($text) ?? self::open($text)))));
    }

    /** "set cut-out 0.3 bar found 0.1", "set 2 found 5" */
    private static function set(string $text): ?Said
    {
        foreach (self::SET as $key => $names) {
            $pattern = "/^set\s+(?:$names)\s*(?:to\s+)?(?<amount>[-−+]?\d[\d.,]*(?:\s*[^\d\s]\S*)?)".self::FOUND.'$/iu';
            if (preg_match($pattern, $text, $is) === 1) {
                return new Said(FactKind::Move, $key, $is['amount'], $is['found'] ?? '');
            }
        }

        return null;
    }

    /** "added 350 g because product cannot wait", "took out 200 g" */
    private static function charged(string $text): ?Said
    {
        if (preg_match('/^'.self::CHARGED.'$/iu', $text, $is) !== 1) {
            return null;
        }
        $isIn = preg_match('/^(?:added|charged)$/i', $is['way']) === 1;
        $why = trim($is['why'] ?? '');

        return new Said(
            FactKind::Move,
            Control::Charge->value,
            ($isIn ? '' : '-').trim($is['amount']),
            with: $why === '' ? [] : [PlantMoved::OVERRULED => $why],
        );
    }

    private static function turned(string $text): ?Said
    {
        foreach (self::TURNED as $key => $names) {
            // "valve B 1/4 out": one capital or a number tells which.
            $pattern = "/^(?:$names)(?:\s+(?<which>[A-Z]|coil\s+\d+))?\s+".self::AMOUNT.self::FOUND.'$/u';
            if (preg_match($pattern, $text, $is) === 1 || preg_match($pattern.'i', $text, $is) === 1) {
                return new Said(
                    FactKind::Move,
                    $key,
                    trim($is['amount']).' '.strtolower($is['way']),
                    $is['found'] ?? '',
                    $is['which'],
                );
            }
        }

        return null;
    }

    private static function done(string $text): ?Said
    {
        foreach (self::DONE as $key => $names) {
            if (preg_match("/^(?:$names)$/iu", $text) === 1) {
                return new Said(FactKind::Move, Control::from($key)->value, 'done');
            }
        }

        return null;
    }

    private static function waiting(string $text): ?Said
    {
        return preg_match('/^wait\s+(\d+(?:[.,]\d+)?\s*(?:min(?:utes)?|m|h|s)?)$/iu', $text, $is) === 1
            ? new Said(FactKind::Clock, ClockSet::SETTLING, $is[1])
            : null;
    }

    private static function open(string $text): ?Said
    {
        foreach (self::OPEN as $what => [$opened, $back]) {
            if (preg_match("/^$what\s+($opened|$back)$/iu", $text, $is) === 1) {
                $kind = strtolower($is[1]) === $opened ? FactKind::Touched : FactKind::Restored;

                return new Said($kind, $what.'_'.$opened, 'yes');
            }
        }

        return null;
    }
}
