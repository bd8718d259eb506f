<?php

declare(strict_types=1);

namespace Impa\Tests\Plan;

use FilesystemIterator;
use Impa\Balance\Balance;
use Impa\Build\StepsSheet;
use Impa\Face\Advice\Crispness;
use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Hand\Hand;
use Impa\Hand\Observation;
use Impa\Hand\Quantity;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\Pace;
use Impa\Plan\NumberRefused;
use Impa\Plan\Numbers;
use Impa\Plan\Plan;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Trace\Source;
use Impa\Voice\Language;
use Impa\Voice\Units;
use Impa\Voice\Voice;
use Opis\JsonSchema\Validator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

afterEach(fn () => Voice::speak(new Voice));

/**
 * What a trace comes to, followed from its given numbers alone; written here anew from the schema's words.
 *
 * @param  array<string, mixed>  $trace
 */
function followed(array $trace): float
{
    $of = array_map(followed(...), $trace['of']);

    return match ($trace['by']) {
        'given' => $trace['is'],
        'sum' => array_reduce($of, static fn (float $a, float $b): float => $a + $b, 0.0),
        'difference' => $of[0] - $of[1],
        'product' => array_reduce($of, static fn (float $a, float $b): float => $a * $b, 1.0),
        'layer' => $of[0] * $of[1] / 10,
        'quotient' => $of[0] / $of[1],
        'power' => exp($of[1] * log($of[0])),
        'most' => max(...$of),
        'least' => min(...$of),
        'exponential' => exp($of[0]),
        'lean' => atan2($of[0], 1.0) * 180 / M_PI,
    };
}

/** @return array<string, mixed> */
function card(Plan $plan, string $number, string $of = '', ?Supply $supply = null): array
{
    return json_decode((string) json_encode(
        Numbers::card($plan, $number, $of, Needles::usual(), $supply)->document(),
        JSON_PRESERVE_ZERO_FRACTION,
    ), true);
}

/**
 * Every number of a figure, by what is asked.
 *
 * @return list<array{string, string, float}>
 */
function numbersOf(Plan $plan, Supply $supply): array
{
    $all = [['total', '', $plan->totalG()], ['hands', '', $plan->handsMinutes()]];
    foreach ($plan->ledger->lines as $line) {
        $all[] = [$line->purpose->number(), $line->for->detail === '' ? $line->for->part : $line->for->detail, $line->g];
    }
    $document = $plan->document();
    foreach ($document['wool'] as $wool) {
        $all[] = ['wool', $wool['colour'] ?? $wool['material'], $wool['g']];
    }
    foreach ($document['steps'] as $step) {
        $all[] = ['minutes', $step['key'], $step['minutes']];
    }
    foreach ($document['parts'] as $part) {
        $part['colourG'] > 0.0 ? $all[] = ['colour', $part['key'], $part['colourG']] : null;
        $all[] = ['making', $part['key'], $part['minutes']];
    }
    if ($plan->balance->mustStand()) {
        $all[] = ['lean', '', $document['balance']['tipDeg']];
    }
    foreach ($plan->figure->details as $key => $detail) {
        $least = Crispness::leastMm($plan->figure, $detail, Needles::usual());
        $least > 0.0 ? $all[] = ['crisp', $key, $least] : null;
    }
    foreach ($supply->needs as $need) {
        array_push($all, ['reserve', $need->key(), $need->wantG], ['need', $need->key(), $need->spread->likelyG]);
    }

    $all[] = ['reserve', '', array_sum(array_column($supply->needs, 'wantG'))];

    return $all;
}

function taughtHand(): Hand
{
    return Hand::of([
        new Observation('1', Quantity::Density, 'springy', 'a piece', 10.0, 12.0),
        new Observation('2', Quantity::Waste, 'cover', 'a piece', 10.0, 10.4),
        new Observation('3', Quantity::Pace, 'cover', 'a piece', 20.0, 15.0),
    ]);
}

it('comes from its own card to every number of a figure, of a hand that nothing and one that something is known of', function (
    string $name,
) {
    $validator = new Validator;
    $schema = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/formats/impa-number-1.schema.json'));
    $figure = Works::demo($name);
    foreach ([[Densities::house(), Pace::house()], [taughtHand()->densities(), taughtHand()->pace()]] as [$densities, $pace]) {
        $plan = Plan::of($figure, null, $densities, $pace);
        $supply = Supply::of($figure, [], [], Reserve::Never, $densities);
        foreach (numbersOf($plan, $supply) as [$number, $of, $is]) {
            $card = card($plan, $number, $of, $supply);
            expect($card['is'])->toEqualWithDelta($is, 1e-9, "$number $of")
                ->and(followed($card['trace']))->toEqualWithDelta($is, 1e-9 * max(1.0, abs($is)), "$number $of")
                ->and($card['off'])->not->toBe('')->and($card['surer'])->not->toBe('')
                ->and($validator->validate(json_decode((string) json_encode($card)), $schema)->isValid())->toBeTrue("$number $of");
        }
    }
})->with(['bobbin', 'lanto', 'sorrel', 'dusk', 'wick']);

