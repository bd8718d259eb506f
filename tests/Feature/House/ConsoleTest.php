<?php

declare(strict_types=1);

namespace Tests\Feature\Console;

use Opis\JsonSchema\Validator;
use Tests\Support\Console;

it('goes from a picture to a plan and a render', function () {
    $folder = sys_get_temp_dir().'/impa-'.bin2hex(random_bytes(4));
    mkdir($folder);
    [$exit, $out] = impa('impa:breakdown', 'demo/lanto.png', '--height=140');
    expect($exit)
        ->toBe(0)
        ->and(json_decode($out)->heightMm)
        ->toEqual(140)
        ->and(json_decode($out)->picture->file)
        ->toBe('lanto.png');
    file_put_contents("{$folder}/f.json", $out);
    [$exit, $nothing] = impa('impa:breakdown', 'demo/lanto.png', '--height=140', "--out={$folder}/same.json");
    expect([$exit, $nothing])
        ->toBe([0, ''])
        ->and(file_get_contents("{$folder}/same.json"))
        ->toBe($out)
        ->and(impa('impa:check', "{$folder}/f.json")[0])
        ->toBe(0);
    [$exit, $plan] = impa('impa:plan', "{$folder}/f.json");
    expect($exit)->toBe(0)->and(json_decode($plan)->format)->toBe('impa-plan');
    expect(impa('impa:render', "{$folder}/f.json", '--match', "--out={$folder}/r.png"))->toBe([0, '', '']);
    $own = getimagesize(base_path('demo/lanto.png'));
    $render = getimagesize("{$folder}/r.png");
    expect([$render[0], $render[1]])->toBe([$own[0], $own[1]]);
    expect(impa('impa:render', "{$folder}/f.json", '--view=side', '--px=100', "--out={$folder}/s.png")[0])
        ->toBe(0)
        ->and(getimagesize("{$folder}/s.png")[0])
        ->toBe(100);
    array_map('unlink', (array) glob("{$folder}/*"));
    rmdir($folder);
})->group('dear');

it('says in a process of its own what it says in this one, where the tests ask it', function (array $words, int $exit) {
    $here = impa(...$words);
    expect(Console::process(...$words))->toBe($here)->and($here[0])->toBe($exit)
        // An answer stands on the one, a refusal on the other.
        ->and($here[$exit === 0 ? 1 : 2])->not->toBe('')->and($here[$exit === 0 ? 2 : 1])->toBe('');
})->with([
    'an answer' => [['impa:plan', 'demo/wick.impa.json'], 0],
    'a refusal' => [['impa:plan', 'demo/wick.png'], 2],
    'an option that there is not' => [['impa:balance', 'demo/wick.impa.json', '--cure=prayer'], 1],
]);

it('names ten faults in ten lines on standard error and exits with 2', function () {
    $document = demoFigure();
    foreach (range(0, 4) as $i) {
        $document['parts'][$i]['colour'] = 'none';
        $document['parts'][$i]['shape']['depthMm'] = 0;
    }
    $file = (string) tempnam(sys_get_temp_dir(), 'impa');
    file_put_contents($file, json_encode($document));
    foreach (['impa:check', 'impa:plan'] as $command) {
        [$exit, $out, $errors] = impa($command, $file);
        expect($exit)
            ->toBe(2)
            ->and($out)
            ->toBe('')
            ->and(explode("\n", trim($errors)))
            ->toHaveCount(10)
            ->and($errors)
            ->toContain('/parts/3/shape/depthMm: This must be at least 0.3, not 0.');
    }
    unlink($file);
});

