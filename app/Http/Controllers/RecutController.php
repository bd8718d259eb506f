<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Http\DocumentResponse;
use App\Models\Picture;
use Illuminate\Http\Request;
use Impa\Picture\Recut;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The felter's own cuts; the changed document comes back, nothing is saved. */
final class RecutController
{
    public function store(Request $request): DocumentResponse
    {
        $body = Body::of($request);
        $figure = $body->figure();
        $act = $body->text('act');
        $recut = match ($act) {
            'split' => Recut::split($figure, $body->text('key'), ...array_slice($body->points('line'), 0, 2)),
            'merge' => Recut::merge($figure, $body->texts('keys')),
            'lasso' => Recut::lasso($figure, $body->points('line'), $body->intOr('picture', null) === null ? '' : Picture::chosen($body->int('picture'))->bytes()),
            'to-detail' => Recut::toDetail($figure, $body->text('key')),
            'to-part' => Recut::toPart($figure, $body->text('key')),
            default => throw new HttpException(422, 'The member "act" is one of split, merge, lasso, to-detail and to-part.'),
        };

        return new DocumentResponse(['document' => $recut->document, 'key' => $recut->key]);
    }
}
