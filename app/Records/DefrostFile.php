<?php

namespace App\Records;

use App\Models\Plant;
use Sabre\VObject\Component\VCalendar;

/** A defrost schedule as a file: for a spreadsheet, and as a calendar of every day. */
final class DefrostFile
{
    private const COLUMNS = ['circuit', 'kind', 'start', 'minutes'];

    /** @param  list<array{circuit: string, kind: string, start: string, minutes: int}>  $lines */
    public static function csv(array $lines): string
    {
        return CsvText::of(self::COLUMNS, $lines);
    }

    /**
     * Times are those on the wall, wherever it is opened.
     *
     * @param  list<array{circuit: string, kind: string, start: string, minutes: int}>  $lines
     */
    public static function calendar(array $lines, Plant $plant): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Metrum//Defrost schedule//EN']);
        foreach ($lines as $place => $line) {
            $event = $calendar->createComponent('VEVENT', [
                'UID' => $plant->id.'-defrost-'.$place.'@metrum',
                'DTSTAMP' => now()->utc()->toDateTimeImmutable(),
                'SUMMARY' => 'Defrost: '.$line['circuit'],
                'LOCATION' => trim($plant->site->name.', '.(string) $plant->site->place, ', '),
                'DURATION' => 'PT'.$line['minutes'].'M',
                'RRULE' => 'FREQ=DAILY',
            ]);
            $event->add('DTSTART', now()->format('Ymd').'T'.str_replace(':', '', $line['start']).'00');
            $calendar->add($event);
        }

        return $calendar->serialize();
    }
}
