<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Colour\ColourWords;
use Impa\Raster\Raster;
use Impa\Seeing\Segmentation\FlatColours;
use Impa\Seeing\Segmentation\Shades;

/** The colours that were seen, as a document has them: each by a plain word, with its darker and lighter places. */
final class ColourWriting
{
    public static function key(int $label): string
    {
        return 'c'.($label + 1);
    }

    /**
     * @param  list<string>  $used  keys of those that something is made in
     * @return list<array<string, mixed>>
     */
    public static function of(Raster $raster, FlatColours $flat, array $used): array
    {
        $colours = $named = [];
        $shades = Shades::of($raster, $flat);
        foreach ($flat->colours as $i => $colour) {
            if (in_array(self::key($i), $used, true)) {
                $word = ColourWords::of($colour);
                $named[$word] = ($named[$word] ?? 0) + 1;
                $colours[] = [
                    'key' => self::key($i),
                    'name' => ColourWords::said($colour).($named[$word] === 1 ? '' : ' '.$named[$word]),
                    'hex' => $colour->toHex(),
                ] + ($shades[$i] === [] ? [] : ['shades' => $shades[$i]]);
            }
        }

        return $colours;
    }
}
