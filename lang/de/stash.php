<?php

declare(strict_types=1);

return [
    'no-number' => '{what}: „{said}“ ist keine Zahl.',
    'out-of-range' => '{what}: {said} muss zwischen {least} und {most} liegen.',
    'number' => [
        'gramsLeft' => 'Gramm übrig',
        'micron' => 'Feinheit',
        'gPerM' => 'Gewicht eines Meters',
        'price' => 'Preis einer Packung',
        'packG' => 'Packung',
    ],
    'shopping-list' => [
        'column' => [
            'wool' => 'Wolle',
            'for' => 'für',
            'lacking' => 'Gramm fehlen',
            'packs' => 'Packungen',
            'bought' => 'Gramm gekauft',
            'price' => 'Preis',
            'days' => 'Tage',
        ],
        'it-is-sold-out' => 'Ausverkauft: wieder nachfragen oder aus Vorhandenem mischen.',
        'the-shop-has-nothing' => 'Der Laden hat nichts Ähnliches: aus Vorhandenem mischen.',
        'the-shop-has-only' => 'Der Laden hat nur {stockG} {name}.',
    ],
    'reserve' => [
        'can-be-bought-again' => 'Nachzukaufen',
        'never-again-in-this' => 'Diesen Ton gibt es nie wieder',
        'enough-7-times' => 'reicht in 7 von 10 Fällen',
        'enough-9-times' => 'reicht in 9 von 10 Fällen',
        'enough-49-times' => 'reicht in 49 von 50 Fällen',
        'usual' => 'Üblich',
    ],
    'supply-document' => [
        'and-differ' => '{one} und {two} liegen in der Zeichnung {drawn} auseinander, in diesen Wollen {felted}: für eins davon eine andere Wolle oder Mischung wählen.',
    ],
    'csv-text' => [
        'this-is-no-text' => 'Das ist kein Text: die Tabelle als CSV (UTF-8) speichern und diese Datei wählen.',
        'this-file-is-not' => 'Diese Datei ist nicht UTF-8; sie wurde als westeuropäisch (Windows-1252) gelesen. Nachsehen, ob die Namen stimmen.',
        'the-columns-are-parted' => 'Die Spalten sind hier durch Semikolons getrennt; das wurde berücksichtigt.',
        'the-columns-are-parted-2' => 'Die Spalten sind hier durch Tabulatoren getrennt; das wurde berücksichtigt.',
        'there-is-not-enough' => 'Der Speicher reicht nicht, um diese Tabelle zu lesen.',
    ],
    'palette' => [
        'a-palette-file-begins' => 'Eine Palettendatei beginnt mit der Zeile „{head}“; diese beginnt mit „{lines}“.',
        'is-no-colour-three' => '„{line}“ ist keine Farbe: drei Zahlen von 0 bis 255, dann ein Name.',
        'colour' => 'Farbe {colours}',
        'no-weights' => 'Eine Palette hat keine Gewichte: Neue Farben kommen mit 0 g herein, damit du sie wiegst.',
    ],
    'stash-table' => [
        'only-the-first-lines' => 'Nur die ersten {mostLines} Zeilen wurden gelesen.',
        'is-already-on-line' => '„{name}“ steht schon in Zeile {lines}. Einem davon einen anderen Namen geben.',
        'the-first-line-must' => 'Die erste Zeile muss die Spalten nennen, darunter „name“. Sie lautet: „{list}“. Bekannt sind: {list2}.',
        'left-alone-because-we' => 'Nicht angerührt, weil unbekannt: {list}.',
    ],
    'wool-entry' => [
        'a-wool-needs' => 'Eine Wolle braucht einen Namen, damit du sie wiederfindest.',
        'the-name-is-longer' => 'Der Name „{name} ...“ ist länger als 120 Zeichen.',
        'is-no-colour-write' => '„{it}“ ist keine Farbe: # und sechs Zeichen von 0 bis f schreiben, etwa #2f8f86, oder leer lassen.',
        'is-no-preparation-one' => '„{it}“ ist keine Aufbereitung: eins von {list}.',
        'is-no-material-one' => '„{it}“ ist kein Material: eins von {list}.',
        'taken' => '„{name}“ gibt es im Vorrat schon. Die Gramm dort dazuzählen oder dieser einen anderen Namen geben.',
    ],
];
