<?php

declare(strict_types=1);

namespace App\Http\Controllers\Sets;

use App\Api\Body;
use App\Building\KnownReach;
use App\Hand\Profile;
use App\Models\FigureSet;
use App\Printing\PagesPdf;
use App\Printing\Pdf;
use App\Shop\Mood;
use App\Shop\Purchase;
use App\Shop\SimulatedShop;
use App\Stash\Stash;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Impa\Build\Work;
use Impa\Figure\Colour;
use Impa\Print\Share\KitSheet;
use Impa\Print\Share\LabelSheet;
use Impa\Print\Share\LabelSize;
use Impa\Sets\Kit;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Kits of a member of a set for a workshop. */
final class KitController
{
    public function show(Body $body): JsonResponse
    {
        $kit = self::kit($body);
        $colours = $kit->supply->figure->colours;
        $purchase = Purchase::of(
            new SimulatedShop(Mood::Open),
            $kit->needs,
            array_map(static fn (Colour $c) => $c->srgb, $colours),
            array_map(static fn (Colour $c): string => $c->name, $colours),
        );

        return new JsonResponse(['kit' => $kit->document(), 'shopping' => $purchase->document()]);
    }

    public function labels(Body $body): Response
    {
        $size = LabelSize::tryFrom($body->text('labels', LabelSize::A4x21->value))
            ?? throw new HttpException(422, (string) Message::of(
                'house.refused.labels',
                known: implode(', ', array_column(LabelSize::cases(), 'value')),
            ));

        return self::pdf(PagesPdf::of(LabelSheet::pages(self::kit($body), $size), $size->paper()));
    }

    /** The packing list and how it runs. */
    public function sheet(Body $body): Response
    {
        return self::pdf(Pdf::of(KitSheet::of(self::kit($body)), $body->paper()));
    }

    private static function kit(Body $body): Kit
    {
        $member = FigureSet::planned((string) Message::of('house.kit-controller.a-kit'), [$body->object('member')])->members[0];
        $supply = Profile::supply($member->figure, Stash::wools(), $body->reserve());

        return Kit::of(
            $supply,
            Work::of($supply->ledger, Profile::pace(), Profile::needles(), KnownReach::of($member->figure)),
            $body->int('people'),
            $body->int('spare'),
            $body->float('beginners'),
            $body->reserve(),
        );
    }

    private static function pdf(string $bytes): Response
    {
        return new Response($bytes, 200, ['Content-Type' => 'application/pdf']);
    }
}
