<?php

declare(strict_types=1);

return [
    'render-refused' => [
        'the-picture-cannot-be' => 'The picture cannot be made',
        'this-figure-keeps-no' => 'This figure keeps no drawing to lie over: its document has no "picture". Leave --match out.',
        'only-the-front-view' => 'Only the front view lies over the drawing.',
        'the-figure-says' => 'The figure says that its drawing is {width} x {height} pixels: beyond {mostMegapixels} megapixels nothing is drawn to lie over it.',
        'a-sample-photo-has' => 'A sample photo has 200 to 2400 pixels along its longer side; {px} is out of range.',
        'a-render-is-16' => 'A render is 16 to 4096 pixels large, not {px}.',
        'the-light-is-one' => 'The light is one of {list}.',
    ],
];
