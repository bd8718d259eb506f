<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Printing\PagesPdf;
use Illuminate\Console\Command;
use Impa\Flat\FeltSheet;
use Impa\Flat\FlatPlan;
use Impa\Flat\FlatRefused;
use Impa\Print\LayerTemplates;
use Impa\Print\Page;
use Impa\Print\Paper;

final class FlatCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:flat
        {figure : an impa-figure file that is made of layers}
        {--sheet=210x297 : the sheets of felt at hand, in mm}
        {--grain : pieces must all lie one way}
        {--out= : a PDF or SVG file for the templates at true size}
        {--mirrored : templates for the back of the felt}
        {--paper=a4 : a4 or letter}';

    protected $description = 'A figure of layers: what is cut, how it lies on the sheets, thread and ribbon, templates';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        if ($figure === null) {
            return 2;
        }
        $paper = Paper::tryFrom($this->word($this->option('paper')));
        if ($paper === null) {
            return $this->refuse(['--paper: a4 or letter.']);
        }
        try {
            $plan = FlatPlan::of($figure, FeltSheet::said($this->word($this->option('sheet')), $this->option('grain') === true));
        } catch (FlatRefused $refused) {
            return $this->refuse([$refused->getMessage()]);
        }
        $out = $this->word($this->option('out'));
        if ($out !== '') {
            $pages = LayerTemplates::pages($figure, $plan, $paper, $this->option('mirrored') === true);
            $bytes = str_ends_with(strtolower($out), '.svg') ? Page::below($pages, $paper) : PagesPdf::of($pages, $paper);
            if ($this->give($bytes, $out) !== 0) {
                return 2;
            }
        }

        return $this->give(
            json_encode($plan->document(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n",
            null,
        );
    }
}
