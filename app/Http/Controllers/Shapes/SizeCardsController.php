<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Hand\Profile;
use App\Printing\PagesPdf;
use Illuminate\Http\Response;
use Impa\Print\Template\SizeCards;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Every part at true size, to hold the felt against: as PDF or as SVG. */
final class SizeCardsController
{
    public function store(Body $body): Response
    {
        $paper = $body->paper();
        $figure = $body->figure();
        $plan = Profile::plan($figure);

        return match ($body->text('as', 'pdf')) {
            'pdf' => new Response(PagesPdf::of(SizeCards::pages($plan, $paper), $paper), 200, ['Content-Type' => 'application/pdf']),
            'svg' => new Response(SizeCards::sheet($plan, $paper), 200, ['Content-Type' => 'image/svg+xml']),
            default => throw new HttpException(422, (string) Message::of('house.size-cards-controller.size-cards-come')),
        };
    }
}
