<?php

declare(strict_types=1);

namespace Impa\Print\Template;

use Impa\Face\LayingOrder;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Side;
use Impa\Geometry\Bisection;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Clip;
use Impa\Geometry\Outline\Polyline;
use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Surface\Chart;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Surface\Unrolled;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;

/**
 * A face on paper at true size: flat as seen from the front; folded over its middle line to judge it level and even; laid out
 * by tape, to be wrapped round the head; and as strips that carry the marks along the middle line and along each level.
 */
final readonly class FaceTemplates
{
    /** Room between drawings, and the margin that the laid-out template keeps round its details, in mm. */
    private const GAP = 9.0;

    private const MARGIN = 5.0;

    /** Half the width of the stem that reaches up to the crown. */
    private const STEM = 3.0;

    /** Outlines are followed in steps of so much, mm; of a whole face no more than so many, where its rims are longer than any hand lays. */
    private const FINE_MM = 0.4;

    private const MOST_FINE = 24_000;

    /** Every so many of those one is measured, and no more than so many, to tell how true the template is. */
    private const TRIED_EVERY = 6;

    private const MOST_TRIED = 240;

    /** Room for a number. */
    private const LABEL_MM = 2.3;

    /** Levels closer together than this share a strip. */
    private const ONE_LEVEL = 1.5;

    /** Nothing is drawn farther off the head than this, mm: a point may lie anywhere. */
    private const BESIDE_MM = 12.0;

    /**
     * @param  list<Detail>  $details  that lie on the front at least in part, in the order of laying
     * @param  list<string>  $leftOut  names of those that do not
     * @param  float  $stepMm  in steps of so much outlines are followed
     */
    private function __construct(
        private Figure $figure,
        private Part $part,
        private Surface $surface,
        private Box $room,
        private array $details,
        private array $leftOut,
        private float $stepMm,
    ) {
    }

    public static function of(Figure $figure, Part $part): self
    {
        $front = array_values(
            array_filter($figure->detailsOn($part->key), static fn (Detail $d): bool => $d->lie->side === Side::Front),
        );

        $surface = Surface::of($part->placements()[0]);
        $isOn = static fn (Detail $d): bool => $surface->has(...$d->middle()) ||
            array_filter($d->outline(), static fn (array $p): bool => $surface->has(...$p)) !== [];

        $room = Box::around(Silhouette::of($part->placements()[0], Side::Front)[0])->grown(self::BESIDE_MM);
        $details = LayingOrder::of($figure, array_values(array_filter($front, $isOn)));
        $loops = array_merge(...array_map(static fn (Detail $d): array => self::within($d, $room), $details));

        return new self(
            figure: $figure,
            part: $part,
            surface: $surface,
            room: $room,
            details: $details,
            leftOut: array_values(
                array_map(
                    static fn (Detail $d): string => $d->name,
                    array_filter($front, static fn (Detail $d): bool => ! $isOn($d)),
                ),
            ),
            stepMm: max(self::FINE_MM, array_sum(array_map(Polyline::length(...), $loops)) / self::MOST_FINE),
        );
    }

    /** @return non-empty-list<string> pages as SVG in mm */
    public function pages(Paper $paper): array
    {
        [$width] = $paper->sizeMm();
        $title = Message::of('print.face.title', name: $this->figure->name, part: new Name($this->part->name));
        $front = $this->front(Page::RIM);
        $folded = $this->folded($front[1] + self::GAP);
        // Two heads beside each other where they go, else one below the other.
        [$one, $two, $down] =
            $width - 2 * Page::RIM >= $front[2] + $folded[2] + self::GAP
                ? [
                    $this->moved($front[0], Page::RIM, 0.0),
                    $this->moved($folded[0], Page::RIM + $front[2] + self::GAP, -$front[1] - self::GAP + Page::RIM),
                    max($front[1], $folded[1] - $front[1] - self::GAP + Page::RIM),
                ]
                : [$this->moved($front[0], Page::RIM, 0.0), $this->moved($folded[0], Page::RIM, 0.0), $folded[1]];
        $strips = $this->strips($down + self::GAP, $width - 2 * Page::RIM);

        return [
            Page::of($one.$two.$strips, Message::of('print.face.flat', title: $title), $paper),
            Page::of(
                $this->laidOut($paper),
                Message::of('print.face.laid-out', title: $title, off: Amount::exactMm($this->errorMm())),
                $paper,
            ),
        ];
    }

    /** By how much lengths on a strip of the laid-out template differ at most from the same on the wool, mm. */
    public function errorMm(): float
    {
        $chart = Chart::of($this->surface);
        $template = $this->template();
        $most = 0.0;
        $loops = array_map(
            fn (Detail $d): array => $this->fine($this->outlines($d)[0] ?? [], $d->drawn->kind !== DetailKind::Line),
            $this->details,
        );
        // A taut tape is searched for: of long rims fewer places are tried.
        $every = max(self::TRIED_EVERY, intdiv(array_sum(array_map(count(...), $loops)), self::MOST_TRIED));
        foreach ($loops as $loop) {
            $first = [];
            foreach ($loop as $i => $point) {
                if ($first !== [] && $i % $every !== 0) {
                    continue;
                }
                $there = $template->laid(...$point);
                if ($there === null) {
                    continue;
                }
                if (! isset($first[$there['strip']])) {
                    $first[$there['strip']] = [$point, $there['at']];
                } else {
                    [$from, $at] = $first[$there['strip']];
                    $tape = $chart->between($from, $point);
                    $most =
                        $tape === null
                            ? $most
                            : max($most, abs(hypot($there['at'][0] - $at[0], $there['at'][1] - $at[1]) - $tape['tapeMm']));
                }
            }
        }

        return $most;
    }

    /** The front laid flat as far as its details reach. */
    public function template(): Unrolled
    {
        [$right, $high, $low] = [10.0, INF, 0.0];
        foreach ($this->details as $detail) {
            foreach ([[$detail->middle()], ...$this->outlines($detail)] as $loop) {
                foreach ($loop as $point) {
                    $mark = TapeMark::on($this->surface, ...$point);
                    if (! is_nan($mark->acrossMm + $mark->downMm)) {
                        [$right, $high, $low] = [
                            max($right, abs($mark->acrossMm)),
                            min($high, $mark->downMm),
                            max($low, $mark->downMm),
                        ];
                    }
                }
            }
        }

        // Where no place of them can be reached by tape, it is laid out from the crown.
        $high = is_finite($high) ? $high : 0.0;

        return Unrolled::of($this->surface, max(0.5, $high - self::MARGIN), $low + self::MARGIN, $right + self::MARGIN);
    }

    /**
     * @param  list<array{float, float}>  $loop
     * @return list<array{float, float}> with points every stepMm
     */
    private function fine(array $loop, bool $closed): array
    {
        $fine = [];
        $last = count($loop) - 1;
        foreach ($loop as $i => $point) {
            $next = $i < $last ? $loop[$i + 1] : ($closed ? $loop[0] : $point);
            $pieces = max(1, (int) ceil(hypot($next[0] - $point[0], $next[1] - $point[1]) / $this->stepMm));
            for ($k = 0; $k < $pieces; $k++) {
                $fine[] = [
                    $point[0] + (($next[0] - $point[0]) * $k) / $pieces,
                    $point[1] + (($next[1] - $point[1]) * $k) / $pieces,
                ];
            }
        }

        return $closed && $loop !== [] ? [...$fine, $loop[0]] : $fine;
    }

    /** @return array{string, float, float} the drawing from x = 0, the y where it ends, its width */
    private function front(float $top): array
    {
        [$outline, $left, $high, $width, $height] = $this->head();
        $place = static fn (array $p): array => [$p[0] - $left, $top + $high - $p[1]];
        $svg = $this->drawn([array_map($place, $outline)], '0.3');
        $svg .= $this->lines($top, $left, $high, $width, $height);
        $taken = [];
        foreach ($this->details as $i => $detail) {
            foreach ($this->outlines($detail) as $loop) {
                $svg .= $this->drawn([array_map($place, $loop)], '0.25', $detail->drawn->kind !== DetailKind::Line);
            }
            // Nested ones would cover each other's numbers: each stands beside its own right edge, below any that is there.
            $x = max($detail->middle()[0], ...array_column($this->outlines($detail)[0] ?? [], 0));
            [$x, $y] = $place([$x, $detail->middle()[1]]);
            while (
                array_filter(
                    $taken,
                    static fn (array $p): bool => abs($p[0] - $x) < self::LABEL_MM && abs($p[1] - $y) < self::LABEL_MM,
                ) !== []
            ) {
                $y += self::LABEL_MM;
            }
            $taken[] = [$x, $y];
            $svg .= Page::text((string) ($i + 1), $x + 0.4, $y + 0.7, 2.0);
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
        $svg =
            $this->drawn([array_map($place, $half)], '0.3', false).
            sprintf(
                '<path d="M0 %s v%s" stroke="#9c3447" stroke-width="0.25" stroke-dasharray="2 1"/>',
                Page::number($top),
                Page::number($height),
            );
        foreach ($this->details as $detail) {
            foreach ($this->outlines($detail) as $loop) {
                $isLeft = array_sum(array_column($loop, 0)) < 0.0;
                $svg .= sprintf(
                    '<path d="%s" fill="none" stroke="#3a2a20" stroke-width="0.25"%s/>',
                    Page::path([array_map($place, $loop)], $detail->drawn->kind !== DetailKind::Line),
                    $isLeft ? ' stroke-dasharray="1 0.8"' : '',
                );
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
            $mark = TapeMark::on($this->surface, ...$detail->middle());
            if (is_nan($mark->acrossMm + $mark->downMm)) {
                continue;
            }
            $at = [$mark->acrossMm, $mark->downMm];
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
        $svg =
            Page::text(Message::of('print.face.down'), Page::RIM, $top, 3.0).$this->strip($downs, $top + 2.0, $most);
        $y = $top + 17.0;
        foreach ($levels as $level => $marks) {
            $svg .=
                Page::text(
                    Message::of('print.face.level', down: Amount::mm($level / 100)),
                    Page::RIM,
                    $y,
                    3.0,
                ).$this->strip($marks, $y + 2.0, $most);
            $y += 17.0;
        }

        return $svg;
    }

    /** @param  list<array{float, string}>  $marks */
    private function strip(array $marks, float $y, float $most): string
    {
        $long = min($most, max([0.0, ...array_column($marks, 0)]) + 6.0);
        $svg = sprintf(
            '<rect x="%s" y="%s" width="%s" height="8" fill="none" stroke="#b9a98c" stroke-width="0.2"/>',
            Page::RIM,
            Page::number($y),
            Page::number($long),
        );
        usort($marks, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $ends = [-INF, -INF, -INF];
        foreach ($marks as [$mm, $number]) {
            // The row that has been free for longest.
            $row = (int) array_search(min($ends), $ends, true);
            $ends[$row] = $mm;
            if ($mm <= $most) {
                $svg .=
                    sprintf(
                        '<path d="M%s %s v8" stroke="#3a2a20" stroke-width="0.25"/>',
                        Page::number(Page::RIM + $mm),
                        Page::number($y),
                    ).Page::text($number, Page::RIM + $mm + 0.5, $y + 2.4 + 2.5 * $row, 2.2);
            }
        }

        return $svg;
    }

    private static function dartWords(float $mm): Message
    {
        return Message::of('print.face.darts', wide: Amount::mm($mm));
    }

    /** The template that wraps the head: its strips and their darts, a stem up to the crown, the details where they lie. */
    private function laidOut(Paper $paper): string
    {
        if ($this->details === []) {
            $words = Message::of($this->leftOut === [] ? 'print.face.empty' : 'print.face.none-lies');

            return Page::text($words, Page::RIM, Page::RIM + 6, 4.0).$this->leftOutWords(Page::RIM + 12);
        }
        $template = $this->template();
        $outlines = $template->outlines();
        // Where strips would lie over each other they are cut apart, and stand below each other with room between.
        $apart = $template->overlapMm() > Unrolled::CLOSED_MM ? $template->overlapMm() + 1.0 : 0.0;
        $top = min([0.0, ...array_column(array_merge(...$outlines), 1)]);
        $middle = $paper->sizeMm()[0] / 2;
        $rim = Page::RIM + 2.0 - $top;
        $place = static fn (array $p, int $strip): array => [$middle + $p[0], $rim + $p[1] + $strip * $apart];
        $isWhole = $apart === 0.0 && $template->dartMm() < Unrolled::CLOSED_MM;
        $svg = '';
        foreach ($outlines as $k => $outline) {
            $svg .= sprintf(
                '<path d="%s" fill="#f6efdf" stroke="#3a2a20" stroke-width="%s"/>',
                Page::path([array_map(static fn (array $p): array => $place($p, $k), $outline)], true),
                $isWhole ? '0.05' : '0.3',
            );
        }
        $first = $template->laid(0.0, $template->topMm())['at'] ?? [0.0, 0.0];
        $svg .= sprintf(
            '<path d="M%s %s v%s h%s v%s" fill="none" stroke="#b9a98c" stroke-width="0.25"/>',
            Page::number($middle - self::STEM),
            Page::number($rim + $first[1]),
            Page::number(-$first[1]),
            Page::number(2 * self::STEM),
            Page::number($first[1]),
        );
        $low = 0.0;
        foreach ($outlines as $k => $outline) {
            $low = max($low, ...array_column(array_map(static fn (array $p): array => $place($p, $k), $outline), 1));
        }
        $svg .= sprintf(
            '<path d="M%s %s V%s" stroke="#9c3447" stroke-width="0.25" stroke-dasharray="2 1"/>',
            Page::number($middle),
            Page::number($rim),
            Page::number($low),
        );
        foreach ($this->details as $detail) {
            foreach ($this->outlines($detail) as $loop) {
                foreach ($template->courses($this->fine($loop, $detail->drawn->kind !== DetailKind::Line)) as [$strip, $course]) {
                    $svg .= $this->drawn([array_map(static fn (array $p): array => $place($p, $strip), $course)], '0.25', false);
                }
            }
        }
        $words = match (true) {
            $isWhole => Message::of('print.face.whole'),
            $apart > 0.0 => Message::of('print.face.strips'),
            default => self::dartWords($template->dartMm()),
        };

        return $svg.
            Page::text(Message::of('print.face.stem'), Page::RIM, $low + 6.0, 3.0).
            Page::text($words, Page::RIM, $low + 10.5, 3.0).
            $this->leftOutWords($low + 15.0);
    }

    /** @return array{list<array{float, float}>, float, float, float, float} outline, left, highest, width and height */
    private function head(): array
    {
        $outline = Silhouette::of($this->part->placements()[0], Side::Front)[0];
        [$xs, $ys] = [array_column($outline, 0), array_column($outline, 1)];

        return [
            $outline,
            min([0.0, ...$xs]),
            max([0.0, ...$ys]),
            max([0.0, ...$xs]) - min([0.0, ...$xs]),
            max([0.0, ...$ys]) - min([0.0, ...$ys]),
        ];
    }

    /** Middle line and half line. */
    private function lines(float $top, float $left, float $high, float $width, float $height): string
    {
        $edge = Bisection::of(fn (float $mm): bool => $this->surface->has($mm, 0.0));

        return sprintf(
            '<path d="M%s %s v%s" stroke="#9c3447" stroke-width="0.25" stroke-dasharray="2 1"/>',
            Page::number(-$left),
            Page::number($top),
            Page::number($height),
        ).
            sprintf(
                '<path d="M%s %s h%s" stroke="#2f6480" stroke-width="0.25" stroke-dasharray="2 1"/>',
                Page::number(-$left - min($edge, -$left)),
                Page::number($top + $high),
                Page::number(min($width, 2 * $edge)),
            );
    }

    private function leftOutWords(float $y): string
    {
        return $this->leftOut === []
            ? ''
            : Page::text(
                Message::of('print.face.left-out', part: new Name($this->part->name), names: implode(', ', $this->leftOut)),
                Page::RIM,
                $y,
                3.0,
            );
    }

    /** @return list<list<array{float, float}>> within the page's reach; what is left open in it as well; a pair twice */
    private function outlines(Detail $detail): array
    {
        return self::within($detail, $this->room);
    }

    /** @return list<list<array{float, float}>> */
    private static function within(Detail $detail, Box $room): array
    {
        $own =
            $detail->drawn->kind === DetailKind::Line
                ? Clip::polyline($detail->outline(), $room)
                : array_values(
                    array_filter(
                        array_map(static fn (array $loop): array => Clip::polygon($loop, $room), [
                            $detail->outline(),
                            ...$detail->holes(),
                        ]),
                    ),
                );
        $all = $own;
        foreach ($detail->lie->mirror ? $own : [] as $loop) {
            $twin = [];
            foreach ($loop as [$x, $y]) {
                $twin[] = [-$x, $y];
            }
            $all[] = $twin;
        }

        return $all;
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
