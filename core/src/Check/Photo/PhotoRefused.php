<?php

declare(strict_types=1);

namespace Impa\Check\Photo;

use DomainException;
use Impa\Refusal;
use Impa\Voice\Amount;

/** A photo on which nothing can be judged: what is wrong with it, and how to take it. */
final class PhotoRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'This photo cannot be judged';
    }

    public static function tooDark(): self
    {
        return new self('The photo is too dark: take it beside a window or under a lamp, without flash.');
    }

    public static function busyGround(): self
    {
        return new self('The ground is too busy: lay the figure on one plain sheet that fills the picture, and take your hand away.');
    }

    public static function nothingThere(): self
    {
        return new self('No figure is seen on this photo: lay it on a plain sheet in another colour than its own.');
    }

    public static function cutOff(): self
    {
        return new self('The figure, or a hand that holds it, is cut off by the edge of the picture: leave some ground all round.');
    }

    public static function blurred(): self
    {
        return new self('The photo is blurred: rest the camera on something, and let it find its focus.');
    }

    public static function anotherFigure(float $overlap): self
    {
        return new self(sprintf(
            'This looks like another figure, or one seen from another side: only %s of it lies over the plan.',
            Amount::share($overlap),
        ));
    }

    public static function littleSeen(): self
    {
        return new self(
            'Too little of the plan is seen on this photo. Is it this figure, from this side? '
            .'Take it in light from all sides, on a plain sheet in another colour.',
        );
    }

    public static function rulerTooShort(): self
    {
        return new self('The two places on the ruler lie too near to each other: choose two that are far apart.');
    }

    public static function knownOutOfRange(): self
    {
        return new self('What is known must be 1 to 1000 mm.');
    }

    public static function noScalePart(): self
    {
        return new self('There is no such part to take the scale by.');
    }

    public static function scalePartUnsure(string $name): self
    {
        return new self(sprintf('The width of the %s is not seen surely enough to take the scale by it: choose another part.', $name));
    }

    public static function noParts(): self
    {
        return new self('This figure has no parts that a photo could be held against.');
    }
}