it('explains beside every weighing of a step the very grams that are weighed there, of loops and hair as of plain felt', function () {
    $part = static fn (string $key, float $y, array $covering): array => Figures::part($key, 'ball', 30, 30, 30, 0, $y, more: $covering);
    $figures = [...array_map(Works::demo(...), ['bobbin', 'sorrel', 'dusk', 'wick']), Figures::read(Figures::document([
        $part('body', 15, ['covering' => ['way' => 'loops']]),
        $part('head', 42, ['join' => ['to' => 'body'], 'covering' => ['way' => 'hair']]),
    ]))];
    $told = 0;
    foreach ($figures as $figure) {
        $plan = Plan::of($figure);
        foreach (StepsSheet::of($plan->work())['steps'] as $step) {
            foreach ($step['weigh'] as $weigh) {
                $of = $step['detail'] === '' ? $weigh['part'] : $step['detail'];
                expect(card($plan, $weigh['number'], $of)['is'])->toEqualWithDelta($weigh['g'], 1e-12, $step['key']);
                $told++;
            }
        }
    }
    expect($told)->toBeGreaterThan(60);
});

it('says the sum of a ball with its values put in, as it is reckoned by hand', function () {
    // 60.1 cm3 of a ball of 52 x 46 x 48 mm, springy, 3 mm of cover (docs/trade.md, Sums): 6.26 g of core, 3.17 g of cover.
    $plan = Plan::of(Figures::read(Figures::document([Figures::part('head', 'ball', 52, 46, 48, more: ['coverMm' => 3])])));
    $core = card($plan, 'core', 'head');
    expect($core['is'])->toEqualWithDelta(6.26, 0.005)
        ->and($core['lines'][0]['words'])->toBe('room of the inside × density of springy felt × with what is lost')
        ->and($core['lines'][0]['values'])->toMatch('/^40\.5\d? cm³ × 0\.15 g\/cm³ × 1\.03$/')
        ->and($core['lines'][0]['is'])->toMatch('/^6\.26\d? g$/')
        ->and(array_column($core['from'], 'source'))->toBe(['shapes', 'house', 'house']);
    $cover = card($plan, 'cover', 'head');
    expect($cover['is'])->toEqualWithDelta(3.17, 0.005)
        ->and(array_column($cover['lines'], 'values')[2])->toMatch('/^60\.1\d? cm³ − 40\.5\d? cm³$/');
});

it('names her own records once there are some, and what one more would change', function () {
    $figure = Figures::read(Figures::document([Figures::part('head', 'ball', 52, 46, 48)]));
    $bare = card(Plan::of($figure), 'core', 'head');
    $known = card(Plan::of($figure, null, taughtHand()->densities(), taughtHand()->pace()), 'core', 'head');
    expect($bare['surer'])->toStartWith('None of your own parts has been weighed yet')
        ->and($known['surer'])->toStartWith('1 part of yours has been weighed')
        ->and(array_column($known['from'], 'source'))->toContain('own')
        ->and(array_column($bare['from'], 'source'))->not->toContain('own');
    preg_match_all('/(\d+)%/', $bare['surer'], $shares);
    // A hand of which nothing is known: exp(1.2816 * sqrt(0.23^2 + 0.1^2 + 0.1^2)) - 1 = 41 %.
    expect((int) $shares[1][0])->toBe(41)->and((int) $shares[1][1])->toBeLessThan(30);
    $time = card(Plan::of($figure, null, taughtHand()->densities(), taughtHand()->pace()), 'minutes', 'cover:head');
    expect(array_column($time['lines'], 'name')[0])->toBe('minutes at your pace');
});

it('gives no felt more than the fibre itself weighs, and says so', function () {
    $densities = Hand::of([new Observation('1', Quantity::Density, 'hard', 'a piece', 1.0, 400.0)])->densities();
    $felt = $densities->felt(Firmness::Hard);
    expect($felt->is)->toBe(Densities::FIBRE_G_PER_CM3)
        ->and($felt->of[0]->source)->toBe(Source::Published);
});

