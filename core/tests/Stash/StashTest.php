<?php

declare(strict_types=1);

use Impa\Colour\Srgb;
use Impa\Material\Preparation;
use Impa\Stash\Drawer;
use Impa\Stash\Supply\Packs;
use Impa\Stash\Table\Palette;
use Impa\Stash\Table\StashTable;
use Impa\Stash\Table\WoolEntry;
use Impa\Wool\WoolRefused;

describe('a wool as it is written down', function () {
    it('takes numbers with a point or a comma, a colour with or without its mark', function () {
        $faults = [];
        $wool = WoolEntry::of(
            [
                'name' => ' Teal ',
                'hex' => '2F8F86',
                'preparation' => 'Sliver',
                'gramsLeft' => '12,5',
                'micron' => '23',
                'gPerM' => 6.5,
                'price' => '4.20',
                'packG' => 50,
            ],
            $faults,
        );
        expect($faults)
            ->toBe([])
            ->and([$wool?->name, $wool?->colour?->toHex(), $wool?->preparation, $wool?->gramsLeft, $wool?->gPerM, $wool?->pack->price])
            ->toBe(['Teal', '#2f8f86', Preparation::Sliver, 12.5, 6.5, 4.2])
            ->and($wool?->material)
            ->toBe('wool')
            ->and($wool?->key())
            ->toBe('teal');
    });

    it('keeps every member, with the most that is taken, and nothing where nothing is said', function () {
        $faults = [];
        $most = ['name' => str_repeat('ä', 120), 'material' => 'CORE-WOOL', 'gramsLeft' => 200_000, 'micron' => ' 80 ', 'packG' => '50,5',
            'maker' => ' '.str_repeat('m', 201)];
        expect(WoolEntry::of($most, $faults))
            ->material->toBe('core-wool')
            ->gramsLeft->toBe(200_000.0)
            ->micron->toBe(80.0)
            ->pack->g->toBe(50.5)
            ->pack->maker->toBe(str_repeat('m', 200))
            ->and(WoolEntry::of(['name' => 'A', 'micron' => '  ', 'price' => null], $faults))
            ->gramsLeft->toBe(0.0)
            ->micron->toBeNull()
            ->pack->price->toBeNull()
            ->pack->g->toBeNull()
            ->colour->toBeNull();
        WoolEntry::of(['name' => str_repeat('ä', 121), 'gramsLeft' => 200_000.1, 'micron' => 7.9, 'hex' => ['#000000']], $faults);
        expect(array_keys($faults))->toBe(['name', 'gramsLeft', 'micron'])->and($faults['name'])->toContain(str_repeat('ä', 30).' ...');
        WoolEntry::of(['name' => ['A']], $faults);
        expect($faults)->toHaveKey('name');
    });

    it('takes the material from the preparation', function (string $preparation, string $material) {
        $faults = [];
        expect(WoolEntry::of(['name' => 'A', 'preparation' => $preparation], $faults)?->material)->toBe($material);
    })->with([['core batting', 'core-wool'], ['stuffing', 'stuffing'], ['tops', 'wool'], ['', 'wool']]);

    it('names every fault at once, with the member and what to write', function () {
        $faults = [];
        expect(
            WoolEntry::of(
                [
                    'name' => '',
                    'hex' => 'teal',
                    'preparation' => 'fleece',
                    'gramsLeft' => '-3',
                    'micron' => 'fine',
                    'price' => '1.2.3',
                ],
                $faults,
            ),
        )
            ->toBeNull()
            ->and(array_keys($faults))
            ->toBe(['name', 'hex', 'preparation', 'gramsLeft', 'micron', 'price'])
            ->and($faults['gramsLeft'])
            ->toContain('-3')
            ->and($faults['micron'])
            ->toContain('no number')
            ->and($faults['preparation'])
            ->toContain('carded batting');
    });

    it('refuses what is no number at all', function (mixed $value) {
        $faults = [];
        WoolEntry::of(['name' => 'A', 'gramsLeft' => $value], $faults);
        expect($faults)->toHaveKey('gramsLeft');
    })->with(['1e9', '0x10', '12 g', 'NaN', INF, NAN, -0.01, 1e12, [[]]]);
});

