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
use Impa\Voice\Message;
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
            $trouble !== null => self::of(
                $trouble->status,
                (string) Message::of('house.problem.the-store-cannot-be'),
                $trouble->getMessage(),
            ),
            $e instanceof FigureRefused => self::of(422, (string) $e->title(), $e->getMessage(), [
                'errors' => array_map(static fn (Fault $f): array => ['pointer' => $f->pointer, 'detail' => $f->text], $e->faults),
            ]),
            $e instanceof Stale => self::of(409, (string) $e->title(), $e->getMessage(), ['revision' => $e->revision, 'now' => $e->state]),
            $e instanceof Refusal => self::of(422, (string) $e->title(), $e->getMessage()),
            $e instanceof ModelNotFoundException, $before instanceof ModelNotFoundException => self::of(
                404,
                (string) Message::of('house.problem.not-found'),
                (string) Message::of('house.refused.gone'),
            ),
            $e instanceof QueryException && in_array($e->getCode(), self::BEYOND, true) => self::of(
                422,
                (string) Message::of('house.problem.beyond-what-is-kept'),
                (string) Message::of('house.problem.a-number-in-this'),
            ),
            $e instanceof TokenMismatchException, $before instanceof TokenMismatchException => self::of(
                419,
                (string) Message::of('house.problem.the-page-is-too'),
                (string) Message::of('house.problem.this-page-has-been'),
            ),
            $e instanceof MethodNotAllowedHttpException => self::of(
                405,
                (string) Message::of('house.problem.not-done-this-way'),
                (string) Message::of(
                    'house.refused.asked-by',
                    method: $e->getHeaders()['Allow'] ?? Message::of('house.refused.another-method'),
                ),
                [],
                $e->getHeaders(),
            ),
            $e instanceof NotFoundHttpException => self::of(
                404,
                (string) Message::of('house.problem.not-found'),
                (string) Message::of('house.refused.no-address'),
            ),
            $e instanceof HttpExceptionInterface => self::of(
                $e->getStatusCode(),
                self::title($e->getStatusCode()),
                // What we say ourselves is meant to be read; 503 is such a word too.
                $e->getMessage() !== '' && in_array($e->getStatusCode(), [...range(400, 499), 503], true)
                    ? $e->getMessage()
                    : self::title($e->getStatusCode()).'.',
            ),
            default => self::of(
                500,
                (string) Message::of('house.problem.something-broke'),
                (string) Message::of('house.refused.broke'),
            ),
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
            400 => (string) Message::of('house.problem.not-understood'),
            404 => (string) Message::of('house.problem.not-found'),
            413 => (string) Message::of('house.problem.too-large'),
            422 => (string) Message::of('house.refused.missing'),
            default => (string) Message::of('house.refused.refused'),
        };
    }
}
