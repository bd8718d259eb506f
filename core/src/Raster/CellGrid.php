<?php

declare(strict_types=1);

namespace Impa\Raster;

/** A blob on a coarser grid of square cells with an empty cell all round. Immutable. */
final readonly class CellGrid
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

        return new self(
            array_map(static fn (int $n): bool => $n >= $half, array_values($count)),
            $width,
            $pxPerCell,
            $blob->width,
            $left,
            $top,
        );
    }

    public function cell(int $pixel): int
    {
        $x = (int) ((($pixel % $this->pictureWidth) - $this->left) / $this->pxPerCell) + 1;
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
            $x = $this->left + (int) ((($i % $this->width) - 0.5) * $this->pxPerCell);
            $y = $this->top + (int) ((intdiv($i, $this->width) - 0.5) * $this->pxPerCell);
            $mapped[] = $in || $x < 0 || $x >= $this->pictureWidth || $y < 0 ? -1 : $map[$y * $this->pictureWidth + $x] ?? -1;
        }

        return $mapped;
    }
}
