<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Colour\Srgb;
use Impa\Render\Painter;
use Impa\Render\RenderRefused;
use Impa\Render\View;
use Impa\Voice\Message;
use InvalidArgumentException;

final class RenderCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:render
        {figure : an impa-figure file}
        {--out= : the PNG file to write}
        {--view=front : front, side, back or top}
        {--px=512 : pixels of the square picture, 16 to 4096}
        {--match : draw in the pixels of the drawing the figure was taken from}
        {--ground= : a colour like #ffffff; transparent without it}';

    protected $description = 'Draw a figure in flat colours as a PNG';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        if ($figure === null) {
            return 2;
        }
        $view = View::tryFrom($this->word($this->option('view')));
        $px = $this->option('px');
        if ($view === null) {
            return $this->refuse([Message::of('console.view')]);
        }
        if (! is_string($px) || ! ctype_digit($px)) {
            return $this->refuse([Message::of('console.px')]);
        }
        if (! is_string($this->option('out')) || $this->option('out') === '') {
            return $this->refuse([Message::of('console.out.png')]);
        }
        try {
            $ground = is_string($this->option('ground')) ? Srgb::hex($this->option('ground')) : null;
            if ($this->option('match') && $view !== View::Front) {
                throw RenderRefused::onlyTheFrontMatches();
            }
            $png = $this->option('match') ? Painter::match($figure, $ground) : Painter::png($figure, $view, (int) $px, $ground);
        } catch (RenderRefused|InvalidArgumentException $refused) {
            return $this->refuse([$refused->getMessage()]);
        }

        return $this->give($png, $this->option('out'));
    }
}
