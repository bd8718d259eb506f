<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A number that this figure has not, said in the felter's words. */
final class NumberRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('trace.refused.title');
    }

    public static function noSuchNumber(string $number): self
    {
        $known = implode(', ', Numbers::KNOWN);

        return new self(Message::of('trace.refused.number', number: mb_strimwidth($number, 0, 60, '...'), known: $known));
    }

    public static function notOfThis(string $number, string $of): self
    {
        return new self(Message::of('trace.refused.of', number: $number, of: mb_strimwidth($of, 0, 60, '...')));
    }
}
