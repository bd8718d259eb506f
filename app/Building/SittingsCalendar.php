<?php

declare(strict_types=1);

namespace App\Building;

use DateTimeImmutable;
use Impa\Build\ScheduleSheet;
use Impa\Build\Work;
use Impa\Print\Page\Page;
use Sabre\VObject\Component\VCalendar;

/**
 * The sittings as a calendar file (RFC 5545): floating times, as the felter's own clock shows them.
 *
 * @phpstan-import-type ScheduleDocument from ScheduleSheet
 */
final class SittingsCalendar
{
    /** @param  ScheduleDocument  $schedule */
    public static function of(array $schedule, Work $work): string
    {
        $titles = [];
        foreach ($work->steps as $step) {
            $titles[$step->key] = (string) $step->title;
        }
        $name = Page::printable($work->ledger->figure->name);
        $calendar = new VCalendar(['PRODID' => '-//Impa//Sittings//EN']);
        $sittings = $schedule['sittings'];
        foreach ($sittings as $i => $sitting) {
            $steps = array_unique(array_map(static fn (array $s): string => $titles[$s['key']] ?? $s['key'], $sitting['steps']));
            $calendar->add('VEVENT', [
                'UID' => sprintf('%s@impa.invalid', hash('sha256', implode("\n", [$name, $sitting['start'], (string) $i]))),
                'SUMMARY' => sprintf('Felting: %s (%d of %d)', $name, $i + 1, count($sittings)),
                'DESCRIPTION' => implode("\n", array_map(Page::printable(...), $steps)),
                // Times without a zone: it is seven in the evening wherever she sits.
                'DTSTART' => (new DateTimeImmutable($sitting['start']))->format('Ymd\THis'),
                'DTEND' => (new DateTimeImmutable($sitting['end']))->format('Ymd\THis'),
            ]);
        }

        return $calendar->serialize();
    }
}
