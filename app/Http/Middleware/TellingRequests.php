<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Watching\Counts;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;

/** On a server: a line for each request and its counts. Only the route's pattern is told, never whose it was or what it was about. */
final class TellingRequests
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        return $next($request);
    }

    public function terminate(Request $request, Response $response): void
    {
        if (! config()->boolean('impa.request_log')) {
            return;
        }
        $seconds = microtime(true) - (defined('LARAVEL_START') ? LARAVEL_START : $request->server('REQUEST_TIME_FLOAT'));
        $route = $request->route()?->uri() ?? 'none';
        Counts::request($request->method(), $route, $response->getStatusCode(), $seconds);
        Log::channel('requests')->info('request', [
            'method' => $request->method(),
            'route' => $route,
            'status' => $response->getStatusCode(),
            'ms' => round(1000 * $seconds, 1),
            'in' => (int) $request->headers->get('Content-Length'),
        ]);
    }
}
