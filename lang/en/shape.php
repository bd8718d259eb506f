<?php

declare(strict_types=1);

return [
    'shape-refused' => [
        'this-cannot-be-felted' => 'This cannot be felted',
        'every-size-must-be' => 'Every size must be more than 0, not {width}.',
        'the-taper' => 'The taper of an egg lies between -0.6 and 0.6, not {taper}.',
        'both-ends' => 'Both ends of a {kind} must be thicker than 0, not {mm}.',
        'a-corner-or-edge' => 'A corner or edge is rounded by 0 or more, not {mm}.',
        'a-ring-across-cannot' => 'A ring {ring} across cannot be made from a roll {tube} thick: the roll is at most half of it.',
        'a-piece-can-be' => 'A piece can be bent by 0 to 330 degrees, not {bend}.',
        'an-outline-needs' => 'An outline needs at least three points, not {count}.',
        'the-outline-crosses-itself' => 'The outline crosses itself, so that what it encloses cancels out to nothing: put its points in their order round the shape.',
        'there-is-no-shape' => 'There is no shape called "{kind}".',
        'there-is-no-plate' => 'There is no plate outline called "{outline}".',
    ],
    'kind' => [
        'ball' => 'ball',
        'egg' => 'egg',
        'sausage' => 'sausage',
        'drum' => 'drum',
        'drumstick' => 'drumstick',
        'cone' => 'cone',
        'drop' => 'drop',
        'dome' => 'dome',
        'gumdrop' => 'gumdrop',
        'cup' => 'cup',
        'block' => 'block',
        'ring' => 'ring',
        'arc' => 'arc',
        'plate' => 'plate',
        'cord' => 'cord',
        'strip' => 'strip',
        'sheet' => 'sheet',
    ],
    'outline' => [
        'disc' => 'disc',
        'triangle' => 'triangle',
        'leaf' => 'leaf',
        'heart' => 'heart',
        'rectangle' => 'rectangle',
    ],
];
