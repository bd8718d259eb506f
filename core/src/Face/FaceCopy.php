<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Face\Expression\Head;
use Impa\Figure\Editing\Draft;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Term\Side;
use Impa\Surface\Surface;
use stdClass;

/**
 * A face taken from one head to another, of the same figure or of another one, with its proportions: everything as high
 * and as far out as it was, as shares of the head.
 */
final class FaceCopy
{
    /**
     * @param  bool  $instead  what is on the front of the other head goes
     * @return stdClass the changed document of $to
     *
     * @throws FaceRefused if there is nothing to copy
     */
    public static function of(Figure $from, Part $face, Figure $to, Part $head, bool $instead): stdClass
    {
        $source = array_values(
            array_filter(
                $from->document()->details ?? [],
                static fn (stdClass $d): bool => $d->on === $face->key && ($d->side ?? 'front') === 'front',
            ),
        );
        if ($source === []) {
            throw FaceRefused::nothingToCopy($face->name);
        }
        [$one, $two] = [Head::of(Surface::of($face->placements()[0])), Head::of(Surface::of($head->placements()[0]))];
        $high = $two->heightMm() / $one->heightMm();
        $wide = $two->halfMm($two->y(0.5)) / max(0.1, $one->halfMm($one->y(0.5)));
        $draft = Draft::of($to);
        if ($instead) {
            $draft->removeDetails(array_column($draft->detailsOn($head->key, Side::Front), 'key'));
        }
        $pieces = [];
        foreach ($source as $detail) {
            $copy = self::scaled($detail, $wide, $high);
            $copy->on = $head->key;
            $copy->key = $detail->key;
            $copy->yMm = round($two->y(0.5) + $high * (($detail->yMm ?? 0.0) - $one->y(0.5)), 2);
            $copy->colour = $draft->colourFor(
                $from->colours[$detail->colour]->srgb->toHex(),
                $from->colours[$detail->colour]->name,
                $detail->colour,
            );
            unset($copy->seen);
            if (isset($copy->piece)) {
                $pieces[$copy->piece->key] ??= Draft::besides($draft->pieces(), $copy->piece->key);
                $copy->piece->key = $pieces[$detail->piece->key];
                // Its details are known by their piece's key, so that it can still be varied.
                $copy->key = $copy->piece->key.substr($detail->key, strlen($detail->piece->key));
            }
            $draft->addDetail($copy);
        }

        return $draft->whole();
    }

    /**
     * Points go with the head's width and height; so do spots; the thickness of a line with the mean of both; what is
     * bought keeps to sizes that are sold.
     */
    private static function scaled(stdClass $detail, float $wide, float $high): stdClass
    {
        $copy = Draft::copy($detail);
        $mean = sqrt($wide * $high);
        $points = static fn (array $list): array => array_map(
            static fn (array $p): array => [round($p[0] * $wide, 2), round($p[1] * $high, 2)],
            $list,
        );
        $isHard = in_array($detail->kind, ['bead', 'eye'], true);
        $copy->xMm = round(($detail->xMm ?? 0.0) * $wide, 2);
        foreach (
            ['widthMm' => $detail->kind === 'line' || $isHard ? $mean : $wide, 'heightMm' => $isHard ? $mean : $high] as $name => $times
        ) {
            if (isset($copy->{$name})) {
                $copy->{$name} = $isHard ? ReadyMade::nearest($detail->{$name} * $times) : self::size($detail->{$name} * $times);
            }
        }
        if (isset($copy->pointsMm)) {
            $copy->pointsMm = $points($copy->pointsMm);
        }
        if (isset($copy->holesMm)) {
            $copy->holesMm = array_map($points, $copy->holesMm);
        }
        if (isset($copy->widthsMm)) {
            $copy->widthsMm = array_map(static fn (float|int $mm): float => self::size($mm * $mean), $copy->widthsMm);
        }

        return $copy;
    }

    /** No smaller than a document can say. */
    private static function size(float $mm): float
    {
        return max(0.3, round($mm, 2));
    }
}
