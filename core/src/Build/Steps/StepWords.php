<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Figure\Detail;
use Impa\Figure\Part;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\Method;
use Impa\Material\CoreMaterial;
use Impa\Voice\Amount;

/**
 * What the felter reads at each step: two sentences, none longer than twenty words, and no name in them, so that they stay short.
 * Amounts stand beside the words, in the felter's own units.
 */
final class StepWords
{
    /** Thinner flat pieces than so many mm are felted between two cards (common practice). */
    private const BETWEEN_CARDS_MM = 4.0;

    public const MIX =
        'Lay thin layers of its wools over each other, pull them apart, and lay them again, until no streak is left. '.
        'Mix all of it at once: a second batch comes out another shade.';

    public const PORTION =
        'Weigh what comes in pairs together, and split it into equal pieces. '.
        'Do it before anything is felted: afterwards nobody can tell.';

    public const WIRE =
        'Cut the wire with both fold-backs, and turn its ends back on themselves. '.
        'Pinch them flat, so that the wrapping cannot slip off.';

    public const THREAD =
        'Make its holes with a thick needle, each from its own side towards the middle. '.
        'Push the wire through, until as much stands out on both sides.';

    public const WHISKER =
        'Cut it longer than you see it, turn its ends in, and make its hole with a thick needle. '.
        'Push it in with a touch of glue, and wind its colour round what shows.';

    public const COMPARE =
        'Lay both side by side, and turn one over: same length, same thickness, same firmness. '.
        'Felt the larger one more, until you cannot tell them apart.';

    public const COMPARE_CUT =
        'Lay both on each other, one turned over: same rim all round. '.
        'Trim the larger one, until you cannot tell them apart.';

    public const MARK =
        'Prick every mark from the face sheet, and lay a level line across. '.
        'Look from straight in front and in a mirror before any wool goes on.';

    public const LOOP =
        'Thread the loop through with a long needle, and knot it inside. Pull at it: it carries the whole figure.';

    public const WEIGHT =
        'Wrap it in a thin layer of wool, so that it cannot rattle or show. '.
        'Felt it in at its place, and never stab onto it.';

    public const FLATTEN =
        'Press it onto the table, and stab the rim of the base up from below. '.
        'Set it down again and again, until it leans to no side.';

    public const STEAM =
        'Hold it in steam for a few breaths, with tongs. Bend it over a finger as it is to sit, and hold it until it is cold.';

    public const BEND = 'Bend it as it is to sit, and stab along the inside of the bend until it stays.';

    public const SLIT =
        'Snip the slit where it is to sit, no longer than the piece is wide. '.
        'Make it shallow: it can be cut deeper, never shallower.';

    public const CUT =
        'Pin its template on the felt, and cut with long strokes of large scissors, turning the felt, not the hand. '.
        'Mark on it where the next layers go.';

    public const LAY =
        'Lay it on its marks and look from in front; tack it in the middle with few light stabs, closer round the rim. '.
        'Lift it from the pad every few stabs, so that it does not grow onto it.';

    public const PRESS =
        'Press it under a damp cloth with steam, and let it lie flat until it is cold. '.
        'What lies crooked now can still be lifted.';

    public const STITCH =
        'Hide the knot between the layers, and stitch round the rim, all stitches as long as deep. '.
        'Pull the thread in until it lies, no further: the rim must not pucker.';

    public const OPEN =
        'Draw the opening from the template, and cut inside the line with small sharp scissors. '.
        'Hold it against the other, then cut up to the line.';

    public const RIBBON =
        'Punch each hole where it is marked, and go round it with stitches or a few stabs. '.
        'Fold the ribbon in two, lead it through from behind, and pull its ends through the loop.';

    public const HIDE =
        'Lay a thin wisp of its colour over the seam. Stab it in shallow from all sides, until the seam cannot be felt.';

    public const TRIM =
        'Go over it with the fine needle, and trim what still stands out. '.
        'Press flat pieces under a cloth, at the lowest setting that works.';

    public const INSPECT =
        'Look from all sides, upside down and in a mirror, and against the picture; stand it on the table. '.
        'Count your needles, and look for broken tips before it leaves the table.';

    public static function core(CoreMaterial $core): string
    {
        return match ($core) {
            CoreMaterial::Foam => 'Take the foam shape that fits, or cut one to size. Round its edges: they show through a cover.',
            CoreMaterial::Stuffing => 'Roll the stuffing as tight as you can. Stab it all over until it holds together by itself.',
            CoreMaterial::Scrap => 'Begin with a small tight ball of scraps, then wrap more round it in thin layers. '.
                'Stab from all sides until it springs back; keep dark scraps inside.',
            default => 'Begin with a small tight ball, then wrap more round it in thin layers. '.
                'Stab from all sides until it springs back and keeps its shape.',
        };
    }

