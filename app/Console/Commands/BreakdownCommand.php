<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Impa\Picture\Breakdown;
use Impa\Picture\PictureRefused;

final class BreakdownCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:breakdown
        {picture : a PNG, JPEG, WebP or GIF file}
        {--height= : finished height in mm, 10 to 2000}
        {--out= : file for the figure document; standard output without it}';

    protected $description = 'Break a drawn character down into simple wool shapes: a picture to a figure document';

    public function handle(): int
    {
        $path = $this->word($this->argument('picture'));
        $bytes = $this->bytes($path);
        $height = $this->option('height');
        if ($bytes === null) {
            return 2;
        }
        if (! is_numeric($height)) {
            return $this->refuse(['--height: say how tall the finished figure is, in mm, as in --height=110.']);
        }
        try {
            $breakdown = Breakdown::of($bytes, (float) $height, pathinfo($path, PATHINFO_FILENAME), basename($path));
        } catch (PictureRefused $refused) {
            return $this->refuse([$path.': '.$refused->getMessage()]);
        }
        foreach ($breakdown->notices as $notice) {
            $this->tell($notice);
        }

        return $this->give(json_encode($breakdown->document, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n", $this->option('out'));
    }
}
