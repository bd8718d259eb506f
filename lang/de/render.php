<?php

declare(strict_types=1);

return [
    'render-refused' => [
        'the-picture-cannot-be' => 'Dieses Bild lässt sich nicht machen',
        'this-figure-keeps-no' => 'Diese Figur hat keine Zeichnung zum Unterlegen: In ihrem Dokument steht kein „picture“. --match weglassen.',
        'only-the-front-view' => 'Nur die Vorderansicht liegt über der Zeichnung.',
        'the-figure-says' => 'Die Figur sagt, ihre Zeichnung habe {width} x {height} Pixel: Über {mostMegapixels} Megapixel wird nichts darübergelegt.',
        'a-sample-photo-has' => 'Ein Beispielfoto hat auf der längeren Seite 200 bis 2400 Pixel; {px} geht nicht.',
        'a-render-is-16' => 'Ein Bild ist 16 bis 4096 Pixel groß, nicht {px}.',
        'the-light-is-one' => 'Das Licht ist eines von {list}.',
    ],
];
