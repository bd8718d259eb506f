<?php

declare(strict_types=1);

namespace App\Api;

use App\Store\StoreTrouble;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Impa\Figure\Document\Fault;
use Impa\Figure\Document\FigureRefused;
use Impa\Voice\Refusal;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\MethodNotAllowedHttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** Refusals as RFC 9457 problem details, with a JSON Pointer for each fault of a document. */
final class Problem
{
    /** SQLSTATE of a number out of range, of what is none, of bytes that are no text, and of a text that is too long. */
    private const BEYOND = ['22003', '22P02', '22021', '22001'];

    public static function for(Throwable $e): JsonResponse
    {
        $before = $e->getPrevious();

        $trouble = StoreTrouble::in($e) ?? ($before === null ? null : StoreTrouble::in($before));

        return match (true) {
            $trouble !== null => self::of($trouble->status, 'The store cannot be written to', $trouble->getMessage()),
            $e instanceof FigureRefused => self::of(422, (string) $e->title(), $e->getMessage(), [
                'errors' => array_map(static fn (Fault $f): array => ['pointer' => $f->pointer, 'detail' => $f->text], $e->faults),
            ]),
            $e instanceof Stale => self::of(409, (string) $e->title(), $e->getMessage(), ['revision' => $e->revision, 'now' => $e->state]),
            $e instanceof Refusal => self::of(422, (string) $e->title(), $e->getMessage()),
            $e instanceof ModelNotFoundException, $before instanceof ModelNotFoundException => self::of(
                404,
                'Not found',
                'There is nothing here under this number. It may have been thrown away for good.',
            ),
            $e instanceof QueryException && in_array($e->getCode(), self::BEYOND, true) => self::of(
                422,
                'Beyond what is kept',
                'A number in this is too large to be kept, or a text holds what is no letter: write it anew.',
            ),
            $e instanceof TokenMismatchException, $before instanceof TokenMismatchException => self::of(
                419,
                'The page is too old',
                'This page has been open too long. Load it again; what you typed is kept.',
            ),
            $e instanceof MethodNotAllowedHttpException => self::of(
                405,
                'Not done this way',
                sprintf('This address is asked by %s.', $e->getHeaders()['Allow'] ?? 'another method'),
                [],
                $e->getHeaders(),
            ),
            $e instanceof NotFoundHttpException => self::of(404, 'Not found', 'There is nothing under this address.'),
            $e instanceof HttpExceptionInterface => self::of(
                $e->getStatusCode(),
                self::title($e->getStatusCode()),
                // What we say ourselves is meant to be read; 503 is such a word too.
                $e->getMessage() !== '' && in_array($e->getStatusCode(), [...range(400, 499), 503], true)
                    ? $e->getMessage()
                    : self::title($e->getStatusCode()).'.',
            ),
            default => self::of(500, 'Something broke', 'Something in Impa broke, and this was not done. The log says more.'),
        };
    }

    /**
     * @param  array<string, mixed>  $more
     * @param  array<string, mixed>  $headers
     */
    public static function of(int $status, string $title, string $detail, array $more = [], array $headers = []): JsonResponse
    {
        return new JsonResponse(
            ['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail] + $more,
            $status,
            ['Content-Type' => 'application/problem+json'] + $headers,
        );
    }

    private static function title(int $status): string
    {
        return match ($status) {
            400 => 'Not understood',
            404 => 'Not found',
            413 => 'Too large',
            422 => 'Something is missing',
            default => 'Refused',
        };
    }
}