it('refuses bad input in a line, without a stack trace', function (array $words, string $line) {
    [$exit, $out, $errors] = impa(...$words);
    expect($exit)->toBe(2)->and($out)->toBe('')->and($errors)->toContain($line)->not->toContain('#0')->not->toContain('.php:');
})->group('dear')->with([
    [['impa:breakdown', 'nowhere.png', '--height=100'], 'nowhere.png: this file is not there'],
    [['impa:breakdown', 'demo', '--height=100'], 'demo: this file is not there'],
    [['impa:breakdown', 'composer.json', '--height=100'], 'not a picture'],
    [['impa:breakdown', 'demo/lanto.png'], '--height: say how tall'],
    [['impa:breakdown', 'demo/lanto.png', '--height=tall'], '--height: say how tall'],
    [['impa:breakdown', 'demo/lanto.png', '--height=3'], '10 mm and 2.00 m'],
    [['impa:breakdown', 'demo/lanto.png', '--height=100', '--out=/nowhere/at/all.json'], 'cannot be written'],
    [['impa:plan', 'demo/lanto.png'], 'not readable as JSON'],
    [['impa:balance', 'demo/lanto.png'], 'not readable as JSON'],
    [['impa:steps', 'demo/lanto.png'], 'not readable as JSON'],
    [['impa:steps', 'demo/lanto.impa.json', '--school=tails-first'], '--school: loose-head, face-first, limbs-first.'],
    [['impa:steps', 'demo/lanto.impa.json', '--paper=a9'], '--paper'],
    [['impa:steps', 'demo/lanto.impa.json', '--pdf=/nowhere/x.pdf'], 'cannot be written'],
    [['impa:schedule', 'demo/lanto.png'], 'not readable as JSON'],
    [['impa:balance', 'demo/lanto.impa.json', '--stash=nowhere.csv'], 'nowhere.csv: this file is not there'],
    [['impa:plan', 'composer.json'], '/format: This is missing.'],
    [['impa:render', 'demo/lanto.impa.json'], '--out: say which PNG'],
    [['impa:render', 'demo/lanto.impa.json', '--view=inside', '--out=/tmp/x.png'], '--view'],
    [['impa:render', 'demo/lanto.impa.json', '--px=many', '--out=/tmp/x.png'], '--px'],
    [['impa:render', 'demo/lanto.impa.json', '--px=9999', '--out=/tmp/x.png'], '4096'],
    [['impa:render', 'demo/lanto.impa.json', '--match', '--view=back', '--out=/tmp/x.png'], 'Only the front'],
    [['impa:render', 'demo/lanto.impa.json', '--ground=red', '--out=/tmp/x.png'], 'not a colour'],
]);

it('says how each demo figure stands, by the schema', function (string $name) {
    [$exit, $out] = impa('impa:balance', "demo/{$name}.impa.json");
    $sheet = json_decode($out);
    $validator = new Validator;
    $schema = json_decode((string) file_get_contents(base_path('formats/impa-balance-1.schema.json')));
    expect($exit)->toBe(0)->and($validator->validate($sheet, $schema)->isValid())->toBeTrue();
    [, $plan] = impa('impa:plan', "demo/{$name}.impa.json");
    // Both doors tell the same.
    expect($sheet->tipDeg)->toEqualWithDelta(json_decode($plan)->balance->tipDeg, 0.006)
        ->and($sheet->massG)->toEqualWithDelta(json_decode($plan)->balance->massG, 0.006)
        ->and(min(array_column($sheet->rose, 'tipDeg')))->toEqualWithDelta($sheet->tipDeg, 0.1)
        ->and($sheet->cures)->not->toBeEmpty();
})->with(['bobbin', 'lanto', 'sorrel']);

it('has help for every command', function (string $command) {
    [$exit, $out] = impa($command, '--help');
    expect($exit)->toBe(0)->and($out)->toContain('Usage');
})->with(['impa:balance', 'impa:steps', 'impa:schedule', 'impa:breakdown', 'impa:plan', 'impa:render', 'impa:check', 'impa:demo']);

