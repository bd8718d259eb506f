<?php

declare(strict_types=1);

namespace Impa\Tests\Sheets;

use Impa\Colour\Srgb;
use Impa\Material\Preparation;
use Impa\Print\Page\Html;
use Impa\Print\Work\PortionsSheet;
use Impa\Print\Work\ShoppingSheet;
use Impa\Stash\Supply\Offer;
use Impa\Stash\Supply\ShoppingList;
use Impa\Stash\Supply\Supply;
use Impa\Tests\Support\Figures;

function needing(): Supply
{
    return Supply::of(
        Figures::read(
            Figures::document(
                [
                    Figures::part('head', 'ball', 40, 40, 40, 0, 60, 0, ['name' => 'Head & all', 'core' => 'none']),
                    Figures::part('arm', 'sausage', 12, 30, 12, 20, 40, 0, [
                        'name' => 'Arm',
                        'mirror' => true,
                        'covering' => ['way' => 'tufts'],
                        'join' => ['to' => 'head'],
                    ]),
                    Figures::part('body', 'ball', 90, 90, 90, 0, 20, 0, ['name' => 'Body', 'core' => 'none']),
                ],
                [
                    ['key' => 'eye', 'name' => 'Eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 6, 'mirror' => true]
                    + ['colour' => 'black'],
                ],
                ['name' => 'Żółw'],
            ),
        ),
        [],
    );
}

/** @return list<array{float, float, string}> width and height in mm of every drawing on a sheet, and the drawing */
function drawings(string $html): array
{
    $img = '~<img style="width:([\d.]+)mm;height:([\d.]+)mm" src="data:image/svg\+xml;base64,([^"]+)">~';
    preg_match_all($img, $html, $found, PREG_SET_ORDER);

    return array_map(static fn (array $f): array => [(float) $f[1], (float) $f[2], (string) base64_decode($f[3])], $found);
}

it('says of every portion what to weigh, and draws its loose clump at true size where that fits beside the words', function () {
    $supply = needing();
    $html = PortionsSheet::of($supply);
    $loose = $supply->ledger->wool['head']->loose();
    $clumps = array_values(array_filter(drawings($html), static fn (array $d): bool => str_contains($d[2], '<ellipse')));
    // The head's and an arm's core; the body's clump is larger than the page leaves room for.
    expect($clumps)
        ->toHaveCount(2)
        ->and(array_column($clumps, 0))
        ->toContain(ceil($loose->widthMm) + 2)
        ->and(implode('', array_column($clumps, 2)))
        ->toContain(sprintf('rx="%.2f" ry="%.2f"', $loose->widthMm / 2, $loose->heightMm / 2))
        ->and($html)
        ->toContain('Head &amp; all')
        ->toContain('Arm x 2')
        ->toContain('<h2>Wisps</h2>')
        ->toContain('<b>Eye x 2</b>')
        ->toContain(' mg each')
        ->toContain('<h2>Not plain felt</h2>')
        ->toContain('This ruler is 100 mm long on paper.');
    expect(substr_count($html, '<tr>'))->toBe(count($supply->portions()) + count($supply->wisps()) + count($supply->coverings()));
    // The ruler to check the printer by: 100 mm between its ends, in a drawing shown at its own size.
    [$width, , $line] = drawings($html)[0];
    expect($width)->toBe(102.0)->and($line)->toContain('M1 1h100')->toContain('viewBox="0 0 102 7"');
});

it('sets what the built-in fonts have no letters for in one that has them, and nothing else', function () {
    expect(PortionsSheet::of(needing()))
        ->toContain('<h1><span style="font-family: DejaVu Sans">Żółw: portions</span></h1>')
        ->and(Html::text('Größe & Maß'))
        ->toBe('Größe &amp; Maß')
        ->and(Html::isWide('Ёжик'))
        ->toBeTrue();
});

it('lists what to buy with its packs, what it is for, what is nowhere to be had, and the price with sending', function () {
    $supply = needing();
    $colours = ['teal' => Srgb::hex('#2f8f86'), 'black' => Srgb::hex('#1b1b1d'), 'white' => Srgb::hex('#f8f4ec')];
    $pond = Srgb::hex('#2f8f86');
    $offer = new Offer('Pond <deep>', $pond, 'wool', Preparation::CardedBatting, 3, [['packG' => 25, 'price' => 4.0, 'stock' => 9]]);
    $list = ShoppingList::of($supply->needs, $colours, ['teal' => 'teal', 'black' => 'black', 'white' => 'white'], [$offer]);
    $html = ShoppingSheet::of('Żółw', $list, 3.5);
    expect($list->lines)
        ->not->toBe([])
        ->and($html)
        ->toContain('<b>Pond &lt;deep&gt;</b><br>for teal, ')
        ->toContain(sprintf('%d x 25 g', $list->lines[0]['packs'][0]['count']))
        ->toContain('sending</td><td></td><td class="n">3.50')
        ->toContain(sprintf('<b>%.2f</b>', $list->price() + 3.5));
    expect($list->missing)->not->toBe([]);
    foreach ($list->missing as $missing) {
        expect($html)->toContain('<b>'.$missing['name'].'</b>')->toContain(Html::text($missing['why']));
    }
});