it('has words for where each number comes from, and none that no sum says', function () {
    $said = [];
    foreach (Language::cases() as $language) {
        $words = require dirname(__DIR__, 3)."/lang/{$language->value}/trace.php";
        $source = '';
        foreach (['Trace', 'Material', 'Wool', 'Build', 'Balance', 'Face', 'Stash', 'Sets', 'Plan'] as $room) {
            $folder = new RecursiveDirectoryIterator(dirname(__DIR__, 2)."/src/$room", FilesystemIterator::SKIP_DOTS);
            foreach (new RecursiveIteratorIterator($folder) as $file) {
                $source .= file_get_contents((string) $file);
            }
        }
        foreach (['name', 'from'] as $kind) {
            foreach (array_keys($words[$kind]) as $code) {
                expect(str_contains($source, "'$code'"))->toBeTrue("$kind $code");
            }
        }
        // What stands first in a given number or a sum is a name.
        $calls = 'Traced::(?:product|quotient|sum|difference|plain|given)\(|Traced::by\(\s*By::\w+,|->called\(';
        preg_match_all("/(?:$calls)\s*'([a-z-]+)'/", $source, $named);
        expect(array_values(array_diff(array_unique($named[1]), array_keys($words['name']))))->toBe([]);
        preg_match_all('/Traced::(?:given|plain)\(\s*\'([a-z-]+)\'(?:(?!Source::).)*Source::(?!Unit)/s', $source, $given);
        expect(array_values(array_diff(array_unique($given[1]), array_keys($words['from']))))->toBe([]);
        $said[] = count($words['name']);
    }
    expect($said[0])->toBe($said[1])->toBeGreaterThan(60);
});

it('tells in inches and ounces what can be followed there: in cubic inches, by ounces for each', function () {
    Voice::speak(new Voice(Language::English, Units::Imperial));
    $plan = Plan::of(Figures::read(Figures::document([Figures::part('head', 'ball', 52, 46, 48, more: ['coverMm' => 3])])));
    $line = card($plan, 'core', 'head')['lines'][0];
    preg_match('/^([\d.]+) in³ × ([\d.]+) oz\/in³ × ([\d.]+)$/', $line['values'], $values);
    expect($values[1] * $values[2] * $values[3])->toEqualWithDelta((float) $line['is'], 0.002)
        ->and($line['is'])->toEndWith(' oz');
});

it('says how much of a seam is still reached behind a plate that hides it, and all of a free one', function () {
    $head = Figures::part('head', 'ball', 50, 50, 50, 0, 60);
    $nose = ['on' => 'head', 'kind' => 'disc', 'widthMm' => 6, 'heightMm' => 6, 'colour' => 'black', 'key' => 'nose'];
    $free = Plan::of(Figures::read(Figures::document([$head], [$nose])));
    expect(card($free, 'reach', 'detail:nose')['is'])->toBe(1.0);
    // A wall right before the face, joined to it.
    $wall = Figures::part('wall', 'ball', 60, 60, 30, 0, 60, 42, ['join' => ['to' => 'head']]);
    $hidden = Plan::of(Figures::read(Figures::document([$head, $wall], [$nose])));
    $reach = card($hidden, 'reach', 'detail:nose');
    expect($reach['is'])->toBeLessThan(0.5)->and(followed($reach['trace']))->toBe($reach['is']);
});

it('leans less where the edge of its foot lies farther in, by the arc tangent', function () {
    $plan = Plan::of(Works::demo('bobbin'));
    $lean = card($plan, 'lean');
    [$margin, $height] = $lean['trace']['of'][0]['of'];
    expect($plan->balance->leanWithin(-1.0))->toEqualWithDelta(rad2deg(atan(($margin['is'] - 1) / $height['is'])), 1e-9)
        ->and($plan->balance->leanWithin(0.0))->toEqualWithDelta($plan->balance->tipDeg(), 1e-12)
        ->and(Balance::FALLS_DEG)->toBeLessThan(Balance::TOUCHY_DEG);
});

it('refuses a number that there is not, and one that this figure has not, naming what there is', function (
    string $number,
    string $of,
    string $says,
) {
    $figure = Works::demo('dusk');
    expect(fn () => card(Plan::of($figure), $number, $of))->toThrow(NumberRefused::class, $says);
})->with([
    ['price', '', 'Ask for one of: core, colour, cover'],
    ['core', 'nobody', '“core” of “nobody”'],
    ['wool', '', '“wool” of “”'],
    ['lean', '', '“lean”'],
    ['reserve', 'core-wool', '“reserve”'],
    ['reach', 'detail:nobody', '“reach”'],
]);
