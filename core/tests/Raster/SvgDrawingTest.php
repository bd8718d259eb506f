<?php

declare(strict_types=1);

use Impa\Raster\File\PictureRefused;
use Impa\Raster\File\SvgDrawing;

const SVG = '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 100 50">%s</svg>';

it('is known by what it is, not by its name', function (string $bytes, bool $isMeant) {
    expect(SvgDrawing::isMeant($bytes))->toBe($isMeant);
})->with([
    [sprintf(SVG, ''), true],
    ["\xEF\xBB\xBF<?xml version=\"1.0\"?>\n<!-- made by hand -->\n".sprintf(SVG, ''), true],
    ['<!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd"><svg></svg>', true],
    ["\x89PNG\r\n\x1a\n<svg>", false],
    ['<html><svg></svg></html>', false],
    ['', false],
]);

it('is drawn 1200 pixels long, in its own proportion', function () {
    $svg = SvgDrawing::of(
        sprintf(SVG, '<path d="M0 0h10v10z" style="fill:url(#g)"/><use href="#a"/><image href="data:image/png;base64,AAAA"/>'),
    );
    expect([$svg->widthPx, $svg->heightPx])->toBe([1200, 600]);
    $sized = SvgDrawing::of('<svg xmlns="http://www.w3.org/2000/svg" width="30mm" height="40mm"><rect width="1" height="1"/></svg>');
    expect([$sized->widthPx, $sized->heightPx])->toBe([900, 1200]);
});

it('is refused in words where it carries what no drawing needs', function (string $bytes, string $why) {
    expect(fn () => SvgDrawing::of($bytes))->toThrow(PictureRefused::class, $why);
})->with([
    'a script' => [sprintf(SVG, '<script>alert(1)</script>'), 'carries "script"'],
    'a script in capitals' => [sprintf(SVG, '<SCRIPT>alert(1)</SCRIPT>'), 'carries "SCRIPT"'],
    'a script of another kind' => [sprintf(SVG, '<x:script xmlns:x="http://www.w3.org/1999/xhtml"/>'), 'carries "script"'],
    'a handler' => [sprintf(SVG, '<path onload="alert(1)"/>'), 'carries scripts'],
    'a page within' => [sprintf(SVG, '<foreignObject><p xmlns="http://www.w3.org/1999/xhtml"/></foreignObject>'), 'foreignObject'],
    'something that moves' => [sprintf(SVG, '<rect><animate attributeName="href" to="javascript:x"/></rect>'), 'animate'],
    'a picture from elsewhere' => [sprintf(SVG, '<image href="http://example.org/a.png"/>'), 'from elsewhere'],
    'a file of this machine' => [sprintf(SVG, '<image xlink:href="file:///etc/passwd"/>'), 'from elsewhere'],
    'a file beside it' => [sprintf(SVG, '<image href="../secret.png"/>'), 'from elsewhere'],
    'an SVG within' => [sprintf(SVG, '<image href="data:image/svg+xml;base64,AAAA"/>'), 'from elsewhere'],
    'a page to go to' => [sprintf(SVG, '<a href="javascript:alert(1)"><path/></a>'), 'from elsewhere'],
    'a use from elsewhere' => [sprintf(SVG, '<use href="other.svg#a"/>'), 'from elsewhere'],
    'a fill from elsewhere' => [sprintf(SVG, '<path fill="url(http://example.org/#g)"/>'), 'from elsewhere'],
    'a fill hidden by quotes' => [sprintf(SVG, '<path style="fill: url( \'//example.org/g\' )"/>'), 'from elsewhere'],
    'a sheet from elsewhere' => [sprintf(SVG, '<style>@import "http://example.org/a.css";</style>'), 'from elsewhere'],
    'a sheet hidden by escapes' => [sprintf(SVG, '<style>path { fill: \75rl(http://example.org) }</style>'), 'from elsewhere'],
    'entities' => ['<!DOCTYPE svg [<!ENTITY a "b">]>'.sprintf(SVG, '&a;'), 'entities'],
    'a billion laughs' => [
        '<!DOCTYPE svg [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;&a;">]>'.sprintf(SVG, '<text>&b;</text>'), 'entities',
    ],
    'a file as an entity' => [
        '<!DOCTYPE svg SYSTEM "file:///etc/passwd" [<!ENTITY x SYSTEM "file:///etc/passwd">]>'.sprintf(SVG, '&x;'),
        'entities',
    ],
    'what is not whole' => [substr(sprintf(SVG, '<path/>'), 0, -4), 'damaged'],
    'too many pieces' => [sprintf(SVG, str_repeat('<path/>', 50_001)), 'more than 50000'],
    'itself over and over' => [sprintf(SVG, str_repeat('<use href="#a"/>', 2_001)), 'repeats itself'],
    'no size' => ['<svg xmlns="http://www.w3.org/2000/svg"><path/></svg>', 'how large'],
    'a size of nothing' => ['<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 0 10"><path/></svg>', 'how large'],
    'a line of a size' => ['<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1 100000"><path/></svg>', 'how large'],
    'too large' => [sprintf(SVG, str_repeat(' ', 5_000_001)), '5 MB'],
]);
