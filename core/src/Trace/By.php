<?php

declare(strict_types=1);

namespace Impa\Trace;

/** How a number comes of others; a given one comes of none. */
enum By: string
{
    case Given = 'given';
    case Sum = 'sum';
    /** The first without the second. */
    case Difference = 'difference';
    case Product = 'product';
    /** An area in cm2 so many mm thick, in cm3. */
    case Layer = 'layer';
    case Quotient = 'quotient';
    case Power = 'power';
    /** The largest of them. */
    case Most = 'most';
    /** The smallest of them. */
    case Least = 'least';
    /** The base of natural logarithms to the power of it. */
    case Exponential = 'exponential';
    /** The lean in degrees whose tangent it is. */
    case Lean = 'lean';

    /** @param  list<float>  $of  as many as it takes: two of most, one of a given number */
    public function of(array $of): float
    {
        return match ($this) {
            self::Given => $of[0],
            self::Sum => array_sum($of),
            self::Difference => $of[0] - $of[1],
            self::Product => array_product($of),
            self::Layer => $of[0] * $of[1] / 10,
            self::Quotient => $of[0] / $of[1],
            self::Power => $of[0] ** $of[1],
            self::Most => max(...$of),
            self::Least => min(...$of),
            self::Exponential => exp($of[0]),
            self::Lean => rad2deg(atan($of[0])),
        };
    }

    /**
     * As it is written.
     *
     * @param  non-empty-list<string>  $of  what it comes of, already written
     */
    public function written(array $of): string
    {
        return match ($this) {
            self::Given => $of[0],
            self::Sum => implode(' + ', $of),
            self::Difference => implode(' − ', $of),
            self::Product, self::Layer => implode(' × ', $of),
            self::Quotient => implode(' ÷ ', $of),
            self::Power => implode(' ^ ', $of),
            self::Most => 'max('.implode('; ', $of).')',
            self::Least => 'min('.implode('; ', $of).')',
            self::Exponential => "e ^ $of[0]",
            self::Lean => "arctan($of[0])",
        };
    }
}
