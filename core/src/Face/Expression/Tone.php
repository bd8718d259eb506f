<?php

declare(strict_types=1);

namespace Impa\Face\Expression;

use Impa\Voice\Message;

/** What a colour is for on a face, and what it is where the figure has none that would do (house colours). */
enum Tone: string
{
    case Dark = 'dark';
    case Light = 'light';
    case Rosy = 'rosy';
    case Red = 'red';
    /** That of the head itself: a lid. */
    case Skin = 'skin';

    /** Of a colour that the figure gets for it. */
    public function name(): string
    {
        return $this === self::Skin ? '' : (string) Message::of('face.tone.'.$this->value);
    }

    public function hex(): string
    {
        return match ($this) {
            self::Dark => '#2a2422',
            self::Light => '#f7f2e8',
            self::Rosy => '#e39a98',
            self::Red => '#b5434a',
            self::Skin => '#000000',
        };
    }

    /** A colour of the figure may stand in for it when it differs by less, CIEDE2000. */
    public function reach(): float
    {
        return match ($this) {
            self::Dark, self::Light => 18.0,
            default => 14.0,
        };
    }
}
