<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Api\Problem;
use App\Sharing\Pairing;
use App\Sharing\Share;
use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Impa\Voice\Message;
use Symfony\Component\HttpFoundation\Response as Answer;

/**
 * Answers this machine, and devices that were paired, through the way in alone; and only under names it knows: a foreign page cannot reach
 * in by a name of its own.
 */
final class OnlyThisMachine
{
    /** What is answered to a device before it is paired. */
    private const BEFORE_PAIRING = ['pair', 'api/pair', 'impa-authority.crt'];

    /** @param  Closure(Request): Answer  $next */
    public function handle(Request $request, Closure $next): Answer
    {
        $isShared = Share::through($request);
        $from = $request->server->getString('REMOTE_ADDR');
        $isHere = str_starts_with($from, '127.') || $from === '::1';
        // Asked of the header itself: the framework would throw at a name it cannot parse.
        $host = (string) preg_replace('/:\d+$/', '', strtolower((string) $request->headers->get('host')));
        $known = $isShared ? Share::hosts() : config()->array('app.known_hosts');
        if ((config()->boolean('app.only_this_machine') && ! $isHere) || ! in_array($host, $known, true)) {
            return new Response("Impa answers only on this machine, under its own address.\n", 421, ['Content-Type' => 'text/plain']);
        }
        if (! $isShared) {
            return $next($request);
        }
        // The way in has ended TLS.
        $request->server->set('HTTPS', 'on');
        $isPaired = Pairing::device((string) $request->cookies->get(Pairing::COOKIE)) !== null;
        if ($isPaired || $request->is(self::BEFORE_PAIRING)) {
            return $next($request);
        }

        return $request->is('api/*')
            ? Problem::of(
                401,
                (string) Message::of('house.only-this-machine.not-paired'),
                (string) Message::of('house.only-this-machine.this-device-is-not'),
            )
            : new RedirectResponse('/pair');
    }
}
