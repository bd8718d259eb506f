<?php

declare(strict_types=1);

namespace Impa\Picture;

/** A blob on a coarser grid of square cells with an empty cell all round. Immutable. */
final readonly class Grid
{
    /** @param  list<bool>  $inside  per cell, row by row */
    private function __construct(
        public array $inside,
        public int $width,
        public float $pxPerCell,
        private int $pictureWidth,
        private int $left,
        private int $top,
    ) {
    }

    /** @param  int  $cells  along the longer side at most */
    public static function of(Blob $blob, int $cells): self
    {
        [$w, $h, $x, $y] = $blob->box(0.0);
        $pxPerCell = max(1.0, max($w, $h) / $cells);
        $left = (int) floor($x - $w / 2);
        $top = (int) floor(-$y - $h / 2);
        $width = (int) ceil($w / $pxPerCell) + 3;
        $size = $width * ((int) ceil($h / $pxPerCell) + 3);
        $grid = new self([], $width, $pxPerCell, $blob->width, $left, $top);
        $count = array_fill(0, $size, 0);
        foreach ($blob->pixels as $pixel => $_) {
            $count[$grid->cell($pixel)]++;
        }
        $half = $pxPerCell ** 2 / 2;

        return new self(array_map(static fn (int $n): bool => $n >= $half, array_values($count)), $width, $pxPerCell, $blob->width, $left, $top);
    }

    public function cell(int $pixel): int
    {
        $x = (int) (($pixel % $this->pictureWidth - $this->left) / $this->pxPerCell) + 1;
        $y = (int) ((intdiv($pixel, $this->pictureWidth) - $this->top) / $this->pxPerCell) + 1;

        return $y * $this->width + $x;
    }

    /**
     * What a map of the picture says at the middle of every cell; the blob's own cells say nothing, the rim is ground.
     *
     * @param  list<int>  $map  per pixel, -1 for the ground
     * @return list<int> per cell
     */
    public function mapped(array $map): array
    {
        $mapped = [];
        foreach ($this->inside as $i => $in) {
            $x = $this->left + (int) (($i % $this->width - 0.5) * $this->pxPerCell);
            $y = $this->top + (int) ((intdiv($i, $this->width) - 0.5) * $this->pxPerCell);
            $mapped[] = $in || $x < 0 || $x >= $this->pictureWidth || $y < 0 ? -1 : $map[$y * $this->pictureWidth + $x] ?? -1;
        }

        return $mapped;
    }

    /**
     * The connected pieces of the marked cells, numbered from 0; -1 elsewhere. The grid has an empty rim.
     *
     * @param  list<bool>  $marked
     * @return list<int>
     */
    public static function pieces(array $marked, int $width): array
    {
        $size = count($marked);
        $pieces = array_fill(0, $size, -1);
        $next = 0;
        for ($start = 0; $start < $size; $start++) {
            if (! $marked[$start] || $pieces[$start] >= 0) {
                continue;
            }
            $pieces[$start] = $next;
            $open = [$start];
            while ($open !== []) {
                $i = array_pop($open);
                foreach ([$i - 1, $i + 1, $i - $width, $i + $width] as $j) {
                    if (isset($pieces[$j]) && $marked[$j] && $pieces[$j] < 0) {
                        $pieces[$j] = $next;
                        $open[] = $j;
                    }
                }
            }
            $next++;
        }

        return array_values($pieces);
    }
}
