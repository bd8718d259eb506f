<?php

declare(strict_types=1);

namespace App\Http\Controllers\Face;

use App\Api\Body;
use App\Hand\Profile;
use App\Models\Needle;
use Illuminate\Http\JsonResponse;
use Impa\Face\Advice\Advice;
use Impa\Face\Advice\Evenness;
use Impa\Face\Advice\FaceAdvice;
use Impa\Face\Advice\Guides;
use Impa\Face\Advice\NeedlesEye;
use Impa\Face\Advice\Sliding;
use Impa\Face\FaceRefused;
use Impa\Face\Laying;
use Impa\Face\LayingOrder;
use Impa\Figure\Detail;
use Impa\Figure\Term\Keep;
use Impa\Geometry\Bisection;
use Impa\Surface\Anchor;
use Impa\Surface\Chart;
use Impa\Surface\Girth;
use Impa\Surface\Surface;
use Impa\Surface\TapeGrid;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Marks, lines and advice for the face of one part; nothing is saved. */
final class FaceController
{
    /** The tape-millimetre grid on the front of one part, its girth, and where faces usually sit on it. */
    public function store(Body $body): JsonResponse
    {
        [, $part] = $body->part();
        $surface = Surface::of($part->placements()[0]);
        $grid = TapeGrid::of($surface);
        $half = static fn (float $y): float => Bisection::of(static fn (float $mm): bool => $surface->has($mm, $y));

        return new JsonResponse(
            $grid + [
                'girth' => Girth::widest($part, $surface, $grid['crownMm'], $grid['footMm']),
                'guides' => Guides::on($grid['crownMm'], $grid['footMm'], $half),
            ],
        );
    }

    /**
     * What the details of a part are worth knowing by while they are moved about: in which order they are laid, what is
     * amiss with each, and how even they are.
     */
    public function advice(Body $body): JsonResponse
    {
        [$figure, $part] = $body->part();
        $even = Evenness::of($figure, $part->key);
        $advice = array_map(
            static fn (array $list): array => array_map(static fn (Advice $a): array => $a->document(), $list),
            FaceAdvice::of($figure, $part->key, Profile::needles(), $even),
        );

        return new JsonResponse([
            'order' => array_map(
                static fn (Detail $d): string => $d->key,
                LayingOrder::of($figure, $figure->detailsOn($part->key)),
            ),
            'advice' => (object) $advice,
            'evenness' => ['levelMm' => $even->levelMm, 'asideMm' => $even->asideMm, 'eyeLineMm' => $even->eyeLineMm],
        ]);
    }

    /** How every detail of a part is laid, in order. */
    public function laying(Body $body): JsonResponse
    {
        [$figure, $part] = $body->part();
        $needles = Profile::needles();
        $surfaces = $laying = [];
        foreach (LayingOrder::of($figure, $figure->detailsOn($part->key)) as $detail) {
            $surface = $surfaces[$detail->lie->side->value] ??= Surface::of($part->placements()[0], $detail->lie->side);
            $laying[] = Laying::of($figure, $detail, $surface, $needles)->document();
        }

        return new JsonResponse(['laying' => $laying]);
    }

    /** Where the details of a part lie from an anchor, and which anchors there are; or with `at`, where these places lie. */
    public function marks(Body $body): JsonResponse
    {
        [$figure, $part] = $body->part();
        $surface = Surface::of($part->placements()[0]);
        if ($body->has('at')) {
            return new JsonResponse([
                'at' => array_map(
                    static fn (array $p): ?array => Anchor::crown($surface)->to($surface, ...$p),
                    $body->points('at'),
                ),
            ]);
        }
        $from = $body->text('from', 'crown');
        $anchors = Anchor::all($figure, $part, $surface);
        $anchor =
            array_values(array_filter($anchors, static fn (Anchor $a): bool => $a->key === $from))[0] ??
            throw new HttpException(422, (string) Message::of('house.refused.no-anchor'));
        $marks = [];
        foreach ($figure->detailsOn($part->key) as $detail) {
            $marks[$detail->key] = $anchor->to($surface, ...$detail->middle());
        }

        return new JsonResponse(['marks' => (object) $marks, 'anchors' => array_map(get_object_vars(...), $anchors)]);
    }

    /** From mark to mark: by calipers, and by tape. */
    public function between(Body $body): JsonResponse
    {
        [, $part] = $body->part();
        $points = $body->points('points');
        if (count($points) !== 2) {
            throw new HttpException(422, (string) Message::of('house.face-controller.the-member-points-must'));
        }

        return new JsonResponse(
            Chart::of(Surface::of($part->placements()[0]))->between(...$points) ??
                throw new HttpException(422, (string) Message::of('house.face-controller.one-of-the-two')),
        );
    }

    /** A detail kept as drawn, or kept in size, where it would slide round the edge. */
    public function keep(Body $body): JsonResponse
    {
        [$figure, $detail] = $body->detail();
        $keep = Keep::tryFrom($body->text('keep'));
        $surface = Surface::of($figure->parts[$detail->on]->placements()[0], $detail->lie->side);
        $set = match ($keep) {
            Keep::AsDrawn => ['keep' => 'drawn'],
            Keep::InSize => Sliding::inSize($detail, $surface),
            default => throw new HttpException(422, (string) Message::of('house.face-controller.a-detail-is-kept')),
        };
        if ($set === []) {
            throw FaceRefused::noSuchDetail($detail->key, mb_strtolower($figure->parts[$detail->on]->name));
        }

        return new JsonResponse(['set' => $set]);
    }

    /** A detail as the needle sees it. */
    public function needlesEye(Body $body): JsonResponse
    {
        [$figure, $detail] = $body->detail();

        return new JsonResponse(
            NeedlesEye::on($figure, $detail, Surface::of($figure->parts[$detail->on]->placements()[0], $detail->lie->side)),
        );
    }
}
