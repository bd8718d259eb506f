<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Impa\Face\ReadyMade;
use Impa\Figure\Detail;
use Impa\Figure\Part;
use Impa\Figure\Term\DetailKind;
use Impa\Geometry\Box;
use Impa\Surface\Surface;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** Details that cannot be made as they are: off their part, larger than it, tangled, doubled, not sold; each with the nearest mend. */
final class Trouble
{
    /** Closer together two points are one, mm. */
    private const ONE_PLACE_MM = 0.05;

    /** A bead wider than this share of its part swallows it; the mend keeps to the smaller one (house choice). */
    private const BEAD_SHARE = 0.5;

    private const BEAD_MEND_SHARE = 0.25;

    /** What is larger than its part is brought down to this share of it. */
    private const LARGE_MEND_SHARE = 0.8;

    private const HALVINGS = 16;

    /** Pairs of edges that are looked at for a tangle at most; one that takes more is laid out anew round its middle. */
    private const LOOKS = 2_000_000;

    /** @return list<Advice> */
    public static function of(Part $part, Detail $detail, Surface $surface): array
    {
        $size = self::size($part, $detail, $surface);

        return array_values(
            array_filter([
                self::doubled($detail),
                self::tangled($detail),
                $size,
                $size === null ? self::notSold($detail) : null,
                self::off($part, $detail, $surface),
            ]),
        );
    }

    private static function doubled(Detail $detail): ?Advice
    {
        $points = $detail->drawn->pointsMm;
        $kept = [];
        foreach ($points as $i => $point) {
            $before = $points[$kept === [] ? count($points) - 1 : $kept[count($kept) - 1]];
            $opens = $kept === [] && $detail->drawn->kind === DetailKind::Line;
            if ($opens || hypot($point[0] - $before[0], $point[1] - $before[1]) >= self::ONE_PLACE_MM) {
                $kept[] = $i;
            }
        }
        $lost = count($points) - count($kept);
        if ($lost === 0) {
            return null;
        }
        $least = $detail->drawn->kind === DetailKind::Line ? 2 : 3;
        $widths = $detail->drawn->widthsMm;
        $set =
            ['pointsMm' => array_map(static fn (int $i): array => $points[$i], $kept)] +
            ($widths === [] ? [] : ['widthsMm' => array_map(static fn (int $i): float => $widths[$i], $kept)]);

        return Advice::fault(
            'doubled',
            Message::of('face.trouble.doubled', count: $lost),
            count($kept) >= $least ? [Mend::set(
                $lost === 1 ? Message::of('face.trouble.leave-it-out') : Message::of('face.trouble.leave-them-out'),
                $set,
            )] : [],
        );
    }

    private static function tangled(Detail $detail): ?Advice
    {
        if ($detail->drawn->kind !== DetailKind::Patch || self::crossing($detail->drawn->pointsMm) === null) {
            return null;
        }
        $points = $detail->drawn->pointsMm;
        $turns = intdiv(self::LOOKS, count($points) ** 2);
        for ($turn = 0; $turn < $turns && ($at = self::crossing($points)) !== null; $turn++) {
            // Turning round what lies between two crossing edges undoes that crossing and shortens the whole.
            [$i, $j] = $at;
            array_splice($points, $i + 1, $j - $i, array_reverse(array_slice($points, $i + 1, $j - $i)));
        }
        if (self::crossing($points) !== null) {
            [$x, $y] = Box::around($points)->middle();
            usort($points, static fn (array $a, array $b): int => atan2($a[1] - $y, $a[0] - $x) <=> atan2($b[1] - $y, $b[0] - $x));
        }

        return Advice::fault(
            'tangled',
            Message::of('face.trouble.its-outline-crosses-itself'),
            self::crossing($points) === null ? [Mend::set(Message::of('face.trouble.untangle-it'), ['pointsMm' => $points])] : [],
        );
    }

    /**
     * Two edges of a closed outline that cross. Edges are taken from left to right, each against those that begin before it ends.
     *
     * @param  list<array{float, float}>  $points
     * @return ?array{int, int} where they begin, the earlier first
     */
    private static function crossing(array $points): ?array
    {
        $n = count($points);
        $left = array_map(static fn (int $i): float => min($points[$i][0], $points[($i + 1) % $n][0]), array_keys($points));
        asort($left);
        $order = array_keys($left);
        foreach ($order as $rank => $i) {
            [[$ax, $ay], [$bx, $by]] = [$points[$i], $points[($i + 1) % $n]];
            $right = max($ax, $bx);
            for ($k = $rank + 1; $k < $n && $left[$order[$k]] <= $right; $k++) {
                $j = $order[$k];
                if (abs($i - $j) < 2 || abs($i - $j) === $n - 1) {
                    continue;
                }
                [[$cx, $cy], [$dx, $dy]] = [$points[$j], $points[($j + 1) % $n]];
                $c = ($bx - $ax) * ($cy - $ay) - ($by - $ay) * ($cx - $ax);
                $d = ($bx - $ax) * ($dy - $ay) - ($by - $ay) * ($dx - $ax);
                $a = ($dx - $cx) * ($ay - $cy) - ($dy - $cy) * ($ax - $cx);
                $b = ($dx - $cx) * ($by - $cy) - ($dy - $cy) * ($bx - $cx);
                if ($c * $d < 0.0 && $a * $b < 0.0) {
                    return [min($i, $j), max($i, $j)];
                }
            }
        }

        return null;
    }

