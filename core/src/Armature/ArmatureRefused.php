<?php

declare(strict_types=1);

namespace Impa\Armature;

use DomainException;
use Impa\Refusal;

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
            'The longest wire wants %.0f mm, and the longest you have is %.0f mm: get one %.0f mm longer, or twist two together.',
            $pieceMm,
            $longestMm,
            ceil($pieceMm - $longestMm),
        ));
    }

    public static function stockNotEnough(float $wantedMm, float $thereMm): self
    {
        return new self(sprintf(
            'The wires want %.0f mm in all, and what you have, %.0f mm, does not hold them all: get one more.',
            $wantedMm,
            $thereMm,
        ));
    }
}
