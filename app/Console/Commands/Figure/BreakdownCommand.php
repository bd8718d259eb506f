<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use App\Drawing\Pixels;
use Illuminate\Console\Command;
use Impa\Raster\File\PictureRefused;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Editing\SeenAgain;
use Impa\Seeing\Foreground\BrushStroke;
use Impa\Seeing\SheetView;
use Impa\Seeing\Wishes;
use Impa\Voice\Message;

final class BreakdownCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:breakdown
        {picture : a PNG, JPEG, WebP or GIF file}
        {--height= : finished height in mm, 10 to 2000}
        {--shades=0.2 : how strongly near shades are merged, 0 to 1}
        {--figure=0 : of several figures on the picture, the one so many from the left; 0 for all}
        {--views= : what each figure of a turnaround sheet shows, from the left: front,left,back (right, none)}
        {--round=0 : sizes in steps of so many mm}
        {--flat= : sheet or batting: as layers on a ground, not in the round}
        {--keep-unsure : what may be a shadow, a halo, paper or a speck belongs to the figure}
        {--brushes= : JSON file of strokes over the picture: [{"as": "paper", "width": 0.02, "points": [[0.5, 0.9]]}]}
        {--again= : figure document that was broken down from this picture before; what was made of it stays}
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
            return $this->refuse([Message::of('console.height')]);
        }
        foreach (['shades', 'figure', 'round'] as $name) {
            if (! is_numeric($this->option($name))) {
                return $this->refuse([Message::of('console.number', option: $name)]);
            }
        }
        $again = $this->word($this->option('again'));
        $figure = $again === '' ? null : $this->figure($again);
        $file = $this->word($this->option('brushes'));
        $strokes = $file === '' ? '[]' : $this->bytes($file);
        if (($again !== '' && $figure === null) || $strokes === null) {
            return 2;
        }
        try {
            $wishes = Wishes::of(
                (float) $height,
                (float) $this->option('shades'),
                (int) $this->option('figure'),
                (float) $this->option('round'),
                BrushStroke::list(json_decode($strokes)),
                SheetView::list(array_values(array_filter(explode(',', $this->word($this->option('views')))))),
                Wishes::way($this->word($this->option('flat'))),
                (bool) $this->option('keep-unsure'),
            );
            $breakdown = Breakdown::of(Pixels::of($bytes), $wishes, pathinfo($path, PATHINFO_FILENAME), basename($path));
        } catch (PictureRefused $refused) {
            return $this->refuse([$path.': '.$refused->getMessage()]);
        }
        $seen = $figure === null ? null : SeenAgain::of($figure, $breakdown->document);
        foreach ([...$seen === null ? [] : [$seen->notice()], ...$breakdown->notices] as $notice) {
            $this->tell((string) $notice);
        }

        return $this->give(
            json_encode(
                $seen === null ? $breakdown->document : $seen->document,
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            )."\n",
            $this->option('out'),
        );
    }
}
