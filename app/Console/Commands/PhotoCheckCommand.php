<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Impa\Check\PhotoCheck;
use Impa\Check\PhotoRefused;
use Impa\Raster\PictureRefused;
use Impa\Render\View;

final class PhotoCheckCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:photo-check
        {figure : an impa-figure file}
        {photo : a photo of the finished figure: PNG, JPEG, WebP or GIF}
        {--view=front : front, side, back or top}';

    protected $description = 'What is otherwise on a photo of the finished figure than planned';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        $path = $this->word($this->argument('photo'));
        $bytes = $figure === null ? null : $this->bytes($path);
        if ($figure === null || $bytes === null) {
            return 2;
        }
        $view = View::tryFrom($this->word($this->option('view')));
        if ($view === null) {
            return $this->refuse(['--view: a view is front, side, back or top.']);
        }
        try {
            $check = PhotoCheck::of($figure, $bytes, $view)->document();
        } catch (PhotoRefused|PictureRefused $refused) {
            return $this->refuse([$path.': '.$refused->getMessage()]);
        }

        return $this->give(json_encode($check, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n", null);
    }
}
