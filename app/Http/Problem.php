<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Impa\Face\FaceRefused;
use Impa\Figure\Fault;
use Impa\Figure\FigureRefused;
use Impa\Figure\SizingRefused;
use Impa\Picture\PictureRefused;
use Impa\Picture\RecutRefused;
use Impa\Render\RenderRefused;
use Impa\Wool\WoolRefused;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Refusals as RFC 9457 problem details, with a JSON Pointer for each fault of a document. */
final class Problem
{
    /** What is refused in the ordinary course of things, and needs no entry in the log. */
    public const REFUSALS = [FaceRefused::class, FigureRefused::class, PictureRefused::class, RecutRefused::class, RenderRefused::class, SizingRefused::class, WoolRefused::class];

    public static function for(Throwable $e): JsonResponse
    {
        $before = $e->getPrevious();

        return match (true) {
            $e instanceof FigureRefused => self::of(422, 'The figure has faults', $e->getMessage(), ['errors' => array_map(static fn (Fault $f): array => ['pointer' => $f->pointer, 'detail' => $f->text], $e->faults)]),
            $e instanceof FaceRefused => self::of(422, 'This cannot be done with the face', $e->getMessage()),
            $e instanceof PictureRefused => self::of(422, 'The picture cannot be used', $e->getMessage()),
            $e instanceof RecutRefused => self::of(422, 'This cannot be cut so', $e->getMessage()),
            $e instanceof SizingRefused => self::of(422, 'This size cannot be', $e->getMessage()),
            $e instanceof RenderRefused => self::of(422, 'The picture cannot be made', $e->getMessage()),
            $e instanceof WoolRefused => self::of(422, 'This cannot be done with the wool', $e->getMessage()),
            $e instanceof ModelNotFoundException, $before instanceof ModelNotFoundException => self::of(404, 'Not found', 'There is nothing here under this number. It may have been thrown away for good.'),
            $e instanceof TokenMismatchException, $before instanceof TokenMismatchException => self::of(419, 'The page is too old', 'This page has been open too long. Load it again; what you typed is kept.'),
            $e instanceof HttpExceptionInterface => self::of($e->getStatusCode(), self::title($e->getStatusCode()), $e->getMessage() !== '' && $e->getStatusCode() < 500 ? $e->getMessage() : self::title($e->getStatusCode()).'.'),
            default => self::of(500, 'Something broke', 'Something in Impa broke. What you made is kept; the log says more.'),
        };
    }

    /** @param  array<string, mixed>  $more */
    public static function of(int $status, string $title, string $detail, array $more = []): JsonResponse
    {
        return new JsonResponse(
            ['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail] + $more,
            $status,
            ['Content-Type' => 'application/problem+json'],
        );
    }

    private static function title(int $status): string
    {
        return match ($status) {
            400 => 'Not understood',
            404 => 'Not found',
            405 => 'Not done this way',
            413 => 'Too large',
            422 => 'Something is missing',
            default => 'Refused',
        };
    }
}
