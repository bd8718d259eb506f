<?php

declare(strict_types=1);

namespace Impa\Flat;

use DomainException;
use Impa\Refusal;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;

/** Layers, patterns or sheets that cannot be reckoned. */
final class FlatRefused extends DomainException implements Refusal
{
    public function title(): string
    {
        return 'That cannot be cut';
    }

    public static function noLayers(): self
    {
        return new self('This figure has no flat parts to lay. Break its drawing down in layers, or add a plate in Shapes.');
    }

    public static function tooManyLayers(int $count, int $most): self
    {
        return new self(sprintf('%d layers are more than can be laid on each other: %d at most. Make some of them one.', $count, $most));
    }

    public static function tooManyPages(string $piece, int $pages, int $most): self
    {
        $words = '%s alone would take %d pages, and %d are the most: make it smaller, or cut it in parts.';

        return new self(sprintf($words, $piece, $pages, $most));
    }

    public static function notInLayers(string $name): self
    {
        return new self(sprintf(
            '%s is made in the round. See its drawing again in layers, or say of what its layers are ("flat": {"way": "sheet"}).',
            $name,
        ));
    }

    public static function sheetOutOfRange(float $least, float $most): self
    {
        return new self(sprintf('A sheet is %s to %s wide and long, as in 210x297.', Amount::mm($least), Amount::mm($most)));
    }

    public static function sheetTooSmall(string $piece, float $widthMm, float $heightMm, string $sheet): self
    {
        return new self(sprintf(
            '%s is cut %s, and the sheet is only %s: '.
                'take a larger sheet, turn its grain off, or cut the piece in two in Shapes.',
            $piece,
            Lengths::of($widthMm, $heightMm),
            $sheet,
        ));
    }

    public static function noSuchPart(string $key): self
    {
        return new self(sprintf('There is no part with the key "%s".', mb_substr($key, 0, 64)));
    }

    public static function cannotBeSewn(string $name, string $kind): self
    {
        return new self(sprintf(
            '%s is a %s: there is no pattern for that here. '.
                'Cones, cups, drums, domes, balls and eggs, cords, strips and plates can be cut and sewn.',
            $name,
            $kind,
        ));
    }

    public static function seamOutOfRange(): self
    {
        return new self('A seam allowance is 0 to 20 mm, a stitch 1 to 20 mm, and felt 0.3 to 10 mm thick.');
    }
}
