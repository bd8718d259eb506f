<?php

declare(strict_types=1);

return [
    'next' => [
        'no-parts' => 'Noch keine Formen: Füg eine hinzu, oder schau dir die Zeichnung noch einmal an.',
        'loose' => '{count, plural, one {Ein Teil berührt nichts} other {# Teile berühren nichts}}: Sag, woran es sitzt.',
        'gap' => '{count, plural, one {Ein Teil reicht nicht} other {# Teile reichen nicht}} bis dorthin, wo es sitzt: Rück es näher.',
        'falls' => 'Sie fällt um: Öffne „Wie sie steht“ und probier aus, was hilft.',
        'touchy' => 'Sie steht, aber nur knapp: Öffne „Wie sie steht“.',
        'buried' => '{count, plural, one {Ein Teil steckt} other {# Teile stecken}} in einem anderen: Hol es nach vorn.',
        'height' => 'Die Teile sind nicht so hoch, wie die Figur werden soll: Schau oben bei „Hoch“.',
        'thin' => '{count, plural, one {Ein Teil ist} other {# Teile sind}} zu dünn zum Filzen: Mach es dicker, oder schneid es aus einer Platte.',
        'deep' => '{count, plural, one {Ein Teil ist} other {# Teile sind}} dicker, als eine Nadel reicht: Bau es in Lagen auf.',
        'wire' => '{count, plural, one {Ein langes Teil braucht} other {# lange Teile brauchen}} Draht: Öffne „Drähte“.',
        'shapes-ready' => 'Die Formen sind fertig: weiter zur Wolle.',
        'lacking' => 'Im Vorrat {count, plural, one {fehlt eine Wolle} other {fehlen # Wollen}}: Schau bei „Zu kaufen“, oder misch eine Farbe.',
        'set-aside' => 'Leg die Wolle zurück, damit keine andere Figur mit ihr rechnet.',
        'aside' => 'Die Wolle liegt zurück: Fang mit Bauen an.',
        'used' => 'Diese Figur ist fertig, ihre Wolle ist aus dem Vorrat genommen.',
        'no-eyes' => 'Noch keine Augen: Setz welche aus „Stücke“ darauf.',
        'no-mouth' => 'Noch kein Mund: Setz einen aus „Stücke“ darauf, oder lass es so.',
        'unclean' => '{count, plural, one {Ein Detail wird} other {# Details werden}} vielleicht nicht wie gezeichnet: Wähle es und lies, warum.',
        'face-ready' => 'Das Gesicht ist fertig: weiter zum Bauen.',
        'step' => 'Noch {count, plural, one {ein Schritt} other {# Schritte}}. Als Nächstes: {title}.',
        'all-done' => 'Alle Schritte sind getan: weiter zum Prüfen.',
        'not-begun' => 'Noch ist nichts gefilzt: Fang mit Bauen an.',
        'part-weigh' => 'Wieg und miss ein fertiges Teil, unter „Teile“: So werden die Zahlen deine.',
        'left' => 'Beim Bauen {count, plural, one {bleibt ein Schritt} other {bleiben # Schritte}}.',
        'photo' => 'Mach ein Foto: Impa legt den Plan darüber.',
        'finish' => 'Schau sie unter „Abschluss“ durch, und behalte ihre Karte.',
    ],
    'no-such-station' => 'Eine Station „{station}“ gibt es nicht. Frag nach einer von diesen: {known}.',
];
