<?php

declare(strict_types=1);

return [
    'armature-refused' => [
        'this-cannot-be-cut' => 'This cannot be cut',
        'the-longest-wire-wants' => 'The longest wire wants {piece}, and the longest you have is {longest}: get one {mm} longer, or twist two together.',
        'the-wires-want' => 'The wires want {wanted} in all, and what you have, {there}, does not hold them all: get one more.',
    ],
    'armature-sheet' => [
        'of' => '{gauge} of {word}',
        'none-that-is-sold' => 'No {word} that is sold holds this limb out: double it, or make it shorter.',
        'bends-under-the-limb' => '{now} bends under the limb: take {advice}.',
        'sinks-by-take' => '{now} sinks by {sag}: take {advice}.',
        'holds-would-do' => '{now} holds; {advice} would do.',
        'holds-and-stays' => '{now} holds, and stays as bent.',
    ],
    'skeleton' => [
        'wire' => 'Wire {number}',
        'wire-of' => 'Wire of {name}',
    ],
];
