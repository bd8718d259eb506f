<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\Piece;
use Impa\Shape\ShapeKind;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;

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
        $to = $piece->joinTo >= 0 ? SeenNames::said($pieces[$piece->joinTo]->name) : '';
        $said = [
            match (true) {
                $piece->neckPx > 0.0 && $to !== '' => Message::of(
                    'seeing.reasons.cut-from',
                    to: new Name($to),
                    mm: Amount::mm($piece->neckPx * $mmPerPx),
                ),
                $piece->colours > 1 => Message::of('seeing.reasons.one-body-in-colours', colours: $piece->colours),
                default => Message::of('seeing.reasons.a-patch-of-one'),
            },
        ];
        $isCord = $fit->kind === ShapeKind::Cord;
        $said[] = match (true) {
            $isCord => Message::of('seeing.reasons.a-thin-line-followed'),
            $isOwn => Message::of('seeing.reasons.no-simple-shape-covers'),
            default => Message::of('seeing.covers.'.$fit->kind->value, share: Amount::share(min(1.0, $fit->overlap))),
        };
        if ($piece->fringe !== null) {
            $said[] = Message::of(
                'seeing.reasons.its-teeth-are-tufts',
                tips: count($piece->fringe->tips),
                mm: Amount::mm($piece->fringe->beyondPx($fit) * $mmPerPx),
            );
        }
        if ($piece->isPartlyHidden) {
            $said[] = Message::of('seeing.reasons.it-goes-on-behind');
        }
        if ($piece->mirror) {
            $said[] = Message::of('seeing.reasons.its-twin-stands');
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
                1 => Message::of('seeing.reasons.colour-on-the-surface', name: new Name(SeenNames::said($piece->name))),
                default => Message::of(
                    'seeing.reasons.colour-in-layer',
                    layer: $mark->layer,
                    name: new Name(SeenNames::said($piece->name)),
                ),
            },
        ];
        $said[] = match ($kind) {
            'disc' => Message::of('seeing.reasons.a-disc-covers'),
            'line' => Message::of('seeing.reasons.it-is-long'),
            default => Message::of('seeing.reasons.its-outline-was-followed'),
        };
        if ($isPair) {
            $said[] = Message::of('seeing.reasons.its-twin-lies');
        }

        return ['confidence' => $kind === 'patch' ? 0.7 : 0.9, 'why' => implode('; ', $said).'.'];
    }
}
