<?php

declare(strict_types=1);

namespace Impa\Show;

use Impa\Balance\Balance;
use Impa\Figure\Figure;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Material\Firmness;
use Impa\Voice\Amount;
use Impa\Wool\Ledger\Ledger;

/** Where a figure is shown: on a hook, as a brooch, on a key ring or a clip, in a dolls' house. What fits, and what helps where it does not. */
final class Showing
{
    /** Pins and clips as they are sold, mm. */
    private const PINS_MM = [20.0, 25.0, 30.0, 35.0, 45.0];

    /** A pin is no longer than this share of what bears it; the backing covers so much of it (house choices). */
    private const PIN_SHARE = 0.7;

    private const BACKING_SHARE = 0.8;

    /** More than so much pulls a knitted jacket out of shape; more hangs heavily on keys, g (house choices). */
    private const BROOCH_G = 15.0;

    private const RING_G = 25.0;

    /** Hair clips as they are sold, mm; more than so much slips down (house choices). */
    private const CLIPS_MM = [35.0, 45.0, 55.0];

    private const CLIP_G = 8.0;

    /** A loop's knot takes so much cord, and so much is felted into the crown, mm (common practice). */
    private const KNOT_MM = 30.0;

    private const FELTED_IN_MM = 15.0;

    /** Askew by less than this nobody sees, degrees. */
    private const STRAIGHT_DEG = 3.0;

    /**
     * @param  float  $loopMm  how long the loop hangs, over the crown
     * @return array{says: list<string>, cures: list<string>, askewDeg: float, atMm: Vec3, cordMm: float, g: float}
     */
    public static function hook(Ledger $ledger, float $loopMm): array
    {
        if (is_nan($loopMm) || $loopMm < 5.0 || $loopMm > 500.0) {
            throw ShowRefused::outOfRange('The loop', 5.0, 500.0);
        }
        $balance = Balance::of($ledger);
        $hang = $balance->hang();
        [$x, , $z] = $hang['atMm'];
        $cord = 2 * $loopMm + self::KNOT_MM + 2 * self::FELTED_IN_MM;
        $isStraight = $hang['askewDeg'] < self::STRAIGHT_DEG;

        return [
            'says' => [
                $isStraight
                    ? 'From its topmost it hangs straight.'
                    : sprintf('From its topmost it hangs %s askew.', Amount::degrees($hang['askewDeg'])),
                sprintf('%s of cord: the loop twice, a knot, and both ends felted in.', Amount::mm($cord)),
            ],
            'cures' => $isStraight ? [] : [sprintf(
                'Set the loop in %s: there it hangs straight.',
                self::place($x, $z),
            )],
            'askewDeg' => $hang['askewDeg'],
            'atMm' => $hang['atMm'],
            'cordMm' => $cord,
            'g' => $balance->massG,
        ];
    }

    /** @return array{says: list<string>, cures: list<string>, pinMm: ?float, backingMm: float, g: float, toMm: ?float} */
    public static function brooch(Ledger $ledger): array
    {
        $figure = $ledger->figure;
        $broad = self::broadest($figure);
        $g = Balance::of($ledger)->massG;
        $pins = array_filter(self::PINS_MM, static fn (float $mm): bool => $mm <= self::PIN_SHARE * $broad);
        $pin = $pins === [] ? null : max($pins);
        $says = [$pin === null
            ? sprintf('No pin fits: its broadest part is %s, the shortest pin %s.', Amount::mm($broad), Amount::mm(self::PINS_MM[0]))
            : sprintf('A pin of %s, on a backing %s across.', Amount::mm($pin), Amount::mm(self::BACKING_SHARE * $broad))];
        $cures = [];
        $to = null;
        if ($pin === null) {
            $to = ceil(self::PINS_MM[0] / self::PIN_SHARE / $broad * $figure->heightMm);
            $cures[] = sprintf('Make it %s high, or sew on a safety pin.', Amount::mm($to));
        }
        if ($g > self::BROOCH_G) {
            $says[] = sprintf('It weighs %s: more than %s pulls at what it is pinned to.', Amount::g($g), Amount::g(self::BROOCH_G));
            $to = self::lighterMm($figure, $g, self::BROOCH_G);
            $cures[] = self::lighter($to, self::BROOCH_G);
        }

        return [
            'says' => $says,
            'cures' => $cures,
            'pinMm' => $pin,
            'backingMm' => self::BACKING_SHARE * $broad,
            'g' => $g,
            'toMm' => $to,
        ];
    }

    /** @return array{says: list<string>, cures: list<string>, g: float, toMm: ?float} a key ring: it is knocked about */
    public static function ring(Ledger $ledger): array
    {
        $figure = $ledger->figure;
        $g = Balance::of($ledger)->massG;
        $soft = [];
        foreach ($figure->parts as $part) {
            if (in_array($part->made->firmness, [Firmness::Squishy, Firmness::Soft, Firmness::Springy], true)) {
                $soft[] = mb_strtolower($part->name);
            }
        }
        $says = [$g > self::RING_G
            ? sprintf('It weighs %s: more than %s hangs heavily on keys.', Amount::g($g), Amount::g(self::RING_G))
            : sprintf('It weighs %s: light enough for keys.', Amount::g($g))];
        $to = $g > self::RING_G ? self::lighterMm($figure, $g, self::RING_G) : null;
        $cures = $to === null ? [] : [self::lighter($to, self::RING_G)];
        if ($soft !== []) {
            $says[] = sprintf('In a pocket it pills where it is not firm: %s.', implode(', ', array_slice($soft, 0, 4)));
            $cures[] = 'Felt it firm all over, and sew every join through once, with thread in its colour.';
        }
        if ($figure->wires !== []) {
            $cures[] = 'Leave the wires out: knocked about, their ends come through.';
        }

        return ['says' => $says, 'cures' => $cures, 'g' => $g, 'toMm' => $to];
    }

