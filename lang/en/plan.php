<?php

declare(strict_types=1);

return [
    'notes' => [
        'state' => '{state} {cures}',
        'cures' => '{cures}.',
        'beside-right' => '{name} lies {by} to the right of the middle line, about which its pair, the {pair}, is mirrored: move it there, or edit the two sides separately.',
        'beside-left' => '{name} lies {by} to the left of the middle line, about which its pair, the {pair}, is mirrored: move it there, or edit the two sides separately.',
        'is-joined-to-nothing' => '{name} is joined to nothing: say what it is fixed to, or which accessory it belongs to.',
        'it-is-touchy' => 'It is touchy to stand: it tips at a lean of {tip}.',
        'it-falls-it-tips' => 'It falls: it tips at a lean of {tip}.',
        'it-falls-at-once' => 'It falls at once: its weight lies outside its footprint.',
        'the-parts-stand-tall' => 'The parts stand {stands} tall, the finished height says {height}: say what they stand, or make them as tall as it says.',
        'is-thin-and-felt' => '{name} is {thinnest} thin, and felt wants {thinnest2}: make it {mm} thicker, or cut it from sheet felt.',
        'is-long-and-thick' => '{name} is {height} long and {thick} thick: thinner than an eighth of its length, it wants a wire, or {holdsItselfFrom}.',
        'no-stock-piece' => 'No stock piece of foam leaves {cover} of cover all round in {name}: it is reckoned as solid colour. Fill it with core wool, or make the cover thinner.',
        'is-thick' => '{name} is {thinnest} thick, and a needle reaches about {deepest} from each side: start from a tight ball of {mm} and wrap it in layers, or use a foam egg of that size.',
        'foam-is-not-cut' => 'Foam is not cut hollow: {name} is reckoned as solid colour. Fill it with core wool.',
        'beads-ready-made-eyes' => 'Beads, ready-made eyes and pins are small or sharp parts: this figure is decoration, not a toy. Whoever sells toys follows the local toy-safety rules.',
    ],
    'meant' => [
        'uneven' => 'not level with the other',
        'aside' => 'beside the middle line',
        'sparks' => 'sparks to either side',
        'as-light' => 'as light as its ground',
        'low-contrast' => 'close to its ground in colour',
        'too-small' => 'so small',
        'not-sold' => 'in a size that is not sold',
    ],
];
