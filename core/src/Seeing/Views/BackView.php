<?php

declare(strict_types=1);

namespace Impa\Seeing\Views;

use Impa\Colour\Ciede2000;
use Impa\Figure\Detail;
use Impa\Figure\Editing\Draft;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Overlap;
use Impa\Voice\Message;
use stdClass;

/**
 * A drawing of the character from the back: what is drawn on a part there is put on its back, and what is only seen from there, such as
 * a tail, is joined on behind. Parts are found by place and colour; their shapes stay as the front has them. Immutable.
 */
final readonly class BackView
{
    /** A part is found where its outline, turned over, lies over the other's by so much, and its colour within this CIEDE2000. */
    private const SAME = 0.45;

    private const SAME_COLOUR = 14.0;

    private const SAME_WOOL = 6.0;

    /** What is not found, and lies beside all that the front shows by more than this share, is a part that was seen otherwise. */
    private const BESIDE = 0.35;

    /**
     * @param  stdClass  $document  the changed copy
     * @param  list<Message>  $notices
     */
    private function __construct(public stdClass $document, public array $notices)
    {
    }

    /** @param  Figure  $back  what is seen from there, broken down by itself at the same height */
    public static function of(Figure $figure, Figure $back): self
    {
        $draft = Draft::of($figure);
        $colour = static function (string $key) use ($draft, $back): string {
            $seen = $back->colours[$key];

            return $draft->colourFor($seen->srgb->toHex(), $seen->name, 'back', self::SAME_WOOL);
        };
        $seen = $back->document();
        $found = [];
        foreach ($back->parts as $key => $part) {
            $found[$key] = self::match($part, $figure, $back);
        }
        $isOn = $added = 0;
        foreach ($seen->parts as $part) {
            if ($found[$part->key] !== '' || self::isSeen($back->parts[$part->key], $figure)) {
                continue;
            }
            $to = $found[$part->join->to ?? ''] ?? '';
            $to = $to === '' ? (string) array_key_first($figure->parts) : $to;
            $key = $part->key;
            $part->at->xMm = -$part->at->xMm;
            $part->turnDeg->z = -($part->turnDeg->z ?? 0);
            $part->at->zMm = round($figure->parts[$to]->stand->at[2] - $figure->parts[$to]->solid->size()->depthMm / 2, 2);
            $part->colour = $colour($part->colour);
            $part->join = (object) ['to' => $to, 'by' => $part->join->by ?? 'fluff'];
            $found[$key] = $draft->addPart($part);
            $added++;
        }
        foreach ($seen->details ?? [] as $detail) {
            if ($found[$detail->on] === '' || self::isOfPart($back->details[$detail->key], $figure, $back)) {
                continue;
            }
            [$was, $is] = [$back->parts[$detail->on], $draft->part($found[$detail->on])];
            $detail->on = $is->key;
            $detail->side = 'back';
            $detail->colour = $colour($detail->colour);
            // Both middles lie at much the same place of the drawing, but not at the very same.
            $dx = $was->stand->at[0] + $is->at->xMm;
            $dy = $was->stand->at[1] - $is->at->yMm;
            $detail->xMm = round(($detail->xMm ?? 0) + $dx, 2);
            $detail->yMm = round(($detail->yMm ?? 0) + $dy, 2);
            $draft->addDetail($detail);
            $isOn++;
        }
        $said = array_filter([
            $isOn > 0 ? Message::of('seeing.back.on-it', count: $isOn) : null,
            $added > 0 ? Message::of('seeing.back.behind', count: $added) : null,
        ]);

        return new self($draft->whole(), $said === [] ? [] : [Message::of('seeing.back.said', said: implode(', ', $said))]);
    }

    /** Whether a patch of colour is a part that stands behind, as a tail before the body that it is seen against. */
    private static function isOfPart(Detail $detail, Figure $figure, Figure $back): bool
    {
        $at = $back->parts[$detail->on]->stand->at;
        [$x, $y] = $detail->middle();
        $lab = $back->colours[$detail->colour]->srgb->lab();
        foreach ($figure->parts as $part) {
            $isBehind = $part->join->to !== '' && $part->stand->at[2] < $figure->parts[$part->join->to]->stand->at[2];
            if ($isBehind && Ciede2000::between($lab, $figure->colours[$part->colour]->srgb->lab()) < self::SAME_WOOL) {
                foreach ($part->placements() as $piece) {
                    if (Overlap::has($piece, -$at[0] - $x, $at[1] + $y)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    private static function match(Part $part, Figure $figure, Figure $back): string
    {
        $lab = $back->colours[$part->colour]->srgb->lab();
        [$best, $most] = ['', self::SAME];
        foreach ($figure->parts as $key => $other) {
            $overlap = 0.0;
            foreach ($part->stand->mirror === $other->stand->mirror ? $other->placements() : [] as $piece) {
                $overlap = max($overlap, Overlap::ofTurnedOver($part->placements()[0], $piece));
            }
            if ($overlap > $most && Ciede2000::between($lab, $figure->colours[$other->colour]->srgb->lab()) < self::SAME_COLOUR) {
                [$best, $most] = [(string) $key, $overlap];
            }
        }

        return $best;
    }

    /** Whether a part that was not found stands out beside what the front shows: then the front shows it as well, otherwise cut. */
    private static function isSeen(Part $part, Figure $figure): bool
    {
        $all = [];
        foreach ($figure->parts as $other) {
            array_push($all, ...$other->placements());
        }

        return Overlap::besideTurnedOver($part->placements()[0], $all) > self::BESIDE;
    }
}
