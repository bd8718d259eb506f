<?php

declare(strict_types=1);

namespace Impa\Face\Expression;

use Impa\Voice\Message;

/** A piece of a face of our own drawing, that is varied by a few numbers and scales with the head. */
interface Expression
{
    public static function kind(): string;

    public static function name(): Message;

    /** @return non-empty-list<Slider> */
    public static function sliders(): array;

    /**
     * @param  array<string, float>  $set  every slider's value, within its range
     * @return list<Bit>
     */
    public static function bits(Head $head, array $set): array;
}
