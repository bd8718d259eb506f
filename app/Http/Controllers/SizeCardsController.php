<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Printing\PagesPdf;
use App\Stash\Stash;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Impa\Plan\Plan;
use Impa\Print\Paper;
use Impa\Print\SizeCards;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Every part at true size, to hold the felt against: as PDF or as SVG. */
final class SizeCardsController
{
    public function store(Request $request): Response
    {
        $body = Body::of($request);
        $paper = Paper::tryFrom($body->text('paper', 'a4')) ?? throw new HttpException(422, 'The paper is a4 or letter.');
        $figure = $body->figure();
        $plan = Plan::of($figure, densities: Stash::densities($figure));

        return match ($body->text('as', 'pdf')) {
            'pdf' => new Response(PagesPdf::of(SizeCards::pages($plan, $paper), $paper), 200, ['Content-Type' => 'application/pdf']),
            'svg' => new Response(SizeCards::sheet($plan, $paper), 200, ['Content-Type' => 'image/svg+xml']),
            default => throw new HttpException(422, 'Size cards come as pdf or svg.'),
        };
    }
}
