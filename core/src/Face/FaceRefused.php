<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Voice\Message;
use Impa\Voice\Refused;

/** Something was asked of a face that cannot be. */
final class FaceRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('face.face-refused.this-cannot-be-done');
    }

    /** @param  list<string>  $known */
    public static function noSuchPiece(string $kind, array $known): self
    {
        return new self(Message::of('face.face-refused.there-is-no-piece', kind: $kind, list: implode(', ', $known)));
    }

    public static function pieceIsGone(string $key, string $part): self
    {
        return new self(
            Message::of('face.face-refused.there-is-no-piece-2', key: mb_substr($key, 0, 64), part: $part),
        );
    }

    public static function nothingToCopy(string $part): self
    {
        return new self(Message::of('face.face-refused.there-is-nothing', part: $part));
    }

    public static function noSuchDetail(string $key, string $part): self
    {
        return new self(Message::of('face.face-refused.there-is-no-detail', key: $key, part: $part));
    }
}
