<?php

declare(strict_types=1);

return [
    'core' => [
        'is' => 'Kern',
        'means' => 'Das Innere eines Teils, aus billiger ungefärbter Wolle gefilzt, bevor die Farbe darüberkommt.',
        'said' => 'Kern|Kerne|Kernwolle',
    ],
    'cover' => [
        'is' => 'Deckwolle',
        'means' => 'Die dünne Lage farbiger Wolle um einen Kern.',
        'said' => 'Deckwolle|Deckschicht',
    ],
    'fluff-end' => [
        'is' => 'loses Ende',
        'means' => 'Wolle, die am Ende eines Glieds locker bleibt und in den Körper gefilzt wird.',
        'said' => 'loses Ende|lose Enden|losen Ende|losen Enden',
    ],
    'join' => [
        'is' => 'ansetzen',
        'means' => 'Ein Teil von allen Seiten an ein anderes filzen.',
        'said' => 'ansetzen|angesetzt',
    ],
    'seam' => [
        'is' => 'Naht',
        'means' => 'Der Ring, an dem ein Teil auf das andere trifft. Ein dünnes Flöckchen darüber verdeckt ihn.',
        'said' => 'Naht|Nähte',
    ],
    'wisp' => [
        'is' => 'Flöckchen',
        'means' => 'Eine Prise Fasern, wenige Milligramm: Ein Hauch trägt sie fort.',
        'said' => 'Flöckchen',
    ],
    'tops' => [
        'is' => 'Kammzug',
        'means' => 'Zu einem Strang gekämmte Wolle, die Fasern liegen nebeneinander. Gut für Haare, zum Umwickeln, für feine Linien.',
        'said' => 'Kammzug',
    ],
    'batting' => [
        'is' => 'Vlies',
        'means' => 'Zu einer Lage kardierte Wolle, die Fasern liegen kreuz und quer. Sie filzt schnell und deckt gut.',
        'said' => 'Vlies',
    ],
    'sliver' => [
        'is' => 'Kardenband',
        'means' => 'Ein loser Strang kardierter Wolle.',
        'said' => 'Kardenband',
    ],
    'locks' => [
        'is' => 'Locken',
        'means' => 'Natürliche Locken eines Vlieses, für Haare.',
        'said' => 'Locken',
    ],
    'stuffing' => [
        'is' => 'Füllwatte',
        'means' => 'Polyesterfaser fürs Innere: leicht, federnd, billig.',
        'said' => 'Füllwatte',
    ],
    'foam' => [
        'is' => 'Schaumei',
        'means' => 'Eine fertige Kugel oder ein Ei aus Bastelschaum, um das herum gefilzt wird.',
        'said' => 'Schaum|Schaumei|Schaumkugel',
    ],
    'firm' => [
        'is' => 'fest, federnd, weich',
        'means' => 'Ein festes Teil lässt sich nicht eindrücken, ein federndes springt zurück, ein weiches gibt nach.',
        'said' => 'fest|federnd|weich',
    ],
    'gauge' => [
        'is' => 'Nadelstärke',
        'means' => 'Wie fein eine Nadel ist: je höher die Zahl, desto feiner.',
        'said' => 'Nadelstärke|Stärke',
    ],
    'barb' => [
        'is' => 'Kerbe',
        'means' => 'Ein winziger Einschnitt in der Nadel, der die Fasern beim Einstechen mitnimmt.',
        'said' => 'Kerbe|Kerben',
    ],
    'needle' => [
        'is' => 'Filznadel',
        'means' => 'Eine Stahlnadel mit Kerben. Verkantet bricht sie: Sie geht heraus, wie sie hineinging.',
        'said' => 'Filznadel|Filznadeln',
    ],
    'reverse' => [
        'is' => 'Umkehrnadel',
        'means' => 'Ihre Kerben zeigen rückwärts: Sie zieht Fasern heraus, für Fell.',
        'said' => 'Umkehrnadel|Umkehrnadeln',
    ],
    'holder' => [
        'is' => 'Nadelhalter',
        'means' => 'Ein Griff für mehrere Nadeln: Das Grobe geht dreimal so schnell.',
        'said' => 'Nadelhalter|Halter',
    ],
    'shallow' => [
        'is' => 'flach und tief',
        'means' => 'Wie weit die Nadel hineingeht: für die Oberfläche kaum, für die Form bis zur Mitte.',
        'said' => 'flach',
    ],
    'pad' => [
        'is' => 'Unterlage',
        'means' => 'Worauf du stichst: Schaum, eine Bürste oder eine Wollmatte. Sie schont Nadel und Tisch.',
        'said' => 'Unterlage',
    ],
    'guard' => [
        'is' => 'Fingerschutz',
        'means' => 'Eine Hülle aus Leder oder Gummi für die Finger, die die Wolle halten.',
        'said' => 'Fingerschutz',
    ],
    'tack' => [
        'is' => 'anheften',
        'means' => 'Ein paar Stiche, die ein Stück halten, bevor es festgefilzt wird.',
        'said' => 'anheften|angeheftet',
    ],
    'clump' => [
        'is' => 'loser Ballen',
        'means' => 'Wolle, wie sie aus der Tüte kommt, von Hand gerollt: zwei- bis dreimal so groß wie das gefilzte Teil.',
        'said' => 'loser Ballen|lose Ballen',
    ],
    'portion' => [
        'is' => 'Portion',
        'means' => 'Für ein Stück abgewogene Wolle, bevor etwas gefilzt ist, damit Zwillinge gleich werden.',
        'said' => 'Portion|Portionen',
    ],
    'layers' => [
        'is' => 'in Lagen',
        'means' => 'Ein Kern wächst aus einer kleinen festen Kugel und Lagen darum; bei einem großen Ballen stichst du dir in die Finger.',
        'said' => 'Lagen',
    ],
    'slit' => [
        'is' => 'Schlitz',
        'means' => 'Ein Teil kommt in einen kleinen Schnitt des anderen und wird ringsum zugefilzt.',
        'said' => 'Schlitz',
    ],
    'sandwich' => [
        'is' => 'Sandwich',
        'means' => 'Das Ende eines flachen Teils wird aufgefächert und liegt zwischen zwei Lagen des anderen.',
        'said' => 'Sandwich',
    ],
    'wrap' => [
        'is' => 'umwickeln',
        'means' => 'Ein flaches Band aus Kammzug, um Draht oder Glied gewickelt, jede Windung über den Rand der letzten.',
        'said' => 'umwickeln|umwickelt',
    ],
    'wire' => [
        'is' => 'Drahtgerüst',
        'means' => 'Ein Skelett aus Draht oder Pfeifenreiniger, damit sich Glieder biegen lassen.',
        'said' => 'Drahtgerüst',
    ],
    'pre-felt' => [
        'is' => 'Vorfilz',
        'means' => 'Eine halb gefilzte Platte: Ausgeschnittenes behält einen scharfen Rand.',
        'said' => 'Vorfilz',
    ],
    'loops' => [
        'is' => 'Schlaufen',
        'means' => 'Garn, so eingestochen, dass es in Schlaufen steht, für Fell und Mähnen.',
        'said' => 'Schlaufen',
    ],
    'tufts' => [
        'is' => 'Büschel',
        'means' => 'Kurze Faserbündel, in der Mitte eingesetzt, für Fell.',
        'said' => 'Büschel',
    ],
    'plait' => [
        'is' => 'Zopf',
        'means' => 'Drei geflochtene Stränge: Von jedem braucht es ein Drittel mehr als seine Länge.',
        'said' => 'Zopf|Zöpfe',
    ],
    'spark' => [
        'is' => 'Lichtpunkt',
        'means' => 'Der winzige weiße Glanz in einem Auge.',
        'said' => 'Lichtpunkt|Lichtpunkte',
    ],
    'patch' => [
        'is' => 'Fleck, Fläche, Linie',
        'means' => 'Ein kleines rundes, ein geformtes und ein schmales Stück Farbe auf der Oberfläche.',
        'said' => 'Fleck|Flecken',
    ],
    'mark' => [
        'is' => 'Marke',
        'means' => 'Wo du vor dem Gesicht einstichst: so weit quer, so weit hinab, mit dem Maßband auf der Wolle.',
        'said' => 'Marke|Marken',
    ],
    'crown' => [
        'is' => 'Scheitel',
        'means' => 'Der höchste Punkt eines Kopfs auf der Mittellinie; von ihm geht das Maßband hinab.',
        'said' => 'Scheitel',
    ],
    'mix' => [
        'is' => 'Mischung',
        'means' => 'Zwei oder drei Wollen, von Hand zusammen gezupft, bis kein Streifen bleibt.',
        'said' => 'Mischung|Mischungen',
    ],
    'steam' => [
        'is' => 'dämpfen',
        'means' => 'Dünne flache Stücke werden mit der Zange in Dampf gehalten und in Form gebogen.',
        'said' => 'dämpfen|gedämpft',
    ],
    'foot' => [
        'is' => 'Standfläche',
        'means' => 'Alles, was den Tisch berührt. Je breiter, desto weiter kann sich eine Figur neigen.',
        'said' => 'Standfläche',
    ],
    'reserve' => [
        'is' => 'Reserve',
        'means' => 'Wolle über das wahrscheinliche Gewicht hinaus, damit die Hauptfarbe nicht auf halbem Weg ausgeht.',
        'said' => 'Reserve',
    ],
    'trim' => [
        'is' => 'stutzen',
        'means' => 'Abstehende Härchen mit einer kleinen scharfen Schere flach an der Wolle abschneiden.',
        'said' => 'stutzen|gestutzt',
    ],
];
