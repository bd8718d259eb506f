<?php

declare(strict_types=1);

namespace Impa\Tests\Upgrade;

use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailRole;
use Impa\Figure\Upgrade\Upgrade;
use Opis\JsonSchema\Validator;

function older(): string
{
    return (string) file_get_contents(dirname(__DIR__).'/fixtures/figure-version-1.json');
}

/** @return array<string, string> what is wrong with it, by pointer */
function told(string $json): array
{
    try {
        Figure::fromJson($json);

        return [];
    } catch (FigureRefused $e) {
        return array_column($e->faults, 'text', 'pointer');
    }
}

function fits(mixed $document, int $version): bool
{
    $validator = new Validator;
    $id = "https://impa.invalid/formats/impa-figure-{$version}.schema.json";
    $validator->resolver()?->registerFile($id, dirname(__DIR__, 3)."/formats/impa-figure-{$version}.schema.json");

    return $validator->validate($document, $id)->isValid();
}

describe('a document of version 1', function () {
    it('has its form, and that of the newest once it is taken up; it is not changed itself', function () {
        $is = json_decode(older());
        expect(fits($is, 1))->toBeTrue()->and(fits($is, Upgrade::VERSION))->toBeFalse();
        $up = Upgrade::newest($is);
        expect(fits($up, Upgrade::VERSION))->toBeTrue()
            ->and($is)->toEqual(json_decode(older()))
            ->and(Upgrade::newest($up))->toBe($up);
    });

    it('is of version 1 however that is written, and of none by a text', function (string $version, bool $is) {
        expect(told(str_replace('"version": 1', '"version": '.$version, older())) === [])->toBe($is);
    })->with([['1.0', true], ['1e0', true], ['"1"', false], ['0', false], ['true', false], ['null', false], ['[1]', false]]);

    it('says what its details are as their names said it, and what its weights go by; nothing else changes', function () {
        $up = Upgrade::newest(json_decode(older()));
        expect(array_column($up->details, 'role', 'key'))->toBe([
            'a' => 'eye', 'b' => 'eye-white', 'mouth' => 'mouth', 'd' => 'eye', 'e' => 'other',
        ])->and(array_column($up->base->weights, 'key'))->toBe(['0', 'low']);
        foreach ($up->details as $detail) {
            $detail->key === 'd' || $detail->role = null;
        }
        $up->base->weights[0]->key = null;
        $up->version = 1;
        $without = static fn (mixed $document): string => (string) preg_replace(
            '/,"(role|key)":null|"(role|key)":null,/',
            '',
            (string) json_encode($document),
        );
        expect($without($up))->toBe($without(json_decode(older())));
    });

    it('keeps an eye that is given another name, and the tick of a weight where the one before it goes', function () {
        $figure = Figure::fromJson(older());
        $document = $figure->document();
        $document->details[0]->name = 'Auge';
        array_shift($document->base->weights);
        $after = Figure::fromDocument($document);
        expect($after->details['a']->meaning->role)->toBe(DetailRole::Eye)
            ->and($after->base->weights[0]['key'])->toBe('low')
            ->and($document->version)->toBe(Upgrade::VERSION);
    });

    it('is told all that is wrong with it, whatever it is that is wrong', function (string $spoilt, string $pointer) {
        expect(array_keys(told($spoilt)))->toContain($pointer);
    })->with([
        [fn (): string => str_replace('"name": "Eye"', '"name": 4', older()), '/details/0/name'],
        [fn (): string => str_replace('"role": "eye"', '"role": "snout"', older()), '/details/3/role'],
        [fn (): string => str_replace('"weights": [{ "g": 2, "atMm": [0, 5, 0] }', '"weights": [7', older()), '/base/weights/0'],
        [
            fn (): string => (string) preg_replace('/"details": \[.*?\],\n  "base"/s', '"details": "none", "base"', older()),
            '/details',
        ],
        [fn (): string => str_replace('"key": "low"', '"key": "0"', older()), '/base/weights/1/key'],
    ]);
});

it('has no way down: a document that is newer than this Impa is told so, and nothing else', function () {
    $newer = str_replace('"version": 1', sprintf('"version": %d', Upgrade::VERSION + 1), older());
    expect(told($newer))->toHaveCount(1)->and(told($newer)['/version'] ?? '')->toContain('take a newer Impa');
});
