<?php

declare(strict_types=1);

namespace Impa\Check\Mending;

use Impa\Voice\Message;

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

    public function title(): Message
    {
        return Message::of('check.sign.'.$this->value);
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

    /** @return list<array{name: string, label: Message, unit: string, usual: float, most: float}> */
    public function asks(): array
    {
        $mm = static fn (string $name, Message $label, float $usual, float $most = 100.0): array => [
            'name' => $name,
            'label' => $label,
            'unit' => 'mm',
            'usual' => $usual,
            'most' => $most,
        ];

        return match ($this) {
            self::Dent => [
                $mm('across', Message::of('check.sign.how-broad'), 6.0),
                $mm('deep', Message::of('check.sign.how-deep'), 3.0, 50.0),
            ],
            self::Lumps, self::CoreShows, self::Soft, self::Foreign, self::Through => [$mm(
                'across',
                Message::of('check.sign.how-broad'),
                15.0,
                300.0,
            )],
            self::Twin => [[
                'name' => 'more',
                'label' => Message::of('check.sign.how-much-heavier'),
                'unit' => 'g',
                'usual' => 0.2,
                'most' => 100.0,
            ]],
            self::TooBig, self::TooSmall => [$mm('off', Message::of('check.sign.by-how-much-across'), 1.0, 50.0)],
            self::Lopsided => [$mm('short', Message::of('check.sign.how-much-is-missing'), 3.0, 50.0)],
            self::WrongPlace => [
                $mm('up', Message::of('check.sign.how-much-higher'), 2.0),
                $mm('right', Message::of('check.sign.how-much-farther-right'), 0.0),
            ],
            default => [],
        };
    }
}
