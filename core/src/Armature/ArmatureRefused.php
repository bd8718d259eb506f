<?php

declare(strict_types=1);

namespace Impa\Armature;

use DomainException;
use Impa\Refusal;
use Impa\Voice\Amount;

/** Wire that cannot be cut, said in the felter's words. */
final class ArmatureRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be cut';
    }

    public static function stockTooShort(float $pieceMm, float $longestMm): self
    {
        return new self(sprintf(
            'The longest wire wants %s, and the longest you have is %s: get one %s longer, or twist two together.',
            Amount::mm($pieceMm),
            Amount::mm($longestMm),
            Amount::mm(ceil($pieceMm - $longestMm)),
        ));
    }

    public static function stockNotEnough(float $wantedMm, float $thereMm): self
    {
        return new self(sprintf(
            'The wires want %s in all, and what you have, %s, does not hold them all: get one more.',
            Amount::mm($wantedMm),
            Amount::mm($thereMm),
        ));
    }
}
