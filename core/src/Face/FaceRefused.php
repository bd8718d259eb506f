<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Refusal;
use RuntimeException;

/** Something was asked of a face that cannot be. */
final class FaceRefused extends RuntimeException implements Refusal
{
    public function title(): string
    {
        return 'This cannot be done with the face';
    }

    /** @param  list<string>  $known */
    public static function noSuchPiece(string $kind, array $known): self
    {
        return new self(sprintf('There is no piece "%s". There are: %s.', $kind, implode(', ', $known)));
    }

    public static function pieceIsGone(string $key, string $part): self
    {
        return new self(
            sprintf(
                'There is no piece "%s" on %s any more that could be varied. Put a new one on.',
                mb_substr($key, 0, 64),
                $part,
            ),
        );
    }

    public static function nothingToCopy(string $part): self
    {
        return new self(sprintf('There is nothing on %s that could be copied.', $part));
    }

    public static function noSuchDetail(string $key, string $part): self
    {
        return new self(sprintf('There is no detail "%s" on %s as seen from the front.', $key, $part));
    }
}
