<?php

declare(strict_types=1);

return [
    'picture-refused' => [
        'the-picture-cannot-be' => 'Dieses Bild ist nicht zu gebrauchen',
        'the-file-is-empty' => 'Die Datei ist leer. Das Bild noch einmal speichern und diese Datei wählen.',
        'this-is-not' => 'Das ist kein Bild. Eine PNG-, JPEG-, WebP-, GIF- oder SVG-Datei nehmen.',
        'pictures-of-the-kind' => 'Bilder der Art {mime} werden nicht gelesen. Als PNG, JPEG, WebP oder GIF speichern.',
        'too-large' => 'Das Bild hat {width} Megapixel ({width2} x {height}), höchstens 40 gehen. Kleiner speichern: 1000 Pixel Breite reichen gut.',
        'the-picture-is-damaged' => 'Das Bild ist beschädigt oder abgeschnitten: Es ist nicht bis zum Ende lesbar. Noch einmal speichern oder herunterladen.',
        'this-webp-file' => 'Diese WebP-Datei ist eine Animation. Eines ihrer Bilder als PNG speichern.',
        'nothing-stands-out-from' => 'Auf diesem Bild hebt sich nichts vom Hintergrund ab: Es ist einfarbig. Eine Zeichnung auf einfarbigem oder durchsichtigem Hintergrund nehmen.',
        'the-picture-is-x' => 'Das Bild hat {width} x {height} Pixel, länger als jede Zeichnung: den Teil mit der Figur ausschneiden.',
        'the-picture-is-only' => 'Das Bild hat nur {width} x {height} Pixel; eine Zeichnung braucht mindestens 16 x 16, um Formen zu zeigen.',
        'a-finished-height-lies' => 'Die fertige Höhe liegt zwischen {mm} und {mm2}, nicht bei {height}.',
        'how-strongly-shades-are' => 'Wie stark Farbtöne zusammengefasst werden, liegt zwischen 0 und 1, nicht bei {shades}.',
        'layers-are-of-sheet' => 'Lagen sind aus Platten oder aus Vlies, nicht aus „{said}“.',
        'the-figure-is-counted' => 'Die Figur wird ab 1 gezählt (0 für alle), und Maße werden in Schritten von 0 bis {mm} gerundet.',
        'a-brush-stroke-says' => 'Ein Pinselstrich sagt, was dort ist (Papier, Figur oder Tusche), wie breit er ist (ein Anteil des Bilds, {leastWidth} bis {mostWidth}) und wo er verlief (bis zu {mostPoints} Punkte, jeder von 0 bis 1 quer und abwärts).',
        'more-than-brush-strokes' => 'Auf diesem Bild liegen mehr als {most} Pinselstriche oder sehr lange; weniger pinseln: Ein Tupfer reicht meist.',
        'a-sheet-has-four' => 'Ein Blatt hat vier Ecken, von links oben im Uhrzeigersinn, keine nach innen: sie auf die des Blatts ziehen.',
        'of-the-views' => 'Von den Ansichten einer Figur ist eine die vordere, höchstens eine die seitliche und eine die hintere.',
        'views-were-named-but' => '{views} Ansichten wurden benannt, aber {figures} Figuren stehen auf dem Bild.',
        'a-view-is-front' => 'Eine Ansicht ist vorn, links, rechts, hinten oder keine.',
        'there-is-no-figure' => 'Auf diesem Bild gibt es keine Figur {figure}: {count, plural, one {Dort steht nur eine} other {Dort stehen #}}.',
        'stopped-nothing-was-kept' => 'Angehalten. Nichts wurde behalten.',
    ],
    'svg-drawing' => [
        'this-svg-is-larger' => 'Dieses SVG ist größer als 5 MB. Einfacher oder als PNG exportieren.',
        'this-svg-declares-entities' => 'Dieses SVG erklärt Entitäten, die eine Zeichnung nicht braucht. Als einfaches SVG oder als PNG exportieren.',
        'this-svg-is-damaged' => 'Dieses SVG ist beschädigt: Es ist kein wohlgeformtes XML. Noch einmal oder als PNG exportieren.',
        'this-svg-has-more' => 'Dieses SVG hat mehr als {mostElements} Teile. Einfacher oder als PNG exportieren.',
        'this-svg-carries-which' => 'Dieses SVG enthält „{name}“, das in Seiten gehört, nicht in Zeichnungen. Als einfaches SVG oder als PNG exportieren.',
        'this-svg-carries-which-2' => 'Dieses SVG enthält „{name}“, das hier unbekannt ist. Als einfaches SVG oder als PNG exportieren.',
        'this-svg-repeats-itself' => 'Dieses SVG wiederholt sich mehr als 2000 Mal. Mit ausgezeichneten Teilen oder als PNG exportieren.',
        'this-svg-carries-scripts' => 'Dieses SVG enthält Skripte. Als einfaches SVG oder als PNG exportieren.',
        'this-svg-asks' => 'Dieses SVG holt etwas von anderswo („{what}“): Nur was in der Datei selbst steht, wird gezeichnet. Einbetten oder als PNG exportieren.',
        'this-svg-does-not' => 'Dieses SVG sagt nicht, wie groß es ist, weder durch eine viewBox noch durch Breite und Höhe.',
    ],
    'grain' => [
        'the-picture-is-grainy' => 'Das Bild ist körnig; das Korn wurde geglättet, bevor es angesehen wurde.',
    ],
    'photo-faults' => [
        'a-glare-lies' => 'Auf diesem Foto liegt eine Spiegelung, und was sie verdeckt, ist verloren. Das Blatt oder die Lampe drehen und neu aufnehmen.',
        'a-pattern-of-stripes' => 'Über diesem Foto liegt ein Streifenmuster wie von einem Bildschirm. Aus größerer Entfernung aufnehmen oder das Bild selbst speichern.',
    ],
    'raster' => [
        'this-is-an-animation' => 'Das ist eine Animation; ihr erstes Bild wurde genommen.',
        'the-camera-held-this' => 'Die Kamera hielt dieses Bild quer; es wurde aufgerichtet.',
        'this-is-pixel-art' => 'Das ist Pixelkunst aus {cells} x {cells2} Feldern; ihre Treppen wurden als Schrägen und Rundungen gelesen.',
    ],
    'pixels' => [
        'too-slow' => 'Dieses SVG zu zeichnen dauert zu lange. Einfacher oder als PNG exportieren.',
        'no-librsvg' => 'SVG-Zeichnungen brauchen librsvg auf diesem Rechner (Debian: librsvg2-bin). Einrichten oder als PNG exportieren.',
        'not-drawn' => 'Dieses SVG lässt sich nicht zeichnen oder dauert zu lange. Einfacher oder als PNG exportieren.',
    ],
];
