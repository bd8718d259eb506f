<?php

declare(strict_types=1);

namespace Impa\Tests\Mix;

use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Material\Preparation;
use Impa\Plan\Plan;
use Impa\Plan\StepPicture;
use Impa\Print\Page\Paper;
use Impa\Print\Share\Booklet;
use Impa\Print\Share\Credit;
use Impa\Print\Share\KitSheet;
use Impa\Print\Share\LabelSheet;
use Impa\Print\Share\LabelSize;
use Impa\Print\Work\PortionsSheet;
use Impa\Print\Work\WorkSheet;
use Impa\Sets\Kit;
use Impa\Stash\StashWool;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Voice\Amount;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Mix;
use Impa\Wool\Portion\PortionWords;

/** A pair of ears and a nose of a teal that is mixed 65 : 35, on a head of a wool that was chosen by name. */
function mixed(): Figure
{
    $document = Figures::document(
        [
            Figures::part('head', 'ball', 40, 40, 40, more: ['colour' => 'white']),
            Figures::part('ear', 'cone', 14, 20, 8, 12, 20, 0, ['mirror' => true, 'join' => ['to' => 'head']]),
        ],
        [['key' => 'nose', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 6, 'heightMm' => 5, 'colour' => 'teal']],
    );
    foreach ($document['colours'] as &$colour) {
        $colour['name'] = ucfirst($colour['key']);
        $colour['mix'] = match ($colour['key']) {
            'teal' => [['wool' => 'Pond', 'percent' => 35], ['wool' => 'Deep Sea', 'percent' => 65]],
            'white' => [['wool' => 'Oat', 'percent' => 100]],
            default => [],
        };
    }

    return Figures::read($document);
}

/** @return array<int, StashWool> */
function drawer(): array
{
    $wool = static fn (int $id, string $name, string $hex): StashWool => new StashWool(
        $id,
        $name,
        Srgb::hex($hex),
        'wool',
        Preparation::CardedBatting,
        50.0,
    );

    return [1 => $wool(1, 'Oat', '#efe2c6'), 2 => $wool(2, 'Deep Sea', '#205a66'), 3 => $wool(3, 'Pond', '#5aa79c')];
}

it('divides a mix as it was chosen, the most first, and its wools sum to the colour', function () {
    $ledger = Works::of(mixed())->ledger;
    $total = array_column($ledger->totals(), null, 'colour')['teal']['spread']->likelyG;
    [$mix] = Mix::all($ledger);
    expect($mix->wools)->toHaveCount(2)
        ->and(array_column($mix->wools, 'name'))->toBe(['Deep Sea', 'Pond'])
        ->and($mix->wools[0]['g'])->toEqualWithDelta(0.65 * $total, 1e-12)
        ->and($mix->wools[0]['g'] + $mix->wools[1]['g'])->toEqualWithDelta($mix->g, 1e-12)
        ->and(Mix::all($ledger))->toHaveCount(1);
});

it('is mixed before anything that takes of it, and at no other step', function () {
    $work = Works::of(mixed());
    $at = array_flip($work->keys());
    $colours = static fn (Step $s): array => array_map(static fn (LedgerLine $l): string => $l->for->colour, $s->uses->weighings);
    $takes = array_filter($work->steps, static fn (Step $s): bool => in_array('teal', $colours($s), true));
    expect(count($takes))->toBeGreaterThan(2);
    foreach ($takes as $step) {
        expect($step->order->after)->toContain('mix:teal')->and($at['mix:teal'])->toBeLessThan($at[$step->key]);
    }
    $mixing = array_values(array_filter($work->steps, static fn (Step $s): bool => $s->kind === StepKind::Mix));
    expect(array_column($mixing, 'key'))->toBe(['mix:teal'])
        ->and(StepPicture::of($work, $mixing[0]))->toContain('<svg')->toContain('#2f8f86');
});

it('says the wools of a mix, and of a single wool that was chosen its name, wherever wool is weighed', function () {
    $figure = mixed();
    $supply = Supply::of($figure, drawer());
    $plan = Plan::of($figure);
    $work = $plan->work();
    [$mix] = $supply->mixes();
    [$sea, $pond] = array_map(static fn (array $w): string => Amount::g($w['g']).' '.$w['name'], $mix->wools);
    $kit = Kit::of($supply, $work, 1, 0, 0.0, Reserve::Never);
    $times = $mix->times($kit->factor);
    $bag = array_column($kit->bag, null, 'name');
    $words = static fn (string $html): string => html_entity_decode(strip_tags($html), ENT_QUOTES);
    $booklet = Booklet::of($plan, Credit::of('mine', 'Mara', ''), Paper::A4);
    $wool = array_column($plan->document()['wool'], null, 'colour');
    expect($words(PortionsSheet::of($supply)))->toContain($mix->text())->toContain('teal mix')->not->toContain('g teal.')
        ->and($words(WorkSheet::of($work)))->toContain('Mix: Teal')->toContain($sea)->toContain($pond)->toContain('Teal mix')
        ->and($words($booklet['html']))->toContain("Teal mix: $sea and $pond")->toContain('Oat')
        ->and($wool['teal']['name'])->toBe('Teal mix')
        ->and($wool['teal']['wools'])->toBe($mix->wools)
        ->and($wool['white']['name'])->toBe('Oat')
        ->and($bag['Teal mix']['eachG'])->toEqualWithDelta($times->g, 1e-9)
        ->and($bag['Teal mix']['wools'])->toEqualWithDelta($times->wools, 1e-9)
        ->and(array_keys($bag))->toContain('Oat')->not->toContain('Pond')
        ->and($words(KitSheet::of($kit)))->toContain($kit->mixes()[0]->text())
        ->and($words(implode('', LabelSheet::pages($kit, LabelSize::A4x14))))->toContain('teal mix')->toContain('Deep Sea');
    foreach ($supply->portions() as $portion) {
        expect(PortionWords::of($portion, $figure))->toContain(match ($portion->line->for->colour) {
            'teal' => 'teal mix',
            'white' => ' Oat',
            default => 'core wool',
        });
    }
});

it('puts as much into the bags as the kit buys, mixed or not, its wools at hand or not', function (array $keys) {
    $supply = Supply::of(mixed(), array_intersect_key(drawer(), array_flip($keys)));
    $kit = Kit::of($supply, Works::of(mixed()), 7, 2, 0.5, Reserve::Usual);
    expect($kit->bags() * array_sum(array_column($kit->bag, 'eachG')))
        ->toEqualWithDelta(array_sum(array_map(static fn ($n): float => $n->wantG, $kit->needs)), 1e-9)
        ->and(array_sum(array_column($kit->bag, 'eachG')))
        ->toEqualWithDelta($kit->factor * $supply->ledger->totalG(), 1e-9)
        // A mix lies in the bag once: mixed.
        ->and(array_column($kit->bag, 'name'))
        ->toContain('Teal mix')
        ->not->toContain('Teal');
})->with(['all at hand' => [[1, 2, 3]], 'none' => [[]], 'one of the two' => [[1, 2]]]);
