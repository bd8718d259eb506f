<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use stdClass;

/** Holds every answer of a feature test against formats/impa-http-1.openapi.json: its status, its kind, its form. */
final class Answers
{
    private const AT = 'https://impa.invalid/formats/impa-http-1.openapi.json';

    public static function hold(string $method, string $uri, TestResponse $response): void
    {
        $path = '/'.ltrim((string) parse_url($uri, PHP_URL_PATH), '/');
        if (! str_starts_with($path, '/api/') || ! $response->isSuccessful()) {
            return;
        }
        $asked = sprintf('%s %s', $method, $path);
        $operation = self::operation($method, $path);
        $status = (string) $response->getStatusCode();
        $answers = self::operations()[$operation]->responses->{$status} ?? null;
        Assert::assertNotNull($answers, "{$asked} answers {$status}, of which the format knows nothing.");
        $type = trim(explode(';', (string) $response->headers->get('Content-Type'))[0]);
        $content = isset($answers->content) ? get_object_vars($answers->content) : [];
        if ($content === []) {
            return;
        }
        Assert::assertContains(
            $type,
            [...array_keys($content), ...(isset($content['image/*']) ? ['image/png', 'image/jpeg', 'image/webp', 'image/gif'] : [])],
            "{$asked} answers in {$type}.",
        );
        if ($type === 'application/json') {
            [$verb, $template] = explode(' ', (string) $operation);
            $pointer = ['paths', $template, strtolower($verb), 'responses', $status, 'content', $type, 'schema'];
            // RFC 6901, in a fragment.
            $told = array_map(static fn (string $p): string => rawurlencode(strtr($p, ['/' => '~1'])), $pointer);
            $form = self::AT.'#/'.implode('/', $told);
            $result = self::validator()->validate(json_decode((string) $response->getContent()), $form);
            $faults = $result->isValid() ? [] : (new ErrorFormatter())->format($result->error());
            Assert::assertSame([], $faults, "{$asked} answers in another form than the format has.");
        }
    }

    /** @return array<string, stdClass> operations by method and path */
    public static function operations(): array
    {
        static $operations = [];
        if ($operations === []) {
            foreach (get_object_vars(self::format()->paths) as $path => $methods) {
                foreach (get_object_vars($methods) as $method => $operation) {
                    $operations[strtoupper($method).' '.$path] = $operation;
                }
            }
        }

        return $operations;
    }

    /** The operation that a request asks for, as "GET /api/figures/{figure}". */
    private static function operation(string $method, string $path): ?string
    {
        $fits = [];
        foreach (array_keys(self::operations()) as $name) {
            $pattern = preg_replace('/\\\\\{\w+\\\\\}/', '[^/]+', preg_quote($name, '~'));
            if (preg_match("~^{$pattern}$~", "{$method} {$path}") === 1) {
                $fits[] = $name;
            }
        }
        // Of two that fit, the one that says it word for word.
        usort($fits, static fn (string $a, string $b): int => substr_count($a, '{') <=> substr_count($b, '{'));

        return $fits[0] ?? null;
    }

    private static function format(): stdClass
    {
        static $format = null;

        return $format ??= json_decode((string) file_get_contents(base_path('formats/impa-http-1.openapi.json')));
    }

    private static function validator(): Validator
    {
        static $validator = null;
        if ($validator === null) {
            $validator = new Validator();
            $validator->resolver()?->registerPrefix('https://impa.invalid/formats/', base_path('formats'));
        }

        return $validator;
    }
}
