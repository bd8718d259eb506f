<?php

declare(strict_types=1);

namespace Impa\Seeing\Assembly;

use Impa\Seeing\Decomposition\Piece;

/** Who is fixed to whom, and who stands in front of whom. */
final class Joining
{
    /** The root is the lowest region of at least this share of the largest one. */
    private const BIG = 0.3;

    /** What a contact of twins with something that does not stand between them counts, as a share of its length. */
    private const ASIDE = 0.2;

    /**
     * @param  array<int, Piece>  $pieces  by number; joinTo and zPx are set
     * @param  list<int>  $map  piece per pixel
     * @param  float  $axis  the middle line
     */
    public static function of(array $pieces, array $map, int $width, float $axis): void
    {
        $root = self::root($pieces);
        self::grow($pieces, $root, $axis);
        self::depths($pieces, $map, $width);
    }

    /** @param  array<int, Piece>  $pieces */
    private static function root(array $pieces): int
    {
        $largest = array_reduce($pieces, static fn (int $most, Piece $p): int => max($most, $p->region->area), 0);
        $root = -1;
        $lowest = -1;
        foreach ($pieces as $i => $piece) {
            if (! $piece->mirror && $piece->region->area >= self::BIG * $largest && $piece->region->maxY > $lowest) {
                [$root, $lowest] = [$i, $piece->region->maxY];
            }
        }

        return $root >= 0 ? $root : (int) array_key_first($pieces);
    }

    /**
     * A tree of longest contacts, grown from the root (Prim 1957); what touches nothing goes to the nearest. Arms hang on the body
     * between them, though a tail touches one of them longer.
     *
     * @param  array<int, Piece>  $pieces
     */
    private static function grow(array $pieces, int $root, float $axis): void
    {
        $in = [$root => true];
        while (count($in) < count($pieces)) {
            $best = [-1, -1, -INF];
            foreach ($pieces as $i => $piece) {
                foreach (isset($in[$i]) ? [] : array_keys($in) as $j) {
                    $contact = ($piece->region->contact[$j] ?? 0) + ($pieces[$j]->region->contact[$i] ?? 0);
                    $apart = hypot($piece->fit->x - $pieces[$j]->fit->x, $piece->fit->y - $pieces[$j]->fit->y);
                    $isAside = $piece->mirror && ! $pieces[$j]->mirror && abs($pieces[$j]->fit->x - $axis) > $pieces[$j]->fit->widthPx / 4;
                    $bond = $contact > 0 ? $contact * ($isAside ? self::ASIDE : 1.0) : -$apart;
                    if ($bond > $best[2]) {
                        $best = [$i, $j, $bond];
                    }
                }
            }
            $pieces[$best[0]]->joinTo = $best[1];
            $in[$best[0]] = true;
        }
    }

    /**
     * Where two shapes overlap, the one whose colour is seen there is in front.
     *
     * @param  array<int, Piece>  $pieces
     * @param  list<int>  $map
     */
    private static function depths(array $pieces, array $map, int $width): void
    {
        $behind = [];
        foreach ($pieces as $i => $piece) {
            foreach (self::covered($piece, $map, $width) as $j => $count) {
                if (isset($pieces[$j]) && $j !== $i) {
                    $behind[$i][$j] = $count;
                }
            }
        }
        $net = static fn (int $i, int $j): int => ($behind[$i][$j] ?? 0) - ($behind[$j][$i] ?? 0);
        foreach (self::rootFirst($pieces) as $i) {
            $piece = $pieces[$i];
            if ($piece->joinTo < 0) {
                continue;
            }
            $to = $pieces[$piece->joinTo];
            $share = min(1.0, abs($net($i, $piece->joinTo)) / max(1, $piece->region->area));
            // A small piece can sit wholly before or behind; one nearly as large stands level with what it is joined to.
            $small = 1 - min(1.0, max($piece->fit->widthPx / $to->fit->widthPx, $piece->fit->heightPx / $to->fit->heightPx));
            $piece->zPx = $to->zPx + ($net($i, $piece->joinTo) > 0 ? -0.5 : 0.5) * $to->fit->depthPx() * $share * $small;
        }
        // Several overlap: a few rounds push each in front of what it hides.
        for ($round = 0; $round < 12; $round++) {
            foreach ($pieces as $i => $back) {
                foreach ($pieces as $j => $front) {
                    if ($net($i, $j) > 0 && $front->zPx <= $back->zPx) {
                        $front->zPx = $back->zPx + 0.5;
                    }
                }
            }
        }
    }

    /**
     * @param  array<int, Piece>  $pieces
     * @return list<int>
     */
    private static function rootFirst(array $pieces): array
    {
        $order = array_keys(array_filter($pieces, static fn (Piece $p): bool => $p->joinTo < 0));
        for ($i = 0; $i < count($order); $i++) {
            foreach ($pieces as $k => $piece) {
                if ($piece->joinTo === $order[$i]) {
                    $order[] = $k;
                }
            }
        }

        return $order;
    }

    /**
     * @param  list<int>  $map
     * @return array<int, int> pixels of each other piece under the piece's shape
     */
    private static function covered(Piece $piece, array $map, int $width): array
    {
        $fit = $piece->fit;
        $reach = hypot($fit->widthPx, $fit->heightPx) / 2;
        $counts = [];
        $rows = intdiv(count($map), $width);
        $step = max(1, (int) floor($reach / 24));
        $solid = $fit->solid();
        $turn = deg2rad($fit->turnDeg);
        [$c, $s] = [cos($turn), sin($turn)];
        for ($y = max(0, (int) (-$fit->y - $reach)); $y < min($rows, -$fit->y + $reach); $y += $step) {
            for ($x = max(0, (int) ($fit->x - $reach)); $x < min($width, $fit->x + $reach); $x += $step) {
                $region = $map[$y * $width + $x];
                [$dx, $dy] = [$x + 0.5 - $fit->x, -$y - 0.5 - $fit->y];
                if (
                    $region >= 0 &&
                    $region !== $piece->region->index &&
                    ! is_nan($solid->frontMm($dx * $c + $dy * $s, $dy * $c - $dx * $s))
                ) {
                    $counts[$region] = ($counts[$region] ?? 0) + $step * $step;
                }
            }
        }

        return $counts;
    }
}
