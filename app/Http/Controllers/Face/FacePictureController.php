<?php

declare(strict_types=1);

namespace App\Http\Controllers\Face;

use App\Api\Body;
use App\Printing\PagesPdf;
use Illuminate\Http\Response;
use Impa\Colour\Srgb;
use Impa\Print\Page\Page;
use Impa\Print\Template\FaceTemplates;
use Impa\Render\FromAfar;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** A face as a picture: seen from afar, and on paper at true size. */
final class FacePictureController
{
    /** From how far off a face may be looked at, and how large it is drawn. */
    private const METRES = [0.1, 10.0];

    private const AFAR_PX = 320;

    /** The part as it looks in wool from so many metres. */
    public function afar(Body $body): Response
    {
        [$figure, $part] = $body->part();
        $metres = $body->float('metres');
        if ($metres < self::METRES[0] || $metres > self::METRES[1]) {
            throw new HttpException(422, (string) Message::of(
                'house.refused.afar',
                near: Amount::number(self::METRES[0]),
                far: Amount::number(self::METRES[1]),
            ));
        }
        $alone = $figure->onlyPart($part->key);
        $png = Painter::png($alone, View::Front, self::AFAR_PX, Srgb::hex('#efe6d6'));

        return new Response(FromAfar::of($png, Painter::pxPerMm($alone, View::Front, self::AFAR_PX), $metres), 200, [
            'Content-Type' => 'image/png',
        ]);
    }

    /** The face on paper at true size. */
    public function sheets(Body $body): Response
    {
        [$figure, $part] = $body->part();
        $paper = $body->paper();
        $pages = FaceTemplates::of($figure, $part)->pages($paper);

        return match ($body->text('as', 'pdf')) {
            'pdf' => new Response(PagesPdf::of($pages, $paper), 200, ['Content-Type' => 'application/pdf']),
            'svg' => new Response(Page::below($pages, $paper), 200, ['Content-Type' => 'image/svg+xml']),
            default => throw new HttpException(422, (string) Message::of('house.face-picture-controller.templates-come-as-pdf')),
        };
    }
}
