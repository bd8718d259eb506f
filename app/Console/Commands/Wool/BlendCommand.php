<?php

declare(strict_types=1);

namespace App\Console\Commands\Wool;

use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Colour\Srgb;
use Impa\Stash\Mixing\Recipes;
use Impa\Stash\Nearness;
use Impa\Stash\StashWool;
use Impa\Voice\Message;
use InvalidArgumentException;

final class BlendCommand extends Command
{
    use ReadsFiles;
    use ReadsStash;

    protected $signature = 'impa:blend
        {colour : such as #2f8f86}
        {--stash= : the stash as CSV}
        {--most=3 : one to three wools in a mix}';

    protected $description = 'Mixes of stash wools that come nearest to a colour';

    public function handle(): int
    {
        try {
            $colour = Srgb::hex($this->word($this->argument('colour')));
        } catch (InvalidArgumentException $e) {
            return $this->refuse([$e->getMessage()]);
        }
        $most = $this->word($this->option('most'));
        if (! in_array($most, ['1', '2', '3'], true)) {
            return $this->refuse([Message::of('console.most')]);
        }
        $stash = $this->stash($this->word($this->option('stash')));
        if ($stash === null) {
            return 2;
        }
        $wools = array_filter(
            array_map(static fn (StashWool $w): ?Srgb => $w->covers() && $w->preparation->blends() ? $w->colour : null, $stash),
        );
        foreach (Recipes::for($colour, $wools, [], (int) $most) as $recipe) {
            $shares = array_map(
                static fn (int $percent, int $id): string => sprintf('%d %% %s', $percent, $stash[$id]->name),
                $recipe->percent,
                array_keys($recipe->percent),
            );
            $this->line(
                sprintf(
                    '%s  %.1f %s  %s',
                    $recipe->light->srgb()->toHex(),
                    $recipe->difference,
                    Message::of('console.nearness.'.strtr(Nearness::of($recipe->difference)->value, ' ', '-')),
                    implode(', ', $shares),
                ),
            );
        }

        return 0;
    }
}