describe('a stash as CSV', function () {
    it('comes back the same, quotes and commas and line ends in names included', function () {
        $faults = [];
        $wools = array_map(
            static fn (array $m): WoolEntry => WoolEntry::of($m, $faults) ?? throw new LogicException(implode(' ', $faults)),
            [
                [
                    'name' => 'Teal, "dark"',
                    'hex' => '#2f8f86',
                    'gramsLeft' => 12.25,
                    'price' => 4.2,
                    'packG' => 50,
                    'maker' => "Two\nlines",
                ],
                ['name' => 'Undyed', 'preparation' => 'core batting', 'gramsLeft' => 180],
                ['name' => '=cmd', 'preparation' => 'yarn', 'gPerM' => 0.35, 'micron' => 21.5],
                ['name' => 'Ümläut 黒', 'preparation' => 'tops'],
            ],
        );
        $csv = StashTable::write($wools);
        $read = StashTable::read($csv);
        expect($read->refused)
            ->toBe([])
            ->and($read->notices)
            ->toBe([])
            ->and($read->wools)
            ->toEqual($wools)
            ->and(StashTable::write($read->wools))
            ->toBe($csv)
            ->and($csv)
            ->toContain("'=cmd");
    });

    it('reads semicolons and tabs, other encodings and odd line ends, and says so', function () {
        $semicolon = StashTable::read("Name;Colour;Grams\r\nTeal;#2f8f86;12,5\r\n");
        expect($semicolon->wools[0]->gramsLeft)->toBe(12.5)->and($semicolon->notices[0])->toContain('semicolons');
        $western = StashTable::read(mb_convert_encoding("name,grams\rGrün,3\r", 'Windows-1252', 'UTF-8'));
        expect($western->wools[0]->name)->toBe('Grün')->and($western->notices[0])->toContain('not UTF-8');
        $marked = StashTable::read("\xEF\xBB\xBFname\tgrams\nA\t1\n");
        expect($marked->wools[0]->name)->toBe('A')->and($marked->notices[0])->toContain('tabs');
    });

    it('is written line for line, and read from as little as a heading', function () {
        $faults = [];
        $wool = WoolEntry::of(['name' => 'Snow', 'gramsLeft' => 100, 'micron' => 21.5, 'price' => '0,05'], $faults);
        expect(StashTable::write([$wool]))
            ->toBe("name,colour,material,preparation,grams,micron,grams per metre,price,pack grams,maker\r\n"
                ."Snow,,wool,carded batting,100,21.5,,0.05,,\r\n")
            ->and(StashTable::read('name'))
            ->wools->toBe([])
            ->notices->toBe([])
            ->and(StashTable::read("name,price\rA , 1.5\r\rB,\r")->wools)
            ->toHaveCount(2)
            ->each->toBeInstanceOf(WoolEntry::class)
            ->and(StashTable::read("name;maker,price;grams\nA;x;2")->notices)
            ->toBe([
                'The columns are parted by semicolons here; that was taken into account.',
                'Left alone, because we do not know them: maker,price.',
            ])
            ->and(StashTable::read('name,'.implode(',', range('a', 'k'))."\nA")->notices)
            ->toBe(['Left alone, because we do not know them: a, b, c, d, e, f, g, h.'])
            ->and(StashTable::read("name,name,,\nA,B,,\n"))
            ->notices->toBe(['Left alone, because we do not know them: name.'])
            ->wools->toHaveCount(1);
        expect(static fn () => StashTable::read(str_repeat('x', 130)))
            ->toThrow(WoolRefused::class, 'It reads: "'.str_repeat('x', 120).'". Known are: name, colour, material,');
    });

    it('reads 20,000 lines and says that there were more', function () {
        $table = static fn (int $n): string => "name\n".implode("\n", array_map(static fn (int $i): string => "W$i", range(1, $n)));
        expect(StashTable::read($table(20_000)))
            ->wools->toHaveCount(20_000)
            ->notices->toBe([])
            ->and(StashTable::read($table(20_003)))
            ->wools->toHaveCount(20_000)
            ->notices->toBe(['Only the first 20000 lines were read.']);
    });

    it('keeps what is good and says of each bad line where and why', function () {
        $sheet = StashTable::read("name,colour,grams,shelf\nA,#112233,1,x\n,#112233,2,\nB,blue,3,\nC,,-4,\na,,5,\n\nD,,6,\n");
        expect(array_map(static fn (WoolEntry $w): string => $w->name, $sheet->wools))
            ->toBe(['A', 'D'])
            ->and(array_map(static fn (array $r): array => [$r['line'], $r['column']], $sheet->refused))
            ->toBe([[3, 'name'], [4, 'colour'], [5, 'grams'], [6, 'name']])
            ->and($sheet->refused[3]['why'])
            ->toContain('line 2')
            ->and($sheet->notices[0])
            ->toContain('shelf');
    });

    it('refuses a table without headings, and what is no text', function (string $bytes, string $why) {
        expect(static fn () => StashTable::read($bytes))->toThrow(WoolRefused::class, $why);
    })->with([
        ["Teal,#2f8f86,12\n", 'must name the columns'],
        ['', 'must name the columns'],
        ["PK\x03\x04\0\0", 'no text'],
        ["colour,grams\n#112233,3\n", '"name" among them'],
    ]);

    it('reads 5,000 wools with a faithful list of what it refused', function () {
        $lines = ['name,colour,grams'];
        for ($i = 0; $i < 5000; $i++) {
            $lines[] = sprintf('Wool %d,#%06x,%s', $i, ($i * 3001) % 0xFFFFFF, $i % 100 === 7 ? '-1' : $i);
        }
        $sheet = StashTable::read(implode("\n", $lines));
        expect($sheet->wools)
            ->toHaveCount(4950)
            ->and($sheet->refused)
            ->toHaveCount(50)
            ->and(array_column($sheet->refused, 'line'))
            ->toBe(range(9, 4909, 100));
    });
});

