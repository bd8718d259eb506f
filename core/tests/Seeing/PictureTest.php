<?php

declare(strict_types=1);

namespace Impa\Tests\Picture;

use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Raster\File\PictureRefused;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Wishes;
use Impa\Tests\Support\Figures;
use Impa\Voice\Message;

/** A drawing as PNG bytes: a canvas and what a function draws on it. */
function drawing(callable $draw, int $width = 300, int $height = 300, ?int $ground = 0xFFFFFF): string
{
    $image = imagecreatetruecolor($width, $height);
    imagealphablending($image, false);
    imagesavealpha($image, true);
    imagefill($image, 0, 0, $ground ?? 0x7FFFFFFF);
    $draw($image);

    return asPng($image);
}

function asPng(\GdImage $image): string
{
    ob_start();
    imagepng($image);

    return (string) ob_get_clean();
}

/** @return array<string, mixed> */
function seen(string $png, float $heightMm = 100): array
{
    $document = Breakdown::of($png, $heightMm)->document;
    Figure::fromJson(json_encode($document));

    return $document;
}

/** Share of the drawing's figure within CIEDE2000 12 of the render that lies over it. */
function agreement(string $png): float
{
    $figure = Figure::fromJson(json_encode(Breakdown::of($png, 110)->document));
    [$one, $two] = [imagecreatefromstring($png), imagecreatefromstring(Painter::match($figure))];
    $all = $alike = 0;
    $lab = static fn (int $p) => Srgb::of(($p >> 16) & 255, ($p >> 8) & 255, $p & 255)->lab();
    for ($y = 0; $y < imagesy($one); $y += 3) {
        for ($x = 0; $x < imagesx($one); $x += 3) {
            [$p, $q] = [imagecolorat($one, $x, $y), imagecolorat($two, $x, $y)];
            if ($p >> 24 < 64 && ($p & 0xFFFFFF) !== 0xFFFFFF) {
                $all++;
                $alike += (int) ($q >> 24 < 64 && Ciede2000::between($lab($p), $lab($q)) < 12);
            }
        }
    }

    return $alike / $all;
}

it('sees one ball, its size and place', function (?int $ground) {
    $document = seen(drawing(fn ($i) => imagefilledellipse($i, 150, 160, 200, 180, 0xC04050), ground: $ground), 90);
    expect($document['parts'])
        ->toHaveCount(1)
        ->and($document['parts'][0]['shape']['kind'])
        ->toBe('ball')
        ->and($document['parts'][0]['shape']['heightMm'])
        ->toEqualWithDelta(90, 1)
        ->and($document['parts'][0]['shape']['widthMm'])
        ->toEqualWithDelta(100, 1.2)
        ->and($document['parts'][0]['at']['yMm'])
        ->toEqualWithDelta(45, 0.7)
        ->and($document['colours'][0]['hex'])
        ->toBe('#c04050')
        ->and($document['picture']['mmPerPx'])
        ->toEqualWithDelta(0.5, 0.01)
        ->and($document['picture']['originPx'])
        ->toEqualWithDelta([150.0, 250.0], 1.5);
})->with(['on white' => 0xFFFFFF, 'on a clear ground' => null, 'on blue' => 0x3050A0]);

it('makes one of twins, and joins them to what they touch', function () {
    $document = seen(
        drawing(function ($i) {
            imagefilledellipse($i, 80, 100, 60, 60, 0x306090);
            imagefilledellipse($i, 220, 100, 60, 60, 0x306090);
            imagefilledellipse($i, 150, 180, 180, 180, 0xD0A040);
        }),
    );
    $twins = array_values(array_filter($document['parts'], static fn (array $p): bool => $p['mirror']));
    expect($document['parts'])
        ->toHaveCount(2)
        ->and($twins)
        ->toHaveCount(1)
        ->and($twins[0]['join']['to'])
        ->toBe($document['parts'][0]['key'])
        ->and($twins[0]['at']['xMm'])
        ->toBeGreaterThan(0);
});

