<?php

declare(strict_types=1);

namespace App\Building;

use Illuminate\Support\Facades\Cache;
use Impa\Build\Order\Hindrance;
use Impa\Build\Order\Reach;
use Impa\Figure\Figure;

/**
 * What is in the needle's way on a figure, kept for those who ask of the same document within a moment: plan, steps, evenings, shelf. It
 * hangs on the document alone, and is the dearest of what they reckon.
 */
final class KnownReach
{
    /** So many figures are kept at most: what comes to the place of another takes it. */
    private const PLACES = 64;

    private const SECONDS = 3600;

    /** @return list<Hindrance> */
    public static function of(Figure $figure): array
    {
        if ($figure->flat->isFlat()) {
            return [];
        }
        $hash = hash('sha256', $figure->toJson());
        // The number goes up with the form of what is kept: an older Impa's cannot be read as this one's.
        $place = 'reach.2.'.hexdec(substr($hash, 0, 4)) % self::PLACES;
        $kept = Cache::get($place);
        if (is_array($kept) && ($kept['of'] ?? '') === $hash && is_array($kept['is'] ?? null)) {
            $known = array_values(array_filter($kept['is'], static fn (mixed $one): bool => $one instanceof Hindrance));
            // What another Impa kept may be none any more.
            if (count($known) === count($kept['is'])) {
                return $known;
            }
        }
        $found = Reach::of($figure);
        Cache::put($place, ['of' => $hash, 'is' => $found], self::SECONDS);

        return $found;
    }
}
