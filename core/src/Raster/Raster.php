<?php

declare(strict_types=1);

namespace Impa\Raster;

use GdImage;
use Impa\Raster\File\FileEnd;
use Impa\Raster\File\PictureRefused;
use Impa\Voice\Message;

/**
 * A decoded picture, made small enough to look at closely. Pixels lie row by row in one flat array, each
 * 0xAARRGGBB with alpha from 0 (opaque) to 127 (clear), as GD has it.
 */
final readonly class Raster
{
    /** The longer side is looked at with so many pixels at most. */
    public const LOOK_PX = 448;

    public const MOST_MEGAPIXELS = 40;

    /** Kinds of files that differ from what was drawn, most of all beside edges. */
    public const LOSSY = ['image/jpeg', 'image/webp'];

    public const LEAST_PX = 16;

    /** A sprite is enlarged to so much before it is looked at, and none is larger than this. */
    private const LEAST_SPRITE_PX = 300;

    private const MOST_SPRITE_PX = 2048;

    /** A side longer than this is no drawing, and no figure can say it (formats/impa-figure-2.schema.json). */
    public const MOST_SIDE_PX = 40_000;

    /**
     * @param  list<int>  $pixels  width x height
     * @param  int  $ownWidth  of the picture as it came
     * @param  list<Message>  $notices  what was done to it, in plain words
     * @param  bool  $isLossy  compressed so that it differs from what was drawn, most of all beside edges
     */
    private function __construct(
        public array $pixels,
        public int $width,
        public int $height,
        public int $ownWidth,
        public int $ownHeight,
        public array $notices,
        public bool $isLossy,
    ) {
    }

    /**
     * @param  string  $bytes  PNG, JPEG, WebP or GIF, told by its content
     * @param  int  $lookPx  the longer side has so many pixels at most afterwards
     * @param  bool  $readsCells  whether pixel art is read cell by cell, not pixel by pixel
     *
     * @throws PictureRefused if it is none of these, damaged, empty or too large
     */
    public static function decode(string $bytes, int $lookPx = self::LOOK_PX, bool $readsCells = false): self
    {
        [$ownWidth, $ownHeight, $mime] = self::header($bytes);
        $notices = [];
        if ($mime === 'image/gif' && preg_match_all('/\x00\x21\xF9\x04.{4}\x00[\x2C\x21]/s', $bytes) > 1) {
            $notices[] = Message::of('raster.raster.this-is-an-animation');
        }
        [$image, $turned] = self::upright(self::read($bytes), $bytes, $mime);
        if ($turned) {
            [$ownWidth, $ownHeight] = [imagesx($image), imagesy($image)];
            $notices[] = Message::of('raster.raster.the-camera-held-this');
        }
        imagepalettetotruecolor($image);
        $cells = $readsCells && max($ownWidth, $ownHeight) <= self::MOST_SPRITE_PX ? PixelArt::cells($image) : null;
        if ($cells !== null) {
            $notices[] = Message::of('raster.raster.this-is-pixel-art', cells: $cells[0], cells2: $cells[1]);
            $image = PixelArt::read($image, ...$cells, leastPx: self::LEAST_SPRITE_PX);
        }
        [$foundWidth, $foundHeight] = [imagesx($image), imagesy($image)];
        $scale = min(1.0, $lookPx / max($foundWidth, $foundHeight));
        $width = max(1, (int) round($foundWidth * $scale));
        $height = max(1, (int) round($foundHeight * $scale));
        if ($scale < 1.0) {
            $small = imagecreatetruecolor($width, $height);
            imagealphablending($small, false);
            imagecopyresampled($small, $image, 0, 0, 0, 0, $width, $height, $foundWidth, $foundHeight);
            $image = $small;
        }
        $pixels = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $pixels[] = (int) imagecolorat($image, $x, $y);
            }
        }

        return new self($pixels, $width, $height, $ownWidth, $ownHeight, $notices, in_array($mime, self::LOSSY, true));
    }

    /**
     * The whole picture in its own size, upright, in true colour.
     *
     * @throws PictureRefused as `decode`
     */
    public static function image(string $bytes): GdImage
    {
        [, , $mime] = self::header($bytes);
        [$image] = self::upright(self::read($bytes), $bytes, $mime);
        imagepalettetotruecolor($image);

        return $image;
    }

    /**
     * Size and kind from the file's head alone, before anything large is decoded.
     *
     * @return array{int, int, string} width, height and media type
     *
     * @throws PictureRefused if it is no picture that can be read
     */
    public static function header(string $bytes): array
    {
        if ($bytes === '') {
            throw PictureRefused::empty();
        }
        $info = @getimagesizefromstring($bytes);
        if ($info === false) {
            throw PictureRefused::notAPicture();
        }
        [$width, $height] = $info;
        if (! in_array($info['mime'], ['image/png', 'image/jpeg', 'image/webp', 'image/gif'], true)) {
            throw PictureRefused::kindNotRead($info['mime']);
        }
        if ($width * $height > self::MOST_MEGAPIXELS * 1_000_000) {
            throw PictureRefused::tooLarge($width, $height);
        }
        if (max($width, $height) > self::MOST_SIDE_PX) {
            throw PictureRefused::tooLong($width, $height);
        }
        if (min($width, $height) < self::LEAST_PX) {
            throw PictureRefused::tooSmall($width, $height);
        }
        if ($info['mime'] === 'image/webp' && str_contains(substr($bytes, 0, 64), 'ANIM')) {
            throw PictureRefused::animatedWebp();
        }

        // As it is seen: a camera that was held sideways wrote its rows down as columns.
        return self::orientation($bytes, $info['mime']) >= 5 ? [$height, $width, $info['mime']] : [$width, $height, $info['mime']];
    }

    /** The same picture in a mirror. */
    public function mirrored(): self
    {
        return $this->withPixels(array_merge(...array_map(array_reverse(...), array_chunk($this->pixels, max(1, $this->width)))));
    }

    /**
     * The same picture, its pixels others.
     *
     * @param  list<int>  $pixels  as many
     * @param  Message  ...$notices  what was done to it
     */
    public function withPixels(array $pixels, Message ...$notices): self
    {
        return new self(
            $pixels,
            $this->width,
            $this->height,
            $this->ownWidth,
            $this->ownHeight,
            [...$this->notices, ...array_values($notices)],
            $this->isLossy,
        );
    }

    /** Pixels of the picture as it came for one pixel looked at. */
    public function ownPerPx(): float
    {
        return $this->ownWidth / $this->width;
    }

    private static function read(string $bytes): GdImage
    {
        $complaint = '';
        set_error_handler(static function (int $level, string $message) use (&$complaint): bool {
            $complaint .= $message;

            return true;
        });
        try {
            $image = imagecreatefromstring($bytes);
        } finally {
            restore_error_handler();
        }
        // What is cut short may be read all the same, grey where it ends.
        if ($image === false || stripos($complaint, 'premature end') !== false || ! FileEnd::isReached($bytes)) {
            throw PictureRefused::damaged();
        }

        return $image;
    }

    /** @return array{GdImage, bool} turned and mirrored as its EXIF orientation asks, and whether it was */
    private static function upright(GdImage $image, string $bytes, string $mime): array
    {
        $orientation = self::orientation($bytes, $mime);
        if (in_array($orientation, [2, 4, 5, 7], true)) {
            imageflip($image, $orientation === 4 ? IMG_FLIP_VERTICAL : IMG_FLIP_HORIZONTAL);
        }
        $angle = [3 => 180, 5 => 90, 6 => -90, 7 => -90, 8 => 90][$orientation] ?? 0;
        $turned = $angle === 0 ? $image : imagerotate($image, $angle, 0);

        return $turned === false ? [$image, false] : [$turned, $orientation !== 1];
    }

    /** How the camera was held (Exif 2.32, tag 0x0112): 1 upright, 2 mirrored, 3 upside down, from 5 on lying on its side. */
    private static function orientation(string $bytes, string $mime): int
    {
        $exif = $mime === 'image/jpeg' && function_exists('exif_read_data')
            ? @exif_read_data('data://image/jpeg;base64,'.base64_encode(substr($bytes, 0, 131_072)))
            : false;
        $said = is_array($exif) ? $exif['Orientation'] ?? 1 : 1;

        return is_int($said) && $said >= 1 && $said <= 8 ? $said : 1;
    }
}