it('makes details of what lies on a part: spots, layers, a line', function () {
    $document = seen(
        drawing(function ($i) {
            imagefilledellipse($i, 150, 150, 240, 240, 0xE0C080);
            foreach ([100, 200] as $x) {
                imagefilledellipse($i, $x, 140, 44, 44, 0xFFFFFF);
                imagefilledellipse($i, $x, 140, 22, 22, 0x101010);
            }
            imagesetthickness($i, 7);
            imagearc($i, 150, 180, 70, 50, 20, 160, 0x101010);
        }),
    );
    $kinds = array_count_values(array_column($document['details'], 'kind'));
    expect($document['parts'])
        ->toHaveCount(1)
        ->and($kinds['line'] ?? 0)
        ->toBe(1)
        ->and($kinds['disc'] ?? 0)
        ->toBe(2);
    $layers = array_column($document['details'], 'layer');
    sort($layers);
    expect($layers)->toBe([1, 1, 2]);
    foreach ($document['details'] as $detail) {
        if ($detail['kind'] === 'disc') {
            expect($detail['mirror'])
                ->toBeTrue()
                ->and(abs($detail['xMm']))
                ->toEqualWithDelta((50 * 100) / 241, 0.6);
        }
    }
});

it('sees the shape that was drawn', function (string $kind, callable $draw) {
    expect(seen(drawing($draw))['parts'][0]['shape']['kind'])->toBe($kind);
})->with([
    'a roll' => [
        'sausage',
        function ($i) {
            imagefilledellipse($i, 150, 70, 60, 60, 0x408040);
            imagefilledrectangle($i, 120, 70, 180, 230, 0x408040);
            imagefilledellipse($i, 150, 230, 60, 60, 0x408040);
        },
    ],
    'a cone' => ['cone', fn ($i) => imagefilledpolygon($i, [150, 40, 230, 260, 70, 260], 0x408040)],
    'a bent roll' => [
        'arc',
        function ($i) {
            imagesetthickness($i, 1);
            foreach (range(-90, 90, 1) as $deg) {
                imagefilledellipse(
                    $i,
                    (int) round(100 + 90 * cos(deg2rad($deg))),
                    (int) round(150 + 90 * sin(deg2rad($deg))),
                    36,
                    36,
                    0x408040,
                );
            }
        },
    ],
]);

it('cuts a figure of one colour at its necks: a head from its ears and its body, a body from its limbs', function () {
    $document = seen(
        drawing(function ($i) {
            imagefilledellipse($i, 150, 90, 120, 110, 0x408040);
            imagefilledellipse($i, 95, 40, 44, 44, 0x408040);
            imagefilledellipse($i, 205, 40, 44, 44, 0x408040);
            imagefilledellipse($i, 150, 205, 150, 150, 0x408040);
            imagefilledellipse($i, 60, 200, 90, 34, 0x408040);
            imagefilledellipse($i, 240, 200, 90, 34, 0x408040);
        }),
    );
    $parts = array_column($document['parts'], null, 'name');
    expect(array_keys($parts))
        ->toEqualCanonicalizing(['Body', 'Head', 'Ear', 'Arm'])
        ->and($parts['Ear']['shape']['kind'])
        ->toBe('plate')
        ->and($parts['Ear']['mirror'])
        ->toBeTrue()
        ->and($parts['Arm']['mirror'])
        ->toBeTrue()
        ->and($parts['Head']['join']['to'])
        ->toBe('body')
        ->and($parts['Ear']['join']['to'])
        ->toBe('head')
        ->and($parts['Head']['shape']['widthMm'])
        ->toEqualWithDelta((120 * 100) / 262, 2.5)
        ->and($parts['Body']['shape']['widthMm'])
        ->toEqualWithDelta((150 * 100) / 262, 4)
        ->and($parts['Ear']['seen']['why'])
        ->toContain('neck')
        ->and($parts['Ear']['seen']['confidence'])
        ->toBeGreaterThan(0.3);
});

