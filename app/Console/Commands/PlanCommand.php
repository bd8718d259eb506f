<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Impa\Plan\Plan;

final class PlanCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:plan {figure : an impa-figure file}';

    protected $description = 'Reckon a figure: wool, marks, balance and steps, as a plan document';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));

        return $figure === null ? 2 : $this->give(json_encode(Plan::of($figure)->document(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n", null);
    }
}
