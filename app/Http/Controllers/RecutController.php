<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\DocumentResponse;
use App\Http\Requests\Body;
use App\Models\Picture;
use Impa\Figure\Edits;
use Impa\Seeing\Recut;
use Impa\Shape\ShapeKind;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The felter's own cuts and everyday changes; the changed document comes back, nothing is saved. */
final class RecutController
{
    private const ACTS = [
        'split', 'merge', 'lasso', 'to-detail', 'to-part', 'remove', 'double', 'paint', 'add', 'mend', 'part-pair',
    ];

    public function store(Body $body): DocumentResponse
    {
        $figure = $body->figure();
        $act = $body->text('act');
        $isPart = static fn (): bool => match ($body->text('kind')) {
            'part' => true,
            'detail' => false,
            default => throw new HttpException(422, 'The member "kind" is part or detail.'),
        };
        $edited = match ($act) {
            'split' => Recut::split($figure, $body->text('key'), ...array_slice($body->points('line'), 0, 2)),
            'merge' => Recut::merge($figure, $body->texts('keys')),
            'lasso' => Recut::lasso(
                $figure,
                $body->points('line'),
                $body->intOr('picture', null) === null ? '' : Picture::chosen($body->int('picture'))->bytes(),
            ),
            'to-detail' => Recut::toDetail($figure, $body->text('key')),
            'to-part' => Recut::toPart($figure, $body->text('key')),
            'remove' => Edits::remove($figure, $isPart(), $body->texts('keys')),
            'double' => Edits::double($figure, $isPart(), $body->text('key')),
            'paint' => Edits::paint($figure, $isPart(), $body->texts('keys'), $body->colour('hex')->toHex(), $body->text('name')),
            'add' => Edits::add($figure, self::shape($body->text('shape')), $body->text('on')),
            'mend' => Edits::mend($figure, $body->text('key'), $body->object('set'), $body->objects('add'), $body->texts('remove')),
            'part-pair' => Edits::parted($figure, $body->text('key')),
            default => throw new HttpException(422, sprintf('The member "act" is one of %s.', implode(', ', self::ACTS))),
        };

        return new DocumentResponse(['document' => $edited->document, 'kind' => $edited->kind, 'key' => $edited->key]);
    }

    private static function shape(string $kind): ShapeKind
    {
        return ShapeKind::tryFrom($kind) ?? throw new HttpException(422, 'The member "shape" is no shape of the catalogue.');
    }
}
