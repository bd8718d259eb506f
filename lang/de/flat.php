<?php

declare(strict_types=1);

return [
    'flat-refused' => [
        'that-cannot-be-cut' => 'Das lässt sich nicht zuschneiden',
        'this-figure-has-no' => 'Diese Figur hat keine flachen Teile zum Legen. Ihre Zeichnung in Lagen zerlegen oder unter Formen eine Platte hinzufügen.',
        'layers-are-more-than' => '{count} Lagen sind mehr, als sich aufeinanderlegen lassen: höchstens {most}. Einige zu einer machen.',
        'alone-would-take-pages' => '{piece} allein bräuchte {pages} Seiten, höchstens {most} gehen: kleiner machen oder in Teile schneiden.',
        'is-made' => '{name} wird rund gemacht. Die Zeichnung noch einmal in Lagen zerlegen oder unter Formen wählen, woraus die Lagen sind.',
        'a-sheet' => 'Eine Platte ist {least} bis {most} breit und lang, wie in 210x297.',
        'is-cut' => '{piece} wird {width} zugeschnitten, und die Platte hat nur {sheet}: eine größere Platte nehmen, den Faserlauf abschalten oder das Stück unter Formen teilen.',
        'there-is-no-part' => 'Es gibt kein Teil mit dem Schlüssel „{key}“.',
        'is-a-there' => '{name} hat die Form „{kind}“: Dafür gibt es hier keinen Schnitt. Kegel, Becher, Trommeln, Kuppeln, Kugeln und Eier, Schnüre, Streifen und Platten lassen sich zuschneiden und nähen.',
        'a-seam-allowance' => 'Eine Nahtzugabe ist 0 bis {mm}, ein Stich {mm2} bis {mm3}, und Filz ist {mm4} bis {mm5} dick.',
    ],
    'piece' => [
        'side' => 'Mantel',
        'piece' => 'Stück',
        'both' => 'Vorder- und Rückseite',
        'rolled' => 'Streifen, von der langen Seite gerollt',
        'folded' => 'Streifen, längs der Mitte gefaltet',
        'stiffening' => 'Einlage',
        'wide-end' => 'Weites Ende',
        'narrow-end' => 'Enges Ende',
        'foot' => 'Boden',
        'top' => 'Oberseite',
        'half' => 'Hälfte',
        'gore' => 'Spalte',
    ],
    'seam' => [
        'side' => 'Seitennaht',
        'rim' => 'Um den Rand',
        'roll' => 'Die Rolle entlang',
        'open' => 'Die offene Seite entlang',
        'wide-end' => 'Um das weite Ende',
        'narrow-end' => 'Um das enge Ende',
        'foot' => 'Um den Boden',
        'top' => 'Um die Oberseite',
        'gores' => '{count, plural, =2 {Um beide Hälften} other {# Nähte}}',
    ],
    'of' => [
        'felt' => 'Filz',
        'card' => 'Pappe',
    ],
    'eye-hole' => [
        'right' => 'Rechtes Augenloch',
        'left' => 'Linkes Augenloch',
    ],
    'note' => [
        'short-overlap' => '{upper} liegt an einer Stelle nur {by} auf „{lower}“: {wanted} halten. Das untere dort größer machen oder beide zusammenschieben.',
        'narrow' => '{name} ist etwa {wide} breit: Unter {least} schneidet keine Schere sauber. Als Schnur legen oder sticken.',
        'off-ground' => '{name} liegt auf nichts: auf die Lage schieben, zu der es gehört.',
        'eyes-apart' => 'Die Augenlöcher liegen {apart} auseinander, die Augen der meisten Erwachsenen {least} bis {most}. Messen, wessen Augen hindurchsehen.',
        'hole-off' => 'Loch {number} für das Band liegt neben dem Filz: hineinschieben.',
        'torn-hole' => 'Loch {number} für das Band lässt {rim} Filz stehen: Es würde reißen. {wanted} halten; hineinschieben.',
    ],
];