it('sees one body in two colours, not two shapes', function () {
    $document = seen(
        drawing(function ($i) {
            imagefilledellipse($i, 150, 150, 220, 240, 0x8A5FA0);
            imagefilledarc($i, 150, 150, 220, 240, 30, 150, 0xE0C080, IMG_ARC_CHORD);
        }),
    );
    expect($document['parts'])
        ->toHaveCount(1)
        ->and($document['details'])
        ->toHaveCount(1)
        ->and($document['parts'][0]['shape']['kind'])
        ->toBe('ball')
        ->and($document['details'][0]['kind'])
        ->toBe('patch');
});

it('gives a mirrored drawing the mirrored answer', function () {
    $image = imagescale(imagecreatefrompng(__DIR__.'/../../../demo/lanto.png'), 200);
    // Something odd on one side, so that the two differ.
    imagefilledellipse($image, 24, 80, 28, 16, 0x2060A0);
    $one = seen(asPng($image), 110);
    imageflip($image, IMG_FLIP_HORIZONTAL);
    $two = seen(asPng($image), 110);
    expect($two['parts'])->toHaveCount(count($one['parts']));
    foreach ($one['parts'] as $i => $part) {
        $twin = $two['parts'][$i];
        expect([$twin['name'], $twin['shape']['kind'], $twin['mirror']])
            ->toBe([$part['name'], $part['shape']['kind'], $part['mirror']])
            ->and($twin['at']['xMm'])
            ->toEqualWithDelta($part['mirror'] ? $part['at']['xMm'] : -$part['at']['xMm'], 0.3)
            ->and($twin['at']['yMm'])
            ->toEqualWithDelta($part['at']['yMm'], 0.3)
            ->and($twin['shape']['widthMm'])
            ->toEqualWithDelta($part['shape']['widthMm'], 0.3);
    }
});

it('asks which of two figures that stand side by side is meant', function () {
    $png = drawing(function ($i) {
        imagefilledellipse($i, 70, 150, 110, 180, 0xC04050);
        imagefilledellipse($i, 230, 150, 100, 140, 0x4060A0);
    });
    $both = Breakdown::of($png, 80);
    expect($both->figures)
        ->toHaveCount(2)
        ->and($both->document['parts'])
        ->toHaveCount(2)
        ->and(implode(' ', $both->notices))
        ->toContain('2 figures');
    $right = Breakdown::of($png, Wishes::of(80, figure: 2));
    expect($right->document['parts'])
        ->toHaveCount(1)
        ->and($right->document['parts'][0]['shape']['widthMm'] / $right->document['picture']['mmPerPx'])
        ->toEqualWithDelta(100, 2.5)
        ->and($right->document['colours'][0]['hex'])
        ->toBe('#4060a0');
    expect(fn () => Breakdown::of($png, Wishes::of(80, figure: 3)))->toThrow(
        PictureRefused::class,
        'no figure 3 on this picture: 2 stand there',
    );
});

it('merges shades as strongly as asked, and tells what it left out', function () {
    $png = drawing(function ($i) {
        foreach (range(0, 40) as $k) {
            imagefilledellipse(
                $i,
                150,
                150,
                240 - 4 * $k,
                240 - 4 * $k,
                imagecolorallocate($i, 120 + 2 * $k, 60 + 2 * $k, 80 + 2 * $k),
            );
        }
        imagefilledellipse($i, 150, 150, 40, 40, 0x2040F0);
        imagefilledrectangle($i, 100, 60, 102, 62, 0x2040F0);
    });
    [$apart, $merged] = array_map(static fn (float $shades): array => Breakdown::of($png, Wishes::of(80, $shades))->document, [0.0, 1.0]);
    expect(count($merged['colours']))->toBeLessThan(count($apart['colours']))->toBeLessThanOrEqual(3);
    $left = $merged['picture']['leftOut'];
    expect($left)
        ->not->toBeEmpty()
        ->and($left[0]['xMm'])
        ->toEqualWithDelta(((101.5 - 149.5) * 80) / 241, 1.5);
});

