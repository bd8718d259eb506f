<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Http\DocumentResponse;
use App\Http\Requests\Body;
use App\Models\Figure as SavedFigure;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Impa\Face\Together;
use Impa\Figure\Editing\Accessories;
use Impa\Figure\Editing\Buried;
use Impa\Figure\Editing\Edits;
use Impa\Figure\Figure;
use Impa\Figure\Term\Carried;
use Impa\Seeing\Editing\PartEditor;
use Impa\Shape\ShapeKind;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The felter's own cuts and everyday changes; the changed document comes back, nothing is saved. */
final class RecutController
{
    private const ACTS = [
        'split', 'merge', 'lasso', 'to-detail', 'to-part', 'remove', 'double', 'paint', 'add', 'mend', 'part-pair',
        'twin', 'axis', 'gather', 'resize', 'fasten', 'put', 'forwards', 'round', 'height',
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
        // What makes one thing with a detail goes with it, unless she says otherwise.
        $others = static fn (): array => $body->flag('alone') ? [] : Together::all($figure)[$body->text('key')] ?? [];
        $edited = match ($act) {
            'split' => PartEditor::split($figure, $body->text('key'), ...array_slice($body->points('line'), 0, 2)),
            'merge' => PartEditor::merge($figure, $body->texts('keys')),
            'lasso' => PartEditor::lasso(
                $figure,
                $body->points('line'),
                $body->intOr('picture', null) === null ? '' : Picture::chosen($body->int('picture'))->bytes(),
            ),
            'to-detail' => PartEditor::toDetail($figure, $body->text('key')),
            'to-part' => PartEditor::toPart($figure, $body->text('key')),
            'remove' => Edits::remove(
                $figure,
                $isPart(),
                $isPart() || $body->flag('alone') ? $body->texts('keys') : Together::with($figure, $body->texts('keys')),
            ),
            'double' => Edits::double($figure, $isPart(), $body->text('key'), $isPart() ? [] : $others()),
            'twin' => Edits::twinned($figure, $body->text('key'), $body->flag('pair'), $others()),
            'paint' => Edits::paint($figure, $isPart(), $body->texts('keys'), $body->colour('hex')->toHex(), $body->text('name')),
            'add' => Edits::add($figure, self::shape($body->text('shape')), $body->text('on')),
            'mend' => Edits::mend($figure, $body->text('key'), $body->object('set'), $body->objects('add'), $body->texts('remove')),
            'part-pair' => Edits::parted($figure, $body->text('key'), $others()),
            'axis' => Edits::axisMoved($figure, $body->float('mm')),
            'forwards' => Buried::forwards($figure, $body->text('key')),
            'round' => Buried::laidRound($figure, $body->text('key')),
            'height' => Edits::ofOneHeight($figure, $body->flag('grow')),
            'gather' => Accessories::gather($figure, $body->texts('keys'), $body->text('name')),
            'resize' => Accessories::resize($figure, $body->text('thing'), $body->float('times')),
            'fasten' => Accessories::fasten($figure, $body->text('thing'), $body->text('holder')),
            'put' => Accessories::put(
                $figure,
                Figure::fromJson(SavedFigure::query()->findOrFail($body->int('from'))->document),
                $body->text('name'),
                Carried::tryFrom($body->text('how', 'held')) ?? throw new HttpException(422, 'A thing is held, worn or beside.'),
                $body->text('holder'),
                $body->float('heightMm'),
            ),
            default => throw new HttpException(422, sprintf('The member "act" is one of %s.', implode(', ', self::ACTS))),
        };

        return new DocumentResponse(['document' => $edited->document, 'kind' => $edited->kind, 'key' => $edited->key]);
    }

    /** The things that a figure holds, wears or has beside it. */
    public function things(Body $body): JsonResponse
    {
        return new JsonResponse(['things' => Accessories::all($body->figure())]);
    }

    /** One of them as a figure of its own. */
    public function taken(Body $body): DocumentResponse
    {
        return new DocumentResponse(['document' => Accessories::taken($body->figure(), $body->text('thing'))]);
    }

    private static function shape(string $kind): ShapeKind
    {
        return ShapeKind::tryFrom($kind) ?? throw new HttpException(422, 'The member "shape" is no shape of the catalogue.');
    }
}
