<?php

declare(strict_types=1);

namespace Impa\Check;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** What cannot be checked, said in the felter's words. */
final class CheckRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('check.check-refused.this-cannot-be-checked');
    }

    /** @param  'width'|'height'|'depth'  $what */
    public static function noSize(string $what, float $mm): self
    {
        return new self(Message::of('check.no-size.'.$what, mm: Amount::mm($mm)));
    }

    public static function noWeight(float $g): self
    {
        return new self(Message::of('check.check-refused.is-no-weight-lay', g: Amount::g($g)));
    }

    public static function noDetail(string $key): self
    {
        return new self(Message::of('check.check-refused.there-is-no-detail', key: mb_strimwidth($key, 0, 60, '...')));
    }

    public static function noAnswer(Message $asked, float $most, string $unit): self
    {
        return new self(Message::of('check.check-refused.a-number-above-0', asked: $asked, most: $most, unit: $unit));
    }

    public static function noPart(string $key): self
    {
        return new self(Message::of('check.check-refused.there-is-no-part', key: mb_strimwidth($key, 0, 60, '...')));
    }
}
