<?php

declare(strict_types=1);

namespace Impa\Tests\Trade;

use Impa\Plan\Trade;

it('tells the trade\'s words, reasons and defaults, the same that the screens\' tests go by', function () {
    $known = json_decode((string) file_get_contents(__DIR__.'/../../../tests/Support/trade.json'), true);
    expect(json_decode((string) json_encode(Trade::document()), true))->toEqual($known)->and($known['schools'])->toHaveCount(3);
});
