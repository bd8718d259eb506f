<?php

declare(strict_types=1);

namespace App\Http\Controllers\Sets;

use App\Api\Body;
use App\Hand\Profile;
use Illuminate\Http\JsonResponse;
use Impa\Show\Cushion;
use Impa\Show\Jar;
use Impa\Show\Pot;
use Impa\Show\Showing;
use Impa\Show\Shown as Shown;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Ledger;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Where a figure is shown: whether it fits there, and what helps where it does not. */
final class ShowController
{
    public function store(Body $body): JsonResponse
    {
        $figure = $body->figure();
        $shown = Shown::of($figure);
        $densities = Profile::densities($figure);
        $ledger = Ledger::of($figure, $densities);

        return new JsonResponse(match ($body->text('place')) {
            'jar' => Jar::of($body->float('mouthMm'), $body->float('bellyMm'), $body->float('heightMm'))->holding($shown),
            'hook' => Showing::hook($ledger, $body->float('loopMm')),
            'brooch' => Showing::brooch($ledger),
            'ring' => Showing::ring($ledger),
            'clip' => Showing::clip($ledger),
            'pot' => Pot::of($body->float('mouthMm'))->holding($ledger, $densities),
            'cushion' => Cushion::of($body->float('widthMm'), $body->float('heightMm'))->bearing($shown, $densities),
            'house' => Showing::dollsHouse($figure, $body->float('scale'), $body->has('lifeMm') ? $body->float('lifeMm') : null),
            default => throw new HttpException(
                422,
                (string) Message::of('house.show-controller.a-figure-is-shown'),
            ),
        });
    }
}