    public static function cover(Part $part): string
    {
        return 'Tease the colour into a thin even layer, and lay it round without gaps or lumps. '.
            (self::leavesFluff($part)
                ? 'Fix it until no core shows; leave the end that will be joined loose.'
                : 'Fix it until no core shows, then roll it in warm hands.');
    }

    public static function felt(Part $part): string
    {
        $kind = $part->solid->kind();
        [$first, $then] = match (true) {
            $kind->isFlat() && $part->solid->thinnestMm() < self::BETWEEN_CARDS_MM => [
                'Lay the wool out a little larger than its outline, between two cards, and stab through the edge.',
                'Fold the rim in and firm it, turning the piece often',
            ],
            $kind->isFlat() => [
                'Lay the wool out flat, a little larger than its outline, and stab evenly from both sides.',
                'Fold the rim in and firm it, turning the piece often',
            ],
            $kind->isLong() => [
                'Roll the wool tightly from one end.',
                'Stab it round and round until it is even and firm',
            ],
            default => [
                'Roll the wool into a small tight ball, and lay the rest round it.',
                'Stab from all sides until it is even and firm',
            ],
        };

        return $first.' '.$then.(self::leavesFluff($part) ? '; leave the end that will be joined loose.' : '.');
    }

    /** @param  string  $on  what it will lie on */
    public static function capCore(string $on, float $mm): string
    {
        return self::flatAndHollow($mm).sprintf('Shape it over the %s until it keeps that form by itself.', self::short($on));
    }

    /** @param  string  $on  what it will lie on */
    public static function cap(string $on, float $mm): string
    {
        return self::flatAndHollow($mm).sprintf('Shape it over the %s, and leave its rim loose for the join.', self::short($on));
    }

    /** @param  string  $on  what it will lie on */
    public static function capCover(string $on): string
    {
        return 'Tease the colour into a thin even layer, and lay it over the outside and round the rim. '.
            sprintf('Fix it until no core shows; what lies on the %s stays bare.', self::short($on));
    }

    /** @param  string  $on  what it is wrapped round */
    public static function wrapped(string $on, float $mm): string
    {
        return sprintf('Roll the wool, and leave it thinner where it lies on the %s. ', self::short($on)).
            sprintf('Stab it round and round, to %s where it is thickest.', Amount::mm(max(1.0, $mm)));
    }

    private static function flatAndHollow(float $mm): string
    {
        return sprintf('Lay the wool flat, and stab it into a cap of %s, hollow below. ', Amount::mm(max(1.0, $mm)));
    }

    /** A name that leaves a sentence readable. */
    private static function short(string $name): string
    {
        return count(explode(' ', $name)) > 3 ? 'part below' : $name;
    }

    public static function detail(Detail $detail): string
    {
        return match (true) {
            $detail->method === Method::Bead => 'Bring the thread up from where its knot will be hidden. '.
                'Sew the bead on at its mark, and pull it in.',
            $detail->method === Method::ReadyMade => 'Make a small hole on the mark with the needle, and try the eye in it. '.
                'Glue it in, and let it dry before the piece is handled.',
            $detail->method === Method::Stitch => 'Stitch along the marks with one thread of the colour. Hide its ends inside.',
            $detail->method === Method::Paint => 'Paint it on its marks with a fine brush and little paint. '.
                'Let it dry before the piece is handled.',
            $detail->method === Method::Pin => 'Push the pin in on its mark, and glue it. Its point must end inside.',
            $detail->drawn->kind === DetailKind::Line => 'Twist a wisp of tops, fix one end, and lay it along its marks. '.
                'Stab it down, trim the end, then push it straight with slanting stabs.',
            default => 'Take less wool than you think, and tack it at top, bottom, right and left. '.
                'Stab round the rim, the middle last.',
        };
    }

    public static function join(Part $part): string
    {
        return match ($part->join->by) {
            JoinBy::Fluff => 'Hold it in place and look from all sides; then spread its loose end on the place. '.
                'Stab all round through it, deep and straight, and tug.',
            JoinBy::Slit => 'Push its end into the slit, and look from all sides before you stab. '.
                'Stab round it until the slit is closed, and tug.',
            JoinBy::Neck => 'Set it on the neck, and look from all sides before you stab. '.
                'Stab from below and above, all round, and tug.',
            JoinBy::Wrap => 'Wrap its end round the place; its join lies at the back. Stab it down, shallow, all along.',
            JoinBy::Sandwich => 'Lay its end between two layers, and look from all sides. Stab through all of them, and tug.',
            JoinBy::Sew => 'Pin it in place, and look from all sides. Sew it on with small stitches, and hide the knot.',
            JoinBy::Glue => 'Try it in place first, and look from all sides. Glue it on in fresh air; follow the label.',
            JoinBy::Wire => 'Push its wire in, and turn the end back inside. Stab from the side only, all round, and tug.',
        };
    }

    private static function leavesFluff(Part $part): bool
    {
        return $part->isJoined() && in_array($part->join->by, [JoinBy::Fluff, JoinBy::Slit], true);
    }
}
