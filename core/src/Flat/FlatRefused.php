<?php

declare(strict_types=1);

namespace Impa\Flat;

use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Message;
use Impa\Voice\Refused;

/** Layers, patterns or sheets that cannot be reckoned. */
final class FlatRefused extends Refused
{
    public function title(): Message
    {
        return Message::of('flat.flat-refused.that-cannot-be-cut');
    }

    public static function noLayers(): self
    {
        return new self(Message::of('flat.flat-refused.this-figure-has-no'));
    }

    public static function tooManyLayers(int $count, int $most): self
    {
        return new self(Message::of('flat.flat-refused.layers-are-more-than', count: $count, most: $most));
    }

    public static function tooManyPages(string $piece, int $pages, int $most): self
    {
        return new self(Message::of('flat.flat-refused.alone-would-take-pages', piece: $piece, pages: $pages, most: $most));
    }

    public static function notInLayers(string $name): self
    {
        return new self(Message::of('flat.flat-refused.is-made', name: $name));
    }

    public static function sheetOutOfRange(float $least, float $most): self
    {
        return new self(Message::of('flat.flat-refused.a-sheet', least: Amount::mm($least), most: Amount::mm($most)));
    }

    public static function sheetTooSmall(string $piece, float $widthMm, float $heightMm, string $sheet): self
    {
        return new self(Message::of('flat.flat-refused.is-cut', piece: $piece, width: Lengths::of($widthMm, $heightMm), sheet: $sheet));
    }

    public static function noSuchPart(string $key): self
    {
        return new self(Message::of('flat.flat-refused.there-is-no-part', key: mb_substr($key, 0, 64)));
    }

    public static function cannotBeSewn(string $name, string $kind): self
    {
        return new self(Message::of('flat.flat-refused.is-a-there', name: $name, kind: $kind));
    }

    public static function seamOutOfRange(): self
    {
        return new self(Message::of(
            'flat.flat-refused.a-seam-allowance',
            mm: Amount::mm(20.0),
            mm2: Amount::mm(1.0),
            mm3: Amount::mm(20.0),
            mm4: Amount::mm(0.3),
            mm5: Amount::mm(10.0),
        ));
    }
}
