<?php

declare(strict_types=1);

return [
    'reordering-refused' => [
        'this-step-cannot-be' => 'Dieser Schritt lässt sich nicht verschieben',
        'there-is-no-step' => 'In dieser Figur gibt es keinen Schritt „{key}“.',
        'is-the-first-step' => '„{title}“ ist schon der erste Schritt.',
        'is-the-last-step' => '„{title}“ ist schon der letzte Schritt.',
        'it-cannot-be-done' => 'Ohne ihn geht es nicht.',
        'must-be-done-before' => '„{title}“ muss vor „{title2}“ getan sein. {why}',
    ],
    'schedule-refused' => [
        'this-cannot-be-scheduled' => 'Das lässt sich nicht einplanen',
        'a-sitting' => 'Eine Sitzung von {minutes} ist zu kurz: mindestens {least} geben, damit kein Schritt mittendrin liegen bleibt.',
        'a-session-can-be' => 'Eine Sitzung dauert höchstens {most}: weniger Minuten geben.',
        'say-on-which-days' => 'Sagen, an welchen Tagen gefilzt wird: mon, tue, wed, thu, fri, sat oder sun.',
        'is-no-day-write' => '„{day}“ ist kein Tag: mon, tue, wed, thu, fri, sat oder sun schreiben.',
        'is-no-date-write' => '„{date}“ ist kein Datum: wie 2026-12-24 schreiben.',
        'is-no-time' => '„{time}“ ist keine Uhrzeit: wie 19:30 schreiben.',
        'is-gone-already-choose' => '{date} ist schon vorbei: heute oder einen späteren Tag wählen.',
        'ready-by-is-before' => 'Fertig am {by} liegt vor dem Anfang am {from}: einen späteren Tag wählen.',
    ],
    'technique-refused' => [
        'the-figure-cannot-be' => 'So lässt sich die Figur nicht machen',
        'no-part-of-this' => 'Kein Teil dieser Figur ist lang genug für einen Draht: selbst einen zeichnen, wo er sein soll (Formen, Drähte).',
        'is-none' => '„{said}“ ist keins von {list}.',
    ],
    'deadline-options' => [
        'sit-down' => 'Vorher noch {count, plural, one {einmal} other {# Mal}} daransetzen.',
        'use-three-needles' => 'Drei Nadeln im Halter nehmen, bei jedem Teil, das dafür Platz hat.',
        'felt-everything-one-step' => 'Alles eine Stufe weicher filzen.',
        'cut-the-flat-parts' => 'Die flachen Teile aus Filzplatte schneiden.',
    ],
    'place' => [
        'seam' => 'die Naht von {of}',
        'hole' => 'das Loch für „{wire}“',
        'one' => '„{name}“',
        'left' => '„{name}“ links',
        'right' => '„{name}“ rechts',
    ],
    'buried' => [
        'hidden' => '{name} liegt im Bild vor „{to}“, rund gesehen aber darin, und seine Wolle zählt mit: um {by} nach vorn holen.',
        'inside' => '{name} liegt im Bild vor „{to}“, rund gesehen aber darin: um {by} nach vorn holen.',
        'hidden-or-round' => '{name} liegt im Bild vor „{to}“, rund gesehen aber darin, und seine Wolle zählt mit: um {by} nach vorn holen oder als Ring herumlegen.',
        'inside-or-round' => '{name} liegt im Bild vor „{to}“, rund gesehen aber darin: um {by} nach vorn holen oder als Ring herumlegen.',
    ],
    'change' => [
        'kept' => '{count} blieben, wo Nadel oder Handwerk sie haben wollen.',
        'said' => '{title}: {reason} {said}',
        'none' => 'Die Reihenfolge bleibt.',
        'moved' => '{count, plural, one {„{title}“ steht an anderer Stelle} other {# Schritte stehen an anderer Stelle, zuerst „{title}“}}.',
        'new' => '{count, plural, one {„{title}“ ist neu} other {# Schritte sind neu, zuerst „{title}“}}.',
        'gone' => '{count, plural, one {„{title}“ ist weg} other {# Schritte sind weg, zuerst „{title}“}}.',
    ],
    'question' => [
        'face' => 'Gesicht oder Glieder zuerst',
        'inside' => 'Innen',
        'join' => 'Ansätze',
        'eyes' => 'Augen',
        'skeleton' => 'Gerüst',
        'plates' => 'Dünne Platten',
    ],
    'trade-precedence' => [
        'a-second-colour-goes' => 'Eine zweite Farbe kommt auf „{name}“, solange es noch flach ist.',
        'its-stitches-are-hidden' => 'Seine Stiche verschwinden unter „{name}“.',
        'what-is-held-goes' => 'Was gehalten wird, kommt auf „{name}“, bevor das angesetzt wird.',
    ],
    'hints' => [
        'lies-wholly-within' => '{name} liegt ganz in „{name2}“: Nichts davon ist zu sehen, und seine Wolle zählt mit. Herausnehmen oder dahin schieben, wo es zu sehen ist.',
        'of-the-lies-within' => '{share} von „{name}“ liegen in „{name2}“: Es wird daraufgefilzt, und was darin liegt, wird nicht gemacht.',
        'does-not-reach' => '{name} reicht nicht bis „{name2}“: Dazwischen liegen, wie gezeichnet, {mm}. Näher heranholen oder länger machen.',
    ],
    'work' => [
        'it-is-tight-here' => 'Hier ist es eng: {figure} steht {name} im Weg.',
        'before-what-covers' => 'Vor dem, was {by} bedeckt: Es stünde {name} im Weg.',
        'before-it-would-be' => 'Vor {by}: Es stünde {name} im Weg.',
        'before-goes-on-would' => 'Bevor {joined} angesetzt wird: {by} stünde {name} im Weg.',
    ],
    'choice' => [
        'join' => [
            'fluff' => [
                'is' => 'loses Ende auf die Oberfläche',
                'why' => 'Schnell, und es lässt sich verschieben, bis es festgestochen ist.',
            ],
            'slit' => [
                'is' => 'in einen Schlitz',
                'why' => 'Das hält auch Zug aus, und dünne Platten stehen darin.',
            ],
        ],
        'eyes' => [
            'felt' => [
                'is' => 'gefilzt',
                'why' => 'Jede Größe und Form, weich und mit dem Gesicht aus einem Stück.',
            ],
            'bead' => [
                'is' => 'angenähte Perlen',
                'why' => 'Scharf, wo ein gefilzter Punkt zu klein ist, und sie glänzen.',
            ],
            'ready-made' => [
                'is' => 'eingeklebte Fertigaugen',
                'why' => 'Sofort gleich; es gibt sie in ganzen und halben Millimetern.',
            ],
            'pin' => [
                'is' => 'bemalte Stecknadeln',
                'why' => 'Schnell anderswo probiert; spitz, also nur zur Dekoration.',
            ],
        ],
        'skeleton' => [
            'none' => [
                'is' => 'keins',
                'why' => 'Ganz weich; reicht, solange kein Glied dünner ist als ein Achtel seiner Länge.',
            ],
            'pipe-cleaner' => [
                'is' => 'Pfeifenputzer',
                'why' => 'Wolle haftet daran; sie biegen sich leicht und tragen wenig.',
            ],
            'paper-covered' => [
                'is' => 'Draht mit Papiermantel',
                'why' => 'Wolle haftet daran; er hält die Haltung.',
            ],
            'steel' => [
                'is' => 'blanker Draht',
                'why' => 'Der steifste; er muss umwickelt werden, bevor Wolle haftet.',
            ],
        ],
    ],
    'filling' => [
        'core-wool' => 'Billig, fest und schnell gefilzt; das Übliche ab {from}.',
        'scrap' => 'In ähnlicher Farbe, damit durch dünne Deckwolle nichts scheint.',
        'stuffing' => 'Billig und leicht; es braucht mehr Stiche, bis es hält.',
        'foam' => 'Leicht und schnell, in den Größen, die es gibt.',
        'none' => 'Durchweg eine Farbe: Nichts kann durchscheinen; für kleine Teile.',
    ],
];
