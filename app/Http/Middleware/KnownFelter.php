<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Impa\Voice\Message;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Where felters sign in, nothing is answered to who has not; and nothing at all that is another's. */
final class KnownFelter
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! config()->boolean('impa.accounts')) {
            return $next($request);
        }
        if (Auth::check()) {
            return self::isTheirPage($request) ? $next($request) : throw new HttpException(
                401,
                (string) Message::of('house.known-felter.somebody-else-has-signed'),
            );
        }
        if ($request->is('api/*')) {
            throw new HttpException(401, (string) Message::of('house.refused.sign-in'));
        }

        return new RedirectResponse('/sign-in?'.http_build_query(['to' => $request->getRequestUri()]));
    }

    /** Whether the page that asks was made for who is signed in now: what waited in a browser is handed over by its own felter alone. */
    private static function isTheirPage(Request $request): bool
    {
        $said = $request->headers->get('X-Impa-Felter');

        return $said === null || $said === (string) Auth::id();
    }
}
