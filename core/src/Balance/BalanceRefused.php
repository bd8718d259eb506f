<?php

declare(strict_types=1);

namespace Impa\Balance;

use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A cure that cannot be tried, said in the felter's words. */
final class BalanceRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('balance.balance-refused.this-cannot-be-tried');
    }

    public static function noSuchCure(string $kind): self
    {
        return new self(Message::of('balance.balance-refused.is-no-cure', kind: mb_strimwidth($kind, 0, 20, '...')));
    }
}
