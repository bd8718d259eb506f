<?php

declare(strict_types=1);

namespace Impa\Seeing\Editing;

use Impa\Colour\Ciede2000;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Editing\Draft;
use Impa\Figure\Editing\Redrawing;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Overlap;
use Impa\Voice\Message;
use stdClass;

/**
 * A drawing that was looked at once more, with other wishes: what the felter has made of the figure meanwhile stays. A part that lies
 * where it lay is left as it is; one that is seen otherwise takes its new shape and place and keeps all else; what she added without the
 * drawing is untouched. Immutable.
 */
final readonly class SeenAgain
{
    /** Two outlines are the same part from such an intersection over union, and lie where they lay from the second. */
    private const SAME = 0.5;

    private const WHERE_IT_LAY = 0.88;

    /** The same wool lies within this CIEDE2000. */
    private const SAME_COLOUR = 6.0;

    /**
     * @param  stdClass  $document  the figure as it is now
     * @param  int  $kept  parts that stay as they were
     * @param  int  $changed  parts in a new shape or place
     * @param  int  $added  parts
     * @param  int  $gone  parts
     */
    private function __construct(public stdClass $document, public int $kept, public int $changed, public int $added, public int $gone)
    {
    }

    /** Made in layers what was made in the round, or the other way: none of it is the same piece. */
    private static function allAnew(Figure $figure, Figure $seen): self
    {
        return new self(Choices::named($seen, $figure->name)->document(), 0, 0, count($seen->parts), count($figure->parts));
    }

    /**
     * @param  Figure  $figure  as the felter has it, broken down from the same drawing once
     * @param  array<string, mixed>  $document  what is seen in it now
     */
    public static function of(Figure $figure, array $document): self
    {
        $seen = Figure::fromDocument(json_decode((string) json_encode($document, JSON_PRESERVE_ZERO_FRACTION)));
        if ($figure->flat->isFlat() !== $seen->flat->isFlat()) {
            return self::allAnew($figure, $seen);
        }
        [$was, $is] = [$figure->picture, $seen->picture];
        $draft = Draft::of($was === null || $is === null ? $figure : Redrawing::inFrame($figure, $was, $is, $seen->heightMm));
        if ($seen->flat->isFlat()) {
            Redrawing::layered($draft, $seen->flat->way);
        }
        $old = Figure::fromDocument($draft->document);
        $match = self::matched($old, $seen);
        $colours = [];
        foreach ($seen->colours as $key => $colour) {
            $colours[$key] = $draft->colourFor($colour->srgb->toHex(), $colour->name, (string) $key, self::SAME_COLOUR);
        }
        $new = $seen->document();
        $keys = $kept = $changed = [];
        foreach ($new->parts as $part) {
            [$was, $overlap] = $match[$part->key] ?? ['', 0.0];
            $keys[$part->key] = $was;
            if ($was !== '' && $overlap >= self::WHERE_IT_LAY && $old->parts[$was]->colour === $colours[$part->colour]) {
                $kept[] = $part->key;
            } elseif ($was !== '') {
                $changed[] = $part->key;
            }
        }
        // A key of digits is a number as an array's.
        $gone = self::removed($draft, array_diff(array_map(strval(...), array_keys($old->parts)), array_values($keys)));
        $hadDetails = [];
        foreach ($new->parts as $part) {
            $seenKey = $part->key;
            $part->colour = $colours[$part->colour];
            if ($keys[$seenKey] === '') {
                $keys[$seenKey] = $draft->addPart($part);
            } elseif (in_array($seenKey, $kept, true)) {
                $hadDetails[$seenKey] = true;
            } else {
                Redrawing::takesOver($draft, $keys[$seenKey], $part);
            }
        }
        foreach ($new->parts as $part) {
            if (isset($part->join->to, $keys[$part->join->to])) {
                $part->join->to = $keys[$part->join->to];
            }
        }
        foreach ($new->details ?? [] as $detail) {
            if (! isset($hadDetails[$detail->on])) {
                $detail->on = $keys[$detail->on];
                $detail->colour = $colours[$detail->colour];
                $draft->addDetail($detail);
            }
        }
        Redrawing::pictured($draft, $new->picture);
        if (! isset($draft->document->sidePicture) && isset($new->sidePicture)) {
            Redrawing::sidePictured($draft, $new->sidePicture);
        }
        Redrawing::withoutUnusedColours($draft, $old);

        return new self($draft->whole(), count($kept), count($changed), count($keys) - count($kept) - count($changed), $gone);
    }

    /** What became of the parts, in words. */
    public function notice(): Message
    {
        $said = array_filter([
            $this->kept > 0 ? Message::of('seeing.again.kept', count: $this->kept) : null,
            $this->changed > 0 ? Message::of('seeing.again.changed', count: $this->changed) : null,
            $this->added > 0 ? Message::of('seeing.again.added', count: $this->added) : null,
            $this->gone > 0 ? Message::of('seeing.again.gone', count: $this->gone) : null,
        ]);

        return Message::of('seeing.again.said', said: implode('; ', $said));
    }

    /**
     * Which old part each new one is: the best pairs first, each but once.
     *
     * @return array<string, array{string, float}> the old part's key and how well they overlap, by the new one's
     */
    private static function matched(Figure $old, Figure $seen): array
    {
        $pairs = [];
        foreach ($seen->parts as $key => $part) {
            foreach ($old->parts as $oldKey => $other) {
                // Of a pair one may be left, or one become a pair: then it is no more as it was.
                $overlap = $part->stand->mirror === $other->stand->mirror
                    ? Overlap::of($part->placements()[0], $other->placements()[0])
                    : min(self::WHERE_IT_LAY - 1e-6, self::overlapOfAny($part, $other));
                if ($overlap >= self::SAME) {
                    $labs = [$seen->colours[$part->colour]->srgb->lab(), $old->colours[$other->colour]->srgb->lab()];
                    $isLike = Ciede2000::between(...$labs) < 2 * self::SAME_COLOUR;
                    $pairs[] = [$overlap + (int) $isLike, (string) $key, (string) $oldKey, $overlap];
                }
            }
        }
        rsort($pairs);
        $match = $taken = [];
        foreach ($pairs as [, $key, $oldKey, $overlap]) {
            if (! isset($match[$key]) && ! isset($taken[$oldKey])) {
                $match[$key] = [$oldKey, $overlap];
                $taken[$oldKey] = true;
            }
        }

        return $match;
    }

    private static function overlapOfAny(Part $one, Part $two): float
    {
        $best = 0.0;
        foreach ($one->placements() as $piece) {
            foreach ($two->placements() as $other) {
                $best = max($best, Overlap::of($piece, $other));
            }
        }

        return $best;
    }

    /**
     * Takes away what came from the drawing and is not seen in it any more.
     *
     * @param  array<int, string>  $missing
     */
    private static function removed(Draft $draft, array $missing): int
    {
        $gone = 0;
        foreach ($missing as $key) {
            if (isset($draft->part($key)->seen) && count($draft->document->parts) > 1) {
                $draft->removePart($key);
                $gone++;
            }
        }

        return $gone;
    }
}
