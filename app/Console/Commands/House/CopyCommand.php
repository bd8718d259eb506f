<?php

declare(strict_types=1);

namespace App\Console\Commands\House;

use App\Console\Commands\ReadsFiles;
use App\Store\Copies;
use Illuminate\Console\Command;
use RuntimeException;

final class CopyCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:copy
        {--if-due : only where the last one is older than a day}
        {--list : name the copies that are kept, the latest first}';

    protected $description = 'Copy the store while it is used, and keep the copies in a ring of days, weeks and months';

    public function handle(): int
    {
        if ($this->option('list') === true) {
            array_map($this->line(...), Copies::all());

            return 0;
        }
        if ($this->option('if-due') === true && ! Copies::isDue()) {
            return 0;
        }
        try {
            $this->line(Copies::make());
        } catch (RuntimeException $e) {
            return $this->refuse([$e->getMessage()]);
        }

        return 0;
    }
}
