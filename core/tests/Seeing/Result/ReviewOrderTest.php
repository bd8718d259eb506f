<?php

declare(strict_types=1);

namespace Impa\Tests\ReviewOrder;

use Impa\Seeing\Result\ReviewOrder;
use Impa\Tests\Support\Figures;

/** @param  list<?float>  $sure  of the parts a, b, ...; null for one that the felter made herself */
function reviewed(array $sure, ?float $eye): array
{
    $seen = static fn (?float $c): array => $c === null ? [] : ['seen' => ['confidence' => $c, 'why' => 'A patch.']];
    $parts = [];
    foreach ($sure as $k => $c) {
        $parts[] = Figures::part(chr(97 + $k), 'ball', 40, 40, 40, 50 * $k, 20, 0, $seen($c) + ($k > 0 ? ['join' => ['to' => 'a']] : []));
    }
    $details = [['key' => 'eye', 'on' => 'a', 'kind' => 'disc', 'widthMm' => 4, 'colour' => 'black'] + $seen($eye)];
    $review = ReviewOrder::of(Figures::read(Figures::document($parts, $details)));

    return [$review['hard'], implode(' ', array_column($review['order'], 'key'))];
}

it('goes as it lies in the document where nearly all is sure', function () {
    expect(reviewed([0.9, 0.7, 0.95, 0.59], 0.9))->toBe([false, 'a b c d eye']);
});

it('begins with what is least sure where a quarter is unsure; equally sure ones stay as they lie', function () {
    expect(reviewed([0.9, 0.3, 0.9, 0.59], 0.4))->toBe([true, 'b eye d a c']);
});

it('leaves out what the felter made herself', function () {
    expect(reviewed([0.9, null, 0.2], null))->toBe([true, 'c a'])->and(reviewed([null], null))->toBe([false, '']);
});
