<?php

namespace App\Records;

use App\Models\FollowUp;
use Sabre\VObject\Component\VCalendar;

/** A follow-up as a calendar file. */
final class Calendar
{
    public static function of(FollowUp $followUp): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Metrum//Follow-up//EN']);
        $circuit = $followUp->circuit;
        $event = $calendar->createComponent('VEVENT', [
            'UID' => $followUp->id.'@metrum',
            'DTSTAMP' => now()->utc()->toDateTimeImmutable(),
            'SUMMARY' => $followUp->what.' ('.$circuit->name.')',
            'LOCATION' => trim($circuit->site->name.', '.(string) $circuit->site->place, ', '),
        ]);
        $event->add('DTSTART', $followUp->due_on->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $followUp->due_on->copy()->addDay()->format('Ymd'), ['VALUE' => 'DATE']);
        $calendar->add($event);

        return $calendar->serialize();
    }
}
