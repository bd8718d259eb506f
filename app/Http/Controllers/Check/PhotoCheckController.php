<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Api\Body;
use App\Http\DocumentResponse;
use App\Models\Figure;
use App\Models\PhotoCheck as PhotoCheckRow;
use App\Models\Picture;
use App\Printing\PagesPdf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Impa\Check\Photo\Scale;
use Impa\Check\PhotoCheck;
use Impa\Figure\Figure as FigureOfCore;
use Impa\Print\Template\MarkerPage;
use Impa\Render\Bench\BenchCamera;
use Impa\Render\Bench\RandomDeviations;
use Impa\Render\View;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Photos of a finished figure against its plan. */
final class PhotoCheckController
{
    /** Of a figure so many photos are kept, the latest. */
    private const KEPT = 24;

    public function index(Figure $figure): JsonResponse
    {
        /** @var list<PhotoCheckRow> $rows */
        $rows = PhotoCheckRow::query()->where('figure_id', $figure->id)->oldest('at')->get()->all();

        return new DocumentResponse(['photos' => array_map(static fn (PhotoCheckRow $row): array => [
            'id' => $row->id,
            'picture' => $row->picture_id,
            'at' => $row->at,
            'check' => json_decode($row->found),
        ], $rows)]);
    }

    /**
     * Holds a photo against the figure as it is sent, or against one part of it, and keeps both. The scale is told by knownMm: how far
     * two places on a ruler lie apart, or how wide a part is.
     */
    public function store(Body $body, Figure $figure): JsonResponse
    {
        $picture = Picture::chosen($body->int('picture'));
        $found = PhotoCheck::of(self::shown($body), $picture->bytes(), self::view($body), self::scale($body))->document();
        PhotoCheckRow::query()->create([
            'figure_id' => $figure->id,
            'picture_id' => $picture->id,
            'view' => $found['view'],
            'found' => json_encode($found, JSON_THROW_ON_ERROR),
            'at' => (int) (microtime(true) * 1000),
        ]);
        $old = PhotoCheckRow::query()->where('figure_id', $figure->id)->latest('at')->skip(self::KEPT)->take(100)->pluck('id');
        PhotoCheckRow::query()->whereIn('id', $old)->delete();

        return $this->index($figure);
    }

    public function destroy(Figure $figure, int $photo): JsonResponse
    {
        PhotoCheckRow::query()->where('figure_id', $figure->id)->whereKey($photo)->delete();

        return $this->index($figure);
    }

    /** The stand-in for a camera over the bench: photographs the figure as hands would have made it, otherwise at every seed. */
    public function camera(Body $body): JsonResponse
    {
        $figure = self::shown($body);
        if ($figure->parts === []) {
            throw new HttpException(422, (string) Message::of('house.refused.no-parts'));
        }
        $seed = max(0, min(999_999, $body->intOr('seed', 1) ?? 1));
        $px = $body->intOr('px', 1600) ?? 1600;
        $made = RandomDeviations::of($figure, $seed);
        $picture = Picture::keep(BenchCamera::png($figure, $made, self::view($body), $seed, $body->flag('marker'), $px));

        return new JsonResponse(['id' => $picture->id, 'widthPx' => $picture->width_px, 'heightPx' => $picture->height_px], 201);
    }

    public function marker(Body $body): Response
    {
        $page = MarkerPage::page($body->figure(), $body->paper());

        return new Response(PagesPdf::of([$page], $body->paper()), 200, ['Content-Type' => 'application/pdf']);
    }

    /** The figure, or one piece of a part of it. */
    private static function shown(Body $body): FigureOfCore
    {
        return $body->has('part') ? $body->figure()->onlyPiece($body->part()[1]->key) : $body->figure();
    }

    private static function scale(Body $body): ?Scale
    {
        if ($body->has('ruler')) {
            $places = $body->points('ruler');

            return count($places) === 2
                ? Scale::byRuler($places[0], $places[1], $body->float('knownMm'))
                : throw new HttpException(422, (string) Message::of('house.photo-check-controller.a-ruler-is-known'));
        }

        return $body->has('knownPart') ? Scale::byPart($body->text('knownPart'), $body->float('knownMm')) : null;
    }

    private static function view(Body $body): View
    {
        return View::tryFrom($body->text('view', 'front')) ?? throw new HttpException(
            422,
            (string) Message::of('house.photo-check-controller.a-view-is-front'),
        );
    }
}
