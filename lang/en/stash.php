<?php

declare(strict_types=1);

return [
    'no-number' => 'The {what} "{said}" is no number.',
    'out-of-range' => 'The {what}, {said}, must lie between {least} and {most}.',
    'number' => [
        'gramsLeft' => 'grams left',
        'micron' => 'fineness',
        'gPerM' => 'weight of a metre',
        'price' => 'price of a pack',
        'packG' => 'pack',
    ],
    'shopping-list' => [
        'column' => [
            'wool' => 'wool',
            'for' => 'for',
            'lacking' => 'grams lacking',
            'packs' => 'packs',
            'bought' => 'grams bought',
            'price' => 'price',
            'days' => 'days',
        ],
        'it-is-sold-out' => 'It is sold out: ask again, or mix it from what you have.',
        'the-shop-has-nothing' => 'The shop has nothing like it: mix it from what you have.',
        'the-shop-has-only' => 'The shop has only {stockG} of {name}.',
    ],
    'reserve' => [
        'can-be-bought-again' => 'Can be bought again',
        'never-again-in-this' => 'Never again in this shade',
        'enough-7-times' => 'enough 7 times in 10',
        'enough-9-times' => 'enough 9 times in 10',
        'enough-49-times' => 'enough 49 times in 50',
        'usual' => 'Usual',
    ],
    'supply-document' => [
        'and-differ' => '{one} and {two} differ by {drawn} in the drawing and by {felted} in these wools: choose another wool or a mix for one of them.',
    ],
    'csv-text' => [
        'this-is-no-text' => 'This is no text: save the table as CSV (UTF-8) and choose that file.',
        'this-file-is-not' => 'This file is not UTF-8; it was read as Western European (Windows-1252). Look whether the names are right.',
        'the-columns-are-parted' => 'The columns are parted by semicolons here; that was taken into account.',
        'the-columns-are-parted-2' => 'The columns are parted by tabs here; that was taken into account.',
        'there-is-not-enough' => 'There is not enough memory to read this table.',
    ],
    'palette' => [
        'a-palette-file-begins' => 'A palette file begins with the line "{head}"; this one begins with "{lines}".',
        'is-no-colour-three' => '"{line}" is no colour: three numbers from 0 to 255, then a name.',
        'colour' => 'Colour {colours}',
        'no-weights' => 'A palette has no weights: new colours come in with 0 g, so that you weigh them.',
    ],
    'stash-table' => [
        'only-the-first-lines' => 'Only the first {mostLines} lines were read.',
        'is-already-on-line' => '"{name}" is already on line {lines}. Give one of them another name.',
        'the-first-line-must' => 'The first line must name the columns, "name" among them. It reads: "{list}". Known are: {list2}.',
        'left-alone-because-we' => 'Left alone, because we do not know them: {list}.',
    ],
    'wool-entry' => [
        'a-wool-needs' => 'A wool needs a name, so that you find it again.',
        'the-name-is-longer' => 'The name "{name} ..." is longer than 120 letters.',
        'is-no-colour-write' => '"{it}" is no colour: write # and six digits from 0 to f, such as #2f8f86, or leave it empty.',
        'is-no-preparation-one' => '"{it}" is no preparation: one of {list}.',
        'is-no-material-one' => '"{it}" is no material: one of {list}.',
        'taken' => 'There is a "{name}" in the stash already. Add its grams to that one, or give this one another name.',
    ],
];
