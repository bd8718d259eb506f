<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Figure\Figure;
use stdClass;

/** In which order a felter looks through what was seen: as it lies in the document, but what is unsure first where a drawing was hard. */
final class ReviewOrder
{
    /** A drawing was hard where such a share of what was seen in it is unsure (house choice). */
    private const HARD = 0.25;

    /** @return array{hard: bool, order: list<array{kind: string, key: string}>} every part and detail that is a suggestion */
    public static function of(Figure $figure): array
    {
        $document = $figure->document();
        $seen = [];
        foreach (['part' => 'parts', 'detail' => 'details'] as $kind => $members) {
            foreach (is_array($document->{$members} ?? null) ? $document->{$members} : [] as $member) {
                if ($member instanceof stdClass && ($member->seen ?? null) instanceof stdClass) {
                    $confidence = $member->seen->confidence ?? 1.0;
                    $key = $member->key ?? '';
                    $seen[] = [is_numeric($confidence) ? (float) $confidence : 1.0, $kind, is_string($key) ? $key : ''];
                }
            }
        }
        $unsure = count(array_filter($seen, static fn (array $s): bool => $s[0] < Sureness::UNSURE));
        $isHard = $unsure > 0 && $unsure >= self::HARD * count($seen);
        if ($isHard) {
            // PHP sorts stably: equally sure ones stay as they lie.
            usort($seen, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        }

        return ['hard' => $isHard, 'order' => array_map(static fn (array $s): array => ['kind' => $s[1], 'key' => $s[2]], $seen)];
    }
}
