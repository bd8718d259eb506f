<?php

declare(strict_types=1);

namespace Impa\Shape;

use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A shape that cannot be felted as described. */
final class ShapeRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('shape.shape-refused.this-cannot-be-felted');
    }

    public static function sizeMustBePositive(Size $size): self
    {
        return new self(
            Message::of('shape.shape-refused.every-size-must-be', width: Lengths::of($size->widthMm, $size->heightMm, $size->depthMm)),
        );
    }

    public static function taperOutOfRange(float $taper): self
    {
        return new self(Message::of('shape.shape-refused.the-taper', taper: Amount::number($taper)));
    }

    public static function endMustBePositive(ShapeKind $kind, float $mm): self
    {
        return new self(Message::of('shape.shape-refused.both-ends', kind: $kind->value, mm: Amount::mm($mm)));
    }

    public static function radiusMustNotBeNegative(float $mm): self
    {
        return new self(Message::of('shape.shape-refused.a-corner-or-edge', mm: Amount::mm($mm)));
    }

    public static function tubeThickerThanRing(float $tubeMm, float $ringMm): self
    {
        return new self(
            Message::of('shape.shape-refused.a-ring-across-cannot', ring: Amount::mm($ringMm), tube: Amount::mm($tubeMm)),
        );
    }

    public static function bendOutOfRange(float $bendDeg): self
    {
        return new self(Message::of('shape.shape-refused.a-piece-can-be', bend: Amount::degrees($bendDeg)));
    }

    public static function outlineNeedsThreePoints(int $count): self
    {
        return new self(Message::of('shape.shape-refused.an-outline-needs', count: $count));
    }

    public static function outlineEnclosesNothing(): self
    {
        return new self(
            Message::of('shape.shape-refused.the-outline-crosses-itself'),
        );
    }

    public static function unknownKind(string $kind): self
    {
        return new self(Message::of('shape.shape-refused.there-is-no-shape', kind: $kind));
    }

    public static function unknownOutline(string $outline): self
    {
        return new self(Message::of('shape.shape-refused.there-is-no-plate', outline: $outline));
    }
}
