<?php

declare(strict_types=1);

return [
    'balance-refused' => [
        'this-cannot-be-tried' => 'Das lässt sich nicht ausprobieren',
        'is-no-cure' => '„{kind}“ ist bei dieser Figur kein Mittel: Sie steht schon fest, oder es reicht nicht.',
    ],
    'cures' => [
        'flatten' => 'den Boden um {by} abflachen',
        'weight' => '{weight} mehr unten {where} verstecken',
        'both' => 'den Boden um {by} abflachen und {weight} mehr unten {where} verstecken',
        'washers' => '{count, plural, one {eine Unterlegscheibe} other {# Unterlegscheiben}} von {weight} im Fuß verstecken, {where}',
        'carry-forwards' => '„{part}“ {by} weiter nach vorn setzen',
        'carry-backwards' => '„{part}“ {by} weiter nach hinten setzen',
        'carry-right' => '„{part}“ {by} weiter nach rechts setzen',
        'carry-left' => '„{part}“ {by} weiter nach links setzen',
        'feet' => 'die Füße {by} weiter auseinandersetzen',
        'none' => 'Keins der üblichen Mittel reicht: den Boden verbreitern oder sie sitzen, liegen oder hängen lassen.',
    ],
    'footing' => [
        'forwards' => 'die Füße {by} nach vorn setzen',
        'back' => 'die Füße {by} nach hinten setzen',
        'longer' => 'die Füße von vorn nach hinten {to} lang machen',
        'flatter' => 'den Boden um {by} abflachen',
    ],
    'where' => [
        'middle' => 'in der Mitte',
        'front' => 'vorn',
        'back' => 'hinten',
        'right' => 'rechts',
        'left' => 'links',
    ],
    'way' => [
        'flatten' => 'Abflachen',
        'weight' => 'Beschweren',
        'washers' => 'Unterlegscheiben',
        'carry' => 'Versetzen',
        'feet' => 'Füße',
        'both' => 'Beides',
        'footing' => 'Fester Stand',
    ],
];
