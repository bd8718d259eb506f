<?php

declare(strict_types=1);

/*
 * One drawing as people really have it: from its clean PNG on a transparent ground, made worse in a way that is known. Each gives the
 * file's bytes; what ought to be seen stays the clean drawing (turned along where the variant is).
 */

const PAPER = [255, 255, 255];

/** @return array<string, callable(GdImage): string> */
function variants(): array
{
    $white = static fn (GdImage $clean): GdImage => onPaper($clean, static fn (): array => PAPER);

    return [
        'white' => static fn (GdImage $clean): string => png($white($clean)),
        'jpeg' => static fn (GdImage $clean): string => jpeg($white($clean), 55),
        'small' => static fn (GdImage $clean): string => png(imagescale($white($clean), 160, -1, IMG_BICUBIC) ?: $clean),
        'tinted' => static fn (GdImage $clean): string => png(onPaper($clean, static fn (): array => [236, 222, 190])),
        'darkening' => static fn (GdImage $clean): string => png(onPaper($clean, darkening(imagesx($clean)))),
        'ruled' => static fn (GdImage $clean): string => png(onPaper($clean, ruled(...))),
        'grain' => static fn (GdImage $clean): string => png(grained($white($clean), 7.0)),
        'photo' => static fn (GdImage $clean): string => jpeg(grained(onPaper($clean, darkening(imagesx($clean))), 4.0), 70),
        'leaning' => static fn (GdImage $clean): string => png(leaning($clean)),
        'shaded' => static fn (GdImage $clean): string => png(shaded($clean)),
        'pixels' => static fn (GdImage $clean): string => png(pixelled($clean, 40)),
        'soft' => static fn (GdImage $clean): string => png(ofFewColours(softened($white(pixelled($clean, 40))))),
        'mixed' => static fn (GdImage $clean): string => png(mixed($white($clean), 40)),
    ];
}

/** What ought to be seen in a variant, as a PNG on a transparent ground. */
function wanted(string $variant, GdImage $clean): string
{
    return png($variant === 'leaning' ? leaning($clean) : $clean);
}

function png(GdImage $image): string
{
    imagesavealpha($image, true);
    ob_start();
    imagepng($image);

    return (string) ob_get_clean();
}

function jpeg(GdImage $image, int $quality): string
{
    ob_start();
    imagejpeg($image, null, $quality);

    return (string) ob_get_clean();
}

/** @return array{float, float, float} white paper with blue lines, which climb a little from left to right */
function ruled(int $x, int $y): array
{
    return fmod($y + 0.012 * $x, 30.0) < 2.0 ? [168, 196, 224] : PAPER;
}

/** @return callable(int, int): array{float, float, float} white paper, a quarter darker from one corner to the other */
function darkening(int $side): callable
{
    return static fn (int $x, int $y): array => array_map(static fn (int $c): float => $c * (1 - 0.25 * ($x + $y) / (2 * $side)), PAPER);
}

/**
 * @param  callable(GdImage, int, int): array{float, float, float, int}  $colour  red, green, blue and GD's alpha of a pixel
 */
function repainted(GdImage $image, callable $colour): GdImage
{
    [$width, $height] = [imagesx($image), imagesy($image)];
    $made = imagecreatetruecolor($width, $height);
    imagealphablending($made, false);
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            [$r, $g, $b, $a] = $colour($image, $x, $y);
            $byte = static fn (float $c): int => max(0, min(255, (int) round($c)));
            imagesetpixel($made, $x, $y, ($a << 24) | ($byte($r) << 16) | ($byte($g) << 8) | $byte($b));
        }
    }

    return $made;
}

/** @return array{int, int, int, int} red, green, blue and GD's alpha: 0 opaque, 127 clear */
function pixelAt(GdImage $image, int $x, int $y): array
{
    $p = (int) imagecolorat($image, $x, $y);

    return [($p >> 16) & 255, ($p >> 8) & 255, $p & 255, $p >> 24];
}