it('keeps a soft shadow out of the figure', function () {
    $document = seen(
        drawing(function ($i) {
            foreach (range(0, 60) as $k) {
                $grey = 255 - $k;
                imagefilledellipse($i, 150, 262, 240 - 3 * $k, 64 - $k, imagecolorallocate($i, $grey, $grey, $grey));
            }
            imagefilledellipse($i, 150, 150, 180, 220, 0xC04050);
        }),
    );
    expect($document['parts'])
        ->toHaveCount(1)
        ->and($document['parts'][0]['shape']['widthMm'] / $document['picture']['mmPerPx'])
        ->toEqualWithDelta(180, 4);
});

it('says that a photo is no flat drawing, and does what it can', function () {
    $breakdown = Breakdown::of(
        drawing(function ($i) {
            mt_srand(4);
            for ($k = 0; $k < 60000; $k++) {
                [$x, $y] = [mt_rand(60, 239), mt_rand(40, 259)];
                imagesetpixel(
                    $i,
                    $x,
                    $y,
                    imagecolorallocate(
                        $i,
                        max(0, min(255, $x + mt_rand(-60, 10))),
                        max(0, min(255, $y - 40 + mt_rand(-30, 30))),
                        max(0, min(255, 200 - intdiv($x, 2) + mt_rand(-40, 40))),
                    ),
                );
            }
        }),
        80,
    );
    expect(implode(' ', $breakdown->notices))
        ->toContain('run into each other')
        ->and($breakdown->document['parts'])
        ->not->toBeEmpty();
});

it('keeps the largest of very many pieces and lists the rest', function () {
    $breakdown = Breakdown::of(
        drawing(function ($i) {
            foreach (range(0, 119) as $k) {
                imagefilledellipse(
                    $i,
                    10 + 20 * ($k % 12),
                    10 + 20 * intdiv($k, 12),
                    12,
                    12,
                    [0xC04050, 0x3060B0, 0x40A060][$k % 3],
                );
            }
        }, 240, 200),
        200,
    );
    expect(count($breakdown->document['parts']))
        ->toBeLessThanOrEqual(60)
        ->and(implode(' ', $breakdown->notices))
        ->toContain('120 parts')
        ->and($breakdown->document['picture']['leftOut'])
        ->toHaveCount(50);
});

it('never draws an outline of more points than a document takes', function () {
    $document = seen(
        drawing(function ($i) {
            imagefilledellipse($i, 150, 150, 200, 200, 0xC04050);
            for ($deg = 0; $deg < 360; $deg += 3) {
                imagefilledarc($i, 150, 150, 290, 290, $deg, $deg + 1, 0xC04050, IMG_ARC_PIE);
            }
        }),
    );
    foreach ($document['parts'] as $part) {
        expect(count(is_array($part['shape']['outline'] ?? null) ? $part['shape']['outline'] : []))->toBeLessThanOrEqual(400);
    }
});

it('rounds sizes to steps when asked', function () {
    $png = drawing(fn ($i) => imagefilledellipse($i, 150, 150, 187, 240, 0xC04050));
    $shape = Breakdown::of($png, Wishes::of(83, roundToMm: 5))->document['parts'][0]['shape'];
    expect([$shape['widthMm'], $shape['heightMm']])->toBe([65.0, 85.0]);
});

it('says what it is doing, and stops when it is told to', function () {
    $png = drawing(function ($i) {
        foreach ([0xC04050, 0x3060B0, 0x40A060, 0xD9A441] as $k => $colour) {
            imagefilledellipse($i, 150, 45 + 70 * $k, 90, 68, $colour);
        }
    });
    $said = [];
    Breakdown::of(
        $png,
        100,
        progress: function (Message|string $doing, float $share) use (&$said): void {
            $said[] = $share;
        },
    );
    $sorted = $said;
    sort($sorted);
    expect(count($said))->toBeGreaterThan(8)->and($said)->toBe($sorted)->and(end($said))->toBeLessThanOrEqual(1.0);
    expect(
        fn () => Breakdown::of(
            $png,
            100,
            progress: fn (Message|string $doing, float $share) => $share > 0.5 ? throw PictureRefused::stopped() : null,
        ),
    )->toThrow(PictureRefused::class, 'Stopped');
});

