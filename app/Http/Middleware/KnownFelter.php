<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Where felters sign in, nothing is answered to who has not; and nothing at all that is another's. */
final class KnownFelter
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! config()->boolean('impa.accounts') || Auth::check()) {
            return $next($request);
        }
        if ($request->is('api/*')) {
            throw new HttpException(401, 'Sign in first: you have not, or it is long ago. What you typed is kept.');
        }

        return new RedirectResponse('/sign-in?'.http_build_query(['to' => $request->getRequestUri()]));
    }
}
