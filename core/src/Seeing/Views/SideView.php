<?php

declare(strict_types=1);

namespace Impa\Seeing\Views;

use Impa\Colour\Ciede2000;
use Impa\Colour\Lab;
use Impa\Figure\Editing\Draft;
use Impa\Figure\Editing\Redrawing;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Overlap;
use Impa\Geometry\Box;
use Impa\Seeing\Result\SeenNames;
use Impa\Seeing\Result\ShapeWriting;
use Impa\Voice\Message;
use stdClass;

/**
 * A second drawing, from the side: parts are found in it by colour and height, and take their depth and their place
 * forwards or back from it. Widths and heights stay as the front has them, so that both drawings agree. Immutable.
 */
final readonly class SideView
{
    /** The same colour in both drawings lies within this CIEDE2000. */
    private const SAME = 14.0;

    /** And is the same wool within this. */
    private const SAME_WOOL = 6.0;

    /** What is not found stands out where so much of it lies beside all else. */
    private const STANDS_OUT = 0.4;

    /** A part is found where it stands at much the same height: intersection over union of the two stretches. */
    private const LEVEL = 0.45;

    /**
     * @param  stdClass  $document  the changed copy, with the drawing in `sidePicture`
     * @param  list<Message>  $notices
     */
    private function __construct(public stdClass $document, public array $notices)
    {
    }

    /**
     * @param  Figure  $seen  what is seen from there, broken down by itself at the same height
     * @param  bool  $facesLeft  whether the character looks to the left: seen from its right, as the strip shows it
     * @param  string  $file  the drawing's
     */
    public static function of(
        Figure $figure,
        Figure $seen,
        bool $facesLeft,
        string $file = '',
        string $hash = '',
    ): self {
        $way = $facesLeft ? -1.0 : 1.0;
        $found = $missing = $taken = [];
        foreach ($figure->parts as $key => $part) {
            $match = self::match($part, $figure, $seen);
            if ($match === null) {
                $missing[] = $part->name;
            } else {
                $taken[$match->key] ??= (string) $key;
                [$across, $middle] = self::stretch($match, 0);
                $found[$key] = [$across, $way * $middle];
            }
        }
        $root = array_key_first(array_filter($figure->parts, static fn (Part $p): bool => ! $p->isJoined()));
        $shift = $root !== null && isset($found[$root]) ? $figure->parts[$root]->stand->at[2] - $found[$root][1] : 0.0;
        $draft = Draft::of($figure);
        foreach ($found as $key => [$depthMm, $zMm]) {
            Redrawing::deepened($draft, (string) $key, ShapeWriting::size($depthMm), round($zMm + $shift, 2));
        }
        $added = self::added($draft, $figure, $seen, $taken, $way, $shift);
        $picture = $seen->picture;
        if ($picture !== null) {
            Redrawing::sidePictured($draft, (object) [
                'file' => $file,
                'hash' => $hash,
                'widthPx' => $picture->widthPx,
                'heightPx' => $picture->heightPx,
                'mmPerPx' => $picture->mmPerPx,
                'originPx' => [round($picture->originXPx - ($way * $shift) / $picture->mmPerPx, 2), $picture->originYPx],
                'facesLeft' => $facesLeft,
            ]);
        }
        $notices = [Message::of('seeing.side-view.of-parts-took-their', found: count($found), parts: count($figure->parts))];
        if ($added !== []) {
            $notices[] = Message::of('seeing.side-view.only-the-side-shows', list: implode(', ', $added));
        }
        if ($missing !== []) {
            $notices[] = Message::of('seeing.side-view.not-found', list: implode(', ', $missing));
        }

        return new self($draft->whole(), $notices);
    }

    /**
     * What only the side shows, and stands out before or behind all else there, such as a tail: joined on as it is seen from there.
     *
     * @param  array<string, string>  $taken  parts of the side drawing that were found, and which they are
     * @return list<string> their names
     */
    private static function added(Draft $draft, Figure $figure, Figure $seen, array $taken, float $way, float $shift): array
    {
        $added = [];
        foreach ($seen->document()->parts as $part) {
            $own = $seen->parts[$part->key];
            $others = [];
            foreach ($seen->parts as $key => $other) {
                array_push($others, ...($key === $part->key ? [] : $other->placements()));
            }
            $to = $taken[$own->join->to] ?? '';
            $isOnlyThere = ! isset($taken[$part->key]) && ! $own->stand->mirror && $to !== ''
                && ! self::isDetail($own, $to, $figure, $seen);
            if (! $isOnlyThere || Overlap::beside($own->placements()[0], $others) < self::STANDS_OUT) {
                continue;
            }
            $part->turnDeg = (object) ['x' => 0, 'y' => -90 * $way, 'z' => $part->turnDeg->z ?? 0];
            $part->at = (object) ['xMm' => 0, 'yMm' => $part->at->yMm, 'zMm' => round($way * $part->at->xMm + $shift, 2)];
            $part->join->to = $to;
            $colour = $seen->colours[$own->colour];
            $part->colour = $draft->colourFor($colour->srgb->toHex(), $colour->name, 'side', self::SAME_WOOL);
            $name = $part->at->zMm < $figure->parts[$to]->stand->at[2] ? 'Tail' : 'Snout';
            $part->name = SeenNames::said($name);
            $part->key = strtolower($name);
            Redrawing::known($part);
            $draft->addPart($part);
            $added[] = $part->name;
        }

        return $added;
    }

    /** Whether the front shows a part of the side as colour on another, as a nose that is seen to stand out from aside. */
    private static function isDetail(Part $part, string $on, Figure $figure, Figure $seen): bool
    {
        [$height, $middle] = self::stretch($part, 1);
        $lab = $seen->colours[$part->colour]->srgb->lab();
        foreach ($figure->details as $detail) {
            $y = $figure->parts[$on]->stand->at[1] + $detail->middle()[1];
            $isThere = $detail->on === $on && abs($y - $middle) < $height;
            if ($isThere && self::isSame($lab, $figure->colours[$detail->colour]->srgb->lab())) {
                return true;
            }
        }

        return false;
    }

    private static function match(Part $part, Figure $figure, Figure $seen): ?Part
    {
        [$height, $middle] = self::stretch($part, 1);
        $lab = $figure->colours[$part->colour]->srgb->lab();
        $best = null;
        $most = self::LEVEL;
        foreach ($seen->parts as $other) {
            [$otherHeight, $otherMiddle] = self::stretch($other, 1);
            $both = max(
                0.0,
                min($middle + $height / 2, $otherMiddle + $otherHeight / 2) -
                    max($middle - $height / 2, $otherMiddle - $otherHeight / 2),
            );
            $level = $both / max(1e-6, $height + $otherHeight - $both);
            if ($level > $most && self::isSame($lab, $seen->colours[$other->colour]->srgb->lab())) {
                [$most, $best] = [$level, $other];
            }
        }

        return $best;
    }

    private static function isSame(Lab $one, Lab $two): bool
    {
        return Ciede2000::between($one, $two) < self::SAME;
    }

    /**
     * How far a part's outline reaches, and where its middle is, along x (0) or y (1) of the front view; of a pair in a side
     * drawing, the nearer half.
     *
     * @param  0|1  $axis
     * @return array{float, float}
     */
    private static function stretch(Part $part, int $axis): array
    {
        $turn = $part->stand->turn;
        $box = Box::around(
            array_map(static fn (array $p): array => [$turn->apply($p[0], $p[1], 0.0)[$axis], 0.0], $part->solid->front()[0]),
        );

        return [$box->width(), $part->stand->at[$axis] + $box->middle()[0]];
    }
}
