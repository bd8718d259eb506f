<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Hand\Profile;
use App\Printing\PagesPdf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Impa\Figure\Figure;
use Impa\Figure\Term\Stitch;
use Impa\Flat\FeltSheet;
use Impa\Flat\FlatPlan;
use Impa\Flat\FlatRefused;
use Impa\Flat\Pattern;
use Impa\Flat\Sewing;
use Impa\Print\Page\Page;
use Impa\Print\Template\LayerTemplates;
use Impa\Print\Template\PatternSheet;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Layers on a ground, and parts that are cut and sewn. */
final class FlatController
{
    public function show(Body $body): JsonResponse
    {
        return new JsonResponse(self::plan($body, $body->figure())->document());
    }

    /** Every layer at true size. */
    public function templates(Body $body): Response
    {
        $figure = $body->figure();

        return self::printed($body, LayerTemplates::pages($figure, self::plan($body, $figure), $body->paper(), $body->flag('mirrored')));
    }

    public function pattern(Body $body): JsonResponse
    {
        return new JsonResponse(self::sewn($body, $body->figure())->document());
    }

    /** A sewn pattern at true size. */
    public function sheet(Body $body): Response
    {
        $figure = $body->figure();

        return self::printed($body, PatternSheet::pages(self::sewn($body, $figure), $figure->name, $body->paper()));
    }

    private static function plan(Body $body, Figure $figure): FlatPlan
    {
        return FlatPlan::of($figure, self::felt($body));
    }

    private static function felt(Body $body): FeltSheet
    {
        if (! $body->has('sheet')) {
            return FeltSheet::usual();
        }
        $sheet = $body->object('sheet');
        $mm = static function (string $name) use ($sheet): float {
            $said = $sheet->{$name} ?? null;

            return is_int($said) || is_float($said) ? (float) $said : 0.0;
        };

        return FeltSheet::of($mm('widthMm'), $mm('heightMm'), ($sheet->hasGrain ?? false) === true);
    }

    private static function sewn(Body $body, Figure $figure): Pattern
    {
        $stitch = Stitch::tryFrom($body->text('stitch', 'back'))
            ?? throw new HttpException(422, (string) Message::of(
                'house.refused.stitch',
                known: implode(', ', array_column(Stitch::cases(), 'value')),
            ));

        return Pattern::of(
            $figure->parts[$body->text('part')] ?? throw FlatRefused::noSuchPart($body->text('part')),
            Sewing::of(
                $body->floatOr('seamMm', 3.0),
                $stitch,
                $body->floatOr('stitchMm', 3.0),
                $body->floatOr('feltMm', 1.5),
                $body->flag('hollow'),
            ),
            Profile::densities(),
        );
    }

    /** @param  list<string>  $pages */
    private static function printed(Body $body, array $pages): Response
    {
        return match ($body->text('as', 'pdf')) {
            'pdf' => new Response(PagesPdf::of($pages, $body->paper()), 200, ['Content-Type' => 'application/pdf']),
            'svg' => new Response(Page::below($pages, $body->paper()), 200, ['Content-Type' => 'image/svg+xml']),
            default => throw new HttpException(422, (string) Message::of('house.flat-controller.templates-come-as-pdf')),
        };
    }
}
