<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Body;
use App\Stash\Stash;
use Illuminate\Http\JsonResponse;
use Impa\Show\Body as Shown;
use Impa\Show\Jar;
use Impa\Show\Showing;
use Impa\Wool\Ledger;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Where a figure is shown: whether it fits there, and what helps where it does not. */
final class ShowController
{
    public function store(Body $body): JsonResponse
    {
        $figure = $body->figure();
        $shown = Shown::of($figure);
        $ledger = Ledger::of($figure, Stash::densities($figure));

        return new JsonResponse(match ($body->text('place')) {
            'jar' => Jar::of($body->float('mouthMm'), $body->float('bellyMm'), $body->float('heightMm'))->holding($shown),
            'hook' => Showing::hook($ledger, $body->float('loopMm')),
            'brooch' => Showing::brooch($ledger),
            'ring' => Showing::ring($ledger),
            'house' => Showing::dollsHouse($figure, $body->float('scale'), $body->has('lifeMm') ? $body->float('lifeMm') : null)
                + ['cures' => []],
            default => throw new HttpException(422, 'A figure is shown in a jar, on a hook, as a brooch, on a ring or in a house.'),
        });
    }
}
