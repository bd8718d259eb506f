<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/** No script but our own files; styles our own, and the one sheet the component library writes, by its nonce. */
final class ContentSecurity
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        $hot = self::hot();
        $response->headers->set('Content-Security-Policy', implode('; ', [
            "default-src 'none'",
            "script-src 'self'{$hot}",
            "style-src 'self' 'nonce-{$nonce}'",
            "img-src 'self' data: blob:{$hot}",
            "font-src 'self'{$hot}",
            "connect-src 'self'{$hot}",
            "form-action 'self'",
            "manifest-src 'self'",
            "worker-src 'self'",
            "base-uri 'none'",
            "frame-ancestors 'none'",
        ]));
        $response->headers->set('X-Content-Type-Options', 'nosniff');
        $response->headers->set('Referrer-Policy', 'same-origin');

        return $response;
    }

    /** Where screens come from while they are written (bin/dev), and how they hear of a change; nothing anywhere else. */
    private static function hot(): string
    {
        if (Config::string('impa.hot', '') === '' || ! Vite::isRunningHot()) {
            return '';
        }
        $from = rtrim((string) file_get_contents(Vite::hotFile()));

        return " {$from} ".str_replace('http://', 'ws://', $from);
    }
}
