<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Balance\Balance;
use Impa\Balance\Footing;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Editing\Edits;
use Impa\Figure\Editing\Touching;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Material\Densities;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Wool\Ledger\Ledger;

/**
 * A drawing from the front says nothing of depth. So what was seen is made to hang together and to stand, as far as that hardly shows from
 * the front: parts touch what they are joined to, feet lie under the weight, are longer, and the base is flatter.
 */
final class Standing
{
    /** A part that is moved by more than this over the picture is told of, mm. */
    private const SHOWS_MM = 0.5;

    /** What lies farther off than this share of the figure's height is left where it is drawn. */
    private const FAR = 0.04;

    /**
     * @param  bool  $isDeep  whether depths were seen from the side: then only what does not touch is moved
     * @param  bool  $grows  whether what is flattened may be made good by growing: sizes in whole steps stay such
     * @return array{Figure, list<Message>} and what of it shows from the front
     */
    public static function of(Figure $seen, bool $isDeep, bool $grows = true): array
    {
        [$figure, $moves] = Touching::all(self::joined($seen), self::FAR * $seen->heightMm);
        $notices = [];
        foreach ($moves as $key => [$x, $y]) {
            if (hypot($x, $y) > self::SHOWS_MM) {
                $notices[] = Message::of(
                    'seeing.standing.brought',
                    part: $figure->parts[$key]->name,
                    to: new Name($figure->parts[$figure->parts[$key]->join->to]->name),
                    by: Amount::mm(hypot($x, $y)),
                );
            }
        }
        $footing = $isDeep ? null : Footing::of(Balance::of(Ledger::of($figure, Densities::house())));
        if ($footing !== null) {
            $tall = $footing->flattenMm > 0.0 && $grows ? self::grown($footing->figure) : $footing->figure;
            [$figure] = Touching::all($tall, self::FAR * $seen->heightMm);
        }

        return [$figure, $notices];
    }

    /** What is flattened takes from the height that the felter asked for, and longer feet add to it. */
    private static function grown(Figure $figure): Figure
    {
        try {
            return Figure::fromDocument(Edits::ofOneHeight($figure, true)->document);
        } catch (FigureRefused) {
            // The thinnest line cannot be made thinner: then the figure is as tall as it stands.
            return Figure::fromDocument(Edits::ofOneHeight($figure, false)->document);
        }
    }

    /** What lies apart from what it is joined to, though another part reaches it, is joined to that one. */
    private static function joined(Figure $figure): Figure
    {
        foreach (array_keys($figure->parts) as $key) {
            $part = $figure->parts[$key];
            if (! $part->isJoined() || Touching::besideMm($part, $figure->parts[$part->join->to]) <= Touching::TOUCHES_MM) {
                continue;
            }
            $others = array_diff_key($figure->parts, array_flip($figure->branchOf((string) $key)));
            $reach = array_filter($others, static fn (Part $o): bool => Touching::besideMm($part, $o) <= Touching::TOUCHES_MM);
            // Of several the largest: it bears most.
            uasort($reach, static fn (Part $a, Part $b): int => $b->solid->volumeCm3() <=> $a->solid->volumeCm3());
            $to = array_key_first($reach);
            $figure = $to === null ? $figure : Choices::joinedTo($figure, (string) $key, (string) $to);
        }

        return $figure;
    }
}
