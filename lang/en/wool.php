<?php

declare(strict_types=1);

return [
    'wool-refused' => [
        'this-cannot-be-done' => 'This cannot be done with the wool',
        'a-weight-is-split' => 'A weight is split by shares that are each more than 0, such as 3 : 2 : 2.',
        'a-wool-cannot-have' => 'A wool cannot have {g}: weigh it again, an empty bag is 0.',
        'cannot-have-weigh' => '{name} cannot have {g}: weigh it again, an empty bag is 0.',
        'is-more-than' => '{g} is more than a drawer holds: at most {mostG}.',
        'this-figure-has-taken' => 'This figure has taken its wool already; it is counted once.',
        'there-is-no-wool' => 'There is no wool number {id} in the stash any more.',
        'the-grey-card' => 'The grey card is too dark or too bright in this photo to tell the light from it: take the photo again in daylight, without a flash.',
    ],
    'insides' => [
        'core-wool' => 'It saves {saves} of colour, felts fast.',
        'core-wool-low' => 'It saves {saves} of colour, felts fast, and its {weight} keep the weight low.',
        'it-is-nothing-but' => 'It is nothing but its covering: there is no inside to fill.',
        'long-and-thick-colour' => '{height} long and {thick} thick: colour felted round a wire, or it bends.',
        'thick-a-core-pays' => '{thick} thick: a core pays from {solidBelow} on.',
        'stuffing-takes-where-core' => '{volume}: stuffing takes {insideG} where core wool takes {insideG2}, and leaves the figure {g} lighter up there.',
        'the-colour-differs-from' => 'The colour differs from undyed wool by {number}: a core of scrap in a like colour cannot show through a cover of {cover}.',
    ],
    'coverings' => [
        'hair' => '{count} lays of tops, {wide} wide and {long} long, {rows, plural, one {along the parting} other {in # rows from the neck upwards}}. Stab each across its middle, fold it over, and comb it with your fingers.',
        'loops-of-push' => '{count} loops of {length}: push the yarn in every {mm}, leave a loop, go on. Lay each over the same stick, so that all are alike.',
        'of-and-begin' => "{way} of {piece} and {length}: begin at the foot, each row over the last one's roots. {hold}",
        'wind-of-flat-ribbon' => 'Wind {mm} of flat ribbon, {ribbon} wide, round the wire, fold-backs included. Lay each turn {overlap} over the last, not tight enough to bend the wire.',
        'plait-three-strands' => 'Plait three strands of {mm}, {ribbon} thick each: plaiting takes up a third. Bind both ends with a wisp before you let go.',
        'lay-a-thin-sheet' => 'Lay a thin sheet of {areaCm2}, with film fibres between two layers. Iron it under a cloth at the lowest setting that melts them, and cut the shape out.',
        'cut-from-of-sheet' => 'Cut from {areaCm2} of sheet by the template on its size card. Firm its edge with slanting stabs.',
    ],
    'why' => [
        'inside' => 'inside {name}',
        'cover' => 'cover of {name}',
        'all' => 'all of {name}',
        'covering' => '{way} of {name}',
        'film' => 'between the layers of {name}',
    ],
    'material' => [
        'wool' => 'wool',
        'film' => 'film fibres',
        'mix' => '{name} mix',
    ],
    'portion' => [
        'weigh' => 'Weigh {g} {what}.',
        'weigh-for' => 'Weigh {g} {what} for the {why}.',
        'split' => 'Split in {count, plural, =2 {two} other {#}} equal pieces of {piece}.',
        'rope' => 'That is {long} of the rope.',
        'rope-each' => 'That is {long} of the rope each.',
        'layers' => 'A tight ball of {ball} first, then wraps of {wraps}.',
        'fluff' => 'Leave {g} of it loose as the fluff end.',
    ],
    'like' => [
        'sewing-thread' => 'as thin as sewing thread',
        'string' => 'as thin as string',
        'match' => 'as thick as a match',
        'straw' => 'as thick as a straw',
        'pencil' => 'as thick as a pencil',
        'strand' => 'a strand of {long}, twisted {thick} thick: {like}',
    ],
    'foam' => [
        'foam-ball' => 'foam ball {width}',
        'foam-egg' => 'foam egg {width}',
    ],
    'mix' => [
        'mix-first-weigh-tease' => 'Mix {g} first: weigh {woolsText}. Tease and fold them until no streak is left, all at once: a second batch comes out another shade.',
    ],
    'sheet-layout' => [
        'is-across' => '{key} is {mm} across, and the sheet only {sheetWidth} wide: take a wider sheet, or cut it in two.',
    ],
];
