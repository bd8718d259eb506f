<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Hand\Profile;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Impa\Voice\Voice;
use Symfony\Component\HttpFoundation\Response;

/**
 * The same question is answered as it was a moment ago, while neither document, hand, needles, stash nor voice have changed: stations
 * ask alike when somebody goes to and fro between them, undoes, opens a second window. Nothing of it is on where code is read anew at
 * each request (bin/dev): a rule that was changed would not show.
 */
final class KnownAnswers
{
    /** So many answers are kept at most: what comes to the place of another takes it. */
    private const PLACES = 128;

    private const SECONDS = 600;

    /** What is longer takes as long to read as to reckon. */
    private const MOST_BYTES = 2_000_000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! (config('impa.keeps_answers') ?? ! filter_var(ini_get('opcache.validate_timestamps'), FILTER_VALIDATE_BOOL))) {
            return $next($request);
        }
        $body = (string) $request->getContent();
        // Evenings begin today where nothing else is said.
        $asked = [$request->path(), date('Y-m-d'), Voice::current()->tag(), Profile::stamp(str_contains($body, '"loops"')), $body];
        $hash = hash('sha256', implode("\n", $asked));
        $place = 'answer.'.hexdec(substr($hash, 0, 4)) % self::PLACES;
        $kept = Cache::get($place);
        if (is_array($kept) && ($kept['of'] ?? '') === $hash && is_string($kept['is'] ?? null)) {
            return new Response($kept['is'], 200, ['Content-Type' => 'application/json']);
        }
        $response = $next($request);
        $is = (string) $response->getContent();
        if ($response->getStatusCode() === 200 && strlen($is) <= self::MOST_BYTES) {
            Cache::put($place, ['of' => $hash, 'is' => $is], self::SECONDS);
        }

        return $response;
    }
}
