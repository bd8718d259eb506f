<?php

declare(strict_types=1);

namespace Impa\Tests\Booklet;

use Impa\Build\Steps\Step;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Term\PlateSchool;
use Impa\Plan\Plan;
use Impa\Plan\StepPicture;
use Impa\Print\Page\Paper;
use Impa\Print\Share\Booklet;
use Impa\Print\Share\BookletRefused;
use Impa\Print\Share\Credit;
use Impa\Print\Share\KitSheet;
use Impa\Sets\Kit;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Tests\Support\Works;

/** @return array{html: string, pages: list<string>} */
function booklet(string $name, Paper $paper = Paper::A4, ?string $drawing = null): array
{
    return Booklet::of(Plan::of(Works::demo($name)), Credit::of('mine', 'Mara <the felter>', 'For friends'), $paper, $drawing);
}

it('has a cover, what is needed, sizes, every step, cautions, words and whose it is; the rest at true size', function (string $name) {
    ['html' => $html, 'pages' => $pages] = booklet($name);
    $figure = Works::demo($name);
    foreach ($figure->parts as $part) {
        expect($html)->toContain(htmlspecialchars($part->name, ENT_QUOTES));
    }
    foreach ($figure->colours as $colour) {
        expect($html)->toContain($colour->name);
    }
    $steps = Works::of($figure)->steps;
    expect(substr_count($html, '<td class="n">'))->toBe(count($steps))
        ->and($html)->toContain('decoration, not a toy')->toContain('fluff end')->toContain('For friends')
        ->toContain('Mara &lt;the felter&gt;')->not->toContain('<the felter>')
        ->and(count($pages))->toBeGreaterThanOrEqual(2 + (int) ($figure->wires !== []));
    foreach ($pages as $page) {
        expect($page)->toStartWith('<svg xmlns="http://www.w3.org/2000/svg" width="210" height="297"');
    }
})->with(['sorrel', 'wick']);

it('leaves the drawing out unless it is told', function () {
    expect(substr_count(booklet('sorrel')['html'], 'src="data:image/png'))->toBe(1)
        ->and(booklet('sorrel', drawing: 'data:image/jpeg;base64,AAAA')['html'])->toContain('data:image/jpeg;base64,AAAA')
        ->and(booklet('sorrel', Paper::Letter)['pages'][0])->toContain('width="215.9" height="279.4"');
})->group('dear');

it('asks whose the design is, and names somebody', function (string $whose, string $by, string $licence, string $why) {
    expect(static fn () => Credit::of($whose, $by, $licence))->toThrow(BookletRefused::class, $why);
})->with([
    ['', 'Mara', '', 'whose the design is'],
    ['another', 'Mara', '', 'ask her first'],
    ['mine', '  ', '', 'Name who made'],
    ['mine', 'Mara', str_repeat('a', 201), '200 letters'],
]);

it('goes to another Impa as one file without its drawing, and comes back as it was, with whose it is', function () {
    $figure = Works::demo('wick');
    $shared = json_encode(Booklet::document($figure, Credit::of('allowed', 'Mara', 'For friends')), JSON_THROW_ON_ERROR);
    expect($shared)->not->toContain('"picture"');
    $taken = Booklet::figure($shared);
    expect($taken->picture)->toBeNull()
        ->and($taken->document()->origin)->toEqual((object) ['credit' => 'Mara', 'licence' => 'For friends'])
        ->and(array_keys($taken->parts))->toBe(array_keys($figure->parts))
        ->and($taken->heightMm)->toBe($figure->heightMm)
        ->and(Plan::of($taken)->totalG())->toBe(Plan::of($figure)->totalG());
});

it('is refused where it is no booklet, or its figure has faults', function (string $json, string $class) {
    expect(static fn () => Booklet::figure($json))->toThrow($class);
})->with([
    ['{', BookletRefused::class],
    ['[]', BookletRefused::class],
    ['{"format":"impa-figure","version":1}', BookletRefused::class],
    ['{"format":"impa-booklet","version":2,"credit":"a","licence":"","figure":{}}', BookletRefused::class],
    ['{"format":"impa-booklet","version":1,"credit":7,"licence":"","figure":{}}', BookletRefused::class],
    ['{"format":"impa-booklet","version":1,"credit":"","licence":"","figure":{}}', BookletRefused::class],
    ['{"format":"impa-booklet","version":1,"credit":"a","licence":"","figure":{}}', FigureRefused::class],
    ['{"format":"impa-booklet","version":1,"credit":"a","licence":""}', FigureRefused::class],
    [str_repeat(' ', 2_100_000), FigureRefused::class],
]);

