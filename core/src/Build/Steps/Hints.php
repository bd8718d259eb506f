<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Armature\WireAdvice;
use Impa\Figure\Editing\Buried;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Seat;
use Impa\Figure\Term\JoinBy;
use Impa\Material\CoveringWay;
use Impa\Voice\Amount;
use Impa\Wool\Ledger\Coverings;

/** What a step should look like when it is done, what usually goes wrong at it and its cure, and where it can hurt (docs/trade.md). */
final class Hints
{
    public const SCALDS = 'Steam scalds: tongs, never fingers, and the kettle off before you bend.';

    /** @return string one sentence */
    public static function look(Step $step): string
    {
        return match ($step->kind) {
            StepKind::Mix => 'Held against the light it is of one shade, without a streak.',
            StepKind::Portion => 'Equal heaps lie side by side, each with the name of its part.',
            StepKind::Wire => 'Both ends are turned back and covered; nothing scratches.',
            StepKind::Thread => 'It sits where it was drawn, and does not turn when you pull.',
            StepKind::Core => 'It springs back when you press it, and is a little smaller than it will be.',
            StepKind::Weight => 'It does not rattle, and cannot be felt from outside.',
            StepKind::Flatten => 'It stands by itself, and a light push does not tip it.',
            StepKind::Loop => 'The loop stands up by itself, and gives nowhere when you pull.',
            StepKind::Cover => 'No core shows, even where you bend it; held against its neighbour it fits.',
            StepKind::Felt => 'It is even all round, and firm enough that a finger leaves no dent.',
            StepKind::Compare => 'Upside down and side by side you cannot tell which is which.',
            StepKind::Mark => 'Both sides lie level, and equally far from the middle line.',
            StepKind::Detail => 'Its rim is crisp, and no wisp stands out when you look along the skin.',
            StepKind::Steam => 'Let go, it keeps its bend; held to its place it lies on all along.',
            StepKind::Slit => 'The slit closes by itself when nothing is in it.',
            StepKind::Join => 'It does not give when you tug, and stands right from all sides.',
            StepKind::Hide => 'The colour runs on over the seam without a step.',
            StepKind::Covering => 'Nothing of the ground shows through, and nothing comes off in your hand.',
            StepKind::Cut => 'Laid on its template it covers the line all round, and its rim is clean.',
            StepKind::Press => 'It lies flat by itself, and no rim stands up.',
            StepKind::Stitch => 'The stitches are alike, and the rim lies down all round.',
            StepKind::Open => 'Held against the light both are alike, and no lower layer shows.',
            StepKind::Ribbon => 'Pulled hard it does not give, and the felt round the hole stays flat.',
            StepKind::Trim => 'Against the light no fuzz stands out.',
            StepKind::Inspect => 'It is the figure of the drawing, from every side.',
        };
    }

    /** What is said of a part that nobody sees. */
    public static function hidden(Part $part, Part $to): string
    {
        return sprintf(
            '%s lies wholly within the %s: nothing of it shows, and its wool is counted as well. '
                .'Take it out, or move it to where it shows.',
            $part->name,
            mb_strtolower($to->name),
        );
    }

    /** What is said of a part that is felted onto another without her saying so. */
    public static function lies(Seat $seat, Part $part, Part $to): string
    {
        return sprintf(
            '%s of the %s lies within the %s: it is felted onto it, and what lies within is not made.',
            Amount::share($seat->shared->share),
            mb_strtolower($part->name),
            mb_strtolower($to->name),
        );
    }

    /** What is said of a part that shows in the picture and not in the round. */
    public static function buried(Part $part, Part $to, float $mm, bool $isHidden): string
    {
        return sprintf(
            '%s lies before the %s in the picture, and inside it in the round%s: bring it %s forwards%s.',
            $part->name,
            mb_strtolower($to->name),
            $isHidden ? ', where its wool is counted as well' : '',
            Amount::mm($mm),
            Buried::canGoRound($part) ? ', or lay it round as a ring' : '',
        );
    }

    /** What is said of a part that does not reach what it is joined to: among the notes, and where it is to be joined. */
    public static function floats(Part $part, Part $to, float $gapMm): string
    {
        return sprintf(
            '%s does not reach the %s: %s lie between them as drawn. Bring it nearer, or make it longer.',
            $part->name,
            mb_strtolower($to->name),
            Amount::mm(max(1.0, $gapMm)),
        );
    }

