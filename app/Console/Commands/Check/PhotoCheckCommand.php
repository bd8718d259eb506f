<?php

declare(strict_types=1);

namespace App\Console\Commands\Check;

use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Check\Photo\PhotoRefused;
use Impa\Check\Photo\Scale;
use Impa\Check\PhotoCheck;
use Impa\Raster\File\PictureRefused;
use Impa\Render\View;
use Impa\Voice\Message;
use InvalidArgumentException;

final class PhotoCheckCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:photo-check
        {figure : an impa-figure file}
        {photo : a photo of the finished figure: PNG, JPEG, WebP or GIF}
        {--view=front : front, side, back or top}
        {--part= : key of the only part that is on the photo}
        {--known= : the scale by a part that was measured: KEY:MM, how wide it is}
        {--ruler= : the scale by two places on a ruler: X,Y,X,Y:MM, in pixels of the photo}';

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
            return $this->refuse([Message::of('console.view')]);
        }
        $part = $this->word($this->option('part'));
        if ($part !== '' && ! isset($figure->parts[$part])) {
            return $this->refuse([Message::of('console.no-part', part: $part)]);
        }
        try {
            $shown = $part === '' ? $figure : $figure->onlyPiece($part);
            $check = PhotoCheck::of($shown, $bytes, $view, $this->scale())->document();
        } catch (PhotoRefused|PictureRefused $refused) {
            return $this->refuse([$path.': '.$refused->getMessage()]);
        } catch (InvalidArgumentException $wrong) {
            return $this->refuse([$wrong->getMessage()]);
        }

        return $this->give(json_encode($check, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n", null);
    }

    /** @throws InvalidArgumentException if an option cannot be read */
    private function scale(): ?Scale
    {
        [$known, $ruler] = [$this->word($this->option('known')), $this->word($this->option('ruler'))];
        if ($known !== '' && $ruler !== '') {
            throw new InvalidArgumentException((string) Message::of('console.known-or-ruler'));
        }
        if ($known !== '') {
            return preg_match('/^([^:]+):(\d+(?:\.\d+)?)$/', $known, $m) === 1
                ? Scale::byPart($m[1], (float) $m[2])
                : throw new InvalidArgumentException((string) Message::of('console.known'));
        }
        if ($ruler === '') {
            return null;
        }
        $number = '(\d{1,5}(?:\.\d+)?)';

        return preg_match("/^$number,$number,$number,$number:$number$/", $ruler, $m) === 1
            ? Scale::byRuler([(float) $m[1], (float) $m[2]], [(float) $m[3], (float) $m[4]], (float) $m[5])
            : throw new InvalidArgumentException((string) Message::of('console.ruler'));
    }
}
