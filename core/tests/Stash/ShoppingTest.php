<?php

declare(strict_types=1);

namespace Impa\Tests\Shopping;

use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Material\Preparation;
use Impa\Stash\StashWool;
use Impa\Stash\Supply\Need;
use Impa\Stash\Supply\Offer;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\ShoppingList;
use Impa\Stash\Supply\Supply;
use Impa\Tests\Support\Figures;
use Impa\Wool\Spread;

const NAMES = ['teal' => 'Teal', 'sea' => 'Sea', 'black' => 'Black'];

function drawn(): array
{
    return ['teal' => Srgb::hex('#2f8f86'), 'sea' => Srgb::hex('#30908a'), 'black' => Srgb::hex('#1b1b1d')];
}

/** @param  list<string>  $colours */
function need(float $wantG, array $colours = ['teal'], ?StashWool $wool = null, string $material = 'wool'): Need
{
    return new Need($wool, $material, $colours, Spread::around(0.8 * $wantG, 0.25), $wantG);
}

function inDrawer(string $name, float $freeG, ?string $hex = '#2f8f86', float $pricePerG = 0.1): StashWool
{
    return new StashWool(
        id: 7,
        name: $name,
        colour: $hex === null ? null : Srgb::hex($hex),
        material: $hex === null ? 'core-wool' : 'wool',
        preparation: Preparation::CardedBatting,
        freeG: $freeG,
        pricePerG: $pricePerG,
    );
}

function offer(string $name, ?string $hex, int $days = 3, float $price = 4.0, int $stock = 9, string $material = 'wool'): Offer
{
    $colour = $hex === null ? null : Srgb::hex($hex);

    return new Offer($name, $colour, $material, Preparation::CardedBatting, $days, [['packG' => 25, 'price' => $price, 'stock' => $stock]]);
}

function listOf(array $needs, array $offers): ShoppingList
{
    return ShoppingList::of($needs, drawn(), NAMES, $offers);
}

describe('what to buy', function () {
    it('is the cheapest of the wools that are as near, and the wool of the same name before all', function () {
        $offers = [offer('Lagoon', '#2f8f86', 2, 5.0), offer('Harbour', '#2f8f87', 6, 4.0), offer('Brick', '#b3523b', 1, 1.0)];
        $list = listOf([need(10)], $offers);
        expect($list->lines)
            ->toHaveCount(1)
            ->and($list->lines[0]['offer']->name)
            ->toBe('Harbour')
            ->and([$list->lines[0]['for'], $list->lines[0]['needG'], $list->lines[0]['g'], $list->lines[0]['price']])
            ->toEqual([['Teal'], 10.0, 25, 4.0])
            ->and($list->lines[0]['packs'])
            ->toBe([['packG' => 25, 'price' => 4.0, 'count' => 1]])
            ->and([$list->price(), $list->days(), $list->missing])
            ->toBe([4.0, 6, []]);
        // A wool that runs short is bought again under its own name, however it was photographed.
        $again = listOf([need(10, ['teal'], inDrawer('LAGOON', 4.0))], $offers);
        expect($again->lines[0]['offer']->name)->toBe('Lagoon')->and($again->lines[0]['needG'])->toBe(6.0);
    });

    it('is bought once for two colours that one wool serves, their lacks together', function () {
        $list = listOf([need(20, ['teal']), need(10, ['sea'])], [offer('Lagoon', '#2f8f86')]);
        expect($list->lines)
            ->toHaveCount(1)
            ->and($list->lines[0]['for'])
            ->toBe(['Teal', 'Sea'])
            ->and($list->lines[0]['needG'])
            ->toBe(30.0)
            ->and($list->lines[0]['packs'][0]['count'])
            ->toBe(2)
            ->and($list->lines[0]['difference'])
            ->toBeGreaterThan(0.0);
    });

    it('is nothing where the drawer has enough', function () {
        expect(listOf([need(10, ['teal'], inDrawer('Teal', 10.0))], [offer('Lagoon', '#2f8f86')]))
            ->lines->toBe([])
            ->missing->toBe([])
            ->price()->toBe(0.0)
            ->days()->toBe(0);
    });

    it('tells what is nowhere, what is sold out, and of what there is too little', function () {
        $list = listOf(
            [need(10, ['black']), need(10, ['teal']), need(300, ['sea'])],
            [offer('Lagoon', '#2f8f86', stock: 0)],
        );
        expect(array_column($list->missing, 'why', 'name'))->toBe([
            'Black' => 'The shop has nothing like it: mix it from what you have.',
            'Teal' => 'It is sold out: ask again, or mix it from what you have.',
            'Sea' => 'It is sold out: ask again, or mix it from what you have.',
        ]);
        // Each alone there is enough of, not both together.
        $both = listOf([need(30, ['teal']), need(30, ['sea'])], [offer('Lagoon', '#2f8f86', stock: 2)]);
        expect($both->lines)
            ->toBe([])
            ->and($both->missing)
            ->toBe([['name' => 'Teal, Sea', 'needG' => 60.0, 'why' => 'The shop has only 50.0 g of Lagoon.']]);
    });

    it('fills by the material, whatever its colour', function () {
        $list = listOf(
            [need(40, [], null, 'core-wool')],
            [offer('Lagoon', '#2f8f86'), offer('Fleece', null, 5, 3.0, material: 'core-wool')],
        );
        expect($list->lines[0]['offer']->name)
            ->toBe('Fleece')
            ->and($list->lines[0]['for'])
            ->toBe(['core wool'])
            ->and($list->lines[0]['difference'])
            ->toBe(0.0);
    });

    it('is a table with its head, what is missing last', function () {
        $list = listOf([need(30), need(10, ['black'])], [offer('Lagoon', '#2f8f86', 4, 4.5)]);
        expect($list->rows())->toBe([
            ['wool', 'for', 'grams lacking', 'packs', 'grams bought', 'price', 'days'],
            ['Lagoon', 'Teal', '30.0', '2 x 25 g', '50', '9.00', '4'],
            ['Black', '', '10.0', 'The shop has nothing like it: mix it from what you have.', '', '', ''],
        ]);
    });
});

