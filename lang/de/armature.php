<?php

declare(strict_types=1);

return [
    'armature-refused' => [
        'this-cannot-be-cut' => 'Das lässt sich nicht zuschneiden',
        'the-longest-wire-wants' => 'Der längste Draht braucht {piece}, der längste vorhandene hat {longest}: einen um {mm} längeren besorgen oder zwei zusammendrehen.',
        'the-wires-want' => 'Die Drähte brauchen zusammen {wanted}, und was da ist, {there}, reicht nicht für alle: noch einen besorgen.',
    ],
    'armature-sheet' => [
        'of' => '{gauge} {word}',
        'none-that-is-sold' => '{word}: Keiner, den es zu kaufen gibt, hält dieses Glied: doppelt nehmen oder kürzer machen.',
        'bends-under-the-limb' => '{now} gibt unter dem Glied nach: {advice} nehmen.',
        'sinks-by-take' => '{now} senkt sich um {sag}: {advice} nehmen.',
        'holds-would-do' => '{now} hält; {advice} würde reichen.',
        'holds-and-stays' => '{now} hält und bleibt, wie gebogen.',
    ],
    'skeleton' => [
        'wire' => 'Draht {number}',
        'wire-of' => 'Draht von {name}',
    ],
];
