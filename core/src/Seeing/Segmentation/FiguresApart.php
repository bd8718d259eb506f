<?php

declare(strict_types=1);

namespace Impa\Seeing\Segmentation;

use Impa\Seeing\Foreground\Background;

/** The figures that stand apart on one picture, from the left. Immutable. */
final readonly class FiguresApart
{
    /** What stands apart is a figure of its own from this share of the largest one; less is an accessory or a speck. */
    private const OWN = 0.3;

    /**
     * @param  list<array{int, int, int, int}>  $boxes  left, top, right and bottom in pixels looked at
     * @param  list<int>  $numbers  figure per pixel from 0, -1 elsewhere
     */
    private function __construct(public array $boxes, private array $numbers)
    {
    }

    public static function of(Background $ground, int $width): self
    {
        $labels = array_map(static fn (bool $in): int => $in ? 0 : -1, $ground->figure);
        [$all, $map] = Regions::connected($labels, $width);
        $largest = max([1, ...array_map(static fn (Region $r): int => $r->area, $all)]);
        $own = array_filter($all, static fn (Region $r): bool => $r->area >= self::OWN * $largest);
        // One above another is one figure: only what stands side by side is asked about.
        usort($own, static fn (Region $a, Region $b): int => $a->minX <=> $b->minX);
        /** @var list<array{int, int, int, int}> $boxes */
        $boxes = [];
        $of = [];
        foreach ($own as $region) {
            $box = [$region->minX, $region->minY, $region->maxX, $region->maxY];
            $last = $boxes[count($boxes) - 1] ?? null;
            if ($last !== null && $box[0] <= $last[2]) {
                array_pop($boxes);
                $box = [min($last[0], $box[0]), min($last[1], $box[1]), max($last[2], $box[2]), max($last[3], $box[3])];
            }
            $boxes[] = $box;
        }
        foreach ($all as $i => $region) {
            $middle = ($region->minX + $region->maxX) / 2;
            $nearest = 0;
            foreach ($boxes as $k => [$left, , $right]) {
                $away = static fn (array $box): float => max(0.0, $box[0] - $middle, $middle - $box[2]);
                $nearest = $away([$left, 0, $right]) < $away($boxes[$nearest]) ? $k : $nearest;
            }
            $of[$i] = $nearest;
        }

        return new self($boxes, array_map(static fn (int $r): int => $r < 0 ? -1 : $of[$r], $map));
    }

    /** The ground with every figure but one (from 1) taken away; 0 leaves all. */
    public function only(int $figure, Background $ground): Background
    {
        return $figure === 0 || $figure > count($this->boxes)
            ? $ground
            : $ground->within(array_map(static fn (int $n): bool => $n === $figure - 1, $this->numbers));
    }
}
