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
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Voice\Amount;
use Impa\Voice\Message;
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
     * @param  list<Message>  $marks  where to prick or pin, in mm by tape
     * @param  list<Message>  $stabs  in order
     * @param  float  $proudMm  how far to leave it proud; 0 where it may lie level
     */
    private function __construct(
        public Detail $detail,
        public float $woolMg,
        public ?Message $needle,
        public array $marks,
        public array $stabs,
        public float $proudMm,
        public Message $check,
        public Message $undo,
    ) {
    }

    public static function of(Figure $figure, Detail $detail, Surface $surface, Needles $needles): self
    {
        $wool = DetailWool::g($detail, $figure->parts[$detail->on]->solid->kind()->isFlat() ? null : $surface);
        $mg = 1000 * ($wool->is ?? 0.0);
        $isLine = $detail->drawn->kind === DetailKind::Line;
        $isFelted = $detail->method === Method::Felt;
        $proud =
            $isFelted && ! $isLine && self::sinks($figure, $detail)
                ? self::SINKS_MM[$figure->parts[$detail->on]->made->firmness->value]
                : 0.0;

        return new self(
            detail: $detail,
            woolMg: $mg,
            needle: $isFelted ? Message::of('face.laying.needle', gauge: $needles->finest()) : null,
            marks: $isLine ? self::linePins($detail, $surface) : self::spotMarks($detail, $surface),
            stabs: self::stabs($detail, $proud),
            proudMm: $proud,
            check: self::check($detail),
            undo: $isFelted
                ? Message::of('face.laying.lift-it-out')
                : self::undo($detail),
        );
    }

    /** How much of it, in words; nothing where none is felted on. */
    public function wool(): ?Message
    {
        return $this->detail->method === Method::Felt
            ? Message::of(
                'face.laying.'.($this->detail->lie->mirror ? 'wool-each' : 'wool'),
                g: Amount::g($this->woolMg / 1000),
                like: Wisp::words($this->woolMg),
            )
            : null;
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'key' => $this->detail->key,
            'woolMg' => $this->woolMg,
            'wool' => (string) $this->wool(),
            'needle' => (string) $this->needle,
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

    /** @return list<Message> */
    private static function spotMarks(Detail $detail, Surface $surface): array
    {
        [$x, $y] = $detail->middle();
        $half = $detail->drawn->kind === DetailKind::Patch ? null : [$detail->drawn->widthMm / 2, $detail->drawn->heightMm / 2];
        $middle = TapeMark::on($surface, $x, $y);
        if (is_nan($middle->acrossMm + $middle->downMm)) {
            return [Message::of('face.laying.it-does-not-lie')];
        }
        $marks = [self::told(Message::of('face.laying.place.middle'), $middle, $detail->lie->mirror)];
        foreach (
            $half === null ? [] : [['top', 0.0, $half[1]], ['outer', ($x < 0.0 ? -1 : 1) * $half[0], 0.0]] as [$word, $dx, $dy]
        ) {
            $mark = TapeMark::on($surface, $x + $dx, $y + $dy);
            if (! is_nan($mark->acrossMm + $mark->downMm)) {
                $marks[] = self::told(Message::of('face.laying.place.'.$word), $mark, $detail->lie->mirror);
            }
        }

        if ($detail->lie->keep === Keep::AsDrawn) {
            $box = Box::around($detail->outline());
            [$across, $isOverSide] = self::onWool($surface, [$x, $y], $box->left - $x, $box->right - $x, false);
            [$down, $isOverEnd] = self::onWool($surface, [$x, $y], $box->low - $y, $box->high - $y, true);
            $marks[] = Message::of(
                'face.laying.'.($isOverSide || $isOverEnd ? 'on-the-wool-over' : 'on-the-wool'),
                across: Amount::mm($across),
                down: Amount::mm($down),
            );
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

    /** @return list<Message> a pin at each end, and where the line bends or runs long */
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
                    ? Message::of('face.laying.pin-round', number: count($marks) + 1)
                    : self::told(Message::of('face.laying.pin', number: count($marks) + 1), $mark, $detail->lie->mirror);
                $since = 0.0;
            }
        }

        return $marks;
    }

    private static function told(Message $word, TapeMark $mark, bool $bothSides): Message
    {
        $across = abs($mark->acrossMm);
        $where =
            $across < 0.05
                ? Message::of('face.laying.at.middle')
                : Message::of(
                    'face.laying.at.'.($bothSides ? 'both' : ($mark->acrossMm < 0.0 ? 'left' : 'right')),
                    off: Amount::mm($across),
                );

        return Message::of('face.laying.mark', what: $word, where: $where, down: Amount::mm($mark->downMm));
    }

    /** @return list<Message> */
    private static function stabs(Detail $detail, float $proudMm): array
    {
        return match (true) {
            $detail->method === Method::Bead => [
                Message::of('face.laying.prick-the-mark'),
                Message::of('face.laying.sew-the-bead'),
                Message::of('face.laying.pull-the-thread'),
            ],
            $detail->method === Method::ReadyMade => [
                Message::of('face.laying.prick-the-mark'),
                Message::of('face.laying.make-a-hole'),
                Message::of('face.laying.glue-it-in-let'),
            ],
            $detail->method === Method::Stitch => [
                Message::of('face.laying.come-up'),
                Message::of('face.laying.follow-the-marks'),
                Message::of('face.laying.hide-the-end-inside'),
            ],
            $detail->method === Method::Paint => [
                Message::of('face.laying.flatten-the-fuzz-under'),
                Message::of('face.laying.paint-it'),
                Message::of('face.laying.let-it-dry'),
            ],
            $detail->method === Method::Pin => [Message::of('face.laying.push-it'), Message::of('face.laying.glue-it-its-point')],
            $detail->drawn->kind === DetailKind::Line => [
                Message::of('face.laying.twist-a-wisp'),
                Message::of('face.laying.fix-its-end'),
                Message::of('face.laying.lay-it-round'),
                Message::of('face.laying.stab-it-down-from'),
                Message::of('face.laying.trim-the-end-stab'),
                Message::of('face.laying.push-it-straight'),
            ],
            default => [
                Message::of('face.laying.tack-it'),
                Message::of('face.laying.at-the-bottom'),
                Message::of('face.laying.right'),
                Message::of('face.laying.left'),
                Message::of('face.laying.stab-round-the-rim'),
                $proudMm > 0.0 ? Message::of(
                    'face.laying.the-middle-last',
                    proud: Amount::mm($proudMm),
                ) : Message::of('face.laying.the-middle-last-2'),
            ],
        };
    }

    private static function check(Detail $detail): Message
    {
        return $detail->lie->mirror
            ? Message::of('face.laying.compare-both-the-same')
            : Message::of('face.laying.look-from-straight');
    }

    private static function undo(Detail $detail): Message
    {
        return match ($detail->method) {
            Method::Bead, Method::Stitch => Message::of('face.laying.cut-the-thread'),
            Method::Paint => Message::of('face.laying.cover-it'),
            default => Message::of('face.laying.pull-it-before'),
        };
    }
}
