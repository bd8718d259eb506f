<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Http\DocumentResponse;
use App\Models\Picture;
use Impa\Seeing\Editing\PartEditor;

/** The felter's own cuts of what was seen; the changed document comes back, nothing is saved. */
final class PartEditController
{
    public function split(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(
            PartEditor::split($body->figure(), $body->text('key'), ...array_slice($body->points('line'), 0, 2)),
        );
    }

    public function merge(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(PartEditor::merge($body->figure(), $body->texts('keys')));
    }

    /** A stretch of the drawing made a part, by its colour there where the picture is said. */
    public function lasso(Body $body): DocumentResponse
    {
        $picture = $body->intOr('picture', null) === null ? '' : Picture::chosen($body->int('picture'))->bytes();

        return DocumentResponse::edited(PartEditor::lasso($body->figure(), $body->points('line'), $picture));
    }

    public function toDetail(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(PartEditor::toDetail($body->figure(), $body->text('key')));
    }

    public function toPart(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(PartEditor::toPart($body->figure(), $body->text('key')));
    }
}
