<?php

declare(strict_types=1);

return [
    'notes' => [
        'state' => '{state} {cures}',
        'cures' => '{cures}.',
        'beside-right' => '{name} liegt {by} rechts von der Mittellinie, um die das Paar „{pair}“ gespiegelt wird: dorthin schieben oder beide Seiten einzeln bearbeiten.',
        'beside-left' => '{name} liegt {by} links von der Mittellinie, um die das Paar „{pair}“ gespiegelt wird: dorthin schieben oder beide Seiten einzeln bearbeiten.',
        'is-joined-to-nothing' => '{name} ist nirgends angesetzt: sagen, woran es sitzt oder zu welchem Zubehör es gehört.',
        'it-is-touchy' => 'Sie steht wackelig: Sie kippt bei einer Neigung von {tip}.',
        'it-falls-it-tips' => 'Sie fällt um: Sie kippt bei einer Neigung von {tip}.',
        'it-falls-at-once' => 'Sie fällt sofort um: Ihr Gewicht liegt außerhalb ihrer Standfläche.',
        'the-parts-stand-tall' => 'Die Teile stehen {stands} hoch, die fertige Höhe sagt {height}: sagen, wie hoch sie stehen, oder sie so hoch machen.',
        'is-thin-and-felt' => '{name} ist {thinnest} dünn, und Filz braucht {thinnest2}: um {mm} dicker machen oder aus Filzplatte schneiden.',
        'is-long-and-thick' => '{name} ist {height} lang und {thick} dick: dünner als ein Achtel der Länge, es braucht einen Draht oder {holdsItselfFrom}.',
        'no-stock-piece' => 'Kein Schaumstoffrohling lässt in {name} ringsum {cover} Deckwolle: Es wird ganz aus Farbwolle gerechnet. Mit Kernwolle füllen oder die Deckwolle dünner machen.',
        'is-thick' => '{name} ist {thinnest} dick, und eine Nadel reicht von jeder Seite etwa {deepest} tief: mit einem festen Ball von {mm} anfangen und in Lagen wickeln oder ein Schaumstoffei dieser Größe nehmen.',
        'foam-is-not-cut' => 'Schaumstoff wird nicht hohl geschnitten: {name} wird ganz aus Farbwolle gerechnet. Mit Kernwolle füllen.',
        'beads-ready-made-eyes' => 'Perlen, fertige Augen und Stifte sind kleine oder spitze Teile: Diese Figur ist Dekoration, kein Spielzeug. Wer Spielzeug verkauft, hält sich an die Sicherheitsregeln am Ort.',
    ],
    'meant' => [
        'uneven' => 'nicht auf gleicher Höhe',
        'aside' => 'neben der Mittellinie',
        'sparks' => 'Glanzlichter nach beiden Seiten',
        'as-light' => 'so hell wie der Untergrund',
        'low-contrast' => 'farblich nah am Untergrund',
        'too-small' => 'so klein',
        'not-sold' => 'in einer Größe, die es nicht gibt',
    ],
];
