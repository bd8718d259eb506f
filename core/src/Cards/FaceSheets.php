<?php

declare(strict_types=1);

namespace Impa\Cards;

use Impa\Face\Chart;
use Impa\Face\LayingOrder;
use Impa\Face\Reach;
use Impa\Face\Surface;
use Impa\Face\TapeMark;
use Impa\Figure\Detail;
use Impa\Figure\DetailKind;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Side;
use Impa\Render\Silhouette;

/**
 * A face on paper at true size: flat as seen from the front; folded over its middle line to judge it level and even; laid out
 * by tape, to be wrapped round the head; and as strips that carry the marks along the middle line and along each level.
 */
final readonly class FaceSheets
{
    /** Room between drawings, and the margin that the laid-out template keeps round its details, in mm. */
    private const GAP = 9.0;

    private const MARGIN = 5.0;

    /** The template is cut in from both sides every so many mm, up to so close to the middle line: its fingers then lie on their levels. */
    private const CUT_EVERY = 8.0;

    private const CUT_TO = 4.0;

    /** Levels closer together than this share a strip. */
    private const ONE_LEVEL = 1.5;

    /** @param  list<Detail>  $details  on the front, in the order of laying */
    private function __construct(
        private Figure $figure,
        private Part $part,
        private Surface $surface,
        private array $details,
    ) {
    }

    public static function of(Figure $figure, Part $part): self
    {
        $front = array_values(array_filter($figure->detailsOn($part->key), static fn (Detail $d): bool => $d->side === Side::Front));

        return new self($figure, $part, Surface::of($part->placements()[0]), LayingOrder::of($figure, $front));
    }

    /** @return non-empty-list<string> pages as SVG in mm */
    public function pages(Paper $paper): array
    {
        [$width] = $paper->sizeMm();
        $title = sprintf('%s: the face on %s.', $this->figure->name, mb_strtolower($this->part->name));
        $front = $this->front(Page::RIM);
        $folded = $this->folded($front[1] + self::GAP);
        // Two heads beside each other where they go, else one below the other.
        [$one, $two, $down] = $width - 2 * Page::RIM >= $front[2] + $folded[2] + self::GAP
            ? [$this->moved($front[0], Page::RIM, 0.0), $this->moved($folded[0], Page::RIM + $front[2] + self::GAP, -$front[1] - self::GAP + Page::RIM), max($front[1], $folded[1] - $front[1] - self::GAP + Page::RIM)]
            : [$this->moved($front[0], Page::RIM, 0.0), $this->moved($folded[0], Page::RIM, 0.0), $folded[1]];
        $strips = $this->strips($down + self::GAP, $width - 2 * Page::RIM);

        return [
            Page::of($one.$two.$strips, $title.' Flat from the front, folded over, and as strips.', $paper),
            Page::of($this->laidOut($paper), sprintf('%s Laid out by tape; out of true by %.1f mm at most.', $title, $this->errorMm()), $paper),
        ];
    }

    /** By how much a detail's outline on the laid-out template differs at most from the same on the wool, mm. */
    public function errorMm(): float
    {
        $chart = Chart::of($this->surface);
        $most = 0.0;
        foreach ($this->details as $detail) {
            $middle = $detail->middle();
            $at = $this->laid(...$middle);
            $outline = $detail->outline();
            foreach (array_chunk($outline, max(1, intdiv(count($outline), 8))) as [$point]) {
                $there = $this->laid(...$point);
                $tape = $chart->between($middle, $point);
                if ($at !== null && $there !== null && $tape !== null) {
                    $most = max($most, abs(hypot($there[0] - $at[0], $there[1] - $at[1]) - $tape['tapeMm']));
                }
            }
        }

        return $most;
    }

    /**
     * Where a place lies on the template: across by tape to the right, down by tape from the crown; null off the part.
     *
     * @return ?array{float, float}
     */
    public function laid(float $xMm, float $yMm): ?array
    {
        $mark = TapeMark::on($this->surface, $xMm, $yMm);

        return is_nan($mark->acrossMm + $mark->downMm) ? null : [$mark->acrossMm, $mark->downMm];
    }

    /** @return array{string, float, float} the drawing from x = 0, the y where it ends, its width */
    private function front(float $top): array
    {
        [$outline, $left, $high, $width, $height] = $this->head();
        $place = static fn (array $p): array => [$p[0] - $left, $top + $high - $p[1]];
        $svg = $this->drawn([array_map($place, $outline)], '0.3');
        $svg .= $this->lines($top, $left, $high, $width, $height);
        foreach ($this->details as $i => $detail) {
            foreach ($this->outlines($detail) as $loop) {
                $svg .= $this->drawn([array_map($place, $loop)], '0.25', $detail->kind !== DetailKind::Line);
            }
            // Nested ones would cover each other's numbers: each stands beside its own right edge.
            $x = max([0.0, ...array_column($detail->outline(), 0)]);
            [$x, $y] = $place([$x, $detail->middle()[1]]);
            $svg .= Page::text((string) ($i + 1), $x + 0.4, $y + 0.8 * ($i % 3), 2.0);
        }

        return [$svg, $top + $height, $width];
    }

    /** @return array{string, float, float} both halves over each other: what differs is no pair */
    private function folded(float $top): array
    {
        [$outline, $left, $high, $width, $height] = $this->head();
        $middle = -$left;
        $place = static fn (array $p): array => [abs($p[0]), $top + $high - $p[1]];
        $half = array_values(array_filter($outline, static fn (array $p): bool => $p[0] >= -1e-6));
        usort($half, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
        $svg = $this->drawn([array_map($place, $half)], '0.3', false).sprintf('<path d="M0 %s v%s" stroke="#9c3447" stroke-width="0.25" stroke-dasharray="2 1"/>', Page::number($top), Page::number($height));
        foreach ($this->details as $detail) {
            foreach ($this->outlines($detail) as $loop) {
                $isLeft = array_sum(array_column($loop, 0)) < 0.0;
                $svg .= sprintf('<path d="%s" fill="none" stroke="#3a2a20" stroke-width="0.25"%s/>', Page::path([array_map($place, $loop)], $detail->kind !== DetailKind::Line), $isLeft ? ' stroke-dasharray="1 0.8"' : '');
            }
        }

        return [$svg, $top + $height, max($middle, $width - $middle)];
    }

    /** Paper tapes with the marks: one down the middle line, one for each level with something beside it. */
    private function strips(float $top, float $most): string
    {
        $levels = [];
        $downs = [];
        foreach ($this->details as $i => $detail) {
            $at = $this->laid(...$detail->middle());
            if ($at === null) {
                continue;
            }
            $downs[] = [$at[1], (string) ($i + 1)];
            if (abs($at[0]) > 0.5) {
                $key = null;
                foreach (array_keys($levels) as $level) {
                    $key = abs($level / 100 - $at[1]) < self::ONE_LEVEL ? $level : $key;
                }
                $levels[$key ?? (int) round(100 * $at[1])][] = [abs($at[0]), (string) ($i + 1)];
            }
        }
        if ($downs === []) {
            return '';
        }
        $svg = Page::text('Down the middle line, from the crown:', Page::RIM, $top, 3.0).$this->strip($downs, $top + 2.0, $most);
        $y = $top + 17.0;
        foreach ($levels as $level => $marks) {
            $svg .= Page::text(sprintf('Level, %.1f mm down, from the middle line to either side:', $level / 100), Page::RIM, $y, 3.0).$this->strip($marks, $y + 2.0, $most);
            $y += 17.0;
        }

        return $svg;
    }

    /** @param  list<array{float, string}>  $marks */
    private function strip(array $marks, float $y, float $most): string
    {
        $long = min($most, max([0.0, ...array_column($marks, 0)]) + 6.0);
        $svg = sprintf('<rect x="%s" y="%s" width="%s" height="8" fill="none" stroke="#b9a98c" stroke-width="0.2"/>', Page::RIM, Page::number($y), Page::number($long));
        foreach ($marks as $i => [$mm, $number]) {
            if ($mm <= $most) {
                $svg .= sprintf('<path d="M%s %s v8" stroke="#3a2a20" stroke-width="0.25"/>', Page::number(Page::RIM + $mm), Page::number($y)).Page::text($number, Page::RIM + $mm + 0.5, $y + 2.4 + 2.5 * ($i % 3), 2.2);
            }
        }

        return $svg;
    }

    /** The template that wraps the head: cut out, cut in along the dashes, its crown at the crown, its middle on the middle line. */
    private function laidOut(Paper $paper): string
    {
        [$paperWidth] = $paper->sizeMm();
        $loops = [];
        [$right, $high, $low] = [10.0, INF, 0.0];
        foreach ($this->details as $detail) {
            foreach ($this->outlines($detail) as $loop) {
                $laid = array_values(array_filter(array_map(fn (array $p): ?array => $this->laid(...$p), $loop)));
                foreach ($laid as [$across, $down]) {
                    [$right, $high, $low] = [max($right, abs($across)), min($high, $down), max($low, $down)];
                }
                $loops[] = [$laid, $detail->kind !== DetailKind::Line];
            }
        }
        if ($loops === []) {
            return Page::text('There is nothing on this face yet.', Page::RIM, Page::RIM + 6, 4.0);
        }
        [$right, $low] = [$right + self::MARGIN, $low + self::MARGIN];
        $middle = $paperWidth / 2;
        $place = static fn (array $p): array => [$middle + $p[0], Page::RIM + $p[1]];
        $svg = sprintf('<path d="M%s %s h%s v%s h%s z" fill="none" stroke="#3a2a20" stroke-width="0.3"/>', Page::number($middle - $right), Page::RIM, Page::number(2 * $right), Page::number($low), Page::number(-2 * $right));
        $svg .= sprintf('<path d="M%s %s v%s" stroke="#9c3447" stroke-width="0.25" stroke-dasharray="2 1"/>', Page::number($middle), Page::RIM, Page::number($low));
        for ($down = self::CUT_EVERY; $down < $low; $down += self::CUT_EVERY) {
            foreach ([-1, 1] as $way) {
                $svg .= sprintf('<path d="M%s %s h%s" stroke="#b9a98c" stroke-width="0.2" stroke-dasharray="1 1"/>', Page::number($middle + $way * $right), Page::number(Page::RIM + $down), Page::number(-$way * max(0.0, $right - self::CUT_TO)));
            }
        }
        foreach ($loops as [$loop, $closed]) {
            $svg .= count($loop) > 1 ? $this->drawn([array_map($place, $loop)], '0.25', $closed) : '';
        }

        return $svg.Page::text('Crown here. Cut in along the dashes: each finger lies on its own level.', Page::RIM, Page::RIM + $low + 6.0, 3.0);
    }

    /** @return array{list<array{float, float}>, float, float, float, float} outline, left, highest, width and height */
    private function head(): array
    {
        $outline = Silhouette::of($this->part->placements()[0], Side::Front)[0];
        [$xs, $ys] = [array_column($outline, 0), array_column($outline, 1)];

        return [$outline, min([0.0, ...$xs]), max([0.0, ...$ys]), max([0.0, ...$xs]) - min([0.0, ...$xs]), max([0.0, ...$ys]) - min([0.0, ...$ys])];
    }

    /** Middle line and half line. */
    private function lines(float $top, float $left, float $high, float $width, float $height): string
    {
        $edge = Reach::of(fn (float $mm): bool => $this->surface->has($mm, 0.0));

        return sprintf('<path d="M%s %s v%s" stroke="#9c3447" stroke-width="0.25" stroke-dasharray="2 1"/>', Page::number(-$left), Page::number($top), Page::number($height))
            .sprintf('<path d="M%s %s h%s" stroke="#2f6480" stroke-width="0.25" stroke-dasharray="2 1"/>', Page::number(-$left - min($edge, -$left)), Page::number($top + $high), Page::number(min($width, 2 * $edge)));
    }

    /** @return list<list<array{float, float}>> a pair twice */
    private function outlines(Detail $detail): array
    {
        $own = $detail->outline();

        return $detail->mirror ? [$own, array_map(static fn (array $p): array => [-$p[0], $p[1]], $own)] : [$own];
    }

    /** @param  list<list<array{float, float}>>  $loops */
    private function drawn(array $loops, string $width, bool $closed = true): string
    {
        return sprintf('<path d="%s" fill="none" stroke="#3a2a20" stroke-width="%s"/>', Page::path($loops, $closed), $width);
    }

    private function moved(string $svg, float $x, float $y): string
    {
        return sprintf('<g transform="translate(%s %s)">%s</g>', Page::number($x), Page::number($y), $svg);
    }
}
