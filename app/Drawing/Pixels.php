<?php

declare(strict_types=1);

namespace App\Drawing;

use Impa\Raster\File\PictureRefused;
use Impa\Raster\File\SvgDrawing;
use Impa\Voice\Message;
use Symfony\Component\Process\Exception\ExceptionInterface;
use Symfony\Component\Process\Process;

/** A drawing as pixels, whatever it came as: SVG is drawn by librsvg (rsvg-convert), in a process that gets little memory and few seconds. */
final class Pixels
{
    private const SECONDS = 10;

    private const KILOBYTES = 1_000_000;

    /**
     * @return string the bytes as they came where they are no SVG; else PNG
     *
     * @throws PictureRefused in words, if it is an SVG that is not drawn
     */
    public static function of(string $bytes): string
    {
        if (! SvgDrawing::isMeant($bytes)) {
            return $bytes;
        }
        $svg = SvgDrawing::of($bytes);
        // From standard input it has no place of its own: nothing beside it can be meant.
        $process = new Process(['sh', '-c', sprintf(
            'ulimit -v %d -t %d; exec rsvg-convert --format=png --width=%d --height=%d',
            self::KILOBYTES,
            self::SECONDS,
            $svg->widthPx,
            $svg->heightPx,
        )], null, [], $svg->bytes, self::SECONDS);
        try {
            $process->run();
        } catch (ExceptionInterface) {
            throw PictureRefused::because(Message::of('raster.pixels.too-slow'));
        }
        $png = $process->getOutput();
        if ($process->getExitCode() === 127) {
            throw PictureRefused::because(Message::of('raster.pixels.no-librsvg'));
        }
        if (! $process->isSuccessful() || ! str_starts_with($png, "\x89PNG")) {
            throw PictureRefused::because(Message::of('raster.pixels.not-drawn'));
        }

        return $png;
    }
}
