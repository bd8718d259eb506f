<?php

declare(strict_types=1);

namespace Impa\Check\Mending;

use Impa\Balance\Balance;
use Impa\Balance\Cure;
use Impa\Balance\Cures;
use Impa\Check\CheckRefused;
use Impa\Face\DetailGround;
use Impa\Figure\Detail;
use Impa\Figure\Part;
use Impa\Figure\Term\Side;
use Impa\Material\Densities;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Wool\Grams;
use Impa\Wool\Ledger\Coverings;
use Impa\Wool\Ledger\Ledger;

/**
 * What helps, reckoned from this figure: how much wool, which needle, in what order, what not to do, how long (docs/trade.md, What goes
 * wrong). Immutable.
 */
final readonly class MendDesk
{
    /** How thick a layer is that covers a lump or foreign fibres; that hides a core; that closes a ground (common practice), mm. */
    private const THIN_MM = 0.6;

    private const HIDES_MM = 1.2;

    private const CLOSES_MM = 1.0;

    /** A wisp over a seam is so broad and thick, mm. */
    private const SEAM_MM = [6.0, 0.5];

    private function __construct(private Ledger $ledger, private Part $part, private ?Detail $detail)
    {
    }

    /**
     * @param  string  $key  of the part or the detail; empty for the whole figure
     * @param  array<string, float>  $answers  to what the sign asks, by name; the usual where one is missing
     * @return non-empty-list<Remedy>
     *
     * @throws CheckRefused if there is no such part or detail, or an answer is out of range
     */
    public static function remedies(Ledger $ledger, Sign $sign, string $key, array $answers): array
    {
        $figure = $ledger->figure;
        $detail = $sign->about() === 'detail' ? $figure->details[$key] ?? throw CheckRefused::noDetail($key) : null;
        $key = match ($sign->about()) {
            'detail' => $detail->on ?? '',
            'figure' => (string) array_key_first($figure->parts),
            default => $key,
        };
        $desk = new self($ledger, $figure->parts[$key] ?? throw CheckRefused::noPart($key), $detail);
        $asked = [];
        foreach ($sign->asks() as $ask) {
            $value = $answers[$ask['name']] ?? $ask['usual'];
            if (is_nan($value) || abs($value) > $ask['most'] || ($sign !== Sign::WrongPlace && $value <= 0.0)) {
                throw CheckRefused::noAnswer($ask['label'], $ask['most'], $ask['unit']);
            }
            $asked[$ask['name']] = $value;
        }

        return $desk->of($sign, $asked);
    }

    /**
     * @param  array<string, float>  $a
     * @return non-empty-list<Remedy>
     */
    private function of(Sign $sign, array $a): array
    {
        return match ($sign) {
            Sign::Dent => $this->dent($a['across'], $a['deep']),
            Sign::Lumps => [$this->layer('Tease it apart, and cover it', $a['across'], self::THIN_MM, [
                'Pull the lump apart with the needle, and press it flat.',
                'Lay the wisp over it thinly, fibres in all directions.',
                'Fix its rim first, then the middle, with the fine needle.',
            ], 'Do not stab harder on the lump: it only sinks in beside it.')],
            Sign::CoreShows => $this->coreShows($a['across']),
            Sign::Soft => [$this->plain('Firm it', [
                'Stab the soft side from several directions, straight in, deep, a few times in each place.',
                'Turn it often, and press with a thumb until it gives no more than elsewhere.',
            ], 'Do not stay in one place: that makes a dent.', 5.0, 38, 'middling, straight'), $this->layer(
                'Lay more on, where it is thin as well',
                $a['across'],
                2 * self::HIDES_MM,
                ['Lay the wool over the soft side, its rim thin.', 'Stab it in from the rim to the middle.'],
                'Do not lay on more than you see missing.',
            )],
            Sign::Wobbles => $this->wobbles(),
            Sign::SeamShows => [$this->seam('Hide it anew', [
                'Lay the wisp across the seam, not along it, piece by piece all round.',
                'Stab it in shallow from both sides, until the seam cannot be felt.',
            ])],
            Sign::Foreign => $this->foreign($a['across']),
            Sign::Fuzz => [$this->plain('Needle, trim, press', [
                'Go over it with the finest needle, slanting along the skin.',
                'Trim what still stands out with small sharp scissors, held flat.',
                'Roll it in warm, dry hands; press flat pieces under a cloth, at the lowest setting that works.',
            ], 'Do not pull at fuzz: every pull brings out more.', 6.0, 42)],
            Sign::Twin => $this->twin($a['more']),
            Sign::Through => $this->through($a['across']),
            Sign::TooBig => $this->size($a['off'], true),
            Sign::TooSmall => $this->size($a['off'], false),
            Sign::Lopsided => $this->lopsided($a['short']),
            Sign::WrongPlace => [$this->again($a['up'], $a['right'])],
            Sign::CameOff => [$this->plain('Put it back', [
                'Prick its place again by the face sheet, and look from straight in front.',
                'Fix it as it was: felted ones all round the rim, beads with a new thread, glued ones with a drop of glue.',
            ], 'Small parts come off: such a figure is no toy.', 5.0)],
            Sign::Tips => $this->tips(),
            Sign::NeedleBroke => [$this->plain('Find the tip', [
                'Stop, and look on the table and the pad first.',
                'Feel along the last stabs with a finger on the outside only; a magnet helps.',
                'Push the tip out the way it went in, with tweezers; count your needles.',
            ], 'Do not go on felting, and do not give it away, before the tip is found.', 10.0, 0)],
            Sign::WireShows => [$this->plain('Turn it in, and cover it', [
                'Bend the end back on itself with pliers, and push it in.',
                'Wind a strand round it, and felt that down from the side.',
            ], 'Do not stab onto the wire: needles break on it.', 6.0)],
        };
    }

    /** @return non-empty-list<Remedy> */
    private function foreign(float $across): array
    {
        return [
            $this->plain('Pick them out', [
                'Draw the fibres out with fine tweezers, one by one, along the skin.',
                'Smooth the place with a few shallow stabs.',
            ], 'Do not stab them in: they come up again.', 4.0),
            $this->layer('Cover them', $across, self::THIN_MM, [
                'Lay the wisp over the place as thin as a breath.',
                'Fix it with shallow stabs; use a clean side of the pad.',
            ], 'Do not use the pad on which they came in.'),
        ];
    }

    /**
     * @param  float  $more  grams by which one is heavier
     * @return non-empty-list<Remedy>
     */
    private function twin(float $more): array
    {
        return Coverings::isCut($this->part) ? [$this->plain('Trim the larger one', [
            'Lay both on each other, one turned over, and trim what stands out.',
            'Firm its new edge with slanting stabs.',
        ], 'Do not cut both: take from one until it is the other.', 3.0)] : [
            $this->plain('Felt the larger one more', [
                'Firm the larger one all round, and hold both side by side as you go.',
            ], 'Do not make the smaller one larger: it never ends.', 6.0, 38, 'middling, straight'),
            $this->plain('Pull a little off', [
                sprintf('Tease %s off the end that will be joined: half of what it is heavier.', Amount::g($more / 2)),
                'Firm the place again, and compare.',
            ], 'Do not cut it: cut ends felt badly.', 4.0),
        ];
    }

    /** @return non-empty-list<Remedy> */
    private function through(float $across): array
    {
        return [
            $this->plain('Trim the back', [
                'Trim what comes out at the back with small scissors, held flat.',
                'Go on with slanting, shallow stabs only.',
            ], 'Do not stab straight in: the piece is thinner than the stab.', 3.0),
            $this->layer('Cover the back', $across, self::THIN_MM, [
                'Lay a wisp of the back\'s own colour over it.',
                'Fix it with stabs that slant so much that they stay in it.',
            ], 'Do not stab through to the front.'),
        ];
    }

    /** @return non-empty-list<Remedy> */
    private function dent(float $across, float $deep): array
    {
        // CRC: a spherical cap of radius a and height h has pi h (3 a^2 + h^2) / 6.
        $mm3 = M_PI * $deep * (3 * ($across / 2) ** 2 + $deep ** 2) / 6;
        $mg = $this->mg($mm3);

        return [
            new Remedy('Fill it', [
                sprintf('Tease out %s of its colour: %s hold that much.', Amount::g($mg / 1000), Lengths::of($across, $deep)),
                'Lay it over the dent, a little broader than that.',
                'Fix the edges first, all round, then the middle, shallow.',
            ], 'Do not stab into the dent: that deepens it.', 5.0, $mg, $this->part->colour),
            $this->plain('Stab round it', [
                'Stab the rim of the dent, slanting away from it, all round: its floor rises.',
                'Smooth the place with the fine needle.',
            ], 'Do not stab into the dent: that deepens it.', 4.0, 38, 'middling, slanting'),
        ];
    }

    /** @return non-empty-list<Remedy> */
    private function coreShows(float $across): array
    {
        return [
            $this->layer('A second thin layer', $across, self::HIDES_MM, [
                'Tease the colour into a thin even veil, a little larger than the place.',
                'Lay it over, and fix it from the rim inwards with shallow stabs.',
            ], 'Do not stab harder: that brings up more of the core.'),
            $this->plain('Work the cover that is there', [
                'Draw fibres of the cover over the place with the tip of the needle.',
                'Fix them with slanting stabs.',
            ], 'Only where a little shows: else the cover becomes thin beside it.', 4.0),
        ];
    }

    /** @return non-empty-list<Remedy> */
    private function wobbles(): array
    {
        $steps = [
            'Hold it straight, and stab deep all round through its fluff into what bears it.',
            'Tug: where it gives, lay a wisp over the join and stab it in.',
        ];

        return $this->part->isJoined()
            ? [$this->seam('More fluff, all round', $steps), $this->plain('Sew it', [
                'Sew through both with a long needle and strong thread of its colour, three times, and hide the knot.',
            ], 'Do not pull the thread so tight that it cuts in.', 6.0, 0)]
            : [$this->plain('Firm its base', [
                'Stab its base flat and firm, until it stands still.',
            ], 'Do not lean it on something.', 4.0, 36)];
    }

    /** @param  list<string>  $steps */
    private function seam(string $way, array $steps): Remedy
    {
        // About as long as the piece is round.
        $long = M_PI * $this->part->thickMm();
        $mg = $this->mg($long * self::SEAM_MM[0] * self::SEAM_MM[1]);

        $dont = 'Do not stab from one side only: it leans that way.';

        return new Remedy($way, $steps, $dont, 6.0, $mg, $this->part->colour, 38, 'deep, then shallow');
    }

    /** @return non-empty-list<Remedy> */
    private function size(float $off, bool $isTooBig): array
    {
        $slant = $isTooBig ? 'towards its middle' : 'away from its middle';
        $ways = [$this->plain($isTooBig ? 'Draw it in' : 'Spread it', [
            sprintf('Stab along its rim at 45 degrees %s, all round, a little at a time.', $slant),
            sprintf('Measure: %s each side.', Amount::mm($off / 2)),
        ], 'Do not work one side only: it wanders.', 3.0, 42, 'very shallow, slanting')];
        $around = $this->detail === null ? 0.0 : 2 * sqrt(M_PI * max(0.1, $this->detail->drawn->areaMm2()));
        $mg = 1000 * Densities::WISP_MG_PER_MM2 / 1000 * $around * $off / 2;
        $ways[] = $isTooBig
            ? new Remedy('Cover its rim', [
                'Lay a thin ring of the ground\'s colour over its rim.',
                'Fix it from outside inwards, with the finest needle.',
            ], 'Do not cover all of it.', 4.0, $mg, $this->ground(), 42, 'very shallow')
            : new Remedy('Add to it', [
                'Lay a wisp of its colour round its rim, and fold the ends in.',
                'Fix the rim first, then across.',
            ], 'Take less than you think: what is too much must be pulled out.', 4.0, $mg, $this->detail->colour ?? '', 42, 'very shallow');

        return $ways;
    }

    /** @return non-empty-list<Remedy> */
    private function lopsided(float $short): array
    {
        $wide = max(0.6, $this->detail->drawn->widthMm ?? 1.0);
        $mg = Densities::WISP_MG_PER_MM2 * $wide * $short;

        return [
            new Remedy('A wisp on the short side', [
                sprintf('Twist a strand of %s, and lay it on from the end, %s on.', Amount::g($mg / 1000), Amount::mm($short)),
                'Fix its tip first, then along it; trim what is left.',
            ], 'Do not pull the long side shorter.', 4.0, $mg, $this->detail->colour ?? '', 42, 'very shallow'),
            $this->plain('Lift and lay again', [
                'Lift the line with the tip of the needle from its end to the middle, without tearing it.',
                'Prick its marks anew, equally far from the middle line, and lay it along them.',
            ], 'Do not lift more than half of it.', 6.0, 42, 'very shallow'),
        ];
    }

    private function again(float $up, float $right): Remedy
    {
        $detail = $this->detail;
        $surface = Surface::of($this->part->placements()[0], $detail->lie->side ?? Side::Front);
        [$x, $y] = $detail?->middle() ?? [0.0, 0.0];
        $down = TapeMark::downMm($surface, $y);
        $across = TapeMark::acrossMm($surface, $x, $y);
        $mg = $this->mg(($detail?->drawn->areaMm2() ?? 0.0) * self::CLOSES_MM);

        return new Remedy('Lift it out, close the ground, mark again', [
            sprintf('It sits %s of its mark.', self::beside($up, $right)),
            'Lift it out with the tip of the needle, rim first.',
            sprintf('Close the ground with %s of its colour, shallow, and smooth it.', Amount::g($mg / 1000)),
            is_nan($down) || is_nan($across)
                ? 'Mark it again by the face sheet.'
                : sprintf(
                    'Mark it again: %s down from the crown by the tape, %s from the middle line.',
                    Amount::mm($down),
                    Amount::mm(abs($across)),
                ),
            'Look in a mirror before you lay it.',
        ], 'Do not push it along the skin: it smears.', 8.0, $mg, $this->ground(), 42, 'very shallow');
    }

    /** Key of the colour that shows where the detail is drawn in or lifted out: of what it lies on, a belly patch as well as the part. */
    private function ground(): string
    {
        return $this->detail === null ? $this->part->colour : DetailGround::colour($this->ledger->figure, $this->detail);
    }

    /** How a thing lies that should be so much higher and farther right. */
    private static function beside(float $up, float $right): string
    {
        $words = [];
        if (abs($up) >= 0.05) {
            $words[] = sprintf('%s %s', Amount::mm(abs($up)), $up > 0.0 ? 'below' : 'above');
        }
        if (abs($right) >= 0.05) {
            $words[] = sprintf('%s %s', Amount::mm(abs($right)), $right > 0.0 ? 'left' : 'right');
        }

        return $words === [] ? 'beside' : implode(' and ', $words);
    }

    /** @return non-empty-list<Remedy> */
    private function tips(): array
    {
        $balance = Balance::of($this->ledger);
        $cures = array_map(
            fn (Cure $cure): Remedy => new Remedy(
                ucfirst(str_replace('-', ' ', $cure->kind)),
                [$cure->text, 'Set it down again, and push it lightly from all sides.'],
                'Do not press it down: what springs back tips again.',
                5.0,
                gauge: 36,
                stabs: 'deep, straight',
            ),
            Cures::of($balance),
        );
        if ($cures === [] && $balance->isTouchy()) {
            return [$this->plain('Give it a wider base', [Cures::NONE], 'Do not weight it high up.', 10.0, 36, 'deep, straight')];
        }

        return $cures === [] ? [$this->plain('It should stand', [
            'By its plan it stands firmly: look whether its base is flat, and stab it flat where it is not.',
        ], 'Do not weight it before you have looked.', 4.0, 36, 'deep, straight')] : array_values($cures);
    }

    /** @param  list<string>  $steps */
    private function layer(string $way, float $acrossMm, float $thickMm, array $steps, string $dont): Remedy
    {
        $mg = $this->mg(M_PI / 4 * $acrossMm ** 2 * $thickMm);

        $first = sprintf('Tease out %s of its colour.', Amount::g($mg / 1000));

        return new Remedy($way, [$first, ...$steps], $dont, 5.0, $mg, $this->part->colour);
    }

    /** @param  list<string>  $steps */
    private function plain(
        string $way,
        array $steps,
        string $dont,
        float $minutes,
        int $gauge = 40,
        string $stabs = 'shallow, slanting',
    ): Remedy {
        return new Remedy($way, $steps, $dont, $minutes, gauge: $gauge, stabs: $stabs);
    }

    /** Wool that fills so much of a part, felted as that is. */
    private function mg(float $mm3): float
    {
        return $mm3 * $this->ledger->densities->feltGPerCm3($this->part->made->firmness);
    }
}
