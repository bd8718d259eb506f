<?php

declare(strict_types=1);

namespace Impa\Print\Share;

use Impa\Print\Page\Paper;

/** Sheets of labels as they are sold, by how many there are across and down, and plain paper to be cut. */
enum LabelSize: string
{
    case A4x24 = 'a4-3x8';
    case A4x21 = 'a4-3x7';
    case A4x14 = 'a4-2x7';
    case Letter30 = 'letter-3x10';
    case PlainA4 = 'plain-a4';
    case PlainLetter = 'plain-letter';

    /**
     * Millimetres: from the left and the top of the paper, size of a label, from one to the next (usual measures, from memory).
     *
     * @return array{left: float, top: float, wide: float, high: float, stepX: float, stepY: float, across: int, down: int}
     */
    public function layout(): array
    {
        $of = static fn (float $left, float $top, float $w, float $h, float $x, float $y, int $across, int $down): array => [
            'left' => $left, 'top' => $top, 'wide' => $w, 'high' => $h, 'stepX' => $x, 'stepY' => $y, 'across' => $across, 'down' => $down,
        ];

        return match ($this) {
            self::A4x24 => $of(0.0, 0.5, 70.0, 37.0, 70.0, 37.0, 3, 8),
            self::A4x21 => $of(7.25, 15.15, 63.5, 38.1, 66.0, 38.1, 3, 7),
            self::A4x14 => $of(4.65, 15.15, 99.1, 38.1, 101.6, 38.1, 2, 7),
            self::Letter30 => $of(4.78, 12.7, 66.675, 25.4, 69.85, 25.4, 3, 10),
            self::PlainA4 => $of(10.0, 10.0, 95.0, 55.0, 95.0, 55.0, 2, 5),
            self::PlainLetter => $of(10.0, 9.0, 97.0, 52.0, 97.0, 52.0, 2, 5),
        };
    }

    public function paper(): Paper
    {
        return in_array($this, [self::Letter30, self::PlainLetter], true) ? Paper::Letter : Paper::A4;
    }

    /** Plain paper is cut: its labels have lines. */
    public function isCut(): bool
    {
        return in_array($this, [self::PlainA4, self::PlainLetter], true);
    }
}
