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
use Impa\Voice\Listed;
use Impa\Voice\Message;
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
     * @return array{says: list<Message>, cures: list<Message>, askewDeg: float, atMm: Vec3, cordMm: float, g: float}
     */
    public static function hook(Ledger $ledger, float $loopMm): array
    {
        if (is_nan($loopMm) || $loopMm < 5.0 || $loopMm > 500.0) {
            throw ShowRefused::outOfRange('loop', 5.0, 500.0);
        }
        $balance = Balance::of($ledger);
        $hang = $balance->hang();
        [$x, , $z] = $hang['atMm'];
        $cord = 2 * $loopMm + self::KNOT_MM + 2 * self::FELTED_IN_MM;
        $isStraight = $hang['askewDeg'] < self::STRAIGHT_DEG;

        return [
            'says' => [
                $isStraight
                    ? Message::of('show.showing.from-its-topmost')
                    : Message::of('show.showing.from-its-topmost-2', askew: Amount::degrees($hang['askewDeg'])),
                Message::of('show.showing.of-cord-the-loop', cord: Amount::mm($cord)),
            ],
            'cures' => $isStraight ? [] : [Message::of('show.showing.set-the-loop', x: self::place($x, $z))],
            'askewDeg' => $hang['askewDeg'],
            'atMm' => $hang['atMm'],
            'cordMm' => $cord,
            'g' => $balance->massG,
        ];
    }

    /** @return array{says: list<Message>, cures: list<Message>, pinMm: ?float, backingMm: float, g: float, toMm: ?float} */
    public static function brooch(Ledger $ledger): array
    {
        $figure = $ledger->figure;
        $broad = self::broadest($figure);
        $g = Balance::of($ledger)->massG;
        $pins = array_filter(self::PINS_MM, static fn (float $mm): bool => $mm <= self::PIN_SHARE * $broad);
        $pin = $pins === [] ? null : max($pins);
        $says = [$pin === null
            ? Message::of('show.showing.no-pin-fits', broad: Amount::mm($broad), pins: Amount::mm(self::PINS_MM[0]))
            : Message::of('show.showing.a-pin', pin: Amount::mm($pin), mm: Amount::mm(self::BACKING_SHARE * $broad))];
        $cures = [];
        $to = null;
        if ($pin === null) {
            $to = ceil(self::PINS_MM[0] / self::PIN_SHARE / $broad * $figure->heightMm);
            $cures[] = Message::of('show.showing.make-it-high', to: Amount::mm($to));
        }
        if ($g > self::BROOCH_G) {
            $says[] = Message::of('show.showing.it-weighs-more-than', g: Amount::g($g), broochG: Amount::g(self::BROOCH_G));
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

    /** @return array{says: list<Message>, cures: list<Message>, g: float, toMm: ?float} a key ring: it is knocked about */
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
            ? Message::of('show.showing.it-weighs-more-than-2', g: Amount::g($g), ringG: Amount::g(self::RING_G))
            : Message::of('show.showing.it-weighs-light-enough', g: Amount::g($g))];
        $to = $g > self::RING_G ? self::lighterMm($figure, $g, self::RING_G) : null;
        $cures = $to === null ? [] : [self::lighter($to, self::RING_G)];
        if ($soft !== []) {
            $says[] = Message::of('show.showing.in-a-pocket', list: implode(', ', array_slice($soft, 0, 4)));
            $cures[] = Message::of('show.showing.felt-it-firm-all');
        }
        if ($figure->wires !== []) {
            $cures[] = Message::of('show.showing.leave-the-wires-out');
        }

        return ['says' => $says, 'cures' => $cures, 'g' => $g, 'toMm' => $to];
    }

    /**
     * On a hair clip or a peg: what bears it is narrow, and it must not slip down.
     *
     * @return array{says: list<Message>, cures: list<Message>, pinMm: ?float, backingMm: float, g: float, toMm: ?float}
     */
    public static function clip(Ledger $ledger): array
    {
        $figure = $ledger->figure;
        $g = Balance::of($ledger)->massG;
        $wide = self::wide($figure);
        $clips = array_filter(self::CLIPS_MM, static fn (float $mm): bool => $mm <= $wide);
        $clip = $clips === [] ? null : max($clips);
        $says = [$clip === null
            ? Message::of('show.showing.the-shortest-clip-shows', clips: Amount::mm(self::CLIPS_MM[0]), wide: Amount::mm($wide))
            : Message::of('show.showing.a-clip-of-sewn', clip: Amount::mm($clip), mm: Amount::mm(self::BACKING_SHARE * $wide))];
        $cures = [];
        $to = null;
        if ($clip === null) {
            $to = ceil(self::CLIPS_MM[0] / $wide * $figure->heightMm);
            $cures[] = Message::of('show.showing.make-it-high-2', to: Amount::mm($to));
        }
        if ($g > self::CLIP_G) {
            $says[] = Message::of('show.showing.it-weighs-more-than-3', g: Amount::g($g), clipG: Amount::g(self::CLIP_G));
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
     * @return array{says: list<Message>, cures: list<Message>, lifeMm: float, factor: ?float, toMm: ?float}
     */
    public static function dollsHouse(Figure $figure, float $scale, ?float $lifeMm): array
    {
        if (is_nan($scale) || $scale < 1.0 || $scale > 200.0) {
            throw ShowRefused::noScale();
        }
        $life = $figure->heightMm * $scale;
        $says = [Message::of('show.showing.at-1-it-stands', number: Amount::number(round($scale, 1)), life: Amount::mm($life))];
        $factor = null;
        if ($lifeMm !== null) {
            if (is_nan($lifeMm) || $lifeMm < 10.0 || $lifeMm > 20_000.0) {
                throw ShowRefused::outOfRange('life', 10.0, 20_000.0);
            }
            $factor = $lifeMm / $life;
            $says[] = Message::of('show.showing.to-be-tall-there', life: Amount::mm($lifeMm), mm: Amount::mm($lifeMm / $scale));
        }

        $to = $lifeMm === null ? null : round($lifeMm / $scale, 1);

        return ['says' => $says, 'cures' => [], 'lifeMm' => $life, 'factor' => $factor, 'toMm' => $to];
    }

    /** Weight goes by the cube of the height, where covers are thick more slowly: it is said to be about. */
    private static function lighterMm(Figure $figure, float $g, float $mostG): float
    {
        return floor($figure->heightMm * ($mostG / $g) ** (1 / 3));
    }

    private static function lighter(float $toMm, float $mostG): Message
    {
        return Message::of('show.showing.make-it-high-then', toMm: Amount::mm($toMm), mostG: Amount::g($mostG));
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

    private static function place(float $x, float $z): Message
    {
        $words = array_filter([
            abs($x) < 0.5 ? null : Message::of('show.off.'.($x < 0.0 ? 'left' : 'right'), by: Amount::mm(abs($x))),
            abs($z) < 0.5 ? null : Message::of('show.off.'.($z < 0.0 ? 'back' : 'front'), by: Amount::mm(abs($z))),
        ]);

        return $words === [] ? Message::of('show.off.none') : Message::of('show.off.of-its-middle', off: new Listed(array_values($words)));
    }
}
