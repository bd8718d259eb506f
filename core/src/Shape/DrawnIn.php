<?php

declare(strict_types=1);

namespace Impa\Shape;

use Impa\Geometry\Box;
use Impa\Geometry\Outline\Inset;

/** How much of the depth of a flat piece lies so far from its skin that no edge of its outline holds it back, place by place. Immutable. */
final readonly class DrawnIn
{
    /** Levels from its middle to its face. */
    private const LEVELS = 8;

    /** An outline of more points is looked at in so many. */
    private const MOST_POINTS = 96;

    /** @var list<array{float, float, float, float, float, list<float>}> from x, y, by dx, dy, its length squared, mm from it by level */
    private array $edges;

    private Box $box;

    /** @var array<int, array<int, list<int>>> by row and column of the cells: which edges may hold something back there */
    private array $near;

    /** @var array<int, list<array{float, float, float, float}>> by row: edges of the outline that cross it, from x, y, to x, y */
    private array $across;

    /**
     * @param  list<array{float, float}>  $outline  anticlockwise, in mm
     * @param  array{float, float}  $about  where it is drawn in towards
     * @param  float  $halfMm  from its middle to the face of what is left
     * @param  float  $cell  what is left is smoothed over so many mm
     */
    public function __construct(array $outline, array $about, Inset $inset, float $halfMm, private float $cell)
    {
        $this->edges = self::edges(self::thinned($outline), $about, $inset, $halfMm);
        $this->box = Box::around($outline);
        $near = [];
        foreach ($this->edges as $e => [$x, $y, $dx, $dy, , $mm]) {
            $around = Box::around([[$x, $y], [$x + $dx, $y + $dy]])->grown(max(0.0, ...$mm) + $cell / 2);
            for ($row = $this->row($around->low), $top = $this->row($around->high); $row <= $top; $row++) {
                for ($column = $this->column($around->left), $right = $this->column($around->right); $column <= $right; $column++) {
                    $near[$row][$column][] = $e;
                }
            }
        }
        $this->near = $near;
        $across = [];
        foreach ($outline as $i => [$x, $y]) {
            [$toX, $toY] = $outline[($i + 1) % count($outline)];
            for ($row = $this->row(min($y, $toY)), $top = $this->row(max($y, $toY)); $row <= $top; $row++) {
                $across[$row][] = [$x, $y, $toX, $toY];
            }
        }
        $this->across = $across;
    }

    /** The share of the depth that is left at a place, smoothed over a cell; nothing outside the outline. */
    public function left(float $x, float $y): float
    {
        $near = [];
        foreach ($this->near[$this->row($y)][$this->column($x)] ?? [] as $e) {
            [$fromX, $fromY, $dx, $dy, $square, $mm] = $this->edges[$e];
            $along = (($x - $fromX) * $dx + ($y - $fromY) * $dy) / $square;
            $along = $along < 0.0 ? 0.0 : ($along > 1.0 ? 1.0 : $along);
            $far = sqrt(($x - $fromX - $along * $dx) ** 2 + ($y - $fromY - $along * $dy) ** 2);
            if ($far <= $mm[0] - $this->cell / 2) {
                return 0.0;
            }
            if ($far < $mm[self::LEVELS - 1] + $this->cell / 2) {
                $near[] = [$far, $mm];
            }
        }
        if (! $this->has($x, $y)) {
            return 0.0;
        }
        $left = 0.0;
        for ($level = 0; $level < self::LEVELS; $level++) {
            $share = 1.0;
            foreach ($near as [$far, $mm]) {
                $share = min($share, ($far - $mm[$level]) / $this->cell + 0.5);
            }
            $left += max(0.0, $share);
        }

        return $left / self::LEVELS;
    }

    /** Whether it lies within the outline (even-odd rule). */
    private function has(float $x, float $y): bool
    {
        $isIn = false;
        foreach ($this->across[$this->row($y)] ?? [] as [$fromX, $fromY, $toX, $toY]) {
            if (($fromY > $y) !== ($toY > $y) && $x < ($toX - $fromX) * ($y - $fromY) / ($toY - $fromY) + $fromX) {
                $isIn = ! $isIn;
            }
        }

        return $isIn;
    }

    private function row(float $y): int
    {
        return (int) floor(($y - $this->box->low) / $this->cell);
    }

    private function column(float $x): int
    {
        return (int) floor(($x - $this->box->left) / $this->cell);
    }

    /**
     * @param  list<array{float, float}>  $outline
     * @return list<array{float, float}>
     */
    private static function thinned(array $outline): array
    {
        $each = (int) ceil(count($outline) / self::MOST_POINTS);

        return array_values(array_filter($outline, static fn (int $i): bool => $i % $each === 0, ARRAY_FILTER_USE_KEY));
    }

    /**
     * The outline's edges, and how far from each, at every level from the middle to the face, nothing is left.
     *
     * @param  list<array{float, float}>  $outline
     * @param  array{float, float}  $about
     * @return list<array{float, float, float, float, float, list<float>}>
     */
    private static function edges(array $outline, array $about, Inset $inset, float $halfMm): array
    {
        $levels = array_map(static fn (int $i): float => $halfMm * ($i + 0.5) / self::LEVELS, range(0, self::LEVELS - 1));
        $edges = [];
        foreach ($outline as $i => [$x, $y]) {
            [$nextX, $nextY] = $outline[($i + 1) % count($outline)];
            [$dx, $dy] = [$nextX - $x, $nextY - $y];
            $length = hypot($dx, $dy);
            if ($length <= 0.0) {
                continue;
            }
            // How far from it lies what the outline is drawn in towards, straight across.
            $off = (($about[1] - $y) * $dx - ($about[0] - $x) * $dy) / $length;
            $mm = array_map(static fn (array $left): float => $off - $left[0], $inset->reaches([$off], $levels));
            $edges[] = [$x, $y, $dx, $dy, $length * $length, $mm];
        }

        return $edges;
    }
}