it('keeps two like shades apart and merges what is the same', function () {
    $document = seen(
        drawing(function ($i) {
            imagefilledellipse($i, 150, 200, 180, 180, 0x8A5FA0);
            imagefilledellipse($i, 150, 90, 120, 120, 0x6A4580);
        }),
    );
    expect($document['colours'])->toHaveCount(2);
});

it('lies over the demo drawings', function (string $name, float $least) {
    expect(agreement((string) file_get_contents(__DIR__."/../../../demo/{$name}.png")))->toBeGreaterThan($least);
})->with([['bobbin', 0.96], ['lanto', 0.96], ['sorrel', 0.93]]);

it('breaks its own renders down again to much the same picture', function () {
    $figure = Figures::read(
        Figures::document([
            Figures::part('body', 'ball', 50, 48, 50, 0, 24),
            Figures::part('head', 'egg', 60, 50, 50, 0, 66, 1, ['colour' => 'white', 'join' => ['to' => 'body']]),
            Figures::part('arm', 'sausage', 12, 34, 12, 30, 32, -1, [
                'mirror' => true,
                'colour' => 'black',
                'turnDeg' => ['z' => 30],
                'join' => ['to' => 'body'],
            ]),
        ]),
    );
    expect(agreement(Painter::png($figure, View::Front, 300)))->toBeGreaterThan(0.95);
});

it('refuses what is no usable picture, in words that help', function (string $bytes, string $words) {
    expect(fn () => Breakdown::of($bytes, 100))->toThrow(PictureRefused::class, $words);
})->with([
    'nothing' => ['', 'empty'],
    'a text' => ['Hello, this is no picture.', 'not a picture'],
    'a PDF' => ["%PDF-1.4\n%nothing\n", 'not a picture'],
    'a BMP' => [
        fn () => (function () {
            ob_start();
            imagebmp(imagecreatetruecolor(20, 20));

            return (string) ob_get_clean();
        })(),
        'PNG, JPEG, WebP or GIF',
    ],
    'a truncated PNG' => [
        fn () => substr(drawing(fn ($i) => imagefilledellipse($i, 150, 150, 200, 200, 0xC04050)), 0, 400),
        'damaged',
    ],
    'all one colour' => [fn () => drawing(fn () => null), 'all one colour'],
    'one pixel' => [fn () => drawing(fn () => null, 1, 1), '16 x 16'],
    // A PNG head that says 20000 x 20000: refused without decoding (there is no data to decode).
    'four hundred megapixels' => [
        fn () => "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NN', 20000, 20000)."\x08\x06\x00\x00\x00".pack('N', 0),
        'megapixels',
    ],
]);

it('refuses a height out of range', function (float $mm) {
    expect(fn () => Breakdown::of(drawing(fn ($i) => imagefilledellipse($i, 150, 150, 200, 200, 0xC04050)), $mm))->toThrow(
        PictureRefused::class,
        '10 mm and 2.00 m',
    );
})->with([0.0, -5.0, 9.9, 2001.0, NAN, INF]);

it('takes the first frame of an animation and says so', function () {
    $frame = static function (int $colour): string {
        $image = imagecreate(60, 60);
        imagecolorallocate($image, 255, 255, 255);
        imagefilledellipse(
            $image,
            30,
            30,
            40,
            40,
            (int) imagecolorallocate($image, $colour >> 16, ($colour >> 8) & 255, $colour & 255),
        );
        ob_start();
        imagegif($image);

        return (string) ob_get_clean();
    };
    $control = "\x21\xF9\x04\x04\x0A\x00\x00\x00";
    $body = static fn (string $gif): string => substr($gif, 13 + 3 * 2 ** ((ord($gif[10]) & 7) + 1), -1);
    $gif = $frame(0xC04050);
    $table = substr($gif, 0, 13 + 3 * 2 ** ((ord($gif[10]) & 7) + 1));
    // Both frames share the first one's colour table.
    $animation =
        $table.
        "\x21\xFF\x0BNETSCAPE2.0\x03\x01\x00\x00\x00".
        $control.
        $body($gif).
        "\x00".
        $control.
        $body($frame(0xC04050)).
        ';';
    $animation = str_replace(
        "\x21\xFF\x0BNETSCAPE2.0\x03\x01\x00\x00\x00".$control,
        "\x21\xFF\x0BNETSCAPE2.0\x03\x01\x00\x00\x00".$control,
        $animation,
    );
    $breakdown = Breakdown::of($animation, 50);
    expect($breakdown->notices)
        ->toContain('This is an animation; its first frame was taken.')
        ->and($breakdown->document['parts'])
        ->toHaveCount(1);
});

