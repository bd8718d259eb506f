<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Print\Page\Outlines;
use Impa\Render\Glb;
use Impa\Render\View;
use Impa\Voice\Message;

final class ModelCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:model
        {figure : an impa-figure file}
        {--out= : a .glb file for the model, or an .svg file for the outlines}
        {--view=front : the side the outlines are seen from: front, side, back or top}';

    protected $description = 'A figure for other programs: glTF 2.0 binary, or outlines of true size as SVG';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        if ($figure === null) {
            return 2;
        }
        $view = View::tryFrom($this->word($this->option('view')));
        $out = $this->word($this->option('out'));

        return match (true) {
            $view === null => $this->refuse([Message::of('console.view')]),
            str_ends_with($out, '.glb') => $this->give(Glb::of($figure), $out),
            str_ends_with($out, '.svg') => $this->give(Outlines::svg($figure, $view), $out),
            default => $this->refuse([Message::of('console.out.model')]),
        };
    }
}
