<?php

declare(strict_types=1);

namespace Impa\Colour;

/**
 * The colour of a wool in a photo, the light taken out of it by a card of known grey beside it: each channel of linear
 * light is scaled so that the card comes out neutral and as light as it is (von Kries, in the photo's own channels).
 */
final class GreyCard
{
    /** What a photographer's grey card, and plain white paper, send back of the light (common practice). */
    public const GREY = 0.18;

    public const WHITE_PAPER = 0.85;

    /** A card darker or brighter than this in some channel tells nothing any more. */
    private const USABLE = [0.02, 0.985];

    /** @return ?Light none where the card is too dark or blown out */
    public static function corrected(Light $wool, Light $card, float $cardIs = self::GREY): ?Light
    {
        $channels = [$card->red, $card->green, $card->blue];
        if (min($channels) < self::USABLE[0] || max($channels) > self::USABLE[1]) {
            return null;
        }

        return Light::of($wool->red * $cardIs / $card->red, $wool->green * $cardIs / $card->green, $wool->blue * $cardIs / $card->blue);
    }
}