describe('impa:cards', function () {
    it('writes size cards as PDF and as SVG, told by the file\'s ending', function () {
        $folder = sys_get_temp_dir().'/impa-'.bin2hex(random_bytes(4));
        mkdir($folder);
        foreach (['pdf' => '%PDF-', 'svg' => '<svg'] as $ending => $start) {
            [$exit, $out, $error] = impa(
                'impa:cards',
                'demo/bobbin.impa.json',
                "--out={$folder}/cards.{$ending}",
                '--paper=letter',
            );
            expect([$exit, $out, $error])
                ->toBe([0, '', ''])
                ->and(file_get_contents("{$folder}/cards.{$ending}", false, null, 0, strlen($start)))
                ->toBe($start);
        }
        array_map('unlink', (array) glob("{$folder}/*"));
        rmdir($folder);
    });

    it('refuses in one line what it cannot do', function (array $words, string $says) {
        [$exit, $out, $error] = impa('impa:cards', ...$words);
        expect($exit)
            ->toBe(2)
            ->and($out)
            ->toBe('')
            ->and($error)
            ->toContain($says)
            ->and(substr_count(trim($error), "\n"))
            ->toBe(0);
    })->with([
        'no file' => [['nowhere.json', '--out=/tmp/a.pdf'], 'not there'],
        'no ending' => [['demo/bobbin.impa.json', '--out=/tmp/cards'], 'ending in .pdf or .svg'],
        'no out' => [['demo/bobbin.impa.json'], 'ending in .pdf or .svg'],
        'no such paper' => [['demo/bobbin.impa.json', '--out=/tmp/a.pdf', '--paper=a3'], 'a4 or letter'],
        'a folder that is not there' => [['demo/bobbin.impa.json', '--out=/nowhere/a.svg'], 'cannot be written'],
    ]);
});

describe('impa:breakdown with wishes', function () {
    it('merges shades, rounds sizes and takes one figure of several', function () {
        [$exit, $out] = impa('impa:breakdown', 'demo/sorrel.png', '--height=90', '--shades=0.4', '--round=2', '--figure=1');
        expect($exit)->toBe(0);
        foreach (json_decode($out)->parts as $part) {
            expect(fmod($part->shape->widthMm, 2.0))->toEqualWithDelta(0, 1e-9);
        }
    })->group('dear');

    it('refuses wishes that make no sense', function (string $word, string $says) {
        [$exit, , $error] = impa('impa:breakdown', 'demo/sorrel.png', '--height=90', $word);
        expect($exit)->toBe(2)->and($error)->toContain($says);
    })->with([
        ['--shades=much', '--shades: a number'],
        ['--shades=7', 'between 0 and 1'],
        ['--round=80', '0 to 10 mm'],
        ['--figure=-2', 'counted from 1'],
        ['--views=front,under', 'A view is front'],
        ['--views=front,back', '2 views were named'],
        ['--brushes=nowhere.json', 'not there'],
        ['--brushes=composer.json', 'A brush stroke says'],
        ['--again=nowhere.json', 'not there'],
        ['--again=composer.json', 'format'],
    ]);

    it('straightens a sheet on a photo', function () {
        $folder = sys_get_temp_dir();
        file_put_contents($folder.'/photo.png', \Impa\Tests\Support\Pixels::png(static function (\GdImage $image): void {
            imagefill($image, 0, 0, 0x5A4636);
            imagefilledpolygon($image, [60, 50, 330, 30, 350, 360, 40, 370], 0xF4F2EC);
        }, 400, 400));
        [$exit] = impa('impa:straighten', "$folder/photo.png", "--out=$folder/flat.png");
        [$width, $height] = getimagesize("$folder/flat.png");
        expect($exit)->toBe(0)->and($width)->toBeLessThan($height);
        foreach (
            [
                [["$folder/photo.png"], '--out: say which'],
                [["$folder/photo.png", "--out=$folder/b.png", '--corners=0,0 1,0 1,1'], 'four corners'],
                [["$folder/photo.png", "--out=$folder/b.png", '--corners=here'], 'four corners'],
                [["$folder/photo.png", '--out=/nowhere/b.png'], 'cannot be written'],
                [['composer.json', "--out=$folder/b.png"], 'not a picture'],
                [['demo/bobbin.png', "--out=$folder/b.png"], 'no sheet with four corners'],
            ] as [$words, $says]
        ) {
            [$exit, , $error] = impa('impa:straighten', ...$words);
            expect($exit)->toBe(2)->and($error)->toContain($says);
        }
    });

    it('looks again at what was broken down before', function () {
        $file = tempnam(sys_get_temp_dir(), 'figure');
        impa('impa:breakdown', 'demo/sorrel.png', '--height=90', "--out=$file");
        [$exit, $out, $error] = impa('impa:breakdown', 'demo/sorrel.png', '--height=90', "--again=$file");
        expect($exit)->toBe(0)
            ->and(json_decode($out))
            ->toEqual(json_decode((string) file_get_contents($file)))
            ->and($error)
            ->toContain('parts stay as they were');
    })->group('dear');
});