it('draws no wire beyond the frame of a step, for paper shows what lies there', function () {
    $work = Works::of(Works::demo('wick'));
    $wires = 0;
    foreach ($work->steps as $step) {
        $svg = StepPicture::of($work, $step);
        preg_match('/viewBox="(\S+) (\S+) (\S+) (\S+)"/', $svg, $frame);
        [, $left, $top, $width, $height] = array_map(floatval(...), $frame);
        preg_match_all('/<path d="([^"]+)" fill="none" stroke="#6b5a4c"/', $svg, $paths);
        foreach ($paths[1] as $path) {
            preg_match_all('/(-?[\d.]+) (-?[\d.]+)/', $path, $at, PREG_SET_ORDER);
            foreach ($at as [, $x, $y]) {
                $wires++;
                expect((float) $x)->toBeGreaterThanOrEqual($left - 0.02)->toBeLessThanOrEqual($left + $width + 0.02)
                    ->and((float) $y)->toBeGreaterThanOrEqual($top - 0.02)->toBeLessThanOrEqual($top + $height + 0.02);
            }
        }
    }
    expect($wires)->toBeGreaterThan(20);
});

it('leaves emoji off the paper: no font there has them, and they came out as boxes', function () {
    $document = json_decode((string) file_get_contents(__DIR__.'/../../../demo/bobbin.impa.json'), true);
    $document['name'] = "Bobbin \u{1F989} by night \u{1F9F6}\u{FE0F}";
    $plan = Plan::of(Figure::fromJson((string) json_encode($document)));
    $booklet = Booklet::of($plan, Credit::of('mine', "Mara \u{1F9F5}", ''), Paper::A4);
    $all = $booklet['html'].implode('', $booklet['pages']);
    expect($all)->toContain('Bobbin by night')->toContain('Design: Mara<')
        ->and(preg_match('/[\x{1F000}-\x{1FAFF}\x{FE0F}]/u', $all))->toBe(0);
});

it('draws the finished figure from four sides as one picture, each in its own quarter', function () {
    $work = Works::of(Works::demo('bobbin'));
    $svg = StepPicture::of($work, $work->steps[count($work->steps) - 1]);
    // What draws paper knows no picture within a picture.
    expect(substr_count($svg, '<svg'))->toBe(1)->and(substr_count($svg, '<g transform='))->toBe(4);
    preg_match_all('/<g transform="translate\(([-\d.]+) ([-\d.]+)\)/', $svg, $at);
    expect(array_map(static fn (string $x, string $y): array => [(float) $x > 100.0, (float) $y > 100.0], $at[1], $at[2]))
        ->toBe([[false, false], [true, false], [false, true], [true, true]]);
});

it('says in tools, cautions and a kit\'s note that there is steam, where there is', function (string $name, bool $isDry = false) {
    $figure = Works::demo($name);
    $plan = Plan::of($isDry ? Choices::plates($figure, PlateSchool::Dry) : $figure);
    $work = $plan->work();
    $isSteamed = array_filter($work->steps, static fn (Step $s): bool => str_starts_with($s->key, 'steam:')) !== [];
    $booklet = Booklet::of($plan, Credit::of('mine', 'Mara', ''), Paper::A4)['html'];
    $supply = Supply::of($plan->figure, [], [], Reserve::Usual);
    $kit = KitSheet::of(Kit::of($supply, $work, 6, 0, 0.5, Reserve::Usual));
    expect($isSteamed)->toBe($name === 'sorrel' && ! $isDry)
        ->and(str_contains($booklet, 'a kettle that steams'))->toBe($isSteamed)
        ->and(substr_count($booklet, 'Steam scalds') > 1)->toBe($isSteamed)
        ->and(str_contains($kit, 'Steaming is for grown-ups'))->toBe($isSteamed)
        ->and(str_contains($booklet, 'along the inside of the bend'))->toBe($isDry);
})->with([['sorrel'], ['sorrel', true], ['bobbin'], ['lanto'], ['wick'], ['dusk']]);
