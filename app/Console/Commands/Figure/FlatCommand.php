<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use App\Printing\PagesPdf;
use Illuminate\Console\Command;
use Impa\Figure\Figure;
use Impa\Figure\Term\Stitch;
use Impa\Flat\FeltSheet;
use Impa\Flat\FlatPlan;
use Impa\Flat\FlatRefused;
use Impa\Flat\Pattern;
use Impa\Flat\Sewing;
use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Print\Template\LayerTemplates;
use Impa\Print\Template\PatternSheet;
use Impa\Voice\Message;

final class FlatCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:flat
        {figure : an impa-figure file that is made of layers}
        {--sheet=210x297 : the sheets of felt at hand, in mm}
        {--grain : pieces must all lie one way}
        {--out= : a PDF or SVG file for the templates at true size}
        {--mirrored : templates for the back of the felt}
        {--part= : of one part, the pattern to cut and sew it from, in any figure}
        {--seam=3 : seam allowance in mm}
        {--stitch=back : running, back, whip or blanket}
        {--stitch-mm=3 : from stitch to stitch}
        {--felt=1.5 : how thick the felt is, in mm}
        {--hollow : it stays open, as a hat does}
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
            return $this->refuse([Message::of('console.paper')]);
        }
        if ($this->option('part') !== null) {
            return $this->sewn($figure, $paper);
        }
        try {
            $plan = FlatPlan::of($figure, FeltSheet::said($this->word($this->option('sheet')), $this->option('grain') === true));
            $pages = LayerTemplates::pages($figure, $plan, $paper, $this->option('mirrored') === true);
        } catch (FlatRefused $refused) {
            return $this->refuse([$refused->getMessage()]);
        }

        return $this->told($plan->document(), $pages, $paper);
    }

    private function sewn(Figure $figure, Paper $paper): int
    {
        $part = $this->word($this->option('part'));
        $stitch = Stitch::tryFrom($this->word($this->option('stitch')));
        [$seam, $pitch, $felt] = [$this->option('seam'), $this->option('stitch-mm'), $this->option('felt')];
        if ($stitch === null || ! is_numeric($seam) || ! is_numeric($pitch) || ! is_numeric($felt)) {
            return $this->refuse([Message::of('console.stitch')]);
        }
        try {
            $pattern = Pattern::of(
                $figure->parts[$part] ?? throw FlatRefused::noSuchPart($part),
                Sewing::of((float) $seam, $stitch, (float) $pitch, (float) $felt, $this->option('hollow') === true),
            );
            $pages = PatternSheet::pages($pattern, $figure->name, $paper);
        } catch (FlatRefused $refused) {
            return $this->refuse([$refused->getMessage()]);
        }

        return $this->told($pattern->document(), $pages, $paper);
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  list<string>  $pages
     */
    private function told(array $document, array $pages, Paper $paper): int
    {
        $out = $this->word($this->option('out'));
        if ($out !== '') {
            $bytes = str_ends_with(strtolower($out), '.svg') ? Page::below($pages, $paper) : PagesPdf::of($pages, $paper);
            if ($this->give($bytes, $out) !== 0) {
                return 2;
            }
        }

        return $this->give(json_encode($document, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n", null);
    }
}
