<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Figure\Figure;
use Impa\Figure\Picture;
use Impa\Figure\Term\FlatWay;
use stdClass;

/** What a drawing changes of a figure that is there already, step by step in a draft. */
final class Redrawing
{
    /** What of a part is the felter's, not the drawing's; what hangs on what as well, so that nothing ever hangs in a circle. */
    private const OWN = ['key', 'name', 'core', 'coverMm', 'firmness', 'finish', 'covering', 'group', 'join'];

    /**
     * The figure, its lengths and places as another look at its drawing has them: scale and origin may be others.
     *
     * @param  float  $heightMm  finished height, as it is there
     */
    public static function inFrame(Figure $figure, Picture $was, Picture $is, float $heightMm): Figure
    {
        $document = Draft::of($figure)->document;
        $scale = $is->mmPerPx / $was->mmPerPx;
        if (abs($scale - 1) > 1e-3) {
            $document = Scaling::of($document, $scale);
        }
        $document->heightMm = $heightMm;
        $x = ($was->originXPx - $is->originXPx) * $is->mmPerPx;
        $y = ($is->originYPx - $was->originYPx) * $is->mmPerPx;
        if (hypot($x, $y) > 0.05) {
            foreach ($document->parts as $part) {
                $part->at->xMm += ($part->mirror ?? false) || $part->at->xMm == 0 ? 0 : $x;
                $part->at->yMm += $y;
            }
            if (isset($document->sidePicture)) {
                $document->sidePicture->originPx[1] += $y / $document->sidePicture->mmPerPx;
            }
        }

        return Figure::fromDocument($document);
    }

    /** A part takes its shape, place and colour from what is seen now; what was seen on it goes, what the felter laid on it stays. */
    public static function takesOver(Draft $draft, string $key, stdClass $seen): void
    {
        $part = $draft->part($key);
        $was = $part->shape;
        $wasGuessed = isset($part->seen->depth);
        foreach (get_object_vars($seen) as $name => $value) {
            if (! in_array($name, self::OWN, true)) {
                $part->{$name} = $value;
            }
        }
        // How deep it is for its width, no drawing from the front says.
        if ($was->kind === $seen->shape->kind) {
            $part->shape->depthMm = min(2000.0, max(0.3, round($seen->shape->widthMm * $was->depthMm / $was->widthMm, 2)));
            if (! $wasGuessed) {
                self::known($part);
            }
        }
        $draft->removeDetails(array_column(
            array_filter($draft->detailsOn($key), static fn (stdClass $detail): bool => isset($detail->seen)),
            'key',
        ));
    }

    /** How deep a part is, and how far forwards or back it stands, mm. */
    public static function deepened(Draft $draft, string $key, float $depthMm, float $zMm): void
    {
        $part = $draft->part($key);
        $part->shape->depthMm = $depthMm;
        $part->at->zMm = $zMm;
        self::known($part);
    }

    /** A part's depth is no guess any more. */
    public static function known(stdClass $part): void
    {
        if (isset($part->seen)) {
            $part->seen = clone $part->seen;
            unset($part->seen->depth);
        }
    }

    public static function layered(Draft $draft, FlatWay $way): void
    {
        $draft->member('flat')->way = $way->value;
    }

    /** The drawing that it is seen in; what the figure's own says besides stays. */
    public static function pictured(Draft $draft, stdClass $picture): void
    {
        $draft->document->picture = (object) ((array) $picture + (array) ($draft->document->picture ?? new stdClass));
    }

    public static function sidePictured(Draft $draft, stdClass $picture): void
    {
        $draft->document->sidePicture = $picture;
    }

    /** Colours that nothing has any more, and something had, go. */
    public static function withoutUnusedColours(Draft $draft, Figure $had): void
    {
        $document = $draft->document;
        $used = array_fill_keys([...array_column($document->parts, 'colour'), ...array_column($document->details, 'colour')], true);
        $before = [];
        foreach ([...$had->parts, ...$had->details] as $member) {
            $before[$member->colour] = true;
        }
        $document->colours = array_values(
            array_filter($document->colours, static fn (stdClass $c): bool => isset($used[$c->key]) || ! isset($before[$c->key])),
        );
    }
}
