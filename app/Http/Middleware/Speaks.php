<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Impa\Voice\Voice;
use Symfony\Component\HttpFoundation\Response;

/**
 * In which language and units it is answered: the first of Accept-Language (RFC 9110) that there are all words for. Units ride on the
 * tag, as Unicode CLDR has it: "en-u-ms-ussystem" asks for inches and ounces.
 */
final class Speaks
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $voice = null;
        foreach (self::wished((string) $request->headers->get('Accept-Language')) as $tag) {
            $voice ??= Voice::byTag($tag);
        }
        Voice::speak($voice ?? new Voice);
        $response = $next($request);
        $response->headers->set('Content-Language', Voice::current()->language->value);
        $response->setVary('Accept-Language', false);

        return $response;
    }

    /** @return list<string> tags, the dearest first */
    private static function wished(string $header): array
    {
        $wished = [];
        foreach (array_slice(explode(',', $header), 0, 20) as $said) {
            [$tag, $weight] = explode(';', $said, 2) + [1 => 'q=1'];
            $wished[trim($tag)] = sscanf(trim($weight), 'q=%f')[0] ?? 0.0;
        }
        arsort($wished);

        return array_map(strval(...), array_keys(array_filter($wished)));
    }
}
