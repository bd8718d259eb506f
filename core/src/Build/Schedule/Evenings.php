<?php

declare(strict_types=1);

namespace Impa\Build\Schedule;

use DateTimeImmutable;

/** When the felter sits down: on which days of the week, from when on, at what time; and by when it is to be ready. Immutable. */
final readonly class Evenings
{
    public const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** @param  non-empty-list<string>  $days */
    private function __construct(
        public array $days,
        public DateTimeImmutable $from,
        public ?DateTimeImmutable $by,
    ) {
    }

    /**
     * @param  list<string>  $days  of DAYS
     * @param  string  $today  no day before it can be chosen; all dates as 2026-12-24
     * @param  string  $from  empty for today
     * @param  string  $by  empty where there is no hurry
     * @param  string  $at  time of day at which a sitting begins, as 19:30
     *
     * @throws ScheduleRefused if there is no such day, date or time, or one is gone already
     */
    public static function of(array $days, string $today, string $from = '', string $by = '', string $at = '19:00'): self
    {
        $days = array_map(strtolower(...), $days);
        foreach (array_diff($days, self::DAYS) as $unknown) {
            throw ScheduleRefused::unknownDay($unknown);
        }
        if ($days === []) {
            throw ScheduleRefused::noDays();
        }
        if (preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $at) !== 1) {
            throw ScheduleRefused::noTime($at);
        }
        $begin = self::date($from === '' ? $today : $from);
        $ready = $by === '' ? null : self::date($by);
        foreach ([$begin, $ready ?? $begin] as $date) {
            if ($date < self::date($today)) {
                throw ScheduleRefused::gone($date->format('Y-m-d'));
            }
        }
        if ($ready !== null && $ready < $begin) {
            throw ScheduleRefused::readyBeforeBegun($by, $begin->format('Y-m-d'));
        }
        [$hour, $minute] = array_map(intval(...), explode(':', $at));

        return new self(array_values($days), $begin->setTime($hour, $minute), $ready);
    }

    /** @return list<DateTimeImmutable> the beginnings of the first so many sittings */
    public function beginnings(int $count): array
    {
        $beginnings = [];
        for ($day = $this->from; count($beginnings) < $count; $day = $day->modify('+1 day')) {
            if (in_array(strtolower($day->format('D')), $this->days, true)) {
                $beginnings[] = $day;
            }
        }

        return $beginnings;
    }

    /** How many sittings there can be until it is to be ready; as many as wished where there is no hurry. */
    public function sittingsInTime(): int
    {
        $count = 0;
        for ($day = $this->from; $this->by !== null && $day < $this->by->modify('+1 day'); $day = $day->modify('+1 day')) {
            $count += (int) in_array(strtolower($day->format('D')), $this->days, true);
        }

        return $this->by === null ? PHP_INT_MAX : $count;
    }

    /** @throws ScheduleRefused */
    private static function date(string $text): DateTimeImmutable
    {
        $date = DateTimeImmutable::createFromFormat('!Y-m-d', $text);
        if ($date === false || $date->format('Y-m-d') !== $text || $date->format('Y') > '2200') {
            throw ScheduleRefused::noDate($text);
        }

        return $date;
    }
}
