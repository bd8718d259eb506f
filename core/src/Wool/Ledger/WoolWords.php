<?php

declare(strict_types=1);

namespace Impa\Wool\Ledger;

use Impa\Figure\Figure;
use Impa\Voice\Message;

/** What a felter calls the wool that she weighs: the figure's colour, the wool that she chose for it, or the mix of her wools. */
final class WoolWords
{
    /** @param  string  $colour  key of the figure's colour; empty for what has none */
    public static function name(string $material, string $colour, Figure $figure): string
    {
        $of = $figure->colours[$colour] ?? null;

        return match (true) {
            $of === null => (string) LedgerLine::word($material),
            $of->isMixed() => (string) Message::of('wool.material.mix', name: $of->name),
            default => $of->chosen() ?? $of->name,
        };
    }

    /** The same within a sentence: what the figure calls it stands small, a wool's own name as the felter wrote it. */
    public static function within(string $material, string $colour, Figure $figure): string
    {
        $of = $figure->colours[$colour] ?? null;

        return $of?->chosen() ?? mb_strtolower(self::name($material, $colour, $figure));
    }
}
