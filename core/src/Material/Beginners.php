<?php

declare(strict_types=1);

namespace Impa\Material;

/**
 * How those who begin differ from hands that are used to felting: one prior, in which each number has its spread (house choices; they
 * take far too much wool, and longer: common practice). No measurement.
 */
final class Beginners
{
    /** Wool by the median beginner, times the plan's, and the scatter of its logarithm. */
    public const GRAMS = 1.12;

    public const GRAMS_SIGMA = 0.35;

    /** Minutes by the median beginner, times the plan's, and the scatter of their logarithm. */
    public const MINUTES = 1.6;

    public const MINUTES_SIGMA = 0.35;

    /** Needles that one of them breaks at a sitting; a used hand breaks fewer. */
    public const BREAKS = 0.3;

    public const USED_BREAKS = 0.1;
}