    /**
     * On a hair clip or a peg: what bears it is narrow, and it must not slip down.
     *
     * @return array{says: list<string>, cures: list<string>, pinMm: ?float, backingMm: float, g: float, toMm: ?float}
     */
    public static function clip(Ledger $ledger): array
    {
        $figure = $ledger->figure;
        $g = Balance::of($ledger)->massG;
        $wide = self::wide($figure);
        $clips = array_filter(self::CLIPS_MM, static fn (float $mm): bool => $mm <= $wide);
        $clip = $clips === [] ? null : max($clips);
        $says = [$clip === null
            ? sprintf('The shortest clip, %s, shows beside it: it is %s wide.', Amount::mm(self::CLIPS_MM[0]), Amount::mm($wide))
            : sprintf(
                'A clip of %s, sewn to a strip of felt %s long and that to its back.',
                Amount::mm($clip),
                Amount::mm(self::BACKING_SHARE * $wide),
            )];
        $cures = [];
        $to = null;
        if ($clip === null) {
            $to = ceil(self::CLIPS_MM[0] / $wide * $figure->heightMm);
            $cures[] = sprintf('Make it %s high, or lay it on a bow that hides the clip.', Amount::mm($to));
        }
        if ($g > self::CLIP_G) {
            $says[] = sprintf('It weighs %s: more than %s slips down in hair.', Amount::g($g), Amount::g(self::CLIP_G));
            $to = self::lighterMm($figure, $g, self::CLIP_G);
            $cures[] = self::lighter($to, self::CLIP_G);
        }

        return [
            'says' => $says,
            'cures' => $cures,
            'pinMm' => $clip,
            'backingMm' => self::BACKING_SHARE * $wide,
            'g' => $g,
            'toMm' => $to,
        ];
    }

    /**
     * @param  float  $scale  the house is built 1 to so much
     * @return array{says: list<string>, cures: list<string>, lifeMm: float, factor: ?float, toMm: ?float}
     */
    public static function dollsHouse(Figure $figure, float $scale, ?float $lifeMm): array
    {
        if (is_nan($scale) || $scale < 1.0 || $scale > 200.0) {
            throw ShowRefused::noScale();
        }
        $life = $figure->heightMm * $scale;
        $says = [sprintf('At 1:%s it stands for somebody %s tall.', Amount::number(round($scale, 1)), Amount::mm($life))];
        $factor = null;
        if ($lifeMm !== null) {
            if (is_nan($lifeMm) || $lifeMm < 10.0 || $lifeMm > 20_000.0) {
                throw ShowRefused::outOfRange('Its height in life', 10.0, 20_000.0);
            }
            $factor = $lifeMm / $life;
            $says[] = sprintf('To be %s tall there, make it %s high.', Amount::mm($lifeMm), Amount::mm($lifeMm / $scale));
        }

        $to = $lifeMm === null ? null : round($lifeMm / $scale, 1);

        return ['says' => $says, 'cures' => [], 'lifeMm' => $life, 'factor' => $factor, 'toMm' => $to];
    }

    /** Weight goes by the cube of the height, where covers are thick more slowly: it is said to be about. */
    private static function lighterMm(Figure $figure, float $g, float $mostG): float
    {
        return floor($figure->heightMm * ($mostG / $g) ** (1 / 3));
    }

    private static function lighter(float $toMm, float $mostG): string
    {
        return sprintf('Make it %s high: then it weighs about %s.', Amount::mm($toMm), Amount::g($mostG));
    }

    /** Across the whole figure from the front, mm. */
    private static function wide(Figure $figure): float
    {
        $xs = [0.0];
        foreach ($figure->parts as $part) {
            foreach ($part->placements() as $piece) {
                foreach (Silhouette::of($piece, Side::Front)[0] as [$x]) {
                    $xs[] = $piece->at[0] + $x;
                }
            }
        }

        return max($xs) - min($xs);
    }

    /** Across the largest part seen from the back, mm. */
    private static function broadest(Figure $figure): float
    {
        $broad = 0.0;
        foreach ($figure->parts as $part) {
            $box = Box::around(Silhouette::of($part->placements()[0], Side::Back)[0]);
            $broad = max($broad, min($box->width(), $box->height()));
        }

        return $broad;
    }

    private static function place(float $x, float $z): string
    {
        $words = array_filter([
            abs($x) < 0.5 ? '' : sprintf('%s to the %s', Amount::mm(abs($x)), $x < 0.0 ? 'left' : 'right'),
            abs($z) < 0.5 ? '' : sprintf('%s to the %s', Amount::mm(abs($z)), $z < 0.0 ? 'back' : 'front'),
        ]);

        return $words === [] ? 'the middle of its crown' : implode(' and ', $words).' of its middle';
    }
}