describe('a palette', function () {
    it('comes back the same', function () {
        $refused = [];
        $colours = [['Teal', Srgb::hex('#2f8f86')], ['Rose clay', Srgb::hex('#d88498')], ['Ink', Srgb::hex('#000000')]];
        expect(Palette::read(Palette::write('Stash', $colours), $refused))->toEqual($colours)->and($refused)->toBe([]);
    });

    it('is written line for line as its format has it, a name on one line whatever is in it', function () {
        $colours = [["Te\tal\r\nblue", Srgb::hex('#2f8f86')], ['Snow', Srgb::hex('#f8f4ec')]];
        expect(Palette::write("My\nstash", $colours))
            ->toBe("GIMP Palette\nName: My stash\nColumns: 8\n#\n 47 143 134\tTe al  blue\n248 244 236\tSnow\n");
    });

    it('is read with a mark before it, other line ends and letters, and as people leave it', function () {
        $refused = [];
        $read = static function (string $bytes) use (&$refused): array {
            return array_map(static fn (array $c): array => [$c[0], $c[1]->toHex()], Palette::read($bytes, $refused));
        };
        $head = "\xEF\xBB\xBF GIMP Palette \r\nname: x\r\ncolumns: 4\r\n# 1 2 3\r\n\r\n   \r\n";
        expect($read($head."  255 0 1   Red  \r\n0 0 0 Untitled\r\n"))
            ->toBe([['Red', '#ff0001'], ['Colour 2', '#000000']])
            ->and($read("GIMP Palette\r1 2 3\tGr\xFCn\r"))
            ->toBe([['Grün', '#010203']])
            ->and($refused)
            ->toBe([]);
        $read("GIMP Palette\n0 256 0 x\n0 0 256\n256 255 255\n   1 2 ".str_repeat('3', 80));
        expect(array_keys($refused))
            ->toBe([2, 3, 4, 5])
            ->and($refused[5])
            ->toBe('"1 2 '.str_repeat('3', 56).'" is no colour: three numbers from 0 to 255, then a name.');
    });

    it('reads 5,000 colours, names the nameless, and tells bad lines by number', function () {
        $lines = ['GIMP Palette', 'Name: Many', '#'];
        for ($i = 0; $i < 5000; $i++) {
            $lines[] = sprintf('%d %d %d%s', $i % 256, intdiv($i, 256), 9, $i % 2 ? "\tNo $i" : '');
        }
        $lines[10] = '300 0 0 too red';
        $lines[11] = 'red';
        $refused = [];
        $colours = Palette::read(implode("\n", $lines), $refused);
        expect($colours)
            ->toHaveCount(4998)
            ->and(array_keys($refused))
            ->toBe([11, 12])
            ->and($colours[0][0])
            ->toBe('Colour 1')
            ->and($colours[1][0])
            ->toBe('No 1');
    });

    it('refuses what is no palette', function () {
        $refused = [];
        Palette::read('name,'.str_repeat('x', 60)."\n", $refused);
    })->throws(WoolRefused::class, 'this one begins with "name,'.str_repeat('x', 35).'".');
});

