<?php

declare(strict_types=1);

namespace App\Console\Commands\Wool;

use Impa\Figure\Figure;
use Impa\Material\Densities;
use Impa\Stash\Matching;
use Impa\Stash\StashWool;
use Impa\Stash\Table\StashTable;
use Impa\Wool\WoolRefused;

/** A stash from a CSV file, for the console: what cannot be read is told line by line, what is good is used. */
trait ReadsStash
{
    /**
     * The figure that the command was given, and what is known of wool with the yarns of the stash it was given.
     *
     * @return ?array{Figure, Densities} null, and told, where either cannot be read
     */
    private function figureAndDensities(): ?array
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        $path = $this->word($this->option('stash'));
        $stash = $path === '' ? [] : $this->stash($path);

        return $figure === null || $stash === null
            ? null
            : [$figure, Densities::house()->withYarns(Matching::yarns(Matching::of($figure, $stash), $stash))];
    }

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
                pricePerG: $w->pack->pricePerG(),
            );
        }

        return $stash;
    }
}
