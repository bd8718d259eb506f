<?php

declare(strict_types=1);

namespace Impa\Shape;

use Impa\Refusal;
use InvalidArgumentException;

/** A shape that cannot be felted as described. */
final class ShapeRefused extends InvalidArgumentException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be felted';
    }

    public static function sizeMustBePositive(Size $size): self
    {
        return new self(
            sprintf('Every dimension must be more than 0 mm, not %g x %g x %g.', $size->widthMm, $size->heightMm, $size->depthMm),
        );
    }

    public static function taperOutOfRange(float $taper): self
    {
        return new self(sprintf('The taper of an egg lies between -0.6 and 0.6, not %g.', $taper));
    }

    public static function endMustBePositive(ShapeKind $kind, float $mm): self
    {
        return new self(sprintf('Both ends of a %s must be thicker than 0 mm, not %g.', $kind->value, $mm));
    }

    public static function radiusMustNotBeNegative(float $mm): self
    {
        return new self(sprintf('A corner or edge is rounded by 0 mm or more, not %g.', $mm));
    }

    public static function tubeThickerThanRing(float $tubeMm, float $ringMm): self
    {
        return new self(
            sprintf(
                'A ring %g mm across cannot be made from a roll %g mm thick: the roll is at most half of it.',
                $ringMm,
                $tubeMm,
            ),
        );
    }

    public static function bendOutOfRange(float $bendDeg): self
    {
        return new self(sprintf('A piece can be bent by 0 to 330 degrees, not %g.', $bendDeg));
    }

    public static function outlineNeedsThreePoints(int $count): self
    {
        return new self(sprintf('An outline needs at least three points, not %d.', $count));
    }

    public static function outlineEnclosesNothing(): self
    {
        return new self(
            'The outline crosses itself, so that what it encloses cancels out to nothing: put its points in their order round the shape.',
        );
    }

    public static function unknownKind(string $kind): self
    {
        return new self(sprintf('There is no shape called "%s".', $kind));
    }

    public static function unknownOutline(string $outline): self
    {
        return new self(sprintf('There is no plate outline called "%s".', $outline));
    }
}
