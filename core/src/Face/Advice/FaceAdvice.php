<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Impa\Face\Needles;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Surface\Surface;

/** All that is amiss on the face of one part, what cannot be made first. */
final class FaceAdvice
{
    /** @return array<string, non-empty-list<Advice>> by the key of a detail */
    public static function of(Figure $figure, string $part, Needles $needles, Evenness $even): array
    {
        $surfaces = $advice = [];
        foreach ($figure->detailsOn($part) as $detail) {
            $surface = $surfaces[$detail->lie->side->value] ??= Surface::of($figure->parts[$part]->placements()[0], $detail->lie->side);
            $mine = self::sorted($detail, [
                ...self::making($figure, $detail, $surface, $needles),
                ...array_filter([Sliding::of($detail, $surface)]),
                ...$even->advice[$detail->key] ?? [],
            ]);
            if ($mine !== []) {
                $advice[$detail->key] = $mine;
            }
        }

        return $advice;
    }

    /**
     * What is amiss with one detail by itself: whether it can be made, and whether it will read.
     *
     * @param  Surface  $surface  of the part's own piece, seen from the detail's side
     * @return list<Advice>
     */
    public static function making(Figure $figure, Detail $detail, Surface $surface, Needles $needles): array
    {
        return self::sorted($detail, [
            ...Trouble::of($figure->parts[$detail->on], $detail, $surface),
            ...CrispAdvice::of($figure, $detail, $needles),
        ]);
    }

    /**
     * What cannot be made stays said, and first; how it looks is the felter's to choose.
     *
     * @param  array<Advice>  $advice
     * @return list<Advice>
     */
    private static function sorted(Detail $detail, array $advice): array
    {
        $said = array_values(array_filter($advice, static fn (Advice $a): bool => $a->isFault || ! $detail->isMeant($a->code)));
        usort($said, static fn (Advice $a, Advice $b): int => $b->isFault <=> $a->isFault);

        return $said;
    }
}