describe('the cheapest packs', function () {
    it('are those of brute force', function (int $seed) {
        mt_srand($seed);
        for ($n = 0; $n < 40; $n++) {
            $offers = [];
            for ($i = 0; $i < mt_rand(1, 4); $i++) {
                $offers[] = ['packG' => mt_rand(5, 60), 'price' => mt_rand(100, 2000) / 100, 'stock' => mt_rand(0, 4)];
            }
            $need = mt_rand(1, 160);
            $best = null;
            $counts = array_map(static fn (array $o): int => $o['stock'], $offers);
            $ways = array_product(array_map(static fn (int $c): int => $c + 1, $counts));
            for ($w = 0; $w < $ways; $w++) {
                [$rest, $g, $cents] = [$w, 0, 0];
                foreach ($offers as $i => $offer) {
                    $take = $rest % ($counts[$i] + 1);
                    $rest = intdiv($rest, $counts[$i] + 1);
                    $g += $take * $offer['packG'];
                    $cents += $take * (int) round(100 * $offer['price']);
                }
                if ($g >= $need && ($best === null || [$cents, $g] < $best)) {
                    $best = [$cents, $g];
                }
            }
            $found = Packs::cheapest($need, $offers);
            expect($found === null ? null : [(int) round(100 * $found['price']), $found['g']])->toBe($best);
            foreach ($found['packs'] ?? [] as $at => $count) {
                expect($count)->toBeLessThanOrEqual($offers[$at]['stock']);
            }
        }
    })->with([1, 2, 3]);

    it('are none where nothing is lacking, and cannot be where the stock is too small', function () {
        expect(Packs::cheapest(0.0, []))
            ->toBe(['price' => 0.0, 'g' => 0, 'packs' => []])
            ->and(Packs::cheapest(10.0, []))
            ->toBeNull()
            ->and(Packs::cheapest(101.0, [['packG' => 50, 'price' => 1.0, 'stock' => 2]]))
            ->toBeNull()
            ->and(Packs::cheapest(100.0, [['packG' => 50, 'price' => 1.0, 'stock' => 2]])['packs'] ?? null)
            ->toBe([0 => 2]);
    });
});

describe('the drawer', function () {
    it('is after releasing as it was before setting aside, in any order', function () {
        mt_srand(5);
        for ($n = 0; $n < 60; $n++) {
            $drawer = $before = Drawer::of([1 => 20.0, 2 => 5.0, 3 => 0.0]);
            $figures = [1, 2, 3, 4];
            foreach ($figures as $figure) {
                $drawer = $drawer->setAside($figure, [1 => mt_rand(0, 900) / 100, 2 => mt_rand(0, 400) / 100]);
            }
            shuffle($figures);
            foreach ($figures as $figure) {
                $drawer = $drawer->released($figure);
            }
            expect($drawer->left)->toBe($before->left)->and($drawer->aside)->toBe([]);
        }
    });

    it('never has less than nothing, whatever happens', function (int $seed) {
        mt_srand($seed);
        $drawer = Drawer::of([1 => 10.0, 2 => 3.0]);
        for ($n = 0; $n < 400; $n++) {
            $figure = mt_rand(1, 5);
            $g = [1 => mt_rand(0, 800) / 100, 2 => mt_rand(0, 300) / 100];
            $drawer = match (mt_rand(0, 3)) {
                0 => $drawer->setAside($figure, $g),
                1 => $drawer->released($figure),
                2 => $drawer->used($figure, $g),
                default => $drawer->weighed(mt_rand(1, 2), mt_rand(0, 1500) / 100),
            };
            foreach ([1, 2] as $wool) {
                expect($drawer->left[$wool])
                    ->toBeGreaterThanOrEqual(0.0)
                    ->and($drawer->freeG($wool))
                    ->toBeGreaterThanOrEqual(0.0)
                    ->toBeLessThanOrEqual($drawer->left[$wool]);
            }
        }
    })->with([1, 2, 3]);

    it('gives a figure no more than is free, and counts nothing twice', function () {
        $drawer = Drawer::of([1 => 10.0])
            ->setAside(1, [1 => 7.0])
            ->setAside(2, [1 => 7.0]);
        expect($drawer->aside[2][1])
            ->toEqualWithDelta(3.0, 1e-9)
            ->and($drawer->freeG(1))
            ->toBe(0.0)
            ->and($drawer->freeG(1, 1))
            ->toEqualWithDelta(7.0, 1e-9);
        $again = $drawer->setAside(1, [1 => 7.0]);
        expect($again->aside[1][1])
            ->toEqualWithDelta(7.0, 1e-9)
            ->and($again->used(1, [1 => 6.5])->left[1])
            ->toEqualWithDelta(3.5, 1e-9)
            ->and($again->used(1, [1 => 6.5])->aside)
            ->toBe([2 => [1 => $drawer->aside[2][1]]]);
    });

    it('refuses less than nothing and wools that are gone', function (callable $do) {
        $do(Drawer::of([1 => 10.0]));
    })
        ->throws(WoolRefused::class)
        ->with([
            [static fn (Drawer $d) => $d->weighed(1, -0.1)],
            [static fn (Drawer $d) => $d->weighed(2, 1.0)],
            [static fn (Drawer $d) => $d->setAside(1, [1 => -1.0])],
            [static fn (Drawer $d) => $d->setAside(1, [7 => 1.0])],
            [static fn (Drawer $d) => $d->used(1, [1 => NAN])],
            [static fn () => Drawer::of([1 => INF])],
        ]);
});
