<?php

declare(strict_types=1);

return [
    'shape-refused' => [
        'this-cannot-be-felted' => 'Das lässt sich nicht filzen',
        'every-size-must-be' => 'Jedes Maß muss mehr als 0 sein, nicht {width}.',
        'the-taper' => 'Die Verjüngung eines Eis liegt zwischen -0,6 und 0,6, nicht bei {taper}.',
        'both-ends' => 'Beide Enden der Form „{kind}“ müssen dicker als 0 sein, nicht {mm}.',
        'a-corner-or-edge' => 'Eine Ecke oder Kante wird um 0 oder mehr gerundet, nicht um {mm}.',
        'a-ring-across-cannot' => 'Ein Ring von {ring} lässt sich nicht aus einer Rolle von {tube} Dicke machen: Die Rolle ist höchstens halb so dick.',
        'a-piece-can-be' => 'Ein Teil lässt sich um 0 bis 330 Grad biegen, nicht um {bend}.',
        'an-outline-needs' => 'Ein Umriss braucht mindestens drei Punkte, nicht {count}.',
        'the-outline-crosses-itself' => 'Der Umriss kreuzt sich so, dass sich sein Inneres zu nichts aufhebt: die Punkte in der Reihenfolge um die Form herum setzen.',
        'there-is-no-shape' => 'Es gibt keine Form namens „{kind}“.',
        'there-is-no-plate' => 'Es gibt keinen Plattenumriss namens „{outline}“.',
    ],
    'kind' => [
        'ball' => 'Kugel',
        'egg' => 'Ei',
        'sausage' => 'Rolle',
        'drum' => 'Trommel',
        'drumstick' => 'Keule',
        'cone' => 'Kegel',
        'drop' => 'Tropfen',
        'dome' => 'Kuppel',
        'gumdrop' => 'Kuppel auf Trommel',
        'cup' => 'Becher',
        'block' => 'Block',
        'ring' => 'Ring',
        'arc' => 'Bogen',
        'plate' => 'Platte',
        'cord' => 'Schnur',
        'strip' => 'Streifen',
        'sheet' => 'Blatt',
    ],
    'outline' => [
        'disc' => 'Scheibe',
        'triangle' => 'Dreieck',
        'leaf' => 'Blattform',
        'heart' => 'Herz',
        'rectangle' => 'Rechteck',
    ],
];
