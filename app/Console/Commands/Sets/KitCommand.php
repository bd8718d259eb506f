<?php

declare(strict_types=1);

namespace App\Console\Commands\Sets;

use App\Console\Commands\ReadsFiles;
use App\Console\Commands\Wool\ReadsStash;
use App\Printing\PagesPdf;
use App\Printing\Pdf;
use Illuminate\Console\Command;
use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Material\Pace;
use Impa\Print\Page\Paper;
use Impa\Print\Share\KitSheet;
use Impa\Print\Share\LabelSheet;
use Impa\Print\Share\LabelSize;
use Impa\Sets\Kit;
use Impa\Sets\SetRefused;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Voice\Message;

final class KitCommand extends Command
{
    use ReadsFiles;
    use ReadsStash;

    protected $signature = 'impa:kit
        {figure : an impa-figure file}
        {--people=10 : how many work, 1 to 200}
        {--spare=1 : bags more than people}
        {--beginners=0.5 : share of those who begin, 0 to 1}
        {--reserve=usual : again, usual or never: how often a bag must be enough}
        {--stash= : the stash as CSV; without it, nothing is at hand}
        {--labels= : a PDF file for the labels}
        {--label-size=a4-3x7 : a4-3x8, a4-3x7, a4-2x7, letter-3x10, plain-a4 or plain-letter}
        {--pdf= : a PDF file for the packing list and how it runs}
        {--paper=a4 : a4 or letter}';

    protected $description = 'Kits for a workshop: bags, needles, what is packed, how it runs';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        $stashPath = $this->word($this->option('stash'));
        $stash = $stashPath === '' ? [] : $this->stash($stashPath);
        if ($figure === null || $stash === null) {
            return 2;
        }
        [$people, $spare] = [$this->word($this->option('people')), $this->word($this->option('spare'))];
        if (! ctype_digit($people) || ! ctype_digit($spare) || max(strlen($people), strlen($spare)) > 6) {
            return $this->refuse([Message::of('console.people')]);
        }
        $beginners = $this->word($this->option('beginners'));
        $reserve = Reserve::tryFrom($this->word($this->option('reserve')));
        $paper = Paper::tryFrom($this->word($this->option('paper')));
        $size = LabelSize::tryFrom($this->word($this->option('label-size')));
        if (! is_numeric($beginners) || $reserve === null || $paper === null || $size === null) {
            return $this->refuse([Message::of('console.kit')]);
        }
        try {
            $supply = Supply::of($figure, $stash, [], $reserve);
            $work = Work::of($supply->ledger, Pace::house(), Needles::usual());
            $kit = Kit::of($supply, $work, (int) $people, (int) $spare, (float) $beginners, $reserve);
            $labels = $this->word($this->option('labels'));
            if ($labels !== '' && $this->give(PagesPdf::of(LabelSheet::pages($kit, $size), $size->paper()), $labels) !== 0) {
                return 2;
            }
        } catch (SetRefused $refused) {
            return $this->refuse([$refused->getMessage()]);
        }
        $pdf = $this->word($this->option('pdf'));
        if ($pdf !== '' && $this->give(Pdf::of(KitSheet::of($kit), $paper), $pdf) !== 0) {
            return 2;
        }

        return $this->give(json_encode($kit->document(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n", null);
    }
}