it('says what to weigh and what is lacking, against a stash in a table', function () {
    $file = tempnam(sys_get_temp_dir(), 'stash');
    file_put_contents(
        $file,
        "name;colour;preparation;grams;grams per metre\nUndyed;;core batting;100;\nHarbour;#38556a;sliver;7;6,2\nBad;blueish;tops;9;22\n",
    );
    [$exit, $out, $told] = impa('impa:wool', 'demo/lanto.impa.json', "--stash={$file}");
    expect($exit)
        ->toBe(0)
        ->and($out)
        ->toContain('Split in two equal pieces')
        ->toContain('mm of the rope')
        ->toContain('Undyed: 8.6 g likely')
        ->toContain('lacking')
        ->and($told)
        ->toContain('line 4, colour');
    [$exit, $json] = impa('impa:wool', 'demo/lanto.impa.json', '--json', '--reserve=never');
    expect($exit)
        ->toBe(0)
        ->and(json_decode($json, true)['needs'][0]['lackG'])
        ->toBeGreaterThan(8.0);
    [$exit, $out] = impa('impa:blend', '#8fa3b8', "--stash={$file}", '--most=2');
    expect($exit)->toBe(0)->and($out)->toContain('100 % Harbour');
    foreach (
        [
            ['impa:wool', 'demo/lanto.impa.json', '--reserve=lots'],
            ['impa:wool', 'demo/lanto.impa.json', '--stash=/nowhere.csv'],
            ['impa:wool', 'demo/nowhere.json'],
            ['impa:blend', 'blue', "--stash={$file}"],
            ['impa:blend', '#8fa3b8'],
            ['impa:blend', '#8fa3b8', "--stash={$file}", '--most=7'],
            ['impa:wool', 'demo/lanto.impa.json', '--stash=demo/lanto.png'],
        ] as $wrong
    ) {
        [$exit, $out, $told] = impa(...$wrong);
        expect($exit)->toBe(2)->and($out)->toBe('')->and($told)->not->toBe('')->not->toContain('#0 ');
    }
    unlink($file);
});

it('reads a face out, and prints its templates', function () {
    $this->artisan('impa:face', ['figure' => 'demo/bobbin.impa.json'])
        ->expectsOutputToContain('mm down')
        ->assertExitCode(0);
    $out = sys_get_temp_dir().'/impa-face-'.getmypid().'.svg';
    $this->artisan('impa:face', ['figure' => 'demo/bobbin.impa.json', '--out' => $out])->assertExitCode(0);
    expect(file_get_contents($out))->toStartWith('<svg')->toContain('Laid out by tape');
    unlink($out);
    $this->artisan('impa:face', ['figure' => 'demo/bobbin.impa.json', '--part' => 'moon'])->assertExitCode(2);
    $this->artisan('impa:face', ['figure' => 'demo/bobbin.impa.json', '--paper' => 'a9'])->assertExitCode(2);
    $this->artisan('impa:face', ['figure' => 'demo/bobbin.impa.json', '--out' => 'x.dxf'])->assertExitCode(2);
});
