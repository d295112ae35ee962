<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\Label;
use App\Record\ClassPlan;
use Carbon\CarbonImmutable;
use Sabre\VObject\Component\VCalendar;

/** A session's timetable as iCalendar (RFC 5545), one event a phase, on the clock of the place where it happens. */
final readonly class SessionCalendar
{
    /** Where no start is planned, the session begins at nine on the next Monday. */
    public static function of(ClassPlan $plan, int $groups): string
    {
        $first = $plan->plan->starts_at ?? CarbonImmutable::now()->next('Monday')->setTime(9, 0);
        $calendar = new VCalendar(['PRODID' => '-//Skivo//Session plan//EN']);
        foreach ($plan->timetable($groups)->slots as $number => $slot) {
            // A session without a date is a week after the one before it.
            $start = $plan->plan->startOf($slot->session) ?? $first->addWeeks($slot->session);
            // Without a zone: the same hour wherever the calendar is read.
            $at = static fn(float $minutes): string => $start->addSeconds((int) round(60 * $minutes))->format('Ymd\THis');
            $calendar->add('VEVENT', [
                'UID' => "skivo-{$plan->challenge->id}-{$slot->phase->value}" . ($slot->session === 0 ? '' : "-{$number}"),
                'SUMMARY' => Label::of($slot->phase) . " · {$plan->challenge->name}",
                'DTSTART' => $at($slot->fromMin),
                'DTEND' => $at($slot->toMin),
            ]);
        }

        return $calendar->serialize();
    }
}
