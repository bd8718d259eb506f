<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\DocumentResponse;
use App\Http\Requests\Body;
use App\Models\Picture;
use Impa\Seeing\SideView;

/** Depths from a second drawing; the changed document comes back, nothing is saved. */
final class SideViewController
{
    public function store(Body $body): DocumentResponse
    {
        $picture = Picture::chosen($body->int('picture'));
        $side = SideView::of($body->figure(), $picture->bytes(), $body->flag('facesLeft'), $body->text('file'), $picture->hash);

        return new DocumentResponse(['document' => $side->document, 'notices' => $side->notices]);
    }
}
