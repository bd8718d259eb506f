<?php

declare(strict_types=1);

namespace App\Http\Controllers\Wool;

use App\Api\Body;
use App\Http\Requests\SupplyRequest;
use App\Printing\Pdf;
use App\Shop\Purchase;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Impa\Colour\Srgb;
use Impa\Figure\Colour;
use Impa\Print\Page\Paper;
use Impa\Print\Work\PortionsSheet;
use Impa\Print\Work\ShoppingSheet;
use Impa\Stash\Supply\ShoppingList;
use Impa\Stash\Table\StashTable;
use Impa\Voice\Message;
use Impa\Wool\Portion\Portions;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What a figure takes, against the stash: matches, needs, portions, coverings; what to print and what to buy. */
final class SupplyController
{
    public function store(SupplyRequest $asked): JsonResponse
    {
        return new JsonResponse($asked->supply()->document($asked->body->floatOr('sheetWidthMm', 200.0)));
    }

    public function portions(SupplyRequest $asked): Response
    {
        return self::pdf(PortionsSheet::of($asked->supply()), $asked->body->paper());
    }

    public function split(Body $body): JsonResponse
    {
        $ratio = array_values($body->numbers('ratio'));

        return new JsonResponse(['grams' => $ratio === [] ? [] : Portions::split($body->float('grams'), $ratio)]);
    }

    public function shopping(SupplyRequest $asked): JsonResponse|Response
    {
        $supply = $asked->supply();
        $figure = $supply->figure;
        $purchase = Purchase::of(
            $asked->shop(),
            $supply->needs,
            array_map(static fn (Colour $c): Srgb => $c->srgb, $figure->colours),
            array_map(static fn (Colour $c): string => $c->name, $figure->colours),
        );

        return match ($asked->body->text('as', 'json')) {
            'json' => new JsonResponse($purchase->document()),
            'pdf' => self::pdf(ShoppingSheet::of($figure->name, $purchase->list, $purchase->sending), $asked->body->paper()),
            'csv' => new Response(self::csv($purchase->list), 200, ['Content-Type' => 'text/csv; charset=UTF-8']),
            default => throw new HttpException(422, (string) Message::of('house.supply-controller.a-shopping-list-comes')),
        };
    }

    private static function pdf(string $html, Paper $paper): Response
    {
        return new Response(Pdf::of($html, $paper), 200, ['Content-Type' => 'application/pdf']);
    }

    private static function csv(ShoppingList $list): string
    {
        return implode(
            "\r\n",
            array_map(static fn (array $row): string => implode(',', array_map(StashTable::field(...), $row)), $list->rows()),
        )."\r\n";
    }
}
