<?php

declare(strict_types=1);

return [
    'wool-refused' => [
        'this-cannot-be-done' => 'Das geht mit der Wolle nicht',
        'a-weight-is-split' => 'Ein Gewicht wird nach Anteilen geteilt, die alle mehr als 0 sind, etwa 3 : 2 : 2.',
        'a-wool-cannot-have' => 'Eine Wolle kann nicht {g} haben: noch einmal wiegen, ein leerer Beutel hat 0.',
        'cannot-have-weigh' => '{name} kann nicht {g} haben: noch einmal wiegen, ein leerer Beutel hat 0.',
        'is-more-than' => '{g} ist mehr, als in eine Schublade passt: höchstens {mostG}.',
        'this-figure-has-taken' => 'Diese Figur hat ihre Wolle schon genommen; sie zählt nur einmal.',
        'there-is-no-wool' => 'Wolle Nummer {id} gibt es im Vorrat nicht mehr.',
        'the-grey-card' => 'Die Graukarte ist auf diesem Foto zu dunkel oder zu hell, um das Licht daran abzulesen: das Foto bei Tageslicht ohne Blitz neu machen.',
    ],
    'insides' => [
        'core-wool' => 'Das spart {saves} Farbwolle und filzt schnell.',
        'core-wool-low' => 'Das spart {saves} Farbwolle, filzt schnell, und seine {weight} halten das Gewicht unten.',
        'it-is-nothing-but' => 'Es besteht nur aus seiner Bedeckung: Innen ist nichts zu füllen.',
        'long-and-thick-colour' => '{height} lang und {thick} dick: Farbwolle um einen Draht, sonst knickt es.',
        'thick-a-core-pays' => '{thick} dick: Ein Kern lohnt sich ab {solidBelow}.',
        'stuffing-takes-where-core' => '{volume}: Füllwatte braucht {insideG}, Kernwolle {insideG2}, und die Figur wird oben um {g} leichter.',
        'the-colour-differs-from' => 'Die Farbe ist um {number} anders als ungefärbte Wolle: Ein Kern aus Resten ähnlicher Farbe kann durch {cover} Deckwolle nicht scheinen.',
    ],
    'coverings' => [
        'hair' => '{count} Lagen Kammzug, {wide} breit und {long} lang, {rows, plural, one {am Scheitel entlang} other {in # Reihen vom Nacken aufwärts}}. Jede quer über die Mitte feststechen, umklappen und mit den Fingern kämmen.',
        'loops-of-push' => '{count} Schlingen von {length}: das Garn alle {mm} einstechen, eine Schlinge lassen, weiter. Jede über dasselbe Stäbchen legen, damit alle gleich sind.',
        'of-and-begin' => '{way} zu {piece}, {length} lang: unten anfangen, jede Reihe über die Wurzeln der letzten. {hold}',
        'wind-of-flat-ribbon' => '{mm} flaches Band, {ribbon} breit, um den Draht wickeln, Umbiegungen mitgerechnet. Jede Windung {overlap} über die letzte legen, nicht so fest, dass sich der Draht biegt.',
        'plait-three-strands' => 'Drei Strähnen von {mm}, je {ribbon} dick, flechten: Das Flechten nimmt ein Drittel weg. Beide Enden mit einem Flöckchen abbinden, bevor du loslässt.',
        'lay-a-thin-sheet' => 'Eine dünne Lage von {areaCm2} legen, Schmelzfasern zwischen zwei Schichten. Unter einem Tuch so wenig heiß wie nötig bügeln und die Form ausschneiden.',
        'cut-from-of-sheet' => 'Aus {areaCm2} Vorfilz nach der Schablone auf der Größenkarte schneiden. Die Kante mit schrägen Stichen festigen.',
    ],
    'why' => [
        'inside' => 'in „{name}“',
        'cover' => 'Deckwolle von „{name}“',
        'all' => 'ganz „{name}“',
        'covering' => '{way} von „{name}“',
        'film' => 'zwischen den Lagen von „{name}“',
    ],
    'material' => [
        'wool' => 'Wolle',
        'film' => 'Schmelzfasern',
        'mix' => '{name}-Mischung',
    ],
    'portion' => [
        'weigh' => '{g} {what} abwiegen.',
        'weigh-for' => '{g} {what} abwiegen für: {why}.',
        'split' => 'In {count, plural, =2 {zwei} other {#}} gleiche Teile zu {piece} teilen.',
        'rope' => 'Das sind {long} vom Strang.',
        'rope-each' => 'Das sind je {long} vom Strang.',
        'layers' => 'Erst ein fester Ball von {ball}, dann Lagen von {wraps}.',
        'fluff' => 'Davon {g} am Ansatz locker lassen.',
    ],
    'like' => [
        'sewing-thread' => 'so dünn wie Nähgarn',
        'string' => 'so dünn wie Bindfaden',
        'match' => 'so dick wie ein Streichholz',
        'straw' => 'so dick wie ein Trinkhalm',
        'pencil' => 'so dick wie ein Bleistift',
        'strand' => 'eine Strähne von {long}, gedreht {thick} dick: {like}',
    ],
    'foam' => [
        'foam-ball' => 'Schaumstoffkugel {width}',
        'foam-egg' => 'Schaumstoffei {width}',
    ],
    'mix' => [
        'mix-first-weigh-tease' => 'Zuerst {g} mischen: {woolsText} abwiegen. Zupfen und falten, bis kein Streifen bleibt, alles auf einmal: Eine zweite Portion wird ein anderer Ton.',
    ],
    'sheet-layout' => [
        'is-across' => '{key} hat {mm}, und die Platte ist nur {sheetWidth} breit: eine breitere Platte nehmen oder teilen.',
    ],
];
