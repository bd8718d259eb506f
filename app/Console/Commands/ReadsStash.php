<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Impa\Stash\StashTable;
use Impa\Stash\StashWool;
use Impa\Wool\WoolRefused;

/** A stash from a CSV file, for the console: what cannot be read is told line by line, what is good is used. */
trait ReadsStash
{
    /** @return ?array<int, StashWool> by line of good wools; null, and told, where the file cannot be read */
    private function stash(string $path): ?array
    {
        $bytes = $this->bytes($path);
        if ($bytes === null) {
            return null;
        }
        try {
            $sheet = StashTable::read($bytes);
        } catch (WoolRefused $refused) {
            $this->refuse([$path.': '.$refused->getMessage()]);

            return null;
        }
        foreach ($sheet->refused as $bad) {
            $this->tell(sprintf('%s: line %d, %s: %s', $path, $bad['line'], $bad['column'], $bad['why']));
        }
        $stash = [];
        foreach ($sheet->wools as $i => $w) {
            $stash[$i + 1] = new StashWool(
                id: $i + 1,
                name: $w->name,
                colour: $w->colour,
                material: $w->material,
                preparation: $w->preparation,
                freeG: $w->gramsLeft,
                gPerM: $w->gPerM ?? 0.0,
                pricePerG: $w->price !== null && $w->packG !== null ? $w->price / $w->packG : 0.0,
            );
        }

        return $stash;
    }
}
