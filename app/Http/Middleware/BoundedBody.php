<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Api\Problem;
use Closure;
use Illuminate\Http\Request;
use Impa\Voice\Message;
use Symfony\Component\HttpFoundation\Response;

/** What is larger than anything that is sent to Impa is refused by its length, before it is read; archives have a limit of their own. */
final class BoundedBody
{
    /** The largest picture is 30 MB. */
    private const MOST_BYTES = 32_000_000;

    private const ARCHIVE = ['api/archive', 'api/archive/preview'];

    /** Two GB, as the archive's own door says. */
    private const MOST_ARCHIVE_BYTES = 2_000_000_000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $most = $request->isMethod('POST') && $request->is(self::ARCHIVE) ? self::MOST_ARCHIVE_BYTES : self::MOST_BYTES;

        return (int) $request->headers->get('Content-Length') > $most
            ? Problem::of(
                413,
                (string) Message::of('house.bounded-body.too-large'),
                (string) Message::of('house.refused.too-large', most: intdiv($most, 1_000_000)),
            )
            : $next($request);
    }
}
