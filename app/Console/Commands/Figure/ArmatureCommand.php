<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use App\Console\Commands\Wool\ReadsStash;
use App\Printing\PagesPdf;
use Illuminate\Console\Command;
use Impa\Armature\ArmatureRefused;
use Impa\Armature\ArmatureSheet;
use Impa\Armature\Skeleton;
use Impa\Print\Page\Paper;
use Impa\Print\Template\BendingSheet;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Ledger;

final class ArmatureCommand extends Command
{
    use ReadsFiles, ReadsStash;

    protected $signature = 'impa:armature
        {figure : an impa-figure file}
        {--all : wires for every long limb, also for those that would hold themselves up}
        {--stock= : lengths of wire that are at hand, in mm, such as 300,300,180}
        {--bend= : a PDF file for the bending sheet, every wire at true size}
        {--paper=a4 : a4 or letter}
        {--stash= : a CSV file of wools, whose yarn was weighed by the metre}';

    protected $description = 'The wires of a figure: what to cut, whether it holds, what it goes through, and how to cut it from the stock';

    public function handle(): int
    {
        $given = $this->figureAndDensities();
        if ($given === null) {
            return 2;
        }
        [$figure, $densities] = $given;
        $paper = Paper::tryFrom(strtolower($this->word($this->option('paper'))));
        $said = $this->word($this->option('stock'));
        if ($paper === null) {
            return $this->refuse([Message::of('console.paper')]);
        }
        if ($said !== '' && preg_match('/^\d{1,5}(\.\d+)?(,\d{1,5}(\.\d+)?){0,199}$/D', $said) !== 1) {
            return $this->refuse([Message::of('console.stock')]);
        }
        $ledger = Ledger::of($figure, $densities);
        $wires = Skeleton::of($figure, $this->option('all') === true);
        try {
            $sheet = ArmatureSheet::of($figure, $ledger, $wires, $said === '' ? [] : array_map(floatval(...), explode(',', $said)));
        } catch (ArmatureRefused $refused) {
            return $this->refuse([$refused->getMessage()]);
        }
        $bend = $this->word($this->option('bend'));
        if ($bend !== '' && $this->give(PagesPdf::of(BendingSheet::pages($figure, $wires, $paper), $paper), $bend) !== 0) {
            return 2;
        }

        return $this->give(json_encode($sheet, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n", null);
    }
}
