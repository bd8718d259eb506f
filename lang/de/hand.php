<?php

declare(strict_types=1);

return [
    'hand-refused' => [
        'nothing-can-be-learned' => 'Daraus lässt sich nichts lernen',
        'the-first-line-must' => 'Die erste Zeile muss die Spalten {list} nennen: {columns2, plural, one {Es fehlt {columns}} other {Es fehlen {columns}}}.',
        'there-is-no-line' => 'Es gibt keine Zeile, aus der sich lernen ließe: Eine Zeile ist Aufbereitung, Festigkeit, cm3, Gramm und Minuten.',
        'is-denser-than-wool' => '{gPerCm3} ist dichter als die Wolle selbst ({fibreGPerCm3}): Ist in der Größe oder im Gewicht ein Tippfehler?',
    ],
    'records-table' => [
        'at' => 'Zeile {line}: {why}',
        'line' => 'Zeile {line}: {cm3}, {of}',
        'is-no-number-above' => '{column}: „{cell}“ ist keine Zahl über 0.',
        'is-none' => '{column}: „{said}“ ist keins von {list}.',
    ],
    'curve' => [
        'density' => [
            'none' => 'Über deine Dichte ist noch nichts bekannt: ein fertiges Teil wiegen und messen.',
            'alike' => 'Filzst du „{group}“, werden deine Teile so dicht wie angenommen; 8 von 10 liegen bis auf {within} dabei. {count, plural, one {# Eintrag} other {# Einträge}}.',
            'more' => 'Filzst du „{group}“, werden deine Teile {by} dichter; 8 von 10 liegen bis auf {within} dabei. {count, plural, one {# Eintrag} other {# Einträge}}.',
            'less' => 'Filzst du „{group}“, werden deine Teile {by} lockerer; 8 von 10 liegen bis auf {within} dabei. {count, plural, one {# Eintrag} other {# Einträge}}.',
        ],
        'waste' => [
            'none' => 'Über deinen Verlust ist noch nichts bekannt: ein Teil vorher und nachher wiegen.',
            'alike' => 'Du wiegst so wenig ab wie angenommen; 8 von 10 liegen bis auf {within} dabei. {count, plural, one {# Eintrag} other {# Einträge}}.',
            'more' => 'Du wiegst {by} mehr ab; 8 von 10 liegen bis auf {within} dabei. {count, plural, one {# Eintrag} other {# Einträge}}.',
            'less' => 'Du wiegst {by} weniger ab; 8 von 10 liegen bis auf {within} dabei. {count, plural, one {# Eintrag} other {# Einträge}}.',
        ],
        'pace' => [
            'none' => 'Über dein Tempo ist noch nichts bekannt: beim Machen die Uhr laufen lassen.',
            'alike' => 'Bei „{group}“ bist du so schnell wie angenommen; 8 von 10 liegen bis auf {within} dabei. {count, plural, one {# Eintrag} other {# Einträge}}.',
            'more' => 'Bei „{group}“ bist du {by} langsamer; 8 von 10 liegen bis auf {within} dabei. {count, plural, one {# Eintrag} other {# Einträge}}.',
            'less' => 'Bei „{group}“ bist du {by} schneller; 8 von 10 liegen bis auf {within} dabei. {count, plural, one {# Eintrag} other {# Einträge}}.',
        ],
    ],
    'finished-piece' => [
        'where-about-were' => '{grams}, wo bei dieser Größe etwa {houseG} zu erwarten waren: Stimmt das?',
    ],
    'practice' => [
        'roll-it-tightly-from' => 'Von einem Ende her fest aufrollen und immer rundum stechen.',
        'begin-with-a-small' => 'Mit einem kleinen festen Ball anfangen und den Rest in dünnen Lagen herumwickeln.',
        'stop-while-a-finger' => 'Aufhören, solange ein Finger noch etwas einsinkt.',
        'go-on-until' => 'Weitermachen, bis ein Finger keine Delle hinterlässt.',
        'stop-when-it-springs' => 'Aufhören, wenn es sofort zurückfedert.',
    ],
    'piece' => [
        'ball-springy' => 'Federnde Kugel',
        'ball-soft' => 'Weiche Kugel',
        'ball-firm' => 'Feste Kugel',
        'sausage-springy' => 'Federnde Rolle',
    ],
];
