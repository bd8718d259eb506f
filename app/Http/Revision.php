<?php

declare(strict_types=1);

namespace App\Http;

use App\Api\Body;
use App\Api\Stale;

/**
 * Under which revision something stands that has no number of its own: told by what it is, so that every way in which it changes is
 * seen. Whoever writes says which one it was that they saw.
 */
final class Revision
{
    private const LENGTH = 16;

    /** @param  array<array-key, mixed>  $state */
    public static function of(array $state): string
    {
        return substr(hash('sha256', json_encode($state, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)), 0, self::LENGTH);
    }

    /**
     * @param  array<array-key, mixed>  $state  as it stands now
     *
     * @throws Stale if it is another one than was seen
     */
    public static function expect(Body $body, string $what, array $state): void
    {
        $now = self::of($state);
        if ($body->text('revision') !== $now) {
            throw new Stale($what, $now, $state);
        }
    }
}
