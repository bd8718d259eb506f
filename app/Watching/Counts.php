<?php

declare(strict_types=1);

namespace App\Watching;

use APCUIterator;

/** How many requests there were, how they went and how long they took: in memory that all workers share, where PHP has APCu. */
final class Counts
{
    /** Upper edges of the histogram's steps, seconds. */
    private const EDGES = [0.025, 0.05, 0.1, 0.15, 0.25, 0.5, 1.0, 2.5, 10.0];

    /** RFC 9110, 9.1, and PATCH (RFC 5789). */
    private const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'];

    public static function request(string $method, string $route, int $status, float $seconds): void
    {
        if (! function_exists('apcu_inc') || ! apcu_enabled()) {
            return;
        }
        $labels = self::labels($method, $route);
        apcu_inc(sprintf('impa:impa_requests_total{%s,status="%d"}', $labels, $status));
        foreach (self::EDGES as $edge) {
            if ($seconds <= $edge) {
                apcu_inc(sprintf('impa:impa_request_seconds_bucket{%s,le="%s"}', $labels, $edge));
            }
        }
        apcu_inc(sprintf('impa:impa_request_seconds_bucket{%s,le="+Inf"}', $labels));
        apcu_inc(sprintf('impa:impa_request_seconds_count{%s}', $labels));
        apcu_inc(sprintf('impa:impa_request_microseconds{%s}', $labels), (int) round($seconds * 1e6));
    }

    /** Anybody may make up a method: those that are none are counted as one. */
    public static function labels(string $method, string $route): string
    {
        return sprintf('method="%s",route="%s"', in_array($method, self::METHODS, true) ? $method : 'other', $route);
    }

    /** @return list<string> lines as Prometheus reads them (text format 0.0.4) */
    public static function lines(): array
    {
        if (! function_exists('apcu_enabled') || ! apcu_enabled()) {
            return [];
        }
        $lines = [];
        /** @var iterable<array{key: string, value: int}> $entries */
        $entries = new APCUIterator('/^impa:/');
        foreach ($entries as $entry) {
            [$name, $value] = [substr($entry['key'], 5), $entry['value']];
            $isSum = str_starts_with($name, 'impa_request_microseconds');
            $lines[] = $isSum
                ? str_replace('microseconds', 'seconds_sum', $name).' '.sprintf('%.6F', $value / 1e6)
                : $name.' '.$value;
        }
        sort($lines);

        return $lines;
    }
}
