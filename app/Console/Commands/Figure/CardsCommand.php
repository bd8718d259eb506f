<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use App\Printing\PagesPdf;
use Illuminate\Console\Command;
use Impa\Plan\Plan;
use Impa\Print\Page\Paper;
use Impa\Print\Template\SizeCards;
use Impa\Voice\Message;

final class CardsCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:cards
        {figure : an impa-figure file}
        {--out= : the file to write, .pdf or .svg}
        {--paper=a4 : a4 or letter}';

    protected $description = 'Size cards: every part at true size, to hold the felt against';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        if ($figure === null) {
            return 2;
        }
        $paper = Paper::tryFrom(strtolower($this->word($this->option('paper'))));
        if ($paper === null) {
            return $this->refuse([Message::of('console.paper')]);
        }
        $out = $this->word($this->option('out'));
        $plan = Plan::of($figure);

        return match (strtolower(pathinfo($out, PATHINFO_EXTENSION))) {
            'pdf' => $this->give(PagesPdf::of(SizeCards::pages($plan, $paper), $paper), $out),
            'svg' => $this->give(SizeCards::sheet($plan, $paper), $out),
            default => $this->refuse([Message::of('console.out.pages')]),
        };
    }
}
