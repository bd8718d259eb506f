<?php

declare(strict_types=1);

namespace Impa\Print\Page;

/** Paper to print on. */
enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';

    /** @return array{float, float} width and height in mm (ISO 216; 8.5 x 11 inches) */
    public function sizeMm(): array
    {
        return match ($this) {
            self::A4 => [210.0, 297.0],
            self::Letter => [215.9, 279.4],
        };
    }
}
