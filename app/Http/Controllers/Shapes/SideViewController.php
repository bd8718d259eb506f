<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Http\DocumentResponse;
use App\Models\Picture;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Views\SideView;

/** Depths from a second drawing; the changed document comes back, nothing is saved. */
final class SideViewController
{
    public function store(Body $body): DocumentResponse
    {
        $picture = Picture::chosen($body->int('picture'));
        $figure = $body->figure();
        $seen = Breakdown::ofSide($picture->bytes(), $figure);
        $side = SideView::of($figure, $seen, $body->flag('facesLeft'), $body->text('file'), $picture->hash);

        return new DocumentResponse(['document' => $side->document, 'notices' => $side->notices]);
    }
}
