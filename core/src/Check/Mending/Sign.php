<?php

declare(strict_types=1);

namespace Impa\Check\Mending;

/** What has gone wrong, as a felter sees it, and the few things that must be asked of it (docs/trade.md, What goes wrong). */
enum Sign: string
{
    case Dent = 'dent';
    case Lumps = 'lumps';
    case CoreShows = 'core-shows';
    case Soft = 'soft';
    case Wobbles = 'wobbles';
    case SeamShows = 'seam-shows';
    case Foreign = 'foreign';
    case Fuzz = 'fuzz';
    case Twin = 'twin';
    case Through = 'through';
    case TooBig = 'too-big';
    case TooSmall = 'too-small';
    case Lopsided = 'lopsided';
    case WrongPlace = 'wrong-place';
    case CameOff = 'came-off';
    case Tips = 'tips';
    case NeedleBroke = 'needle-broke';
    case WireShows = 'wire-shows';

    public function title(): string
    {
        return match ($this) {
            self::Dent => 'A dent',
            self::Lumps => 'Lumps, or lines of fibre',
            self::CoreShows => 'The core shows through',
            self::Soft => 'A soft side',
            self::Wobbles => 'It wobbles',
            self::SeamShows => 'Its seam shows as a ring',
            self::Foreign => 'Fibres of another colour',
            self::Fuzz => 'Fuzz',
            self::Twin => 'Larger than its twin',
            self::Through => 'Its colour comes out at the back',
            self::TooBig => 'Too big',
            self::TooSmall => 'Too small',
            self::Lopsided => 'Lopsided: one side is too short',
            self::WrongPlace => 'In the wrong place',
            self::CameOff => 'It came off',
            self::Tips => 'It tips over',
            self::NeedleBroke => 'A needle snapped in it',
            self::WireShows => 'A wire end pokes out',
        };
    }

    /** @return 'part'|'detail'|'figure' what it is about */
    public function about(): string
    {
        return match ($this) {
            self::Through, self::TooBig, self::TooSmall, self::Lopsided, self::WrongPlace, self::CameOff => 'detail',
            self::Tips => 'figure',
            default => 'part',
        };
    }

    /** @return list<array{name: string, label: string, unit: string, usual: float, most: float}> */
    public function asks(): array
    {
        $mm = static fn (string $name, string $label, float $usual, float $most = 100.0): array => [
            'name' => $name,
            'label' => $label,
            'unit' => 'mm',
            'usual' => $usual,
            'most' => $most,
        ];

        return match ($this) {
            self::Dent => [$mm('across', 'How broad', 6.0), $mm('deep', 'How deep', 3.0, 50.0)],
            self::Lumps, self::CoreShows, self::Soft, self::Foreign, self::Through => [$mm('across', 'How broad', 15.0, 300.0)],
            self::Twin => [['name' => 'more', 'label' => 'How much heavier', 'unit' => 'g', 'usual' => 0.2, 'most' => 100.0]],
            self::TooBig, self::TooSmall => [$mm('off', 'By how much across', 1.0, 50.0)],
            self::Lopsided => [$mm('short', 'How much is missing', 3.0, 50.0)],
            self::WrongPlace => [
                $mm('up', 'How much higher it should be (lower: below 0)', 2.0),
                $mm('right', 'How much farther right', 0.0),
            ],
            default => [],
        };
    }
}