describe('a need', function () {
    it('says how what is free stands to what is wanted', function (?float $freeG, string $state, float $lackG) {
        $need = need(10.0, wool: $freeG === null ? null : inDrawer('Teal', $freeG));
        expect([$need->state(), $need->lackG()])->toBe([$state, $lackG]);
    })->with([[null, 'none', 10.0], [10.0, 'enough', 0.0], [9.0, 'tight', 1.0], [8.0, 'tight', 2.0], [7.5, 'short', 2.5]]);

    it('is named by its wool, its colours, or what it fills', function () {
        expect(need(1, wool: inDrawer('Lagoon', 1.0))->name(NAMES))
            ->toBe('Lagoon')
            ->and(need(1, ['teal', 'black'])->name(NAMES))
            ->toBe('Teal, Black')
            ->and(need(1, [], null, 'stuffing')->name(NAMES))
            ->toBe('stuffing');
    });

    it('costs what is likely taken, nothing where no wool is known', function () {
        expect(need(10.0, wool: inDrawer('Teal', 1.0, pricePerG: 0.25))->cost())
            ->toEqualWithDelta(2.0, 1e-12)
            ->and(need(10.0)->cost())
            ->toBe(0.0);
    });

    it('keeps more at hand the worse it is to run out, and says how often that is enough', function () {
        // The standard normal's points at 0.7, 0.9 and 0.98 (statistical tables).
        expect(array_map(static fn (Reserve $r): float => $r->g(10.0, 0.25), Reserve::cases()))
            ->toEqualWithDelta([10 * exp(0.5244 * 0.25), 10 * exp(1.2816 * 0.25), 10 * exp(2.0537 * 0.25)], 1e-9)
            ->and(array_map(static fn (Reserve $r): float => $r->enough(), Reserve::cases()))
            ->toBe([0.7, 0.9, 0.98])
            ->and(array_map(static fn (Reserve $r): string => (string) $r->odds(), Reserve::cases()))
            ->toBe(['enough 7 times in 10', 'enough 9 times in 10', 'enough 49 times in 50']);
    });
});

