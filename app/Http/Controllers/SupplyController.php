<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Printing\Pdf;
use App\Shop\Mood;
use App\Shop\Shop;
use App\Shop\ShopClosed;
use App\Shop\SimulatedShop;
use App\Stash\Stash;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Impa\Colour\Srgb;
use Impa\Figure\Colour;
use Impa\Print\Paper;
use Impa\Print\PortionsSheet;
use Impa\Print\ShoppingSheet;
use Impa\Stash\Reserve;
use Impa\Stash\ShoppingList;
use Impa\Stash\StashTable;
use Impa\Stash\Supply;
use Impa\Wool\Portions;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What a figure takes, against the stash: matches, needs, portions, coverings; what to print and what to buy. */
final class SupplyController
{
    public function store(Request $request): JsonResponse
    {
        $body = Body::of($request);

        return new JsonResponse(self::supply($body)->document($body->floatOr('sheetWidthMm', 200.0)));
    }

    public function portions(Request $request): Response
    {
        $body = Body::of($request);

        return self::pdf(PortionsSheet::of(self::supply($body)), $body);
    }

    public function split(Request $request): JsonResponse
    {
        $body = Body::of($request);
        $ratio = array_values($body->numbers('ratio'));

        return new JsonResponse(['grams' => $ratio === [] ? [] : Portions::split($body->float('grams'), $ratio)]);
    }

    public function shopping(Request $request): JsonResponse|Response
    {
        $body = Body::of($request);
        $supply = self::supply($body);
        $shop = self::shop($body);
        $figure = $supply->figure;
        $closed = '';
        try {
            $offers = $shop->offers();
        } catch (ShopClosed $e) {
            $offers = [];
            $closed = $e->getMessage();
        }
        $list = ShoppingList::of(
            $supply->needs,
            array_map(static fn (Colour $c): Srgb => $c->srgb, $figure->colours),
            array_map(static fn (Colour $c): string => $c->name, $figure->colours),
            $offers,
        );
        $sending = $shop->delivery($list->price());

        return match ($body->text('as', 'json')) {
            'json' => new JsonResponse([
                'lines' => array_map(
                    static fn (array $l): array => [
                        'name' => $l['offer']->name,
                        'hex' => $l['offer']->colour?->toHex(),
                        'days' => $l['offer']->days,
                    ] + array_diff_key($l, ['offer' => 1]),
                    $list->lines,
                ),
                'missing' => $closed === '' ? $list->missing : array_map(static fn (array $m): array => ['why' => ''] + $m, $list->missing),
                'price' => $list->price(),
                'sending' => $sending,
                'days' => $list->days(),
                'closed' => $closed,
            ]),
            'pdf' => self::pdf(ShoppingSheet::of($figure->name, $list, $sending), $body),
            'csv' => new Response(self::csv($list), 200, ['Content-Type' => 'text/csv; charset=UTF-8']),
            default => throw new HttpException(422, 'A shopping list comes as json, pdf or csv.'),
        };
    }

    public static function supply(Body $body): Supply
    {
        $reserve =
            Reserve::tryFrom($body->text('reserve', 'usual')) ??
            throw new HttpException(422, 'The reserve is one of again, usual and never.');

        return Supply::of($body->figure(), Stash::wools($body->intOr('figure', 0) ?? 0), Stash::swatches(), $reserve);
    }

    private static function shop(Body $body): Shop
    {
        return new SimulatedShop(
            Mood::tryFrom($body->text('shop', 'open')) ??
                throw new HttpException(422, 'The stand-in for a shop is open, slow, sold-out or closed.'),
        );
    }

    private static function pdf(string $html, Body $body): Response
    {
        $paper = Paper::tryFrom($body->text('paper', 'a4')) ?? throw new HttpException(422, 'The paper is a4 or letter.');

        return new Response(Pdf::of($html, $paper), 200, ['Content-Type' => 'application/pdf']);
    }

    private static function csv(ShoppingList $list): string
    {
        $rows = [['wool', 'for', 'grams lacking', 'packs', 'grams bought', 'price', 'days']];
        foreach ($list->lines as $l) {
            $rows[] = [
                $l['offer']->name,
                implode('; ', $l['for']),
                sprintf('%.1f', $l['needG']),
                implode(
                    ' + ',
                    array_map(static fn (array $p): string => sprintf('%d x %d g', $p['count'], $p['packG']), $l['packs']),
                ),
                (string) $l['g'],
                sprintf('%.2f', $l['price']),
                (string) $l['offer']->days,
            ];
        }
        foreach ($list->missing as $m) {
            $rows[] = [$m['name'], '', sprintf('%.1f', $m['needG']), $m['why'], '', '', ''];
        }

        return implode(
            "\r\n",
            array_map(static fn (array $row): string => implode(',', array_map(StashTable::field(...), $row)), $rows),
        )."\r\n";
    }
}
