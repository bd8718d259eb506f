<?php

declare(strict_types=1);

namespace App\Console\Commands\Sets;

use App\Console\Commands\ReadsFiles;
use App\Printing\BookletPdf;
use Illuminate\Console\Command;
use Impa\Plan\Plan;
use Impa\Print\Page\Paper;
use Impa\Print\Share\Booklet;
use Impa\Print\Share\Credit;
use Impa\Voice\Message;
use Impa\Voice\Refusal;

final class BookletCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:booklet
        {figure : an impa-figure file}
        {--out= : the file to write: .pdf, or .json for the file that another Impa takes in}
        {--whose= : mine, or allowed where another drew it and has said yes}
        {--credit= : who made the design}
        {--licence= : what others may do with it}
        {--paper=a4 : a4 or letter}';

    protected $description = 'A figure as a pattern to share';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        if ($figure === null) {
            return 2;
        }
        $out = $this->word($this->option('out'));
        $paper = Paper::tryFrom($this->word($this->option('paper')));
        if ($paper === null || preg_match('/\.(pdf|json)$/D', $out) !== 1) {
            return $this->refuse([Message::of('console.out.booklet')]);
        }
        try {
            $credit = Credit::of(
                $this->word($this->option('whose')),
                $this->word($this->option('credit')),
                $this->word($this->option('licence')),
            );
        } catch (Refusal $refused) {
            return $this->refuse(['--whose, --credit: '.$refused->getMessage()]);
        }
        if (str_ends_with($out, '.json')) {
            $json = json_encode(Booklet::document($figure, $credit), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE);

            return $this->give($json."\n", $out);
        }

        return $this->give(BookletPdf::of(Booklet::of(Plan::of($figure), $credit, $paper), $paper), $out);
    }
}