describe('what the Wool station shows', function () {
    $figure = static fn (array $more = []): Figure => Figures::read(
        Figures::document(
            [
                Figures::part('body', 'ball', 50, 50, 50, 0, 25, 0, ['name' => 'Body']),
                Figures::part('head', 'ball', 40, 40, 40, 0, 60, 0, ['name' => 'Head', 'colour' => 'white', 'join' => ['to' => 'body']]),
                Figures::part('wing', 'sheet', 30, 20, 2, 30, 40, 0, ['covering' => ['way' => 'film'], 'mirror' => true]),
            ],
            [['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 6, 'xMm' => 8, 'mirror' => true, 'colour' => 'black']],
            $more,
        ),
    );
    /** @return array<int, StashWool> */
    $stash = static function (): array {
        $wools = [
            ['Lagoon', '#2f8f86', 'wool', Preparation::CardedBatting, 20.0, 0.1],
            ['Snow', '#f8f4ec', 'wool', Preparation::Tops, 1.0, 0.2],
            ['Fleece', null, 'core-wool', Preparation::CoreBatting, 90.0, 0.02],
            ['Old fleece', null, 'core-wool', Preparation::CoreBatting, 10.0, 0.05],
        ];
        $stash = [];
        foreach ($wools as $i => [$name, $hex, $material, $preparation, $freeG, $pricePerG]) {
            $stash[$i + 1] = new StashWool(
                id: $i + 1,
                name: $name,
                colour: $hex === null ? null : Srgb::hex($hex),
                material: $material,
                preparation: $preparation,
                freeG: $freeG,
                gPerM: 0.0,
                pricePerG: $pricePerG,
            );
        }

        return $stash;
    };

    it('names of each colour its wool, how near it is, and how it is teased', function () use ($figure, $stash) {
        $matches = array_column(Supply::of($figure(), $stash())->document()['matches'], null, 'colour');
        expect($matches['teal'])
            ->toMatchArray(['hex' => '#2f8f86', 'difference' => 0.0, 'nearness' => 'same', 'isChosen' => false, 'gone' => []])
            ->and($matches['teal']['shares'])
            ->toHaveCount(1)
            ->and($matches['teal']['shares'][0])
            ->toMatchArray(['wool' => 1, 'name' => 'Lagoon', 'hex' => '#2f8f86', 'percent' => 100.0])
            ->and($matches['white']['shares'][0]['teasing'])
            ->toBe((string) Preparation::Tops->teasing())
            ->and($matches['black']['shares'])
            ->toBe([]);
    });

    it('tells every need with its numbers, the insides first and from the fullest of their wools', function () use ($figure, $stash) {
        $supply = Supply::of($figure(), $stash());
        $rows = $supply->document()['needs'];
        expect(array_column($rows, 'name'))
            ->toBe(['Fleece', 'film fibres', 'black', 'Lagoon', 'Snow'])
            ->and(array_column($rows, 'material'))
            ->toBe(['core-wool', 'film', 'wool', 'wool', 'wool'])
            ->and(array_column($rows, 'wool'))
            ->toBe([3, null, null, 1, 2])
            ->and(array_column($rows, 'colours'))
            ->toBe([[], [], ['black'], ['teal'], ['white']])
            ->and(array_column($rows, 'freeG'))
            ->toBe([90.0, 0.0, 0.0, 20.0, 1.0])
            ->and(array_column($rows, 'state'))
            ->toBe(['enough', 'none', 'none', 'enough', 'short']);
        foreach ($rows as $i => $row) {
            $need = $supply->needs[$i];
            expect([$row['g'], $row['lowG'], $row['highG'], $row['wantG'], $row['lackG']])->toBe([
                $need->spread->likelyG,
                $need->spread->lowG,
                $need->spread->highG,
                $need->wantG,
                $need->lackG(),
            ]);
        }
        expect($rows[3]['cost'])
            ->toEqualWithDelta(0.1 * $rows[3]['g'], 1e-12)
            ->and($rows[2]['cost'])
            ->toBeNull()
            ->and($rows[0]['hex'])
            ->toBe('#efe6d2')
            ->and($rows[2]['hex'])
            ->toBe('#1b1b1d')
            ->and($supply->document()['cost'])
            ->toEqualWithDelta($rows[0]['cost'] + $rows[3]['cost'] + $rows[4]['cost'], 1e-12);
    });

    it('tells of every part how it may be filled, and what each way costs where its prices are known', function () use ($figure, $stash) {
        $rows = array_column(Supply::of($figure(), $stash())->document()['insides'], null, 'part');
        $ways = array_column($rows['body']['ways'], null, 'material');
        expect(array_keys($rows))
            ->toBe(['body', 'head', 'wing'])
            ->and($rows['body']['advised'])
            ->toBe('core-wool')
            ->and($rows['body']['reason'])
            ->toContain('weight low')
            ->and($rows['head']['reason'])
            ->not->toContain('weight low')
            ->and($ways['core-wool']['cost'])
            ->toEqualWithDelta(0.1 * $ways['core-wool']['coverG'] + 0.02 * $ways['core-wool']['insideG'], 1e-12)
            ->and($ways['none']['cost'])
            ->toEqualWithDelta(0.1 * $ways['none']['coverG'], 1e-12)
            ->and($ways['stuffing']['cost'])
            ->toBeNull();
    });

    it('advises another cover only where an inside could show through, and by more than half a millimetre', function () use (
        $figure,
        $stash,
    ) {
        $insides = static fn (array $more): array => array_column(
            Supply::of($figure($more), $stash())->document()['insides'],
            null,
            'part',
        );
        $thin = $insides(['coverMm' => 1.0]);
        $usual = $insides([]);
        expect($thin['body'])
            ->toMatchArray(['coverMm' => 3.0, 'showsThrough' => true])
            ->and($usual['body'])
            ->toMatchArray(['coverMm' => null, 'showsThrough' => false])
            ->and($thin['wing']['coverMm'])
            ->toBeNull()
            ->and($usual['body']['coverDifference'])
            ->toBeGreaterThan(20.0);
    });

    it('lays out what is cut from sheet, each of a pair, and nothing where nothing is cut', function () use ($figure, $stash) {
        $layout = Supply::of($figure(), $stash())->document(80.0)['layout'];
        expect($layout['widthMm'])
            ->toBe(80.0)
            ->and(array_column($layout['placed'], 'key'))
            ->toBe(['wing', 'wing'])
            ->and($layout['waste'])
            ->toBeGreaterThan(0.0)
            ->toBeLessThan(1.0)
            ->and(Supply::of(Figures::read(Figures::document([Figures::part('a', 'ball', 30, 30, 30)])), [])->document()['layout'])
            ->toBeNull();
    });

    it('says in words which two colours fall together in these wools', function () {
        $figure = Figures::read(
            Figures::document(
                [
                    Figures::part('body', 'ball', 50, 50, 50, 0, 25),
                    Figures::part('head', 'ball', 40, 40, 40, 0, 60, 0, ['colour' => 'sea', 'join' => ['to' => 'body']]),
                ],
                [],
                [
                    'colours' => [
                        ['key' => 'teal', 'name' => 'Teal', 'hex' => '#2f8f86'],
                        ['key' => 'sea', 'name' => 'Sea', 'hex' => '#48b3a6'],
                    ],
                ],
            ),
        );
        $two = [1 => inDrawer('Lagoon', 50.0, '#3b9f95')];
        $conflicts = Supply::of($figure, $two)->document()['conflicts'];
        expect($conflicts)
            ->toHaveCount(1)
            ->and($conflicts[0]['colours'])
            ->toBe(['sea', 'teal'])
            ->and($conflicts[0]['text'])
            ->toBe(
                sprintf(
                    'Sea and Teal differ by %.0f in the drawing and by 0 in these wools: choose another wool or a mix for one of them.',
                    $conflicts[0]['drawn'],
                ),
            );
    });
});
