<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Accounts\CurrentFelter;
use App\Api\Body;
use App\Models\Felter;
use App\Models\Figure;
use Illuminate\Http\JsonResponse;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Where the felter is at work, so that another device goes on there. */
final class PlaceController
{
    /** The page, and what lies open on it; nothing else is ever opened by it. */
    private const PAGE = '~^/figures/([0-9]{1,18})/(shapes|wool|face|build|check)(\?[A-Za-z0-9=&:._-]{0,120})?$~D';

    public function show(): JsonResponse
    {
        $page = (string) Felter::query()->find(CurrentFelter::id())?->place;
        $isPage = preg_match(self::PAGE, $page, $found) === 1;
        $figure = $isPage ? Figure::query()->find((int) $found[1]) : null;

        return new JsonResponse($figure === null ? ['page' => '', 'name' => ''] : ['page' => $page, 'name' => $figure->name]);
    }

    public function update(Body $body): JsonResponse
    {
        $page = $body->text('page');
        if (preg_match(self::PAGE, $page) !== 1) {
            throw new HttpException(422, (string) Message::of('house.refused.no-page'));
        }
        Felter::query()->whereKey(CurrentFelter::id())->update(['place' => $page]);

        return new JsonResponse(['page' => $page, 'name' => '']);
    }
}