    private static function size(Part $part, Detail $detail, Surface $surface): ?Advice
    {
        $own = Box::around($detail->outline());
        $isHard = self::isHard($detail);
        [$width, $height] = $isHard ? array_fill(0, 2, $detail->drawn->widthMm / self::BEAD_SHARE) : [$own->width(), $own->height()];
        // Through its middle no simple shape is seen narrower than half its least dimension: what is smaller needs no look.
        if (max($width, $height) <= $part->solid->thinnestMm() / 2 || $surface->reaches($width / 2, $height / 2)) {
            return null;
        }
        [$wide, $high] = $surface->extentMm();
        if ($wide <= 0.0 || $high <= 0.0) {
            return null;
        }
        if ($isHard) {
            $most = ReadyMade::nearest(floor(2 * self::BEAD_MEND_SHARE * min($wide, $high)) / 2);

            return $detail->drawn->widthMm <= self::BEAD_SHARE * min($wide, $high)
                ? null
                : Advice::fault(
                    'too-large',
                    Message::of('face.trouble.on-a-part', width: Amount::mm($detail->drawn->widthMm), mm: Amount::mm(min($wide, $high))),
                    $most < $detail->drawn->widthMm
                        ? [Mend::set(
                            Message::of('face.trouble.take-one', most: Amount::mm($most)),
                            ['widthMm' => $most, 'heightMm' => $most],
                        )]
                        : [],
                );
        }
        $times = max($own->width() / $wide, $own->height() / $high);
        if ($times <= 1.0) {
            return null;
        }
        $share = self::LARGE_MEND_SHARE / $times;
        $grow = static fn (array $points): array => array_map(
            static fn (array $p): array => [round($p[0] * $share, 2), round($p[1] * $share, 2)],
            $points,
        );
        $set =
            $detail->drawn->pointsMm === []
                ? ['widthMm' => round($detail->drawn->widthMm * $share, 1), 'heightMm' => round($detail->drawn->heightMm * $share, 1)]
                : ['pointsMm' => $grow($detail->drawn->pointsMm)] +
                    ($detail->drawn->holesMm === [] ? [] : ['holesMm' => array_map($grow, $detail->drawn->holesMm)]);

        return Advice::fault(
            'too-large',
            Message::of('face.trouble.and-its-part', width: Lengths::of($own->width(), $own->height()), wide: Lengths::of($wide, $high)),
            [
                Mend::set(
                    Message::of('face.trouble.make-it', of: Lengths::of($own->width() * $share, $own->height() * $share)),
                    $set + ['xMm' => round($detail->lie->xMm * $share, 1), 'yMm' => round($detail->lie->yMm * $share, 1)],
                ),
            ],
        );
    }

    private static function notSold(Detail $detail): ?Advice
    {
        if (! self::isHard($detail) || ReadyMade::isSold($detail->drawn->widthMm)) {
            return null;
        }
        $sold = ReadyMade::nearest($detail->drawn->widthMm);

        return Advice::look(
            'not-sold',
            Message::of(
                'face.trouble.is-not-sold-whole',
                width: Amount::mm($detail->drawn->widthMm),
                smallest: Amount::mm(ReadyMade::SMALLEST_MM),
                largest: Amount::mm(ReadyMade::LARGEST_MM),
            ),
            [Mend::set(Message::of('face.trouble.take', sold: Amount::mm($sold)), ['widthMm' => $sold, 'heightMm' => $sold])],
        );
    }

    private static function off(Part $part, Detail $detail, Surface $surface): ?Advice
    {
        if ($surface->has(...$detail->middle())) {
            return null;
        }

        return Advice::fault(
            'off-part',
            Message::of(
                'face.trouble.it-does-not-lie',
                name: new Name($part->name),
                side: Message::of('figure.side.'.$detail->lie->side->value),
            ),
            $surface->has(0.0, 0.0) ? [Mend::set(
                Message::of('face.trouble.bring-it-onto'),
                static fn (): array => self::broughtIn($detail, $surface),
            )] : [],
        );
    }

    /**
     * Brought in along the way to the part's middle until all of it, or at least its middle, lies on the part.
     *
     * @return array{xMm: float, yMm: float}
     */
    private static function broughtIn(Detail $detail, Surface $surface): array
    {
        [$x, $y] = $detail->middle();
        $outline = $detail->outline();
        $isOn = static function (float $share) use ($surface, $outline, $x, $y): bool {
            foreach ($outline as [$px, $py]) {
                if (! $surface->has($px - $x + $share * $x, $py - $y + $share * $y)) {
                    return false;
                }
            }

            return true;
        };
        if (! $isOn(0.0)) {
            $isOn = static fn (float $share): bool => $surface->has($share * $x, $share * $y);
        }
        [$in, $out] = [0.0, 1.0];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($in + $out) / 2;
            [$in, $out] = $isOn($middle) ? [$middle, $out] : [$in, $middle];
        }
        // A little inside the edge, where a needle still finds hold.
        $by = 1 - 0.95 * $in;

        return ['xMm' => round($detail->lie->xMm - $by * $x, 1), 'yMm' => round($detail->lie->yMm - $by * $y, 1)];
    }

    private static function isHard(Detail $detail): bool
    {
        return in_array($detail->drawn->kind, [DetailKind::Bead, DetailKind::Eye], true);
    }
}
