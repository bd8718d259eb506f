<?php

declare(strict_types=1);

return [
    'picture-refused' => [
        'the-picture-cannot-be' => 'The picture cannot be used',
        'the-file-is-empty' => 'The file is empty. Save the picture again and choose that file.',
        'this-is-not' => 'This is not a picture. Use a PNG, JPEG, WebP, GIF or SVG file.',
        'pictures-of-the-kind' => 'Pictures of the kind {mime} are not read. Save it as PNG, JPEG, WebP or GIF.',
        'too-large' => 'The picture has {width} megapixels ({width2} x {height}), and 40 are the most. Save it smaller: 1000 pixels across are plenty.',
        'the-picture-is-damaged' => 'The picture is damaged or cut short: it cannot be read to its end. Save or download it again.',
        'this-webp-file' => 'This WebP file is an animation. Save one of its frames as a PNG.',
        'nothing-stands-out-from' => 'Nothing stands out from the background in this picture: it is all one colour. Use a drawing on a plain or transparent background.',
        'the-picture-is-x' => 'The picture is {width} x {height} pixels, longer than any drawing: cut out the part with the figure.',
        'the-picture-is-only' => 'The picture is only {width} x {height} pixels; a drawing needs at least 16 x 16 to show shapes.',
        'a-finished-height-lies' => 'A finished height lies between {mm} and {mm2}, not {height}.',
        'how-strongly-shades-are' => 'How strongly shades are merged lies between 0 and 1, not {shades}.',
        'layers-are-of-sheet' => 'Layers are of sheet or of batting, not of "{said}".',
        'the-figure-is-counted' => 'The figure is counted from 1 (0 for all of them), and sizes are rounded to steps of 0 to {mm}.',
        'a-brush-stroke-says' => 'A brush stroke says what is there (paper, figure or ink), how wide it is (a share of the picture, {leastWidth} to {mostWidth}) and where it went (up to {mostPoints} points, each from 0 to 1 across and down).',
        'more-than-brush-strokes' => 'More than {most} brush strokes lie on this picture, or very long ones; brush less: a dab is mostly enough.',
        'a-sheet-has-four' => 'A sheet has four corners, from its upper left one on clockwise, none bent inwards: drag them onto its own.',
        'of-the-views' => 'Of the views of a character one is the front, and at most one the side and one the back.',
        'views-were-named-but' => '{views} views were named, but {figures} figures stand on the picture.',
        'a-view-is-front' => 'A view is front, left, right, back or none.',
        'there-is-no-figure' => 'There is no figure {figure} on this picture: {count, plural, one {only one stands there} other {# stand there}}.',
        'stopped-nothing-was-kept' => 'Stopped. Nothing was kept.',
    ],
    'svg-drawing' => [
        'this-svg-is-larger' => 'This SVG is larger than 5 MB. Export it simpler, or as PNG.',
        'this-svg-declares-entities' => 'This SVG declares entities, which a drawing does not need. Export it as plain SVG, or as PNG.',
        'this-svg-is-damaged' => 'This SVG is damaged: it is not well-formed XML. Export it once more, or as PNG.',
        'this-svg-has-more' => 'This SVG has more than {mostElements} pieces. Export it simpler, or as PNG.',
        'this-svg-carries-which' => 'This SVG carries "{name}", which is for pages, not for drawings. Export it as plain SVG, or as PNG.',
        'this-svg-carries-which-2' => 'This SVG carries "{name}", which is not known here. Export it as plain SVG, or as PNG.',
        'this-svg-repeats-itself' => 'This SVG repeats itself more than 2000 times. Export it with its pieces drawn out, or as PNG.',
        'this-svg-carries-scripts' => 'This SVG carries scripts. Export it as plain SVG, or as PNG.',
        'this-svg-asks' => 'This SVG asks for something from elsewhere ("{what}"): only what is in the file itself is drawn. Embed it, or export as PNG.',
        'this-svg-does-not' => 'This SVG does not say how large it is, by a view box or by width and height.',
    ],
    'grain' => [
        'the-picture-is-grainy' => 'The picture is grainy; its grain was smoothed away before it was looked at.',
    ],
    'photo-faults' => [
        'a-glare-lies' => 'A glare lies on this photo, and what it covers is lost. Turn the sheet or the lamp and take it again.',
        'a-pattern-of-stripes' => 'A pattern of stripes lies over this photo, as of a screen. Take it from farther off, or save the picture itself.',
    ],
    'raster' => [
        'this-is-an-animation' => 'This is an animation; its first frame was taken.',
        'the-camera-held-this' => 'The camera held this picture sideways; it was turned upright.',
        'this-is-pixel-art' => 'This is pixel art of {cells} x {cells2} cells; its stairs were read as slants and rounds.',
    ],
    'pixels' => [
        'too-slow' => 'This SVG takes too long to draw. Export it simpler, or as PNG.',
        'no-librsvg' => 'SVG drawings want librsvg on this machine (Debian: librsvg2-bin). Add it, or export as PNG.',
        'not-drawn' => 'This SVG cannot be drawn, or takes too long. Export it simpler, or as PNG.',
    ],
];
