<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Seeing\Decomposition\Mark;
use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Fitting\Fit;
use Impa\Seeing\Fitting\Fitting;
use Impa\Shape\ShapeKind;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** Why something was seen as it was, in one sentence, and what else it might be. */
final class Reasons
{
    /** What a part may be instead, and a detail. */
    private const COLOUR = 'detail';

    private const PART = 'part';

    /** What lies with so much of its rim before what it is joined to may be only colour on that. */
    private const BEFORE = 0.8;

    /** An outline of its own covers all but so much. */
    private const OWN_OUTLINE = 0.97;

    /**
     * @param  array<int, Piece>  $pieces  named
     * @param  list<int>  $map  piece per pixel, -1 for the ground
     * @return array{why: string, else?: string} else: another kind of shape, or `detail`, of what is unsure
     */
    public static function ofPiece(Piece $piece, array $pieces, array $map, bool $isUnsure, float $mmPerPx): array
    {
        $fit = $piece->fit;
        $isOwn = is_array($fit->options['outline'] ?? null) && $fit->overlap >= self::OWN_OUTLINE;
        $bearer = $pieces[$piece->joinTo] ?? null;
        $to = $bearer === null ? '' : SeenNames::said($bearer->name);
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
        $other = $isUnsure ? self::otherwise($piece, $bearer, $map) : null;
        if ($other instanceof Fit) {
            $said[] = Message::of('seeing.reasons.or', said: Message::of(
                'seeing.covers.'.$other->kind->value,
                share: Amount::share(max(0.0, min(1.0, $other->overlap))),
            ));
        } elseif ($other === self::COLOUR) {
            $said[] = Message::of('seeing.reasons.or-only-colour', to: new Name($to));
        }
        $else = $other instanceof Fit ? $other->kind->value : $other;

        return ['why' => implode('; ', $said).'.'] + ($else === null ? [] : ['else' => $else]);
    }

    /**
     * What a piece may be instead.
     *
     * @param  list<int>  $map
     */
    private static function otherwise(Piece $piece, ?Piece $bearer, array $map): Fit|string|null
    {
        $rim = array_merge(...$piece->fit->outlinePx());
        $isBefore = $bearer?->fit->over();
        $before = $isBefore === null ? [] : array_filter($rim, static fn (array $p): bool => $isBefore($p[0], $p[1]));

        return count($before) >= self::BEFORE * count($rim)
            ? self::COLOUR
            : Fitting::otherwise($piece->blob, $map, $piece->fit->kind);
    }

    /**
     * @return array{why: string, else?: string} else: `part`, of what is unsure
     */
    public static function ofMark(Mark $mark, Piece $piece, MarkShape $drawn, bool $isPair, bool $isUnsure): array
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
        $said[] = match (true) {
            $drawn->shape['kind'] === 'disc' => Message::of('seeing.reasons.a-disc-covers'),
            $drawn->shape['kind'] === 'line' => Message::of('seeing.reasons.it-is-long'),
            $drawn->isSimple => Message::of('seeing.reasons.a-rounded-rectangle-covers'),
            default => Message::of('seeing.reasons.its-outline-was-followed'),
        };
        if ($isPair) {
            $said[] = Message::of('seeing.reasons.its-twin-lies');
        }

        if ($isUnsure) {
            $said[] = Message::of('seeing.reasons.or-a-part');
        }

        return ['why' => implode('; ', $said).'.'] + ($isUnsure ? ['else' => self::PART] : []);
    }
}
