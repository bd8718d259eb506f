<?php

declare(strict_types=1);

return [
    'next' => [
        'no-parts' => 'There are no shapes yet: add one, or look at the drawing again.',
        'loose' => '{count, plural, one {One part touches nothing} other {# parts touch nothing}}: say what it is joined to.',
        'gap' => '{count, plural, one {One part does not reach} other {# parts do not reach}} what it is joined to: move it closer.',
        'falls' => 'It falls over: open How it stands, and try what helps.',
        'touchy' => 'It stands, but only just: open How it stands.',
        'buried' => '{count, plural, one {One part is hidden} other {# parts are hidden}} inside another: bring it forwards.',
        'height' => 'The parts are not as tall as the figure is to be: see above, under Tall.',
        'thin' => '{count, plural, one {One part is} other {# parts are}} too thin to felt: make it thicker, or cut it from a sheet.',
        'deep' => '{count, plural, one {One part is} other {# parts are}} thicker than a needle reaches: build it up in layers.',
        'wire' => '{count, plural, one {One long part wants} other {# long parts want}} a wire: open Wires.',
        'shapes-ready' => 'The shapes are ready: go on to Wool.',
        'lacking' => 'The stash is short of {count, plural, one {one wool} other {# wools}}: see To buy, or mix a colour.',
        'set-aside' => 'Set the wool aside, so that no other figure counts on it.',
        'aside' => 'The wool is set aside: begin with Build.',
        'used' => 'This figure is finished, and its wool is taken out of the stash.',
        'no-eyes' => 'There are no eyes yet: put them on from Pieces.',
        'no-mouth' => 'There is no mouth yet: put one on from Pieces, or leave it so.',
        'unclean' => '{count, plural, one {One detail} other {# details}} may not come out as drawn: choose it and read why.',
        'face-ready' => 'The face is ready: go on to Build.',
        'step' => '{count, plural, one {One step is} other {# steps are}} left. Next: {title}.',
        'all-done' => 'All steps are done: go on to Check.',
        'not-begun' => 'Nothing is felted yet: begin with Build.',
        'part-weigh' => 'Weigh and measure a finished part, under Parts: the numbers become yours.',
        'left' => '{count, plural, one {One step is} other {# steps are}} left in Build.',
        'photo' => 'Take a photo: Impa lays the plan over it.',
        'finish' => 'Look it over under Finish, and keep its card.',
    ],
    'no-such-station' => 'There is no station “{station}”. Ask for one of: {known}.',
];
