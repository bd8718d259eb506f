<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use App\Console\Commands\Wool\ReadsStash;
use Illuminate\Console\Command;
use Impa\Plan\Plan;

final class PlanCommand extends Command
{
    use ReadsFiles, ReadsStash;

    protected $signature = 'impa:plan
        {figure : an impa-figure file}
        {--stash= : a CSV file of wools, whose yarn was weighed by the metre}';

    protected $description = 'Reckon a figure: wool, marks, balance and steps, as a plan document';

    public function handle(): int
    {
        $given = $this->figureAndDensities();
        if ($given === null) {
            return 2;
        }
        [$figure, $densities] = $given;

        return $this->give(
            json_encode(
                Plan::of($figure, densities: $densities)->document(),
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            )."\n",
            null,
        );
    }
}
