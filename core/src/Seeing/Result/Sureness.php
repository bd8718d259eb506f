<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\Piece;

/**
 * How likely it is that what was seen is there: a share of made-up characters whose parts are known, in which such a thing was one of
 * them. By a logistic regression (Cox 1958) on a few signs; `bench/sure.php --fit` fits the weights, and tells on characters kept aside
 * how many of those that were said to be right are. A prior: no felter's drawings are among them. Immutable.
 */
final readonly class Sureness
{
    /** Less sure than this is unsure: it comes first in a hard review, and is told with what else it might be (house choice). */
    public const UNSURE = 0.6;

    /** What each sign weighs, in log-odds; `even` is there always. */
    private const PIECE = ['even' => 7.71, 'size' => 4.38, 'twin' => 2.53, 'missed' => -2.75, 'outline' => -1.66, 'overlap' => 1.22];

    private const MARK = ['even' => 2.81, 'patch' => -2.54, 'rim' => -3.0, 'long' => -3.5, 'deep' => -1.37];

    /** Nothing is quite sure, and nothing that is suggested is quite wrong. */
    private const LEAST = 0.02;

    private const MOST = 0.99;

    /** No thing is smaller than this share of the figure's height, squared, as signs go. */
    private const SMALLEST = 1e-4;

    /** @param  array<string, float>  $signs */
    private function __construct(public array $signs, public float $share)
    {
    }

    /** @param  float  $figureHeightPx  above 0 */
    public static function ofPiece(Piece $piece, float $figureHeightPx): self
    {
        return self::of(self::PIECE, [
            'even' => 1.0,
            'size' => self::size($piece->blob->area(), $figureHeightPx),
            'twin' => (float) $piece->mirror,
            'missed' => 1.0 - $piece->fit->covers($piece->blob),
            'outline' => (float) is_array($piece->fit->options['outline'] ?? null),
            'overlap' => $piece->fit->overlap,
        ]);
    }

    /**
     * @param  bool  $isSimple  whether it is no outline of its own
     * @param  list<int>  $map  piece per pixel, -1 for the ground
     */
    public static function ofMark(Mark $mark, bool $isSimple, array $map): self
    {
        $blob = $mark->blob;
        $edges = $outer = 0;
        foreach ($blob->pixels as $pixel => $_) {
            foreach ([1, -1, $blob->width, -$blob->width] as $step) {
                if (! isset($blob->pixels[$pixel + $step])) {
                    $edges++;
                    $outer += (int) (($map[$pixel + $step] ?? -1) !== $mark->on);
                }
            }
        }

        return self::of(self::MARK, [
            'even' => 1.0,
            'patch' => (float) ! $isSimple,
            'rim' => $outer / max(1, $edges),
            'long' => log10($blob->elongation()),
            'deep' => (float) ($mark->layer > 1),
        ]);
    }

    public function isUnsure(): bool
    {
        return $this->share < self::UNSURE;
    }

    /**
     * @param  array<string, float>  $weights
     * @param  array<string, float>  $signs
     */
    private static function of(array $weights, array $signs): self
    {
        $odds = array_sum(array_map(static fn (string $sign): float => $weights[$sign] * $signs[$sign], array_keys($weights)));

        return new self($signs, max(self::LEAST, min(self::MOST, 1 / (1 + exp(-$odds)))));
    }

    /** A thing's area as a power of ten of the figure's height, squared: -4 (a speck) to 0. */
    private static function size(int $areaPx, float $figureHeightPx): float
    {
        return log10(max(self::SMALLEST, $areaPx / $figureHeightPx ** 2));
    }
}
