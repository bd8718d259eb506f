<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Api\Body;
use App\Hand\Profile;
use App\Models\Figure;
use App\Models\Picture;
use App\Printing\BookletPdf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Impa\Print\Share\Booklet;
use Impa\Print\Share\Credit;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** A felter's own figure as a pattern to share, and one that another shared taken in. */
final class BookletController
{
    /** As PDF, or as the file that another Impa takes in. */
    public function store(Body $body, Figure $figure): Response|JsonResponse
    {
        $document = $body->figure();
        $credit = Credit::of($body->text('whose'), $body->text('credit'), $body->text('licence'));
        if ($body->text('as', 'pdf') === 'file') {
            return new JsonResponse(Booklet::document($document, $credit));
        }
        $plan = Profile::plan($document);
        $drawing = $body->flag('drawing') ? self::drawing($figure) : null;
        $booklet = Booklet::of($plan, $credit, $body->paper(), $drawing);

        return new Response(BookletPdf::of($booklet, $body->paper()), 200, ['Content-Type' => 'application/pdf']);
    }

    /** Lays a shared figure on the shelf; it keeps whose it is. */
    public function take(Request $request): JsonResponse
    {
        $figure = Booklet::figure((string) $request->getContent());

        return FigureController::answer(Figure::lay($figure, Profile::summary($figure), null), 201);
    }

    private static function drawing(Figure $figure): string
    {
        $picture = $figure->picture_id === null ? null : Picture::query()->find($figure->picture_id);
        if ($picture === null) {
            throw new HttpException(422, (string) Message::of('house.booklet-controller.this-figure-has-no'));
        }

        return sprintf('data:%s;base64,%s', $picture->media_type, base64_encode($picture->bytes()));
    }
}
