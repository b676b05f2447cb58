<?php

namespace App\Records;

use App\Models\FollowUp;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/** Follow-ups as a calendar: one as a file, or all that are open to subscribe to. */
final class Calendar
{
    private const MADE_BY = '-//Metrum//Follow-up//EN';

    public static function of(FollowUp $followUp): string
    {
        $calendar = new VCalendar(['PRODID' => self::MADE_BY]);
        $calendar->add(self::event($calendar, $followUp));

        return $calendar->serialize();
    }

    /** @param  iterable<FollowUp>  $all */
    public static function ofAll(string $name, iterable $all): string
    {
        $calendar = new VCalendar(['PRODID' => self::MADE_BY, 'X-WR-CALNAME' => $name, 'METHOD' => 'PUBLISH']);
        foreach ($all as $one) {
            $calendar->add(self::event($calendar, $one));
        }

        return $calendar->serialize();
    }

    private static function event(VCalendar $calendar, FollowUp $followUp): VEvent
    {
        $circuit = $followUp->circuit;
        $terms = [];
        foreach ($followUp->terms() as $name => $said) {
            $terms[] = "$name: $said";
        }
        $event = $calendar->createComponent('VEVENT', array_filter([
            'UID' => $followUp->id.'@metrum',
            'DTSTAMP' => now()->utc()->toDateTimeImmutable(),
            'SUMMARY' => $followUp->what.' ('.$circuit->name.')',
            'DESCRIPTION' => implode("\n", $terms),
            'LOCATION' => trim($circuit->site->name.', '.(string) $circuit->site->place, ', '),
        ], static fn (mixed $one): bool => $one !== ''));
        assert($event instanceof VEvent);
        $event->add('DTSTART', $followUp->due_on->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $followUp->due_on->copy()->addDay()->format('Ymd'), ['VALUE' => 'DATE']);

        return $event;
    }
}
