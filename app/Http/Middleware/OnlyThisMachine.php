<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\Response as Answer;

/** Answers this machine only, and only under names it knows: a foreign page cannot reach in by a name of its own. */
final class OnlyThisMachine
{
    /** @param  Closure(Request): Answer  $next */
    public function handle(Request $request, Closure $next): Answer
    {
        $known = config()->array('app.known_hosts');
        $from = $request->server->getString('REMOTE_ADDR');
        $isHere = str_starts_with($from, '127.') || $from === '::1';
        // Asked of the header itself: the framework would throw at a name it cannot parse.
        $host = (string) preg_replace('/:\d+$/', '', strtolower((string) $request->headers->get('host')));
        if ((config()->boolean('app.only_this_machine') && ! $isHere) || ! in_array($host, $known, true)) {
            return new Response("Impa answers only on this machine, under its own address.\n", 421, ['Content-Type' => 'text/plain']);
        }

        return $next($request);
    }
}
