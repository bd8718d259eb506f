<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Figure\Figure;

/** What finished height a wish about one size comes to. Everything grows alike. Immutable. */
final readonly class Sizing
{
    private function __construct(
        public float $heightMm,
        public float $factor,
    ) {
    }

    /** How tall a figure's parts stand, without what stands apart; the finished height where it has none. */
    public static function standsMm(Figure $figure): float
    {
        $low = INF;
        $high = -INF;
        foreach ($figure->parts as $part) {
            // What stands apart, such as a lantern, does not make the figure taller.
            if ($part->stand->group === '') {
                [$foot, $top] = $part->placements()[0]->levelsMm();
                [$low, $high] = [min($low, $foot), max($high, $top)];
            }
        }

        return $high > $low ? max(0.0, $high - $low - $figure->base->flattenMm) : $figure->heightMm;
    }

    public static function toHeight(Figure $figure, float $heightMm): self
    {
        return self::by($figure, $heightMm / $figure->heightMm);
    }

    /**
     * One part is to be so wide.
     *
     * @throws SizingRefused if there is no such part, or the height comes out beyond 10 to 2000 mm
     */
    public static function toPartWidth(Figure $figure, string $part, float $widthMm): self
    {
        $known = $figure->parts[$part] ?? throw SizingRefused::noSuchPart($part);
        if (! ($widthMm > 0.0)) {
            throw SizingRefused::mustBePositive($widthMm);
        }

        return self::by($figure, $widthMm / $known->solid->size()->widthMm);
    }

    /**
     * The figure is to go through a round opening, upright, and stand no taller than a height: a jar, a pot, a dome.
     *
     * @param  float  $acrossMm  inner width of the opening
     * @param  float  $tallMm  inner height; 0 for no limit
     *
     * @throws SizingRefused if the figure has no parts, or the height comes out beyond 10 to 2000 mm
     */
    public static function toFit(Figure $figure, float $acrossMm, float $tallMm = 0.0): self
    {
        if (! ($acrossMm > 0.0) || $tallMm < 0.0) {
            throw SizingRefused::mustBePositive(min($acrossMm, $tallMm));
        }
        [$widest, $height] = self::extent($figure);
        $factor = $acrossMm / $widest;

        return self::by($figure, $tallMm > 0.0 ? min($factor, $tallMm / $height) : $factor);
    }

    /**
     * Diameter of the narrowest round opening about the middle of its footprint's box through which it goes upright, and its height.
     *
     * @return array{float, float}
     *
     * @throws SizingRefused if the figure has no parts
     */
    private static function extent(Figure $figure): array
    {
        $points = [];
        $low = INF;
        $high = -INF;
        foreach ($figure->parts as $part) {
            foreach ($part->placements() as $placement) {
                [$foot, $top] = $placement->levelsMm();
                [$low, $high] = [min($low, $foot), max($high, $top)];
                foreach ($placement->rings() as $ring) {
                    array_push($points, ...$ring);
                }
            }
        }
        if ($points === []) {
            throw SizingRefused::nothingToSize();
        }
        $xs = array_column($points, 0);
        $zs = array_column($points, 2);
        [$x, $z] = [(min($xs) + max($xs)) / 2, (min($zs) + max($zs)) / 2];
        $reach = max(array_map(static fn (array $p): float => hypot($p[0] - $x, $p[2] - $z), $points));

        return [2 * $reach, $high - $low];
    }

    private static function by(Figure $figure, float $factor): self
    {
        $height = $figure->heightMm * $factor;

        return $height >= 10.0 && $height <= 2000.0 ? new self($height, $factor) : throw SizingRefused::outOfRange($height);
    }
}
