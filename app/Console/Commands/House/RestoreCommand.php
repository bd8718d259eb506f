<?php

declare(strict_types=1);

namespace App\Console\Commands\House;

use App\Console\Commands\ReadsFiles;
use App\Store\Copies;
use Illuminate\Console\Command;
use Impa\Voice\Message;
use RuntimeException;

final class RestoreCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:restore
        {copy? : of those that impa:copy --list names; the latest where none is named}';

    protected $description = 'Put a copy in the place of the store; what is there now is copied first';

    public function handle(): int
    {
        $name = $this->word($this->argument('copy') ?? Copies::all()[0] ?? '');
        try {
            $before = Copies::restore($name);
        } catch (RuntimeException $e) {
            return $this->refuse([$e->getMessage()]);
        }
        $this->line((string) Message::of('console.restored', name: $name, before: $before));

        return 0;
    }
}
