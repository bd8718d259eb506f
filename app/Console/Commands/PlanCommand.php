<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Impa\Material\Densities;
use Impa\Plan\Plan;
use Impa\Stash\Matching;

final class PlanCommand extends Command
{
    use ReadsFiles, ReadsStash;

    protected $signature = 'impa:plan
        {figure : an impa-figure file}
        {--stash= : a CSV file of wools, whose yarn was weighed by the metre}';

    protected $description = 'Reckon a figure: wool, marks, balance and steps, as a plan document';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));

        $path = $this->word($this->option('stash'));
        $stash = $path === '' ? [] : $this->stash($path);
        if ($figure === null || $stash === null) {
            return 2;
        }
        $densities = Densities::house()->withYarns(Matching::yarns(Matching::of($figure, $stash), $stash));

        return $this->give(
            json_encode(
                Plan::of($figure, densities: $densities)->document(),
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            )."\n",
            null,
        );
    }
}
