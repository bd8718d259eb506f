<?php

declare(strict_types=1);

namespace Impa\Tests\Agreement;

use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Result\Agreement;
use Impa\Seeing\Views\SideView;
use Impa\Tests\Support\Figures;
use stdClass;

function flatPng(callable $draw, int $size = 200): string
{
    $image = imagecreatetruecolor($size, $size);
    imagealphablending($image, false);
    imagesavealpha($image, true);
    imagefill($image, 0, 0, 0x7FFFFFFF);
    $draw($image);
    ob_start();
    imagepng($image);

    return (string) ob_get_clean();
}

it('agrees with itself, and as far as areas say with another', function () {
    $whole = flatPng(fn ($i) => imagefilledrectangle($i, 50, 50, 149, 149, 0xC04050));
    $half = flatPng(fn ($i) => imagefilledrectangle($i, 50, 50, 99, 149, 0xC04050));
    $blue = flatPng(function ($i) {
        imagefilledrectangle($i, 50, 50, 149, 149, 0xC04050);
        imagefilledrectangle($i, 50, 50, 149, 74, 0x2040C0);
    });
    expect(Agreement::of($whole, $whole))
        ->share->toBe(1.0)
        ->overlap->toBe(1.0)
        ->and(Agreement::of($whole, $half))
        ->share->toEqualWithDelta(0.5, 1e-9)
        ->overlap->toEqualWithDelta(0.5, 1e-9)
        ->and(Agreement::of($whole, $blue))
        ->share->toEqualWithDelta(0.75, 1e-9)
        ->overlap->toBe(1.0)
        ->and(Agreement::of($whole, $blue, fn (int $pixel): bool => intdiv($pixel, 200) < 75)->share)
        ->toBe(1.0);
});

it('takes depths and places forwards from a side picture, and keeps widths and heights', function (bool $facesLeft) {
    // Front: a ball on a ball. From the side the body is deeper than wide, and the head sits before it.
    $figure = Figures::read(
        Figures::document(
            [
                Figures::part('body', 'ball', 50, 60, 50, 0, 30, 0, ['colour' => 'red']),
                Figures::part('head', 'ball', 40, 40, 40, 0, 80, 0, ['colour' => 'blue', 'join' => ['to' => 'body']]),
                Figures::part('hat', 'ball', 10, 10, 10, 0, 40, 0, ['colour' => 'black', 'join' => ['to' => 'head']]),
            ],
            [],
            [
                'colours' => [
                    ['key' => 'red', 'hex' => '#c04050'],
                    ['key' => 'blue', 'hex' => '#3060b0'],
                    ['key' => 'black', 'hex' => '#101010'],
                ],
            ],
        ),
    );
    $figure = Scaling::to($figure, 100);
    $before = $figure->parts;
    $side = flatPng(function ($i) use ($facesLeft) {
        $k = 1.6;
        imagefilledellipse($i, 100, 190 - (int) (30 * $k), (int) (80 * $k), (int) (60 * $k), 0xC04050);
        imagefilledellipse(
            $i,
            100 + (int) (($facesLeft ? -18 : 18) * $k),
            190 - (int) (78 * $k),
            (int) (44 * $k),
            (int) (44 * $k),
            0x3060B0,
        );
    });
    $view = SideView::of($figure, Breakdown::ofSide($side, $figure), $facesLeft);
    $after = Figure::fromDocument($view->document)->parts;
    $scale = $before['body']->solid->size()->heightMm / 60;
    expect($after['body']->solid->size()->depthMm / $scale)
        ->toEqualWithDelta(80, 4)
        ->and($after['head']->solid->size()->depthMm / $scale)
        ->toEqualWithDelta(44, 4)
        ->and(($after['head']->stand->at[2] - $after['body']->stand->at[2]) / $scale)
        ->toEqualWithDelta(18, 3)
        ->and($after['body']->solid->size()->widthMm)
        ->toBe($before['body']->solid->size()->widthMm)
        ->and($after['hat']->solid->size()->depthMm)
        ->toBe($before['hat']->solid->size()->depthMm)
        ->and(implode(' ', $view->notices))
        ->toContain('2 of 3')
        ->toContain('hat')
        ->and($view->document->sidePicture->facesLeft)
        ->toBe($facesLeft);
})->with([true, false]);

it('knows a nose that stands out from aside for the detail that it is in front', function () {
    $read = static fn (string $name): string => (string) file_get_contents(__DIR__.'/../../../../demo/'.$name);
    $figure = Breakdown::of($read('lanto.png'), 100.0)->figure();
    $view = SideView::of($figure, Breakdown::ofSide($read('lanto-side.png'), $figure), true);
    $guessed = static fn (stdClass $document): array => array_column(
        array_filter($document->parts, static fn (stdClass $p): bool => isset($p->seen->depth)),
        'key',
    );
    $root = array_key_first(array_filter($figure->parts, static fn (Part $p): bool => ! $p->isJoined()));
    expect(array_keys(Figure::fromDocument($view->document)->parts))
        ->toBe(array_keys($figure->parts))
        // What the side tells is no guess any more.
        ->and($guessed($figure->document()))
        ->toBe(array_keys($figure->parts))
        ->and($guessed($view->document))
        ->not->toContain($root)
        ->and(implode(' ', $view->notices))
        ->not->toContain('Only the side');
});
