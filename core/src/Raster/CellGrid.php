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
        // Whole pixels fall unevenly into cells: a cell is inside when half of the pixels that fall into it are.
        $columns = self::fallInto($width, $pxPerCell);
        $rows = self::fallInto(intdiv($size, $width), $pxPerCell);
        $inside = [];
        foreach (array_values($count) as $cell => $n) {
            $inside[] = $n > 0 && 2 * $n >= $columns[$cell % $width] * $rows[intdiv($cell, $width)];
        }

        return new self(
            $inside,
            $width,
            $pxPerCell,
            $blob->width,
            $left,
            $top,
        );
    }

    /** @return list<int> how many pixels' columns, or rows, fall into each cell of one */
    private static function fallInto(int $cells, float $pxPerCell): array
    {
        $many = array_fill(0, $cells + 1, 0);
        for ($pixel = 0; (int) ($pixel / $pxPerCell) + 1 <= $cells; $pixel++) {
            $many[(int) ($pixel / $pxPerCell) + 1]++;
        }

        return array_values($many);
    }

    public function cell(int $pixel): int
    {
        $x = (int) ((($pixel % $this->pictureWidth) - $this->left) / $this->pxPerCell) + 1;
        $y = (int) ((intdiv($pixel, $this->pictureWidth) - $this->top) / $this->pxPerCell) + 1;

        return $y * $this->width + $x;
    }

    /** @return array{float, float} the middle of a cell in pixels, y up */
    public function middlePx(int $cell): array
    {
        return [
            $this->left + ($cell % $this->width - 0.5) * $this->pxPerCell,
            -$this->top - (intdiv($cell, $this->width) - 0.5) * $this->pxPerCell,
        ];
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
