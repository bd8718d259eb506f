<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Http\DocumentResponse;
use Impa\Face\Together;
use Impa\Figure\Editing\Buried;
use Impa\Figure\Editing\Edits;
use Impa\Figure\Editing\Touching;
use Impa\Figure\Figure;
use Impa\Shape\ShapeKind;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Everyday changes of a figure; the changed document comes back, nothing is saved. */
final class EditController
{
    public function remove(Body $body): DocumentResponse
    {
        [$figure, $isPart, $keys] = [$body->figure(), self::isPart($body), $body->texts('keys')];

        return DocumentResponse::edited(
            Edits::remove($figure, $isPart, $isPart || $body->flag('alone') ? $keys : Together::with($figure, $keys)),
        );
    }

    public function double(Body $body): DocumentResponse
    {
        [$figure, $isPart] = [$body->figure(), self::isPart($body)];

        return DocumentResponse::edited(
            Edits::double($figure, $isPart, $body->text('key'), $isPart ? [] : self::others($figure, $body)),
        );
    }

    public function twin(Body $body): DocumentResponse
    {
        $figure = $body->figure();

        return DocumentResponse::edited(
            Edits::twinned($figure, $body->text('key'), $body->flag('pair'), self::others($figure, $body)),
        );
    }

    public function partPair(Body $body): DocumentResponse
    {
        $figure = $body->figure();

        return DocumentResponse::edited(Edits::parted($figure, $body->text('key'), self::others($figure, $body)));
    }

    public function paint(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Edits::paint(
            $body->figure(),
            self::isPart($body),
            $body->texts('keys'),
            $body->colour('hex')->toHex(),
            $body->text('name'),
        ));
    }

    public function add(Body $body): DocumentResponse
    {
        $figure = $body->figure();
        $shape = ShapeKind::tryFrom($body->text('shape'))
            ?? throw new HttpException(422, (string) Message::of('house.edit-controller.the-member-shape'));

        return DocumentResponse::edited(Edits::add($figure, $shape, $body->text('on')));
    }

    public function mend(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Edits::mend(
            $body->figure(),
            $body->text('key'),
            $body->object('set'),
            $body->objects('add'),
            $body->texts('remove'),
        ));
    }

    /** The middle line, so many mm to the viewer's right. */
    public function axis(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Edits::axisMoved($body->figure(), $body->float('mm')));
    }

    /** A part before or behind the next one. */
    public function depth(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Edits::reordered($body->figure(), $body->text('key'), $body->flag('nearer')));
    }

    /** One more point of a wire. */
    public function wirePoint(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Edits::pointed($body->figure(), $body->text('key')));
    }

    /** A part that a picture shows and the round hides, brought forwards. */
    public function forwards(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Buried::forwards($body->figure(), $body->text('key')));
    }

    /** What the break-down is so sure of, taken. */
    public function takeSurer(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Edits::takeSurer($body->figure(), $body->share('least')));
    }

    /** A part that does not reach what it is joined to, brought to it. */
    public function together(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Touching::brought($body->figure(), $body->text('key')));
    }

    /** A roll across, laid round as a ring. */
    public function round(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Buried::laidRound($body->figure(), $body->text('key')));
    }

    /** What it says and how it stands, made one height. */
    public function height(Body $body): DocumentResponse
    {
        return DocumentResponse::edited(Edits::ofOneHeight($body->figure(), $body->flag('grow')));
    }

    private static function isPart(Body $body): bool
    {
        return match ($body->text('kind')) {
            'part' => true,
            'detail' => false,
            default => throw new HttpException(422, (string) Message::of('house.edit-controller.the-member-kind')),
        };
    }

    /** @return array<string, int> what makes one thing with a detail and goes with it, unless she says otherwise */
    private static function others(Figure $figure, Body $body): array
    {
        return $body->flag('alone') ? [] : Together::all($figure)[$body->text('key')] ?? [];
    }
}