it('converts a CMYK picture', function () {
    // A red disc of radius 44 in 120 px, written as CMYK by the npm package sharp.
    $document = seen((string) file_get_contents(__DIR__.'/../fixtures/cmyk.jpg'), 44);
    expect($document['parts'])
        ->toHaveCount(1)
        ->and($document['parts'][0]['shape']['widthMm'])
        ->toEqualWithDelta(44, 1)
        ->and(Srgb::hex($document['colours'][0]['hex'])->lab()->a)
        ->toBeGreaterThan(40);
});

it('reads 16-bit PNG, palette and JPEG pictures', function () {
    // A 16-bit grey PNG, 32 x 32, white with a dark square, written by hand.
    $rows = '';
    for ($y = 0; $y < 32; $y++) {
        $rows .= "\x00";
        for ($x = 0; $x < 32; $x++) {
            $rows .= $x > 8 && $x < 24 && $y > 8 && $y < 24 ? "\x20\x00" : "\xFF\xFF";
        }
    }
    $chunk = static fn (string $type, string $data): string => pack('N', strlen($data)).
        $type.
        $data.
        pack('N', crc32($type.$data));
    $png =
        "\x89PNG\r\n\x1a\n".
        $chunk('IHDR', pack('NN', 32, 32)."\x10\x00\x00\x00\x00").
        $chunk('IDAT', (string) gzcompress($rows)).
        $chunk('IEND', '');
    expect(seen($png, 30)['parts'])->toHaveCount(1);

    $image = imagecreatetruecolor(120, 120);
    imagefill($image, 0, 0, 0xFFFFFF);
    imagefilledellipse($image, 60, 60, 90, 90, 0xC04050);
    ob_start();
    imagejpeg($image, null, 60);
    expect(seen((string) ob_get_clean(), 30)['parts'])->toHaveCount(1);
    ob_start();
    imagewebp($image, null, 70);
    expect(seen((string) ob_get_clean(), 30)['parts'])->toHaveCount(1);
});

it('never fails on noise, gradients and pictures to the edge', function (callable $draw) {
    $breakdown = Breakdown::of(drawing($draw, 200, 160), 80);
    Figure::fromJson(json_encode($breakdown->document));
    expect($breakdown->document['parts'])->not->toBeEmpty();
})->with([
    'noise' => [
        function ($i) {
            mt_srand(1);
            for ($y = 0; $y < 70; $y++) {
                for ($x = 0; $x < 90; $x++) {
                    imagesetpixel($i, $x, $y, mt_rand(0, 0xFFFFFF));
                }
            }
        },
    ],
    'a gradient' => [
        function ($i) {
            for ($x = 0; $x < 200; $x++) {
                imageline($i, $x, 0, $x, 160, ($x << 16) | ((255 - $x) << 8) | 128);
            }
        },
    ],
    'a figure cut off' => [fn ($i) => imagefilledellipse($i, 0, 80, 300, 150, 0xC04050)],
    'a hair line' => [fn ($i) => imageline($i, 10, 10, 190, 150, 0x000000)],
    'ten dots' => [
        function ($i) {
            for ($k = 0; $k < 10; $k++) {
                imagefilledellipse($i, 15 + 18 * $k, 80, 12, 12, 0x304050);
            }
        },
    ],
]);

it('says that a figure is cut off, or the background busy', function () {
    expect(Breakdown::of(drawing(fn ($i) => imagefilledellipse($i, 0, 150, 300, 200, 0xC04050)), 80)->notices[0])->toContain(
        'edge',
    );
});
