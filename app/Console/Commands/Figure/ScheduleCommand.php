<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Building\Building;
use App\Building\SittingsCalendar;
use App\Console\Commands\ReadsFiles;
use App\Console\Commands\Wool\ReadsStash;
use Illuminate\Console\Command;
use Impa\Build\Schedule\ScheduleRefused;
use Impa\Build\ScheduleSheet;
use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Material\Pace;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Ledger;

final class ScheduleCommand extends Command
{
    use ReadsFiles, ReadsStash;

    protected $signature = 'impa:schedule
        {figure : an impa-figure file}
        {--sitting=90 : minutes of a sitting}
        {--days=tue,thu : days of the week}
        {--from= : the first day, as 2026-12-24; today where not said}
        {--by= : the day on which it is to be ready}
        {--at=19:00 : when a sitting begins}
        {--done= : keys of the steps that are done, as core:head,cover:head}
        {--stash= : a CSV file of wools, whose yarn was weighed by the metre}
        {--ics= : a calendar file to write}';

    protected $description = 'The steps laid into sittings: when to sit down, what to do, where to rest, what dries beside';

    public function handle(): int
    {
        $given = $this->figureAndDensities();
        if ($given === null) {
            return 2;
        }
        [$figure, $densities] = $given;
        $minutes = $this->word($this->option('sitting'));
        if (preg_match('/^\d{1,4}(\.\d+)?$/D', $minutes) !== 1) {
            return $this->refuse([Message::of('console.sitting')]);
        }
        $work = Work::of(Ledger::of($figure, $densities), Pace::house(), Needles::usual());
        $done = array_values(array_filter(explode(',', $this->word($this->option('done')))));
        $unknown = array_diff($done, $work->keys());
        if ($unknown !== []) {
            return $this->refuse([Message::of('console.no-step', steps: implode('", "', $unknown))]);
        }
        try {
            $sheet = ScheduleSheet::of($work, Needles::usual(), (float) $minutes, Building::evenings(
                array_values(array_filter(explode(',', $this->word($this->option('days'))))),
                $this->word($this->option('from')),
                $this->word($this->option('by')),
                $this->word($this->option('at')),
            ), $done);
        } catch (ScheduleRefused $refused) {
            return $this->refuse([$refused->getMessage()]);
        }
        $ics = $this->word($this->option('ics'));
        if ($ics !== '' && $this->give(SittingsCalendar::of($sheet, $work), $ics) !== 0) {
            return 2;
        }

        return $this->give(json_encode($sheet, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n", null);
    }
}
