<?php

declare(strict_types=1);

return [
    'flat-refused' => [
        'that-cannot-be-cut' => 'That cannot be cut',
        'this-figure-has-no' => 'This figure has no flat parts to lay. Break its drawing down in layers, or add a plate in Shapes.',
        'layers-are-more-than' => '{count} layers are more than can be laid on each other: {most} at most. Make some of them one.',
        'alone-would-take-pages' => '{piece} alone would take {pages} pages, and {most} are the most: make it smaller, or cut it in parts.',
        'is-made' => '{name} is made in the round. See its drawing again in layers, or choose in Shapes of what its layers are.',
        'a-sheet' => 'A sheet is {least} to {most} wide and long, as in 210x297.',
        'is-cut' => '{piece} is cut {width}, and the sheet is only {sheet}: take a larger sheet, turn its grain off, or cut the piece in two in Shapes.',
        'there-is-no-part' => 'There is no part with the key "{key}".',
        'is-a-there' => '{name} is a {kind}: there is no pattern for that here. Cones, cups, drums, domes, balls and eggs, cords, strips and plates can be cut and sewn.',
        'a-seam-allowance' => 'A seam allowance is 0 to {mm}, a stitch {mm2} to {mm3}, and felt {mm4} to {mm5} thick.',
    ],
    'piece' => [
        'side' => 'Side',
        'piece' => 'Piece',
        'both' => 'Front and back',
        'rolled' => 'Strip, rolled from its long side',
        'folded' => 'Strip, folded along its middle',
        'stiffening' => 'Stiffening',
        'wide-end' => 'Wide end',
        'narrow-end' => 'Narrow end',
        'foot' => 'Foot',
        'top' => 'Top',
        'half' => 'Half',
        'gore' => 'Gore',
    ],
    'seam' => [
        'side' => 'Side seam',
        'rim' => 'Round the rim',
        'roll' => 'Along the roll',
        'open' => 'Along the open side',
        'wide-end' => 'Round the wide end',
        'narrow-end' => 'Round the narrow end',
        'foot' => 'Round the foot',
        'top' => 'Round the top',
        'gores' => '{count, plural, =2 {Round both halves} other {# seams}}',
    ],
    'of' => [
        'felt' => 'felt',
        'card' => 'card',
    ],
    'eye-hole' => [
        'right' => 'Right eye hole',
        'left' => 'Left eye hole',
    ],
    'note' => [
        'short-overlap' => '{upper} lies only {by} on {lower} in one place: {wanted} hold. Make the lower one larger there, or move them together.',
        'narrow' => '{name} is about {wide} wide: scissors leave no clean piece below {least}. Lay it as a cord, or stitch it.',
        'off-ground' => '{name} lies on nothing: move it onto the layer it belongs to.',
        'eyes-apart' => 'The eye holes lie {apart} apart: the eyes of most adults {least} to {most}. Measure whose eyes look through it.',
        'hole-off' => 'Hole {number} of the ribbon lies off the felt: move it in.',
        'torn-hole' => 'Hole {number} of the ribbon leaves {rim} of felt: it would tear. {wanted} hold; move it in.',
    ],
];
