<?php

declare(strict_types=1);

namespace Impa\Seeing\Assembly;

use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Segmentation\Extent;
use Impa\Seeing\Segmentation\Region;

/**
 * Pieces laid over the drawing that they were seen in, front over back, in coarse cells: what is seen where, and what that costs
 * against what is drawn there. A copy may be tried and thrown away.
 */
final class Scene
{
    /** The figure is looked at in so many cells along its longer side. */
    private const CELLS = 150;

    /**
     * Prices, in cells that show what is not drawn there (house choices, tuned). Where the wrong piece has the right colour, less is
     * paid than for a wrong colour. What is guessed behind other pieces may be guessed otherwise, but not for nothing. A number costs
     * this share of the figure's cells: a part of six then costs what a patch of a fourteenth of its side does, less than which no
     * felter would make a part for.
     */
    private const SAME_COLOUR = 0.35;

    private const GUESS = 0.04;

    private const NUMBER = 0.0008;

    /** Numbers of a piece besides its kind's: where, how large, how it is turned, its colour. */
    private const NUMBERS = 6;

    /** @var array<int, array<int, true>> cells by piece */
    private array $cells = [];

    /** @var array<int, int> colour by piece, of those that are gone as well */
    private array $labels = [];

    /** @var list<int> piece numbers, front to back */
    private array $order = [];

    /** @var array<int, int> the piece that is drawn at a cell; none on the ground */
    private array $drawn = [];

    /** @var ?array<int, int> remembered until a piece changes */
    private ?array $seen = null;

    private ?float $cost = null;

    private readonly int $columns;

    private readonly int $rows;

    public readonly float $cellPx;

    /**
     * @param  array<int, Piece>  $pieces  by number, in place and joined
     * @param  list<int>  $map  piece per pixel, twins' own numbers among them, -1 for the ground
     */
    public function __construct(public array $pieces, public readonly array $map, int $width, public readonly float $axis)
    {
        $height = intdiv(count($map), $width);
        $extent = Extent::of(array_map(static fn (Piece $p): Region => $p->region, $pieces));
        $this->cellPx = max(1.0, max($extent->maxX - $extent->minX + 1, $extent->heightPx()) / self::CELLS);
        $this->columns = (int) ceil($width / $this->cellPx);
        $this->rows = (int) ceil($height / $this->cellPx);
        $twins = [];
        foreach ($pieces as $k => $piece) {
            $twins[$piece->twin] = $k;
            $this->labels[$k] = $piece->region->label;
            $this->cells[$k] = $this->covered($piece->fit, $piece->mirror);
        }
        for ($row = 0; $row < $this->rows; $row++) {
            $y = min($height - 1, (int) (($row + 0.5) * $this->cellPx));
            for ($column = 0; $column < $this->columns; $column++) {
                $piece = $map[$y * $width + min($width - 1, (int) (($column + 0.5) * $this->cellPx))];
                if ($piece >= 0) {
                    $this->drawn[$row * $this->columns + $column] = $twins[$piece] ?? $piece;
                }
            }
        }
        $this->arrange();
    }

    public function __clone()
    {
        $this->pieces = array_map(static fn (Piece $p): Piece => clone $p, $this->pieces);
    }

    /** Gives a piece another shape. */
    public function lay(int $k, Fit $fit): void
    {
        $this->pieces[$k]->fit = $fit;
        $this->cells[$k] = $this->covered($fit, $this->pieces[$k]->mirror);
        $this->seen = $this->cost = null;
    }

    /** A piece in another's place. */
    public function replace(int $k, Piece $piece): void
    {
        $this->pieces[$k] = $piece;
        $this->lay($k, $piece->fit);
    }

    /** One piece goes over into another, with what is joined to it. */
    public function merge(int $k, int $into): void
    {
        for ($up = $into; $up >= 0 && $up !== $k; $up = $this->pieces[$up]->joinTo);
        if ($up === $k) {
            $this->pieces[$into]->joinTo = $this->pieces[$k]->joinTo;
        }
        unset($this->pieces[$k], $this->cells[$k]);
        foreach ($this->pieces as $piece) {
            $piece->joinTo = $piece->joinTo === $k ? $into : $piece->joinTo;
        }
        $this->drawn = array_map(static fn (int $piece): int => $piece === $k ? $into : $piece, $this->drawn);
        $this->arrange();
    }

    /** A piece comes to stand right before another. */
    public function bringBefore(int $k, int $other): void
    {
        $this->pieces[$k]->zPx = $this->pieces[$other]->zPx + 0.25;
        $this->arrange();
    }

    /** @return list<int> piece numbers, front to back */
    public function order(): array
    {
        return $this->order;
    }

    /** How many cells a piece covers, with its twin. */
    public function size(int $k): int
    {
        return count($this->cells[$k]);
    }

    public function sameColour(int $one, int $two): bool
    {
        return $this->labels[$one] === ($this->labels[$two] ?? -1);
    }

    /** What so many numbers cost. */
    public function price(int $numbers): float
    {
        return self::NUMBER * count($this->drawn) * $numbers;
    }

    /** What a piece's numbers cost. */
    public function worth(int $k): float
    {
        return $this->price(self::NUMBERS + $this->pieces[$k]->fit->numbers());
    }

