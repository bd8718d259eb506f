<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\Sheet;
use Impa\Voice\Message;

final class StraightenCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:straighten
        {photo : a PNG, JPEG, WebP or GIF file with a sheet of paper or a screen on it}
        {--corners= : clockwise from the upper left one, in shares of the photo: "0.1,0.1 0.9,0 0.9,0.9 0.1,1"; looked for without it}
        {--out= : file for the sheet alone: PNG, or JPEG where the photo is lossy}';

    protected $description = 'Undo the perspective of a photo of a drawing: the sheet alone, as if seen from straight above';

    public function handle(): int
    {
        $path = $this->word($this->argument('photo'));
        $bytes = $this->bytes($path);
        if ($bytes === null) {
            return 2;
        }
        if ($this->word($this->option('out')) === '') {
            return $this->refuse([Message::of('console.out.any')]);
        }
        $corners = array_filter(explode(' ', $this->word($this->option('corners'))));
        try {
            $sheet = $corners === []
                ? Sheet::find($bytes)
                : Sheet::of(array_map(static fn (string $c): array => explode(',', $c), array_values($corners)));

            return $sheet === null
                ? $this->refuse([Message::of('console.no-sheet', file: $path)])
                : $this->give($sheet->straightened($bytes), $this->option('out'));
        } catch (PictureRefused $refused) {
            return $this->refuse([$path.': '.$refused->getMessage()]);
        }
    }
}
