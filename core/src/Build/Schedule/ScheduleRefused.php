<?php

declare(strict_types=1);

namespace Impa\Build\Schedule;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A schedule that cannot be made, said in the felter's words. */
final class ScheduleRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('build.schedule-refused.this-cannot-be-scheduled');
    }

    public static function sittingTooShort(float $minutes, float $least): self
    {
        return new self(Message::of('build.schedule-refused.a-sitting', minutes: self::minutes($minutes), least: self::minutes($least)));
    }

    public static function sittingTooLong(float $most): self
    {
        return new self(Message::of('build.schedule-refused.a-session-can-be', most: Amount::minutes($most)));
    }

    public static function noDays(): self
    {
        return new self(Message::of('build.schedule-refused.say-on-which-days'));
    }

    public static function unknownDay(string $day): self
    {
        return new self(Message::of('build.schedule-refused.is-no-day-write', day: mb_strimwidth($day, 0, 20, '...')));
    }

    public static function noDate(string $date): self
    {
        return new self(Message::of('build.schedule-refused.is-no-date-write', date: mb_strimwidth($date, 0, 20, '...')));
    }

    public static function noTime(string $time): self
    {
        return new self(Message::of('build.schedule-refused.is-no-time', time: mb_strimwidth($time, 0, 20, '...')));
    }

    public static function gone(string $date): self
    {
        return new self(Message::of('build.schedule-refused.is-gone-already-choose', date: $date));
    }

    public static function readyBeforeBegun(string $by, string $from): self
    {
        return new self(Message::of('build.schedule-refused.ready-by-is-before', by: $by, from: $from));
    }

    private static function minutes(float $minutes): string
    {
        return sprintf('%.0f %s', $minutes, round($minutes) === 1.0 ? 'minute' : 'minutes');
    }
}
