<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Printing\PagesPdf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Impa\Cards\FaceSheets;
use Impa\Cards\Page;
use Impa\Cards\Paper;
use Impa\Colour\Srgb;
use Impa\Face\Chart;
use Impa\Face\CrispAdvice;
use Impa\Face\Grid;
use Impa\Face\Guides;
use Impa\Face\Laying;
use Impa\Face\LayingOrder;
use Impa\Face\Surface;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Render\FromAfar;
use Impa\Render\Painter;
use Impa\Render\View;
use Symfony\Component\HttpKernel\Exception\HttpException;

final class FaceController
{
    /** From how far off a face may be looked at, and how large it is drawn. */
    private const METRES = [0.1, 10.0];

    private const AFAR_PX = 320;

    /** The tape-millimetre grid on the front of one part, and where faces usually sit on it. */
    public function store(Request $request): JsonResponse
    {
        [, $part] = self::read(Body::of($request));

        $grid = Grid::of(Surface::of($part->placements()[0]));

        return new JsonResponse($grid + ['guides' => Guides::on($grid['crownMm'], $grid['footMm'])]);
    }

    /** How every detail of a part is laid, in order, and what would make it crisp. */
    public function laying(Request $request): JsonResponse
    {
        [$figure, $part] = self::read(Body::of($request));
        $laying = $advice = [];
        foreach (LayingOrder::of($figure, $figure->detailsOn($part->key)) as $detail) {
            $laying[] = Laying::of($figure, $detail, Surface::of($part->placements()[0], $detail->side))->document();
            $advice[$detail->key] = CrispAdvice::of($figure, $detail);
        }

        return new JsonResponse(['laying' => $laying, 'advice' => (object) array_filter($advice)]);
    }

    /** From mark to mark: by calipers, and by tape. */
    public function between(Request $request): JsonResponse
    {
        $body = Body::of($request);
        [, $part] = self::read($body);
        $points = $body->points('points');
        if (count($points) !== 2) {
            throw new HttpException(422, 'The member "points" must be two points [x, y] in mm.');
        }

        return new JsonResponse(Chart::of(Surface::of($part->placements()[0]))->between(...$points) ?? throw new HttpException(422, 'One of the two places is not on the part as seen from the front.'));
    }

    /** The part as it looks in wool from so many metres. */
    public function afar(Request $request): Response
    {
        $body = Body::of($request);
        [$figure, $part] = self::read($body);
        $metres = $body->float('metres');
        if ($metres < self::METRES[0] || $metres > self::METRES[1]) {
            throw new HttpException(422, sprintf('It is looked at from %.1f to %.0f m.', ...self::METRES));
        }
        $alone = $figure->onlyPart($part->key);
        $png = Painter::png($alone, View::Front, self::AFAR_PX, Srgb::hex('#efe6d6'));

        return new Response(FromAfar::of($png, Painter::pxPerMm($alone, View::Front, self::AFAR_PX), $metres), 200, ['Content-Type' => 'image/png']);
    }

    /** The face on paper at true size. */
    public function sheets(Request $request): Response
    {
        $body = Body::of($request);
        [$figure, $part] = self::read($body);
        $paper = Paper::tryFrom($body->text('paper', 'a4')) ?? throw new HttpException(422, 'The paper is a4 or letter.');
        $pages = FaceSheets::of($figure, $part)->pages($paper);

        return match ($body->text('as', 'pdf')) {
            'pdf' => new Response(PagesPdf::of($pages, $paper), 200, ['Content-Type' => 'application/pdf']),
            'svg' => new Response(Page::below($pages, $paper), 200, ['Content-Type' => 'image/svg+xml']),
            default => throw new HttpException(422, 'Templates come as pdf or svg.'),
        };
    }

    /** @return array{Figure, Part} */
    private static function read(Body $body): array
    {
        $figure = $body->figure();

        return [$figure, $figure->parts[$body->text('part')] ?? throw new HttpException(422, 'There is no such part in this figure.')];
    }
}
