<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** A photo on which nothing can be judged: what is wrong with it, and how to take it. */
final class PhotoRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('check.photo-refused.this-photo-cannot-be');
    }

    public static function tooDark(): self
    {
        return new self(Message::of('check.photo-refused.the-photo-is-too'));
    }

    public static function busyGround(): self
    {
        return new self(Message::of('check.photo-refused.the-ground-is-too'));
    }

    public static function nothingThere(): self
    {
        return new self(Message::of('check.photo-refused.no-figure-is-seen'));
    }

    public static function cutOff(): self
    {
        return new self(Message::of('check.photo-refused.the-figure'));
    }

    public static function blurred(): self
    {
        return new self(Message::of('check.photo-refused.the-photo-is-blurred'));
    }

    public static function anotherFigure(float $overlap): self
    {
        return new self(Message::of('check.photo-refused.this-looks-like-another', overlap: Amount::share($overlap)));
    }

    public static function littleSeen(): self
    {
        return new self(
            Message::of('check.photo-refused.too-little'),
        );
    }

    public static function rulerTooShort(): self
    {
        return new self(Message::of('check.photo-refused.the-two-places'));
    }

    public static function knownOutOfRange(): self
    {
        return new self(Message::of('check.photo-refused.what-is-known-must', mm: Amount::mm(1.0), mm2: Amount::mm(1000.0)));
    }

    public static function noScalePart(): self
    {
        return new self(Message::of('check.photo-refused.there-is-no-such'));
    }

    public static function scalePartUnsure(string $name): self
    {
        return new self(Message::of('check.photo-refused.the-width', name: $name));
    }

    public static function noParts(): self
    {
        return new self(Message::of('check.photo-refused.this-figure-has-no'));
    }
}
