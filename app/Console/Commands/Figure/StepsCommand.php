<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use App\Console\Commands\Wool\ReadsStash;
use App\Printing\Pdf;
use Illuminate\Console\Command;
use Impa\Build\StepsSheet;
use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Term\FaceSchool;
use Impa\Material\Pace;
use Impa\Print\Page\Paper;
use Impa\Print\Work\WorkSheet;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Ledger;

final class StepsCommand extends Command
{
    use ReadsFiles, ReadsStash;

    protected $signature = 'impa:steps
        {figure : an impa-figure file}
        {--school= : loose-head, face-first or limbs-first, where not as the figure says}
        {--stash= : a CSV file of wools, whose yarn was weighed by the metre}
        {--pdf= : a PDF file for the work sheet, every step with its drawing}
        {--paper=a4 : a4 or letter}';

    protected $description = 'Every step of the work in order, with what it needs, how it is done, what it should look like';

    public function handle(): int
    {
        $given = $this->figureAndDensities();
        if ($given === null) {
            return 2;
        }
        [$figure, $densities] = $given;
        $school = $this->word($this->option('school'));
        $face = FaceSchool::tryFrom($school);
        if ($school !== '' && $face === null) {
            return $this->refuse(['--school: '.implode(', ', array_column(FaceSchool::cases(), 'value')).'.']);
        }
        $paper = Paper::tryFrom(strtolower($this->word($this->option('paper'))));
        if ($paper === null) {
            return $this->refuse([Message::of('console.paper')]);
        }
        $figure = $face === null ? $figure : Choices::school($figure, $face);
        $work = Work::of(Ledger::of($figure, $densities), Pace::house(), Needles::usual());
        $pdf = $this->word($this->option('pdf'));
        if ($pdf !== '' && $this->give(Pdf::of(WorkSheet::of($work), $paper), $pdf) !== 0) {
            return 2;
        }

        return $this->give(json_encode(StepsSheet::of($work), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n", null);
    }
}