/** @param  callable(int, int): array{float, float, float}  $paper */
function onPaper(GdImage $clean, callable $paper): GdImage
{
    return repainted($clean, static function (GdImage $from, int $x, int $y) use ($paper): array {
        [$r, $g, $b, $a] = pixelAt($from, $x, $y);
        [$pr, $pg, $pb] = $paper($x, $y);
        $clear = $a / 127;

        return [$r + ($pr - $r) * $clear, $g + ($pg - $g) * $clear, $b + ($pb - $b) * $clear, 0];
    });
}

/** Normal grain (Box and Muller), the same every time. */
function grained(GdImage $image, float $sigma): GdImage
{
    mt_srand(7);
    $normal = static fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());

    return repainted($image, static function (GdImage $from, int $x, int $y) use ($normal, $sigma): array {
        [$r, $g, $b, $a] = pixelAt($from, $x, $y);

        return [$r + $sigma * $normal(), $g + $sigma * $normal(), $b + $sigma * $normal(), $a];
    });
}

/** Turned by six degrees about its middle, on a transparent ground of the same size. */
function leaning(GdImage $clean): GdImage
{
    $side = imagesx($clean);
    $clear = imagecolorallocatealpha($clean, 255, 255, 255, 127);
    $turned = imagerotate($clean, 6, (int) $clear);
    $made = imagecreatetruecolor($side, $side);
    imagealphablending($made, false);
    imagefill($made, 0, 0, 0x7FFFFFFF);
    $off = intdiv(imagesx($turned) - $side, 2);
    imagecopy($made, $turned, 0, 0, $off, $off, $side, $side);

    return $made;
}

/** Light from the upper left: each colour a little lighter there and a quarter darker at the lower right. */
function shaded(GdImage $clean): GdImage
{
    $side = imagesx($clean);

    return repainted($clean, static function (GdImage $from, int $x, int $y) use ($side): array {
        [$r, $g, $b, $a] = pixelAt($from, $x, $y);
        $light = 1.06 - 0.28 * ($x + $y) / (2 * $side);

        return [$r * $light, $g * $light, $b * $light, $a];
    });
}

/** As a sprite of so many cells a side, enlarged without smoothing: every cell has the colour of its middle. */
function pixelled(GdImage $clean, int $cells): GdImage
{
    $side = imagesx($clean);
    $middle = static fn (int $at): int => (int) ((floor($at * $cells / $side) + 0.5) * $side / $cells);

    return repainted($clean, static function (GdImage $from, int $x, int $y) use ($middle): array {
        [$r, $g, $b, $a] = pixelAt($from, $middle($x), $middle($y));

        return [$r, $g, $b, $a > 64 ? 127 : 0];
    });
}

/** As a sprite that was enlarged softly: pixels beside a cell's edge are mixed of both cells. */
function softened(GdImage $sprite): GdImage
{
    return repainted($sprite, static function (GdImage $from, int $x, int $y): array {
        $sum = [0.0, 0.0, 0.0, 0.0];
        foreach ([-1, 0, 1] as $right) {
            foreach ([-1, 0, 1] as $down) {
                $at = pixelAt($from, max(0, min(imagesx($from) - 1, $x + $right)), max(0, min(imagesy($from) - 1, $y + $down)));
                $sum = array_map(static fn (float $all, float $one): float => $all + $one / 9, $sum, $at);
            }
        }

        return [$sum[0], $sum[1], $sum[2], (int) round($sum[3])];
    });
}

/** As a sprite whose cells along an edge have the colours of both sides mixed, of few colours, enlarged without smoothing. */
function mixed(GdImage $paper, int $cells): GdImage
{
    $side = imagesx($paper);
    $small = imagecreatetruecolor($cells, $cells);
    imagecopyresampled($small, $paper, 0, 0, 0, 0, $cells, $cells, $side, $side);

    $large = imagecreatetruecolor(12 * $cells, 12 * $cells);
    imagecopyresized($large, ofFewColours($small), 0, 0, 0, 0, 12 * $cells, 12 * $cells, $cells, $cells);

    return $large;
}

/** Of 24 colours, as sprites' palettes are. */
function ofFewColours(GdImage $image): GdImage
{
    imagetruecolortopalette($image, false, 24);
    imagepalettetotruecolor($image);

    return $image;
}
