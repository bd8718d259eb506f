<?php

declare(strict_types=1);

return [
    'reordering-refused' => [
        'this-step-cannot-be' => 'This step cannot be moved',
        'there-is-no-step' => 'There is no step "{key}" in this figure.',
        'is-the-first-step' => '"{title}" is the first step already.',
        'is-the-last-step' => '"{title}" is the last step already.',
        'it-cannot-be-done' => 'It cannot be done without.',
        'must-be-done-before' => '"{title}" must be done before "{title2}". {why}',
    ],
    'schedule-refused' => [
        'this-cannot-be-scheduled' => 'This cannot be scheduled',
        'a-sitting' => 'A sitting of {minutes} is too short: give at least {least}, so that no step must be put down in the middle.',
        'a-session-can-be' => 'A session can be {most} at most: give fewer minutes.',
        'say-on-which-days' => 'Say on which days you sit down: mon, tue, wed, thu, fri, sat or sun.',
        'is-no-day-write' => '"{day}" is no day: write mon, tue, wed, thu, fri, sat or sun.',
        'is-no-date-write' => '"{date}" is no date: write it as 2026-12-24.',
        'is-no-time' => '"{time}" is no time of day: write it as 19:30.',
        'is-gone-already-choose' => '{date} is gone already: choose today or a later day.',
        'ready-by-is-before' => 'Ready by {by} is before you begin, on {from}: choose a later day.',
    ],
    'technique-refused' => [
        'the-figure-cannot-be' => 'The figure cannot be made that way',
        'no-part-of-this' => 'No part of this figure is long enough for a wire: draw one of your own where you want it (Shapes, Wires).',
        'is-none' => '"{said}" is none of {list}.',
    ],
    'deadline-options' => [
        'sit-down' => 'Sit down {count, plural, one {once} other {# times}} more before then.',
        'use-three-needles' => 'Use three needles in the holder for every part that has room for them.',
        'felt-everything-one-step' => 'Felt everything one step softer.',
        'cut-the-flat-parts' => 'Cut the flat parts from felted sheet.',
    ],
    'place' => [
        'seam' => 'the seam of {of}',
        'hole' => 'the hole for the {wire}',
        'one' => 'the {name}',
        'left' => 'the left {name}',
        'right' => 'the right {name}',
    ],
    'buried' => [
        'hidden' => '{name} lies before the {to} in the picture, and inside it in the round, where its wool is counted as well: bring it {by} forwards.',
        'inside' => '{name} lies before the {to} in the picture, and inside it in the round: bring it {by} forwards.',
        'hidden-or-round' => '{name} lies before the {to} in the picture, and inside it in the round, where its wool is counted as well: bring it {by} forwards, or lay it round as a ring.',
        'inside-or-round' => '{name} lies before the {to} in the picture, and inside it in the round: bring it {by} forwards, or lay it round as a ring.',
    ],
    'change' => [
        'kept' => '{count} stayed where reach or the trade wants them.',
        'said' => '{title}: {reason} {said}',
        'none' => 'The order stays as it was.',
        'moved' => '{count, plural, one {"{title}" changed its place} other {# steps changed places, first of them "{title}"}}.',
        'new' => '{count, plural, one {"{title}" is new} other {# steps are new, first of them "{title}"}}.',
        'gone' => '{count, plural, one {"{title}" is gone} other {# steps are gone, first of them "{title}"}}.',
    ],
    'question' => [
        'face' => 'Face or limbs first',
        'inside' => 'Inside',
        'join' => 'Joins',
        'eyes' => 'Eyes',
        'skeleton' => 'Skeleton',
        'plates' => 'Thin plates',
    ],
    'trade-precedence' => [
        'a-second-colour-goes' => 'A second colour goes on the {name} while it is still flat.',
        'its-stitches-are-hidden' => 'Its stitches are hidden under the {name}.',
        'what-is-held-goes' => 'What is held goes onto the {name} before that goes on.',
    ],
    'hints' => [
        'lies-wholly-within' => '{name} lies wholly within the {name2}: nothing of it shows, and its wool is counted as well. Take it out, or move it to where it shows.',
        'of-the-lies-within' => '{share} of the {name} lies within the {name2}: it is felted onto it, and what lies within is not made.',
        'does-not-reach' => '{name} does not reach the {name2}: {mm} lie between them as drawn. Bring it nearer, or make it longer.',
    ],
    'work' => [
        'it-is-tight-here' => 'It is tight here: {figure} stands in the way of {name}.',
        'before-what-covers' => 'Before what covers {by}: it would be in the way of {name}.',
        'before-it-would-be' => 'Before {by}: it would be in the way of {name}.',
        'before-goes-on-would' => 'Before {joined} goes on: {by} would be in the way of {name}.',
    ],
    'choice' => [
        'join' => [
            'fluff' => [
                'is' => 'fluff end on the surface',
                'why' => 'Quick, and it can be moved until it is stabbed down.',
            ],
            'slit' => [
                'is' => 'into a slit',
                'why' => 'It holds against a tug, and thin plates stand up in it.',
            ],
        ],
        'eyes' => [
            'felt' => [
                'is' => 'felted',
                'why' => 'Any size and shape, soft, and of one piece with the face.',
            ],
            'bead' => [
                'is' => 'sewn beads',
                'why' => 'Crisp where a felted spot is too small, and they shine.',
            ],
            'ready-made' => [
                'is' => 'glued ready-made',
                'why' => 'Alike at once; they come in whole and half millimetres.',
            ],
            'pin' => [
                'is' => 'painted pins',
                'why' => 'Quickly tried in another place; sharp, so only for decoration.',
            ],
        ],
        'skeleton' => [
            'none' => [
                'is' => 'none',
                'why' => 'Soft all through; enough unless a limb is thinner than an eighth of its length.',
            ],
            'pipe-cleaner' => [
                'is' => 'pipe cleaners',
                'why' => 'Wool clings to them; they bend easily, and carry little.',
            ],
            'paper-covered' => [
                'is' => 'paper-covered wire',
                'why' => 'Wool clings to it; it holds a pose.',
            ],
            'steel' => [
                'is' => 'bare wire',
                'why' => 'The stiffest; it wants wrapping before wool clings to it.',
            ],
        ],
    ],
    'filling' => [
        'core-wool' => 'Cheap, firm, and quickly felted; the usual choice above {from}.',
        'scrap' => 'Of like colour, so that nothing shows through a thin cover.',
        'stuffing' => 'Cheap and light; it takes more stabbing until it holds.',
        'foam' => 'Light and quick, in the sizes that are sold.',
        'none' => 'One colour all through: nothing can show; for small parts.',
    ],
];
