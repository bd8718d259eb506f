<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use App\Console\Commands\Wool\ReadsStash;
use Illuminate\Console\Command;
use Impa\Balance\Balance;
use Impa\Balance\BalanceSheet;
use Impa\Wool\Ledger\Ledger;

final class BalanceCommand extends Command
{
    use ReadsFiles, ReadsStash;

    protected $signature = 'impa:balance
        {figure : an impa-figure file}
        {--stash= : a CSV file of wools, whose yarn was weighed by the metre}';

    protected $description = 'How a figure stands: how far it leans to each side before it tips, what cures it, where it hangs straight';

    public function handle(): int
    {
        $given = $this->figureAndDensities();
        if ($given === null) {
            return 2;
        }
        [$figure, $densities] = $given;
        $balance = Balance::of(Ledger::of($figure, $densities));

        return $this->give(
            json_encode(BalanceSheet::of($balance), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n",
            null,
        );
    }
}
