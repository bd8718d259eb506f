<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\Piece;
use Impa\Shape\ShapeKind;
use Impa\Voice\Amount;

/** Why something was seen as it was: how sure that is, and one sentence. */
final class Reasons
{
    /** From this overlap (nothing trusted) to this one (fully trusted). */
    private const TRUST = [0.72, 0.97];

    /** What a guess behind other parts takes from the trust, and an outline of its own. */
    private const HIDDEN = 0.15;

    private const OWN_OUTLINE = 0.3;

    /** How sure a thin line is; what share of it a cord covers says little, where a pixel is a third of it. */
    private const CORD = 0.75;

    /**
     * @param  array<int, Piece>  $pieces  named
     * @return array{confidence: float, why: string} confidence from 0 to 1
     */
    public static function ofPiece(Piece $piece, array $pieces, float $mmPerPx): array
    {
        $fit = $piece->fit;
        $isOwn = isset($fit->options['outline']) && is_array($fit->options['outline']) && $fit->overlap >= 0.97;
        $share = round(100 * min(1.0, $fit->overlap));
        $to = $piece->joinTo >= 0 ? $pieces[$piece->joinTo]->name : '';
        $said = [
            match (true) {
                $piece->neckPx > 0.0 && $to !== '' => sprintf(
                    'Cut from the %s at a neck %s wide',
                    lcfirst($to),
                    Amount::mm($piece->neckPx * $mmPerPx),
                ),
                $piece->colours > 1 => sprintf('One body in %d colours', $piece->colours),
                default => 'A patch of one colour',
            },
        ];
        $isCord = $fit->kind === ShapeKind::Cord;
        $said[] = match (true) {
            $isCord => 'a thin line, followed by a cord',
            $isOwn => 'no simple shape covers it, so it has an outline of its own',
            default => sprintf(
                '%s %s covers %d %% of it',
                in_array($fit->kind, [ShapeKind::Egg, ShapeKind::Arc], true) ? 'an' : 'a',
                $fit->kind->value,
                $share,
            ),
        };
        if ($piece->fringe !== null) {
            $said[] = sprintf(
                'its %d teeth are tufts that stand %s out',
                count($piece->fringe->tips),
                Amount::mm($piece->fringe->beyondPx($fit) * $mmPerPx),
            );
        }
        if ($piece->isPartlyHidden) {
            $said[] = 'it goes on behind its neighbours by guess';
        }
        if ($piece->mirror) {
            $said[] = 'its twin stands on the other side of the middle line';
        }
        $confidence =
            ($isCord ? self::CORD : ($fit->overlap - self::TRUST[0]) / (self::TRUST[1] - self::TRUST[0])) -
            ($piece->isPartlyHidden ? self::HIDDEN : 0.0) -
            ($isOwn ? self::OWN_OUTLINE : 0.0);

        return ['confidence' => round(max(0.05, min(1.0, $confidence)), 2), 'why' => implode('; ', $said).'.'];
    }

    /**
     * @param  string  $kind  of the detail: disc, line or patch
     * @return array{confidence: float, why: string}
     */
    public static function ofMark(Mark $mark, Piece $piece, string $kind, bool $isPair): array
    {
        $said = [
            match ($mark->layer) {
                1 => sprintf('Colour on the surface of the %s', lcfirst($piece->name)),
                default => sprintf('Colour in layer %d on the %s, inside another patch', $mark->layer, lcfirst($piece->name)),
            },
        ];
        $said[] = match ($kind) {
            'disc' => 'a disc covers it',
            'line' => 'it is long and thin: a drawn line',
            default => 'its outline was followed',
        };
        if ($isPair) {
            $said[] = 'its twin lies on the other side of the middle line';
        }

        return ['confidence' => $kind === 'patch' ? 0.7 : 0.9, 'why' => implode('; ', $said).'.'];
    }
}
