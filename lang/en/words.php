<?php

declare(strict_types=1);

return [
    'core' => [
        'is' => 'core',
        'means' => 'The inside of a part, felted from cheap undyed wool before the colour goes over it.',
        'said' => 'core|cores|core wool',
    ],
    'cover' => [
        'is' => 'cover',
        'means' => 'The thin layer of coloured wool round a core.',
        'said' => 'cover|covers|covered',
    ],
    'fluff-end' => [
        'is' => 'fluff end',
        'means' => 'Wool left loose at the end of a limb, to be felted into the body.',
        'said' => 'fluff end|fluff ends',
    ],
    'join' => [
        'is' => 'join',
        'means' => 'Where two parts are stabbed together, from all sides.',
        'said' => 'join|joins|joined',
    ],
    'seam' => [
        'is' => 'seam',
        'means' => 'The ring where one part meets the other. A thin wisp laid over it hides it.',
        'said' => 'seam|seams',
    ],
    'wisp' => [
        'is' => 'wisp',
        'means' => 'A pinch of fibres, a few milligrams: a breath takes it away.',
        'said' => 'wisp|wisps',
    ],
    'tops' => [
        'is' => 'tops',
        'means' => 'Wool combed into a rope, its fibres side by side. Good for hair, wrapping, thin lines. Also called roving.',
        'said' => 'tops|roving',
    ],
    'batting' => [
        'is' => 'batting',
        'means' => 'Wool carded into a sheet, its fibres this way and that. It felts fast and covers well.',
        'said' => 'batting',
    ],
    'sliver' => [
        'is' => 'sliver',
        'means' => 'A loose rope of carded wool.',
        'said' => 'sliver|slivers',
    ],
    'locks' => [
        'is' => 'locks',
        'means' => 'Natural curls of a fleece, for hair.',
        'said' => 'locks',
    ],
    'stuffing' => [
        'is' => 'stuffing',
        'means' => 'Polyester fibre for the inside: light, springy, cheap.',
        'said' => 'stuffing',
    ],
    'foam' => [
        'is' => 'foam egg',
        'means' => 'A ready ball or egg of craft foam to felt round.',
        'said' => 'foam|foam egg|foam ball',
    ],
    'firm' => [
        'is' => 'firm, springy, soft',
        'means' => 'A firm part takes no dent from a finger, a springy one springs back, a soft one gives.',
        'said' => 'firm|springy|squishy',
    ],
    'gauge' => [
        'is' => 'gauge',
        'means' => 'How fine a needle is: the higher the number, the finer.',
        'said' => 'gauge|gauges',
    ],
    'barb' => [
        'is' => 'barb',
        'means' => 'A tiny notch in the needle that takes fibres along as it goes in.',
        'said' => 'barb|barbs',
    ],
    'needle' => [
        'is' => 'felting needle',
        'means' => 'A steel needle with barbs. It breaks when it is bent: it goes out the way it went in.',
        'said' => 'felting needle|felting needles',
    ],
    'reverse' => [
        'is' => 'reverse needle',
        'means' => 'Its barbs point backwards: it pulls fibres out, for fur.',
        'said' => 'reverse needle|reverse needles',
    ],
    'holder' => [
        'is' => 'holder',
        'means' => 'A handle for several needles: the rough work goes three times as fast.',
        'said' => 'holder|holders',
    ],
    'shallow' => [
        'is' => 'shallow and deep',
        'means' => 'How far the needle goes in: a few millimetres for the skin, to the middle for shape.',
        'said' => 'shallow|shallow stabs',
    ],
    'pad' => [
        'is' => 'pad',
        'means' => 'What you stab on: foam, a brush or a wool mat. It saves the needle and the table.',
        'said' => 'pad|pads',
    ],
    'guard' => [
        'is' => 'finger guard',
        'means' => 'A sleeve of leather or rubber for the fingers that hold the wool.',
        'said' => 'finger guard|finger guards',
    ],
    'tack' => [
        'is' => 'tack',
        'means' => 'A few stabs that hold a piece where it is before it is felted down.',
        'said' => 'tack|tacked',
    ],
    'clump' => [
        'is' => 'loose clump',
        'means' => 'Wool as it comes out of the bag, rolled by hand: two to three times as large as the felted part.',
        'said' => 'loose clump|loose clumps',
    ],
    'portion' => [
        'is' => 'portion',
        'means' => 'Wool weighed off for one piece before anything is felted, so that twins come out equal.',
        'said' => 'portion|portions',
    ],
    'layers' => [
        'is' => 'in layers',
        'means' => 'A core is built up from a small tight ball and wraps round it; one big clump would get stabbed into your fingers.',
        'said' => 'in layers of|layers',
    ],
    'slit' => [
        'is' => 'slit join',
        'means' => 'A part goes into a small cut in the other, and is felted shut round it.',
        'said' => 'slit join|slit',
    ],
    'sandwich' => [
        'is' => 'sandwich join',
        'means' => 'The end of a flat part is fanned out and lies between two layers of the other.',
        'said' => 'sandwich|sandwich join',
    ],
    'wrap' => [
        'is' => 'wrap',
        'means' => 'A flat ribbon of tops wound round a wire or a limb, each turn over the edge of the last.',
        'said' => 'wrap|wraps|wrapped',
    ],
    'wire' => [
        'is' => 'armature',
        'means' => 'A skeleton of wire or pipe cleaner that lets limbs be bent.',
        'said' => 'armature|armatures',
    ],
    'pre-felt' => [
        'is' => 'pre-felt',
        'means' => 'A sheet of half-felted wool: pieces cut from it keep a crisp edge.',
        'said' => 'pre-felt|pre-felts',
    ],
    'loops' => [
        'is' => 'loops',
        'means' => 'Yarn pushed in so that it stands up in loops, for fleece and manes.',
        'said' => 'loops|loop',
    ],
    'tufts' => [
        'is' => 'tufts',
        'means' => 'Short bundles of fibre set in by their middle, for fur.',
        'said' => 'tufts|tuft',
    ],
    'plait' => [
        'is' => 'plait',
        'means' => 'Three strands plaited: it takes a third more than its length of each.',
        'said' => 'plait|plaits',
    ],
    'spark' => [
        'is' => 'spark',
        'means' => 'The tiny white glint in an eye.',
        'said' => 'spark|sparks',
    ],
    'patch' => [
        'is' => 'spot, patch, line',
        'means' => 'A small round, a shaped, and a narrow piece of colour on the surface.',
        'said' => 'patch|patches',
    ],
    'mark' => [
        'is' => 'mark',
        'means' => 'Where to prick before a face is laid: so far across, so far down, with a tape on the wool.',
        'said' => 'mark|marks',
    ],
    'crown' => [
        'is' => 'crown',
        'means' => 'The highest point of a head on its middle line, from which a tape goes down.',
        'said' => 'crown',
    ],
    'mix' => [
        'is' => 'blend',
        'means' => 'Two or three wools teased together by hand until no streak is left.',
        'said' => 'blend|blends|mix|mixes|teased',
    ],
    'steam' => [
        'is' => 'steam',
        'means' => 'Thin flat pieces are held in steam with tongs and bent to shape.',
        'said' => 'steam|steamed',
    ],
    'foot' => [
        'is' => 'foot',
        'means' => 'All that touches the table. The wider it is, the farther a figure can lean.',
        'said' => 'footprint|base',
    ],
    'reserve' => [
        'is' => 'reserve',
        'means' => 'Wool kept ready beyond the likely weight, so that the main colour does not run out halfway.',
        'said' => 'reserve|reserves',
    ],
    'trim' => [
        'is' => 'trim',
        'means' => 'Cut off the fuzz that stands off, with small sharp scissors, flat along the wool.',
        'said' => 'trim|trimmed',
    ],
];
