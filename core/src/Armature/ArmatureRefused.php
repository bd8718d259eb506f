<?php

declare(strict_types=1);

namespace Impa\Armature;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** Wire that cannot be cut, said in the felter's words. */
final class ArmatureRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('armature.armature-refused.this-cannot-be-cut');
    }

    public static function stockTooShort(float $pieceMm, float $longestMm): self
    {
        return new self(Message::of(
            'armature.armature-refused.the-longest-wire-wants',
            piece: Amount::mm($pieceMm),
            longest: Amount::mm($longestMm),
            mm: Amount::mm(ceil($pieceMm - $longestMm)),
        ));
    }

    public static function stockNotEnough(float $wantedMm, float $thereMm): self
    {
        return new self(Message::of(
            'armature.armature-refused.the-wires-want',
            wanted: Amount::mm($wantedMm),
            there: Amount::mm($thereMm),
        ));
    }
}
