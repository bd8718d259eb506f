<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Keep;
use Impa\Figure\Term\Method;
use Impa\Geometry\Bisection;
use Impa\Geometry\Box;
use Impa\Material\Densities;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Voice\Amount;
use Impa\Wool\Ledger\DetailWool;
use Impa\Wool\Portion\Wisp;

/**
 * How one detail is laid: with how much wool, where it is marked, in which order it is stabbed, what to look at, how to
 * undo it. Immutable.
 */
final readonly class Laying
{
    /** A line bends so much between two pins before it wants another, mm (common practice). */
    private const PIN_EVERY_MM = 6.0;

    /**
     * What is worked long sinks by about so much, more on soft ground; dark on light shows it (common practice: slightly;
     * house figures).
     */
    private const SINKS_MM = ['squishy' => 0.7, 'soft' => 0.5, 'springy' => 0.4, 'firm' => 0.3, 'hard' => 0.2];

    /** Lighter by so much, its ground shows a rim of shadow round what has sunk. */
    private const DARKER_BY = 20.0;

    /**
     * @param  list<string>  $marks  where to prick or pin, in mm by tape
     * @param  list<string>  $stabs  in order
     * @param  float  $proudMm  how far to leave it proud; 0 where it may lie level
     */
    private function __construct(
        public Detail $detail,
        public float $woolMg,
        public string $needle,
        public array $marks,
        public array $stabs,
        public float $proudMm,
        public string $check,
        public string $undo,
    ) {
    }

    public static function of(Figure $figure, Detail $detail, Surface $surface, Needles $needles, Densities $densities): self
    {
        $mg = DetailWool::mg($detail, $figure->parts[$detail->on]->solid->kind()->isFlat() ? null : $surface, $densities);
        $isLine = $detail->drawn->kind === DetailKind::Line;
        $isFelted = $detail->method === Method::Felt;
        $proud =
            $isFelted && ! $isLine && self::sinks($figure, $detail)
                ? self::SINKS_MM[$figure->parts[$detail->on]->made->firmness->value]
                : 0.0;

        return new self(
            detail: $detail,
            woolMg: $mg,
            needle: $isFelted ? sprintf('%d, one, very shallow; hold it at about 45 degrees to its middle', $needles->finest()) : '',
            marks: $isLine ? self::linePins($detail, $surface) : self::spotMarks($detail, $surface),
            stabs: self::stabs($detail, $proud),
            proudMm: $proud,
            check: self::check($detail),
            undo: $isFelted
                ? 'Lift it out with the needle\'s tip while it is only tacked; later, cover it with a wisp of its ground, and mark again.'
                : self::undo($detail),
        );
    }

    /** How much of it, in words; empty where none is felted on. */
    public function wool(): string
    {
        return $this->detail->method === Method::Felt
            ? sprintf('%s%s: %s', Amount::g($this->woolMg / 1000), $this->detail->lie->mirror ? ' each' : '', Wisp::words($this->woolMg))
            : '';
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'key' => $this->detail->key,
            'woolMg' => $this->woolMg,
            'wool' => $this->wool(),
            'needle' => $this->needle,
            'marks' => $this->marks,
            'stabs' => $this->stabs,
            'proudMm' => $this->proudMm,
            'check' => $this->check,
            'undo' => $this->undo,
        ];
    }

    /** Dark worked long on light sits lower than its surround. */
    private static function sinks(Figure $figure, Detail $detail): bool
    {
        $ground = $figure->colours[DetailGround::colour($figure, $detail)]->srgb->lab();

        return $ground->l - $figure->colours[$detail->colour]->srgb->lab()->l > self::DARKER_BY;
    }

    /** @return list<string> */
    private static function spotMarks(Detail $detail, Surface $surface): array
    {
        [$x, $y] = $detail->middle();
        $half = $detail->drawn->kind === DetailKind::Patch ? null : [$detail->drawn->widthMm / 2, $detail->drawn->heightMm / 2];
        $middle = TapeMark::on($surface, $x, $y);
        if (is_nan($middle->acrossMm + $middle->downMm)) {
            return ['It does not lie on the part as seen from here: move it first.'];
        }
        $marks = [self::told('its middle', $middle, $detail->lie->mirror)];
        foreach (
            $half === null ? [] : [['its top', 0.0, $half[1]], ['its outer side', ($x < 0.0 ? -1 : 1) * $half[0], 0.0]] as [$word, $dx, $dy]
        ) {
            $mark = TapeMark::on($surface, $x + $dx, $y + $dy);
            if (! is_nan($mark->acrossMm + $mark->downMm)) {
                $marks[] = self::told($word, $mark, $detail->lie->mirror);
            }
        }

        if ($detail->lie->keep === Keep::AsDrawn) {
            $box = Box::around($detail->outline());
            [$across, $isOverSide] = self::onWool($surface, [$x, $y], $box->left - $x, $box->right - $x, false);
            [$down, $isOverEnd] = self::onWool($surface, [$x, $y], $box->low - $y, $box->high - $y, true);
            $marks[] = sprintf('on the wool it is %s across and %s down', Amount::mm($across), Amount::mm($down))
                .($isOverSide || $isOverEnd ? ' to the edge, and goes on round it' : '');
        }

        return $marks;
    }

    /**
     * How long a detail is laid, through its middle: as far as it is seen on the part.
     *
     * @param  array{float, float}  $middle  on the part
     * @param  float  $from  mm from the middle, to the left or down: below 0
     * @param  float  $to  to the right or up
     * @return array{float, bool} mm by tape, and whether it goes on beyond the edge
     */
    private static function onWool(Surface $surface, array $middle, float $from, float $to, bool $isUp): array
    {
        $at = static fn (float $mm): array => $isUp ? [$middle[0], $middle[1] + $mm] : [$middle[0] + $mm, $middle[1]];
        $mm = 0.0;
        $isOver = false;
        foreach ([$from, $to] as $end) {
            $way = $end < 0.0 ? -1.0 : 1.0;
            $isSeen = $surface->has(...$at($end)) && ! is_nan(TapeMark::straightMm($surface, $middle, $at($end)));
            // Just short of the edge: on it a steep skin has no height of its own.
            $edge = $isSeen ? abs($end) : 0.999 * Bisection::of(
                static fn (float $mm): bool => $mm <= abs($end) && ! is_nan(TapeMark::straightMm($surface, $middle, $at($way * $mm))),
            );
            $isOver = $isOver || ! $isSeen;
            $laid = TapeMark::straightMm($surface, $middle, $at($way * $edge));
            $mm += is_nan($laid) ? 0.0 : $laid;
        }

        return [$mm, $isOver];
    }

    /** @return list<string> a pin at each end, and where the line bends or runs long */
    private static function linePins(Detail $detail, Surface $surface): array
    {
        $points = $detail->outline();
        $marks = [];
        $since = INF;
        foreach ($points as $i => [$x, $y]) {
            $since += $i > 0 ? hypot($x - $points[$i - 1][0], $y - $points[$i - 1][1]) : 0.0;
            if ($i === 0 || $i === count($points) - 1 || $since >= self::PIN_EVERY_MM) {
                $mark = TapeMark::on($surface, $x, $y);
                $marks[] = is_nan($mark->acrossMm + $mark->downMm)
                    ? sprintf('pin %d: round the edge, feel for it', count($marks) + 1)
                    : self::told(sprintf('pin %d', count($marks) + 1), $mark, $detail->lie->mirror);
                $since = 0.0;
            }
        }

        return $marks;
    }

    private static function told(string $word, TapeMark $mark, bool $bothSides): string
    {
        $across = abs($mark->acrossMm);
        $where =
            $across < 0.05
                ? 'on the middle line'
                : sprintf(
                    '%s %s',
                    Amount::mm($across),
                    $bothSides ? 'out on both sides' : ($mark->acrossMm < 0.0 ? 'to the left' : 'to the right'),
                );

        return sprintf('%s: %s, %s down', $word, $where, Amount::mm($mark->downMm));
    }

    /** @return list<string> */
    private static function stabs(Detail $detail, float $proudMm): array
    {
        return match (true) {
            $detail->method === Method::Bead => [
                'Prick the mark',
                'Sew the bead on from behind',
                'Pull the thread in until the bead sits in a small dent',
            ],
            $detail->method === Method::ReadyMade => [
                'Prick the mark',
                'Make a hole as deep as its shank',
                'Glue it in; let it dry',
            ],
            $detail->method === Method::Stitch => [
                'Come up at the first mark',
                'Follow the marks with one thread',
                'Hide the end inside',
            ],
            $detail->method === Method::Paint => [
                'Flatten the fuzz under it with the needle',
                'Paint it with a fine brush',
                'Let it dry',
            ],
            $detail->method === Method::Pin => ['Push it in on the mark', 'Glue it; its point must end inside'],
            $detail->drawn->kind === DetailKind::Line => [
                'Twist a wisp of tops',
                'Fix its end at pin 1',
                'Lay it round the pins',
                'Stab it down from pin to pin',
                'Trim the end, stab it under',
                'Push it straight with slanting stabs from both sides',
            ],
            default => [
                'Tack it at the top',
                'at the bottom',
                'right',
                'left',
                'Stab round the rim, slanting inwards',
                $proudMm > 0.0 ? sprintf('The middle last, and little: leave it %s proud', Amount::mm($proudMm)) : 'The middle last',
            ],
        };
    }

    private static function check(Detail $detail): string
    {
        return $detail->lie->mirror
            ? 'Compare both: the same tape marks, the same size, level; look in a mirror and upside down.'
            : 'Look from straight in front, in a mirror, and upside down.';
    }

    private static function undo(Detail $detail): string
    {
        return match ($detail->method) {
            Method::Bead, Method::Stitch => 'Cut the thread and pull it out; close the ground with a wisp of its colour.',
            Method::Paint => 'Cover it with a thin wisp of its ground.',
            default => 'Pull it before the glue is dry; close the hole with a wisp of its ground.',
        };
    }
}
