<?php

declare(strict_types=1);

namespace Impa\Picture;

/**
 * From a picture to a figure document, one room after the other: ground, flat colours, ink, regions, who carries whom,
 * lobes, shapes, twins, joins, names. Immutable.
 */
final readonly class Breakdown
{
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
        $isTurned = Facing::isHeavyRight($raster, $ground);
        if ($isTurned) {
            [$raster, $ground] = [$raster->mirrored(), $ground->mirrored($raster->width)];
        }
        $flat = FlatColours::of($raster, $ground);
        $regions = Regions::of($flat, $raster, $ground);
        $sorting = Sorting::of($regions);
        if ($sorting->pieces === []) {
            throw PictureRefused::nothingDrawn();
        }
        $axis = Pairing::axis($sorting->pieces, $regions);
        $pieces = Pairing::of($sorting->pieces, $axis);
        Joining::of($pieces, $sorting->map, $regions->width);
        $sorting = $sorting->withMarks(Laying::missed($pieces, $sorting, $regions, $axis));
        Naming::of($pieces, $sorting->marks, $axis);
        $writer = new Writing($pieces, $sorting, $flat, $raster, $axis, $heightMm);

        $notices = [...$raster->notices, ...$ground->notices, ...$sorting->notices];
        if ($regions->dropped > 0) {
            $notices[] = sprintf('%d specks were given to their surroundings.', $regions->dropped);
        }

        $document = $writer->document($name, $file);

        return new self($isTurned ? Facing::turnedBack($document) : $document, $notices);
    }
}
