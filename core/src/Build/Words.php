<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Figure\Detail;
use Impa\Figure\DetailKind;
use Impa\Figure\JoinBy;
use Impa\Figure\Method;
use Impa\Figure\Part;
use Impa\Material\CoreMaterial;

/** What the felter reads at each step. Amounts stand beside the words, in the felter's own units. */
final class Words
{
    public static function core(Part $part, CoreMaterial $core): string
    {
        $how = match ($core) {
            CoreMaterial::Foam => 'Take the foam shape that fits, or cut one to size.',
            CoreMaterial::Stuffing => 'Roll the stuffing firmly and stab it until it holds together.',
            default => 'Make a small tight ball first, then wrap more round it in thin layers. Stab from all '.
                'sides until it springs back and keeps its shape.',
        };

        return self::both($part, sprintf('%s: the core. %s', $part->name, $how));
    }

    public static function cover(Part $part): string
    {
        return self::both(
            $part,
            sprintf(
                '%s: the cover. Tease the colour into a thin even layer and lay it round the core, no gaps, '.
                    'no lumps. Fix it with shallow slanting stabs until no core shows; roll it in warm hands.',
                $part->name,
            ),
        ).self::fluff($part);
    }

    public static function felt(Part $part): string
    {
        $flat = $part->solid->kind()->isFlat();
        $how = $flat
            ? 'Lay the wool out flat to the outline, a little larger than it is to be. Stab it evenly from '.
                'both sides with slanting stabs, fold the rim in and firm it, turning the piece often.'
            : ($part->solid->kind()->isLong()
                ? 'Roll the wool tightly from one end, then stab it round and round until it is even and firm.'
                : 'Roll the wool tightly, then stab from all sides until it is even and firm.');

        return self::both($part, sprintf('%s: solid colour. %s', $part->name, $how)).self::fluff($part);
    }

    /** @param  string  $how  what is laid on, wound round or cut out, and how */
    public static function covering(Part $part, string $how): string
    {
        $whole = $part->covering->way->replacesCover();

        return self::both($part, sprintf('%s: %s. %s', $part->name, $part->covering->way->label(), $how)).
            ($whole ? self::fluff($part) : '');
    }

    public static function detail(Detail $detail): string
    {
        $how = match (true) {
            $detail->method === Method::Bead => 'Prick the mark, sew the bead on and pull the thread in.',
            $detail->method === Method::ReadyMade => 'Prick the mark, make a small hole with the needle, '.
                'glue the eye in. Let it dry before the piece is handled.',
            $detail->method === Method::Stitch => 'Stitch it along the marks with one thread of the colour.',
            $detail->method === Method::Paint => 'Paint it on the marks with a fine brush; let it dry.',
            $detail->method === Method::Pin => 'Push the pin in on the mark and glue it; its point must end inside.',
            $detail->kind === DetailKind::Line => 'Twist a wisp of tops. Fix it at the start, lay it along '.
                'the marks, stab it down, trim the end, then push it straight with slanting stabs.',
            default => 'Take less wool than you think. Tack it at the top, the bottom, right and left, then '.
                'stab round the rim, the middle last.',
        };

        return sprintf(
            '%s: %s%s',
            $detail->name,
            $how,
            $detail->mirror ? ' Make both, and compare them level before you go on.' : '',
        );
    }

    public static function join(Part $part, Part $to): string
    {
        $how = match ($part->joinBy) {
            JoinBy::Fluff => 'Spread its fluff end on the place and stab all round through it, deep and straight. Tug: it must not give.',
            JoinBy::Slit => 'Snip a small slit, push the end in, and stab round it until the slit is closed.',
            JoinBy::Neck => 'Set it on the neck and stab from below and above, all round.',
            JoinBy::Wrap => 'Wrap the end round the place and stab it down.',
            JoinBy::Sandwich => 'Lay the end between two layers and stab through all of them.',
            JoinBy::Sew => 'Sew it on with small stitches and hide the knot.',
            JoinBy::Glue => 'Glue it on. Fresh air; follow the label.',
            JoinBy::Wire => 'Push its wire in, turn the end back inside, and stab from the side only.',
        };

        return sprintf(
            'Join %s to %s%s. Hold it in place and look from all sides first. %s',
            self::low($part->name),
            self::low($to->name),
            $part->mirror ? ', both sides alike' : '',
            $how,
        );
    }

    public static function hide(Part $part): string
    {
        return sprintf(
            'Hide the join of %s: lay a thin wisp of its colour over the seam and stab it in, shallow.',
            self::low($part->name),
        );
    }

    public const PORTION =
        'Set the wool aside before you felt anything: afterwards nobody can tell. What '.
        'comes in pairs is weighed together and split into equal pieces.';

    public const INSPECT =
        'Look at it from all sides, upside down and in a mirror; hold it against the '.
        'picture; stand it on the table. Count your needles and look for broken tips before it leaves the '.
        'table.';

    private static function both(Part $part, string $text): string
    {
        return $part->mirror ? $text.' Make both side by side and compare as you go.' : $text;
    }

    private static function fluff(Part $part): string
    {
        return $part->isJoined() && $part->joinBy === JoinBy::Fluff ? ' Leave the end that will be joined unfelted.' : '';
    }

    private static function low(string $name): string
    {
        return 'the '.mb_strtolower($name);
    }
}
