<?php

declare(strict_types=1);

namespace Impa\Picture;

/**
 * From a picture to a figure document, first depth: ground, flat colours, regions, one simple shape a region,
 * small enclosed regions as details, mirrored twins paired, joins by contact. Immutable.
 */
final readonly class Breakdown
{
    /** A region that touches no ground and is smaller than this share of the figure is a detail, not a part. */
    private const DETAIL_SHARE = 0.03;

    /** Surrounded by another region, it is colour on it up to this share of the other. */
    private const PATCH_SHARE = 0.75;

    /** At most so many parts; the rest are told. */
    private const MOST_PARTS = 60;

    private const MOST_DETAILS = 120;

    /**
     * @param  array<string, mixed>  $document  an impa-figure document
     * @param  list<string>  $notices  plain words on what was done and left out
     */
    private function __construct(
        public array $document,
        public array $notices,
    ) {
    }

    /**
     * @param  string  $bytes  the picture file
     * @param  float  $heightMm  finished height, 10 to 2000
     * @param  string  $name  of the figure
     * @param  string  $file  name of the picture, kept in the document
     *
     * @throws PictureRefused if the file is no usable picture, or the height out of range
     */
    public static function of(string $bytes, float $heightMm, string $name = 'New figure', string $file = ''): self
    {
        if (! ($heightMm >= 10 && $heightMm <= 2000)) {
            throw PictureRefused::heightOutOfRange($heightMm);
        }
        $raster = Raster::decode($bytes);
        $ground = Ground::of($raster);
        $flat = FlatColours::of($raster, $ground);
        $regions = Regions::of($flat, $raster, $ground);
        $sorting = Sorting::of($regions, self::DETAIL_SHARE, self::PATCH_SHARE, self::MOST_PARTS, self::MOST_DETAILS);
        if ($sorting->pieces === []) {
            throw PictureRefused::nothingDrawn();
        }
        $axis = Pairing::axis($sorting, $regions);
        $pieces = Pairing::of($sorting->pieces, $axis);
        Joining::of($pieces, $regions);
        Naming::of($pieces, $axis);
        $writer = new Writing($pieces, $sorting, $flat, $raster, $regions->map, $axis, $heightMm);

        $notices = [...$raster->notices, ...$ground->notices, ...$sorting->notices];
        if ($regions->dropped > 0) {
            $notices[] = sprintf('%d specks were given to their surroundings.', $regions->dropped);
        }

        return new self($writer->document($name, $file), $notices);
    }
}
