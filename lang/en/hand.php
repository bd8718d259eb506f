<?php

declare(strict_types=1);

return [
    'hand-refused' => [
        'nothing-can-be-learned' => 'Nothing can be learned from this',
        'the-first-line-must' => 'The first line must name the columns {list}: {columns2, plural, one {{columns} is} other {{columns} are}} missing.',
        'there-is-no-line' => 'There is no line to learn from: a line is a preparation, a firmness, cm3, grams and minutes.',
        'is-denser-than-wool' => '{gPerCm3} is denser than wool itself ({fibreGPerCm3}): is there a typo in the size or the weight?',
    ],
    'records-table' => [
        'at' => 'Line {line}: {why}',
        'line' => 'line {line}: {cm3}, {of}',
        'is-no-number-above' => '{column}: "{cell}" is no number above 0.',
        'is-none' => '{column}: "{said}" is none of {list}.',
    ],
    'curve' => [
        'density' => [
            'none' => 'Nothing is known of your density yet: weigh and measure a finished part.',
            'alike' => 'Felted {group}, your pieces come out as dense as the house reckons; 8 out of 10 lie within {within} of that. {count, plural, one {# record} other {# records}}.',
            'more' => 'Felted {group}, your pieces come out {by} denser; 8 out of 10 lie within {within} of that. {count, plural, one {# record} other {# records}}.',
            'less' => 'Felted {group}, your pieces come out {by} lighter; 8 out of 10 lie within {within} of that. {count, plural, one {# record} other {# records}}.',
        ],
        'waste' => [
            'none' => 'Nothing is known of what you lose yet: weigh a part before and after.',
            'alike' => 'You weigh out as little as the house reckons; 8 out of 10 lie within {within} of that. {count, plural, one {# record} other {# records}}.',
            'more' => 'You weigh out {by} more; 8 out of 10 lie within {within} of that. {count, plural, one {# record} other {# records}}.',
            'less' => 'You weigh out {by} less; 8 out of 10 lie within {within} of that. {count, plural, one {# record} other {# records}}.',
        ],
        'pace' => [
            'none' => 'Nothing is known of your speed yet: let the clock run while you build.',
            'alike' => 'At {group}, you are as fast as the house reckons; 8 out of 10 lie within {within} of that. {count, plural, one {# record} other {# records}}.',
            'more' => 'At {group}, you are {by} slower; 8 out of 10 lie within {within} of that. {count, plural, one {# record} other {# records}}.',
            'less' => 'At {group}, you are {by} faster; 8 out of 10 lie within {within} of that. {count, plural, one {# record} other {# records}}.',
        ],
    ],
    'finished-piece' => [
        'where-about-were' => '{grams}, where about {houseG} were to be expected at that size: is that right?',
    ],
    'practice' => [
        'roll-it-tightly-from' => 'Roll it tightly from one end, and stab it round and round.',
        'begin-with-a-small' => 'Begin with a small tight ball, and wrap the rest round it in thin layers.',
        'stop-while-a-finger' => 'Stop while a finger still sinks in a little.',
        'go-on-until' => 'Go on until a finger leaves no dent.',
        'stop-when-it-springs' => 'Stop when it springs back at once.',
    ],
    'piece' => [
        'ball-springy' => 'Springy ball',
        'ball-soft' => 'Soft ball',
        'ball-firm' => 'Firm ball',
        'sausage-springy' => 'Springy sausage',
    ],
];
