<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Colour\Ciede2000;
use Impa\Colour\Lab;
use Impa\Colour\Light;
use Impa\Voice\Message;
use Impa\Voice\Opening;

/**
 * Colours against the plan in the light of a photo: one gain for each channel of linear light (von Kries) that brings most of what is
 * seen onto what is planned; what then still differs is another colour. With few colours nothing can be told from the light.
 */
final class WhiteBalance
{
    private const LEAST_COLOURS = 3;

    /** From this difference on it is told (CIEDE2000; a photo is coarser than an eye; house choice). */
    private const DIFFERS = 14.0;

    /**
     * @param  list<Message>  $unjudged
     * @return list<Deviation>
     */
    public static function deviations(Expected $plan, Colours $colours, array &$unjudged): array
    {
        $pieces = $hexes = [];
        foreach ($plan->layers as $label => $layer) {
            if ($layer->detail === null && isset($colours->of[$label])) {
                $pieces[$label] = $layer;
                $hexes[$layer->srgb->toHex()] = true;
            }
        }
        if (count($hexes) < self::LEAST_COLOURS) {
            $unjudged[] = Message::of('check.white-balance.too-few');

            return [];
        }
        $deviations = [];
        foreach ($pieces as $label => $layer) {
            $seen = Colours::linear(Colours::srgb($colours->of[$label]));
            $corrected = Light::of(...array_map(static fn (float $c, float $g): float => min(1.0, $c / $g), $seen, $colours->gains))->lab();
            $difference = Ciede2000::between($corrected, $layer->srgb->lab());
            if ($difference >= self::DIFFERS) {
                $deviations[] = new Deviation(
                    part: $layer->piece->part->key,
                    detail: '',
                    what: 'colour',
                    amount: $difference,
                    text: Message::of(
                        'check.white-balance.'.self::differs($corrected, $layer->srgb->lab()),
                        name: new Opening(Names::of($layer)),
                    ),
                    weight: $difference / 10,
                    atMm: Names::middle($layer),
                    isTwin: $layer->piece->isTwin,
                );
            }
        }

        return $deviations;
    }

    /** What most sets two colours apart. */
    /** In what the two differ most. */
    private static function differs(Lab $is, Lab $planned): string
    {
        $pairs = [
            ['lighter', 'darker', $is->l - $planned->l],
            ['redder', 'greener', $is->a - $planned->a],
            ['yellower', 'bluer', $is->b - $planned->b],
        ];
        usort($pairs, static fn (array $a, array $b): int => abs($b[2]) <=> abs($a[2]));

        return $pairs[0][2] > 0.0 ? $pairs[0][0] : $pairs[0][1];
    }
}