    /** All that is paid. */
    public function cost(): float
    {
        if ($this->cost === null) {
            $seen = $this->seen();
            $this->cost = count(array_diff_key($this->drawn, $seen)) + array_sum(array_map($this->worth(...), array_keys($this->pieces)));
            foreach ($seen as $cell => $k) {
                $this->cost += $this->paid($k, $cell);
            }
        }

        return $this->cost;
    }

    /** What is paid for what shows wrongly of a piece, or in its place. */
    public function wrong(int $k): float
    {
        $seen = $this->seen();
        $wrong = 0.0;
        foreach ($this->cells[$k] + array_filter($this->drawn, static fn (int $piece): bool => $piece === $k) as $cell => $_) {
            $wrong += $this->paid($seen[$cell] ?? -1, $cell);
        }

        return $wrong;
    }

    /** How much less is paid when a piece takes another shape, numbers apart; null for when it is not there at all. */
    public function gain(int $k, ?Fit $fit): float
    {
        $cells = $fit === null ? [] : $this->covered($fit, $this->pieces[$k]->mirror);
        $gain = 0.0;
        foreach ([[$cells, $this->cells[$k], -1.0], [$this->cells[$k], $cells, 1.0]] as [$in, $out, $sign]) {
            foreach (array_diff_key($in, $out) as $cell => $_) {
                $paid = $this->paidFor($k, $cell);
                $gain += $paid === null ? -self::GUESS : $sign * $paid;
            }
        }

        return $gain;
    }

    /** How much less is paid where one piece is seen before another when it is the other way round. */
    public function gainBehind(int $front, int $back): float
    {
        $seen = $this->seen();
        $gain = 0.0;
        foreach (array_intersect_key($this->cells[$front], $this->cells[$back]) as $cell => $_) {
            $gain += $seen[$cell] === $front ? $this->paid($front, $cell) - $this->paid($back, $cell) : 0.0;
        }

        return $gain;
    }

    /** How much of a pair lies over its own twin, as a share of what one of them covers. */
    public function doubled(int $k): float
    {
        return 2 - $this->size($k) / max(1, count($this->covered($this->pieces[$k]->fit, false)));
    }

    /** How much more is paid for a cell when a piece covers it than when it does not; null where others hide it. */
    private function paidFor(int $k, int $cell): ?float
    {
        $isFront = false;
        foreach ($this->order as $other) {
            if ($other === $k) {
                $isFront = true;
            } elseif (isset($this->cells[$other][$cell])) {
                return $isFront ? $this->paid($k, $cell) - $this->paid($other, $cell) : null;
            }
        }

        return $this->paid($k, $cell) - $this->paid(-1, $cell);
    }

    /**
     * The piece that is seen at every cell: what lies in front counts.
     *
     * @return array<int, int>
     */
    private function seen(): array
    {
        if ($this->seen === null) {
            $this->seen = [];
            foreach ($this->order as $k) {
                $this->seen += array_fill_keys(array_keys($this->cells[$k]), $k);
            }
        }

        return $this->seen;
    }

    /** What is paid where a piece, or -1 for none, is seen at a cell. */
    private function paid(int $seen, int $cell): float
    {
        $drawn = $this->drawn[$cell] ?? -1;
        if ($seen === $drawn) {
            return 0.0;
        }

        return $seen >= 0 && $drawn >= 0 && $this->sameColour($seen, $drawn) ? self::SAME_COLOUR : 1.0;
    }

    private function arrange(): void
    {
        $this->order = array_keys($this->pieces);
        usort($this->order, fn (int $a, int $b): int => $this->pieces[$b]->zPx <=> $this->pieces[$a]->zPx);
        $this->seen = $this->cost = null;
    }

    /**
     * The cells under a shape, and under its twin: by even-odd crossings of their outlines (scan-line polygon fill).
     *
     * @return array<int, true>
     */
    private function covered(Fit $fit, bool $isPair): array
    {
        $cells = [];
        foreach ($isPair ? [$fit, $fit->mirrored($this->axis)] : [$fit] as $one) {
            $cuts = [];
            foreach ($one->outlinePx() as $loop) {
                [$ax, $ay] = $loop[count($loop) - 1];
                foreach ($loop as [$bx, $by]) {
                    // Rows whose middle lies between the two ends.
                    [$from, $to] = $ay > $by ? [-$ay, -$by] : [-$by, -$ay];
                    $last = min($this->rows - 1, (int) ceil($to / $this->cellPx - 0.5) - 1);
                    for ($row = max(0, (int) ceil($from / $this->cellPx - 0.5)); $row <= $last; $row++) {
                        $y = -($row + 0.5) * $this->cellPx;
                        $cuts[$row][] = $ax + (($y - $ay) / ($by - $ay)) * ($bx - $ax);
                    }
                    [$ax, $ay] = [$bx, $by];
                }
            }
            foreach ($cuts as $row => $across) {
                sort($across);
                for ($i = 1, $n = count($across); $i < $n; $i += 2) {
                    $last = min($this->columns - 1, (int) ceil($across[$i] / $this->cellPx - 0.5) - 1);
                    for ($column = max(0, (int) ceil($across[$i - 1] / $this->cellPx - 0.5)); $column <= $last; $column++) {
                        $cells[$row * $this->columns + $column] = true;
                    }
                }
            }
        }

        return $cells;
    }
}
