<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Figure\Figure;

/** All that is amiss on the face of one part, what cannot be made first. */
final class FaceAdvice
{
    /** @return array<string, non-empty-list<Advice>> by the key of a detail */
    public static function of(Figure $figure, string $part, Needles $needles, Evenness $even): array
    {
        $surfaces = $advice = [];
        foreach ($figure->detailsOn($part) as $detail) {
            $surface = $surfaces[$detail->side->value] ??= Surface::of($figure->parts[$part]->placements()[0], $detail->side);
            $mine = [
                ...Trouble::of($figure->parts[$part], $detail, $surface),
                ...CrispAdvice::of($figure, $detail, $needles),
                ...array_filter([Sliding::of($detail, $surface)]),
                ...$even->advice[$detail->key] ?? [],
            ];
            // What cannot be made stays said; how it looks is the felter's to choose.
            $mine = array_values(array_filter($mine, static fn (Advice $a): bool => $a->isFault || ! $detail->isMeant($a->code)));
            usort($mine, static fn (Advice $a, Advice $b): int => $b->isFault <=> $a->isFault);
            if ($mine !== []) {
                $advice[$detail->key] = $mine;
            }
        }

        return $advice;
    }
}
