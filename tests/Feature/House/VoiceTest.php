<?php

declare(strict_types=1);

use Impa\Tests\Support\MetricWords;
use Impa\Voice\Language;
use Impa\Voice\Units;
use Impa\Voice\Voice;

it('answers in the units and the language of Accept-Language, and says so', function () {
    $text = fn (string $header): string => (string) $this->postJson(
        '/api/part-check',
        [],
        ['Accept-Language' => $header],
    )->headers->get('Content-Language');
    expect($text('de-DE, en;q=0.5'))->toBe('de')
        ->and($text('fr, en;q=0.5, de;q=0.2'))->toBe('en')
        ->and($text('de;q=0.1, en-GB'))->toBe('en')
        ->and($text('fr, de;q=0.5, en;q=0.2'))->toBe('de')
        ->and($text('de;q=0'))->toBe('en')
        ->and($text(''))->toBe('en')
        ->and($text(str_repeat('x,', 5000)))->toBe('en');
    // The dearest tag says the units, and each question is answered by its own.
    $asked = ['en;q=0.5, en-u-ms-ussystem' => Units::Imperial, 'en-u-ms-ussystem;q=0.1, en' => Units::Metric, '' => Units::Metric];
    foreach ($asked as $header => $units) {
        $text($header);
        expect(Voice::current()->units)->toBe($units, $header);
    }
});

it('knows a voice by its tag, and its tag by the voice', function () {
    foreach (Language::cases() as $language) {
        foreach (Units::cases() as $units) {
            $voice = new Voice($language, $units);
            expect(Voice::byTag($voice->tag()))->toEqual($voice);
        }
    }
    expect(Voice::byTag('en-US-u-ca-gregory-ms-ussystem')?->units)->toBe(Units::Imperial)
        ->and(Voice::byTag('en-u-ms-metric')?->units)->toBe(Units::Metric)
        ->and(Voice::byTag('en-u-ms')?->units)->toBe(Units::Metric)
        ->and(Voice::byTag('tlh'))->toBeNull()
        ->and(Voice::byTag(''))->toBeNull();
});

it('asks for ounces and inches at every station, and gets nothing else', function () {
    foreach (['plan', 'board', 'supply', 'build', 'balance', 'armature', 'things'] as $door) {
        $ask = fn (array $headers): mixed => $this->postJson("/api/$door", ['document' => demoFigure('sorrel')], $headers)
            ->assertOk()
            ->json();
        expect(MetricWords::in($ask(['Accept-Language' => 'en-u-ms-ussystem'])))->toBe([], $door);
    }
    // The same scan finds what it looks for where nobody asked for inches.
    $metric = $this->postJson('/api/build', ['document' => demoFigure('sorrel')])->json();
    expect(MetricWords::in($metric))->not->toBe([]);
});

it('prints ounces and inches on the console with --units=imperial, and refuses what it has no words for', function () {
    $commands = [
        ['impa:plan'], ['impa:wool'], ['impa:steps'], ['impa:balance'], ['impa:armature', '--all'], ['impa:schedule'], ['impa:face'],
        ['impa:kit'],
    ];
    foreach ($commands as $words) {
        [$command] = $words;
        array_splice($words, 1, 0, ['demo/sorrel.impa.json']);
        [$code, $out] = impa(...[...$words, '--units=imperial']);
        expect($code)->toBe(0, $command)->and(MetricWords::in($out))->toBe([], $command);
    }
    expect(MetricWords::in(impa('impa:wool', 'demo/sorrel.impa.json')[1]))->not->toBe([]);
    foreach (['--units=feet', '--units=', '--lang=xx'] as $bad) {
        [$code, $out, $errors] = impa('impa:wool', 'demo/sorrel.impa.json', $bad);
        expect($code)->not->toBe(0)->and($out)->toBe('')->and($errors)->toContain(strtok($bad, '=').':');
    }
});

it('refuses a wrong option in the language that was asked for', function () {
    expect(impa('impa:cards', 'demo/bobbin.impa.json', '--paper=a5', '--lang=de')[2])->toBe("--paper: a4 oder letter.\n")
        ->and(impa('impa:plan', 'no/such.json', '--lang=de')[2])->toContain('Diese Datei ist nicht da')
        ->and(impa('impa:plan', 'no/such.json')[2])->toContain('this file is not there');
});
