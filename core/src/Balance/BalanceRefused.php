<?php

declare(strict_types=1);

namespace Impa\Balance;

use DomainException;
use Impa\Refusal;

/** A cure that cannot be tried, said in the felter's words. */
final class BalanceRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be tried';
    }

    public static function noSuchCure(string $kind): self
    {
        return new self(sprintf(
            '"%s" is no cure of this figure: it stands firmly already, or that is not enough.',
            mb_strimwidth($kind, 0, 20, '...'),
        ));
    }
}
