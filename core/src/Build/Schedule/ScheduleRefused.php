<?php

declare(strict_types=1);

namespace Impa\Build\Schedule;

use DomainException;
use Impa\Refusal;
use Impa\Voice\Amount;

/** A schedule that cannot be made, said in the felter's words. */
final class ScheduleRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be scheduled';
    }

    public static function sittingTooShort(float $minutes, float $least): self
    {
        return new self(sprintf(
            'A sitting of %s is too short: give at least %s, so that no step must be put down in the middle.',
            self::minutes($minutes),
            self::minutes($least),
        ));
    }

    public static function sittingTooLong(float $most): self
    {
        return new self(sprintf('A session can be %s at most: give fewer minutes.', Amount::minutes($most)));
    }

    public static function noDays(): self
    {
        return new self('Say on which days you sit down: mon, tue, wed, thu, fri, sat or sun.');
    }

    public static function unknownDay(string $day): self
    {
        return new self(sprintf('"%s" is no day: write mon, tue, wed, thu, fri, sat or sun.', mb_strimwidth($day, 0, 20, '...')));
    }

    public static function noDate(string $date): self
    {
        return new self(sprintf('"%s" is no date: write it as 2026-12-24.', mb_strimwidth($date, 0, 20, '...')));
    }

    public static function noTime(string $time): self
    {
        return new self(sprintf('"%s" is no time of day: write it as 19:30.', mb_strimwidth($time, 0, 20, '...')));
    }

    public static function gone(string $date): self
    {
        return new self(sprintf('%s is gone already: choose today or a later day.', $date));
    }

    public static function readyBeforeBegun(string $by, string $from): self
    {
        return new self(sprintf('Ready by %s is before you begin, on %s: choose a later day.', $by, $from));
    }

    private static function minutes(float $minutes): string
    {
        return sprintf('%.0f %s', $minutes, round($minutes) === 1.0 ? 'minute' : 'minutes');
    }
}