    /**
     * What usually goes wrong here, and the cure (docs/trade.md, What goes wrong).
     *
     * @return ?array{sign: string, cure: string} nothing where nothing usually does
     */
    public static function wrong(Step $step, Figure $figure): ?array
    {
        $pair = static fn (string $sign, string $cure): array => ['sign' => $sign, 'cure' => $cure];

        return match ($step->kind) {
            StepKind::Mix => $pair('Streaks that stay.', 'Pull thinner layers, and turn every second one across the first.'),
            StepKind::Core => $pair('A dent, or a soft side.', 'Stab round the dent, never into it; or fill it with a wisp, edges first.'),
            StepKind::Cover => $pair('The core shows through.', 'Lay a second thin layer over that side; do not stab harder.'),
            StepKind::Felt => $pair('Lumps, or lines of fibre.', 'Tease the lump apart, and spread a thin layer over it.'),
            StepKind::Compare => $pair(
                'One is larger than the other.',
                Coverings::isCut($figure->parts[$step->about->part])
                    ? 'Lay it on the other, and trim what stands out.'
                    : 'Felt the larger one more, or pull a little off it.',
            ),
            StepKind::Detail => $pair(
                'Too big, or in the wrong place.',
                'Slant the needle towards its middle; or lift it out, close the ground, mark again.',
            ),
            StepKind::Join => $pair('It wobbles.', 'More fluff, stabs all round, then small wisps over the join.'),
            StepKind::Hide => $pair('The seam shows as a ring.', 'Lay the wisp across the seam, not along it.'),
            StepKind::Covering => $pair('It comes out again.', 'Stab the roots deeper, straight in, before the next row.'),
            StepKind::Thread => $pair('The hole gapes.', 'Close it with a wisp laid round the wire, stabbed from the side.'),
            StepKind::Mark => $pair('The face sits too high.', 'Prick again lower; the holes close under a few shallow stabs.'),
            StepKind::Cut => $pair('A corner cut too far.', 'It hides under the next layer; else cut the piece again.'),
            StepKind::Steam => $pair('It springs back.', 'Steam it once more, and let it cool tied over something round.'),
            StepKind::Press => $pair('A rim stands up.', 'A few slanting stabs under it, then press once more.'),
            StepKind::Stitch => $pair('It puckers.', 'Ease the thread with the eye of the needle, from the middle of the row to its end.'),
            StepKind::Open => $pair('Cut too wide.', 'Stitch the rim all round with the colour: it draws in by a millimetre.'),
            StepKind::Trim => $pair('Fuzz comes back.', 'Use a finer needle, then trim; do not pull.'),
            default => null,
        };
    }

    /** Lighter and darker than that a colour has its own side of the pad, L* (house choice). */
    private const LIGHT = 70.0;

    private const DARK = 40.0;

    /** On which side of the pad it is felted, so that no fibre of another colour gets in; empty where nothing is. */
    public static function pad(Step $step, Figure $figure): string
    {
        $light = isset($figure->colours[$step->about->colour]) ? $figure->colours[$step->about->colour]->srgb->lab()->l : null;

        return match (true) {
            $step->uses->needle === null => '',
            $light === null => 'for undyed wool',
            $light >= self::LIGHT => 'for light colours',
            $light <= self::DARK => 'for dark colours',
            default => 'for middling colours',
        };
    }

    /** @return list<string> cautions that apply at this step (docs/trade.md, Cautions) */
    public static function cautions(Step $step, Figure $figure): array
    {
        $cautions = [];
        $part = $figure->parts[$step->about->part] ?? null;
        $method = $step->about->detail === '' ? null : $figure->details[$step->about->detail]->method;
        $joinBy = in_array($step->kind, [StepKind::Slit, StepKind::Join], true) ? $part?->join->by : null;
        if ($step->uses->needle !== null) {
            $cautions[] = 'Eyes on the needle; out the way it went in, never bend or lever.';
        }
        if (($step->uses->needle->holder ?? 1) > 1) {
            $cautions[] = 'Several needles need a thick pad under them, and fingers well away.';
        }
        if ($method?->dries() || $joinBy === JoinBy::Glue || self::isGlued($step)) {
            $cautions[] = 'Glue, paint and varnish: fresh air, and the instructions on the label.';
        }
        if ($method?->isHard()) {
            $cautions[] = 'Small or sharp parts: the figure is decoration, not a toy.';
        }
        $isWire = in_array($step->kind, [StepKind::Wire, StepKind::Thread], true) || $joinBy === JoinBy::Wire;
        if ($isWire || ($step->uses->needle !== null && self::hasWire($figure, $step->about->part))) {
            $cautions[] = 'Turn wire ends in and cover them; near wire stab from the side only.';
        }
        if ($step->kind === StepKind::Weight) {
            $cautions[] = 'Needles break on metal: cover it well, and stab beside it.';
        }
        if ($joinBy === JoinBy::Slit && $step->kind === StepKind::Slit) {
            $cautions[] = 'Cut away from your fingers, and put the scissors down before you go on.';
        }
        if (in_array($step->kind, [StepKind::Cut, StepKind::Open, StepKind::Ribbon], true)) {
            $cautions[] = 'Scissors and punches: cut away from your fingers, and on a mat.';
        }
        if ($step->kind === StepKind::Ribbon) {
            $cautions[] = 'Ties are for grown-ups to wear: never round a child\'s neck.';
        }
        $isIroned = $step->kind === StepKind::Covering && $part?->made->covering->way === CoveringWay::Film;
        if ($isIroned || in_array($step->kind, [StepKind::Trim, StepKind::Press], true)) {
            $cautions[] = 'Hot iron or steam: the lowest setting that works, a cloth between, never leave it on.';
        }
        if ($step->kind === StepKind::Steam) {
            $cautions[] = self::SCALDS;
        }
        if ($step->kind === StepKind::Inspect) {
            $cautions[] = 'A broken tip that is not found stays in the figure: then it is not safe yet.';
        }

        return $cautions;
    }

    /** Whether a wire is glued in. */
    private static function isGlued(Step $step): bool
    {
        return $step->kind === StepKind::Thread && $step->time->waitMinutes > 0.0;
    }

    /** Whether a wire of the figure goes through a part. */
    private static function hasWire(Figure $figure, string $part): bool
    {
        foreach (isset($figure->parts[$part]) ? $figure->wires : [] as $wire) {
            if (WireAdvice::isThrough($wire, $figure->parts[$part])) {
                return true;
            }
        }

        return false;
    }
}
