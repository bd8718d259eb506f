<?php

declare(strict_types=1);

namespace App\Console\Commands\Check;

use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Render\Bench\BenchCamera;
use Impa\Render\Bench\BenchLight;
use Impa\Render\RenderRefused;
use Impa\Render\View;
use Impa\Voice\Message;

final class CameraCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:camera
        {figure : an impa-figure file}
        {--out= : the PNG file to write}
        {--deviate= : another impa-figure file, photographed as if it had been made for the first}
        {--seed=1 : of everything that spoils a photo}
        {--light= : another bench, such as side, hard, wood or finger; even light on paper without it}
        {--marker : on the printed marker sheet}
        {--view=front : front, side, back or top}
        {--part= : key of the only part that lies there}
        {--px=1600 : pixels of the longer side, 200 to 2400}';

    protected $description = 'The stand-in for a camera: photograph a figure on the bench';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        $deviate = $this->word($this->option('deviate'));
        $made = $figure === null || $deviate === '' ? $figure : $this->figure($deviate);
        if ($figure === null || $made === null) {
            return 2;
        }
        $view = View::tryFrom($this->word($this->option('view')));
        [$px, $seed] = [$this->word($this->option('px')), $this->word($this->option('seed'))];
        if ($view === null) {
            return $this->refuse([Message::of('console.view')]);
        }
        if (! ctype_digit($px) || ! ctype_digit($seed) || strlen($seed) > 9) {
            return $this->refuse([Message::of('console.px-seed')]);
        }
        if ($this->word($this->option('out')) === '') {
            return $this->refuse([Message::of('console.out.png')]);
        }
        if ($figure->parts === [] || $made->parts === []) {
            return $this->refuse([Message::of('console.no-parts')]);
        }
        $part = $this->word($this->option('part'));
        if ($part !== '' && ! isset($figure->parts[$part], $made->parts[$part])) {
            return $this->refuse([Message::of('console.no-part', part: $part)]);
        }
        if ($part !== '') {
            [$figure, $made] = [$figure->onlyPiece($part), $made->onlyPiece($part)];
        }
        try {
            $kind = $this->word($this->option('light'));
            $light = $kind === '' ? null : BenchLight::of($kind, (int) $seed);
            $png = BenchCamera::png($figure, $made, $view, (int) $seed, (bool) $this->option('marker'), (int) $px, $light);
        } catch (RenderRefused $refused) {
            return $this->refuse([$refused->getMessage()]);
        }

        return $this->give($png, $this->option('out'));
    }
}
