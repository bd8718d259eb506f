<?php

declare(strict_types=1);

namespace App\Console\Commands\House;

use App\Console\Commands\ReadsFiles;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Models\Wool;
use App\Store\Transaction;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Impa\Voice\Message;

final class DemoCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:demo';

    protected $description = 'Lay the demo figures and stash out anew; what a user made is not touched';

    public function handle(): int
    {
        if (config()->boolean('impa.accounts')) {
            return $this->refuse([Message::of('console.demo.alone')]);
        }
        Transaction::together(function (): void {
            Figure::withTrashed()->where('is_demo', true)->forceDelete();
            Wool::withTrashed()->where('is_demo', true)->forceDelete();
            FigureSet::query()->where('is_demo', true)->delete();
            (new DemoSeeder)->run();
        });
        $this->info((string) Message::of('console.demo.new'));

        return 0;
    }
}
