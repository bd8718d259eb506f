<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use App\Console\Commands\Wool\ReadsStash;
use Illuminate\Console\Command;
use Impa\Face\Needles;
use Impa\Plan\NumberRefused;
use Impa\Plan\Numbers;
use Impa\Plan\Plan;
use Impa\Stash\Supply\Supply;

final class NumberCommand extends Command
{
    use ReadsFiles, ReadsStash;

    protected $signature = 'impa:number
        {figure : an impa-figure file}
        {number : core, colour, cover, covering, film, wisp, wool, total, minutes, making, hands, lean, crisp, need, reserve, reach}
        {of? : the key of the part, detail, colour, material or step, of a need or reserve wool:ID; total, hands and lean need none}
        {--stash= : a CSV file of wools, whose yarn was weighed by the metre}';

    protected $description = 'How one of a figure\'s numbers came about: the sum, where its numbers come from, how far it may be off';

    public function handle(): int
    {
        $given = $this->figureAndDensities();
        if ($given === null) {
            return 2;
        }
        [$figure, $densities] = $given;
        $number = $this->word($this->argument('number'));
        try {
            $card = Numbers::card(
                Plan::of($figure, densities: $densities),
                $number,
                $this->word($this->argument('of')),
                Needles::usual(),
                in_array($number, ['need', 'reserve'], true) ? Supply::of($figure, [], [], densities: $densities) : null,
            );
        } catch (NumberRefused $refused) {
            return $this->refuse([$refused->getMessage()]);
        }

        return $this->give(
            json_encode($card->document(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n",
            null,
        );
    }
}
