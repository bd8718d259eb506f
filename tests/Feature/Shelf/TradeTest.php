<?php

declare(strict_types=1);

it('tells the screens the trade\'s words and defaults, the same that component tests go by', function () {
    $known = json_decode((string) file_get_contents(base_path('tests/Support/trade.json')), true);
    expect($this->getJson('/api/trade')->assertOk()->json())->toEqual($known);
});

it('names of every covering the numbers that its document may have, with their ranges', function () {
    $schema = json_decode((string) file_get_contents(base_path('formats/impa-figure-2.schema.json')), true);
    $members = $schema['$defs']['part']['properties']['covering']['properties'];
    foreach ($this->getJson('/api/trade')->json('coverings') as $covering) {
        foreach ($covering['fields'] as $field) {
            $form = $members[$field['name']];
            $form = isset($form['$ref']) ? $schema['$defs'][basename($form['$ref'])] : $form;
            expect([$field['least'], $field['most']])->toEqual([$form['minimum'], $form['maximum']]);
        }
    }
    expect(array_column($this->getJson('/api/trade')->json('coverings'), 'value'))->toBe($members['way']['enum']);
});
