<?php

declare(strict_types=1);

namespace Impa\Show;

use Impa\Balance\Balance;
use Impa\Figure\Figure;
use Impa\Figure\Side;
use Impa\Figure\Silhouette;
use Impa\Geometry\Box;
use Impa\Material\Firmness;
use Impa\Wool\Ledger;

/** Where a figure is shown: on a hook, as a brooch, on a key ring, in a dolls' house. What fits, and what helps where it does not. */
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

    /** A loop's knot takes so much cord, and so much is felted into the crown, mm (common practice). */
    private const KNOT_MM = 30.0;

    private const FELTED_IN_MM = 15.0;

    /** Askew by less than this nobody sees, degrees. */
    private const STRAIGHT_DEG = 3.0;

    /**
     * @param  float  $loopMm  how long the loop hangs, over the crown
     * @return array{says: list<string>, cures: list<string>, askewDeg: float, atMm: array{float, float, float}, cordMm: float, g: float}
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
                    : sprintf('From its topmost it hangs %.0f degrees askew.', $hang['askewDeg']),
                sprintf('%.0f mm of cord: the loop twice, a knot, and both ends felted in.', $cord),
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

    /** @return array{says: list<string>, cures: list<string>, pinMm: ?float, backingMm: float, g: float} */
    public static function brooch(Ledger $ledger): array
    {
        $figure = $ledger->figure;
        $broad = self::broadest($figure);
        $g = Balance::of($ledger)->massG;
        $pins = array_filter(self::PINS_MM, static fn (float $mm): bool => $mm <= self::PIN_SHARE * $broad);
        $pin = $pins === [] ? null : max($pins);
        $says = [$pin === null
            ? sprintf('No pin fits: its broadest part is %.0f mm, the shortest pin %.0f.', $broad, self::PINS_MM[0])
            : sprintf('A pin of %.0f mm, on a backing %.0f mm across.', $pin, self::BACKING_SHARE * $broad)];
        $cures = [];
        if ($pin === null) {
            $needed = self::PINS_MM[0] / self::PIN_SHARE / $broad * $figure->heightMm;
            $cures[] = sprintf('Make it %.0f mm high, or sew on a safety pin.', ceil($needed));
        }
        if ($g > self::BROOCH_G) {
            $says[] = sprintf('It weighs %.0f g: more than %.0f pulls at what it is pinned to.', $g, self::BROOCH_G);
            $cures[] = self::lighter($figure, $g, self::BROOCH_G);
        }

        return ['says' => $says, 'cures' => $cures, 'pinMm' => $pin, 'backingMm' => self::BACKING_SHARE * $broad, 'g' => $g];
    }

    /** @return array{says: list<string>, cures: list<string>, g: float} a key ring or a clip: it is knocked about */
    public static function ring(Ledger $ledger): array
    {
        $figure = $ledger->figure;
        $g = Balance::of($ledger)->massG;
        $soft = [];
        foreach ($figure->parts as $part) {
            if (in_array($part->firmness, [Firmness::Squishy, Firmness::Soft, Firmness::Springy], true)) {
                $soft[] = mb_strtolower($part->name);
            }
        }
        $says = [$g > self::RING_G
            ? sprintf('It weighs %.0f g: more than %.0f hangs heavily on keys.', $g, self::RING_G)
            : sprintf('It weighs %.0f g: light enough for keys.', $g)];
        $cures = $g > self::RING_G ? [self::lighter($figure, $g, self::RING_G)] : [];
        if ($soft !== []) {
            $says[] = sprintf('In a pocket it pills where it is not firm: %s.', implode(', ', array_slice($soft, 0, 4)));
            $cures[] = 'Felt it firm all over, and sew every join through once, with thread in its colour.';
        }
        if ($figure->wires !== []) {
            $cures[] = 'Leave the wires out: knocked about, their ends come through.';
        }

        return ['says' => $says, 'cures' => $cures, 'g' => $g];
    }

    /**
     * @param  float  $scale  the house is built 1 to so much
     * @return array{says: list<string>, lifeMm: float, factor: ?float}
     */
    public static function dollsHouse(Figure $figure, float $scale, ?float $lifeMm): array
    {
        if (is_nan($scale) || $scale < 1.0 || $scale > 200.0) {
            throw ShowRefused::noScale();
        }
        $life = $figure->heightMm * $scale;
        $says = [sprintf('At 1:%s it stands for somebody %.2f m tall.', rtrim(rtrim(sprintf('%.1f', $scale), '0'), '.'), $life / 1000)];
        $factor = null;
        if ($lifeMm !== null) {
            if (is_nan($lifeMm) || $lifeMm < 10.0 || $lifeMm > 20_000.0) {
                throw ShowRefused::outOfRange('Its height in life', 10.0, 20_000.0);
            }
            $factor = $lifeMm / $life;
            $says[] = sprintf('To be %.2f m tall there, make it %.0f mm high.', $lifeMm / 1000, $lifeMm / $scale);
        }

        return ['says' => $says, 'lifeMm' => $life, 'factor' => $factor];
    }

    /** Weight goes by the cube of the height, where covers are thick more slowly: it is said to be about. */
    private static function lighter(Figure $figure, float $g, float $mostG): string
    {
        return sprintf('Make it %.0f mm high: then it weighs about %.0f g.', floor($figure->heightMm * ($mostG / $g) ** (1 / 3)), $mostG);
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
            abs($x) < 0.5 ? '' : sprintf('%.0f mm to the %s', abs($x), $x < 0.0 ? 'left' : 'right'),
            abs($z) < 0.5 ? '' : sprintf('%.0f mm to the %s', abs($z), $z < 0.0 ? 'back' : 'front'),
        ]);

        return $words === [] ? 'the middle of its crown' : implode(' and ', $words).' of its middle';
    }
}
