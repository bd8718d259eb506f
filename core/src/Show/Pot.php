<?php

declare(strict_types=1);

namespace Impa\Show;

use Impa\Balance\Footprint;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Geometry\Outline\EnclosingCircle;
use Impa\Material\CoreMaterial;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Ledger;

/** A pot that holds a base ball wrapped round a wire ring, on which the figure stands (docs/sets.md). Immutable. */
final readonly class Pot
{
    private const RANGE_MM = [15.0, 500.0];

    /** The ball is so much broader than the pot's mouth, so that it grips; the ring lies within it (house choices). */
    private const GRIPS = 1.04;

    private const RING = 0.7;

    /** Both ends of the ring lie past each other, mm (common practice). */
    private const OVERLAP_MM = 20.0;

    /** Feet stand within so much of the ball's breadth: farther out it falls away (house choice). */
    private const TOP = 0.6;

    private function __construct(public float $mouthMm)
    {
    }

    /** @throws ShowRefused if it is no pot */
    public static function of(float $mouthMm): self
    {
        return is_nan($mouthMm) || $mouthMm < self::RANGE_MM[0] || $mouthMm > self::RANGE_MM[1]
            ? throw ShowRefused::outOfRange('mouth', ...self::RANGE_MM)
            : new self($mouthMm);
    }

    /** Across the base ball, mm. */
    public function ballMm(): float
    {
        return self::GRIPS * $this->mouthMm;
    }

    /** Wire for the ring, mm. */
    public function wireMm(): float
    {
        return M_PI * self::RING * $this->ballMm() + self::OVERLAP_MM;
    }

    /** Across the smallest circle round its footprint. */
    private static function feetMm(Figure $figure): float
    {
        $hull = Footprint::of($figure)->hull;

        return $hull === [] ? 0.0 : 2 * EnclosingCircle::of($hull)->radius;
    }

    /** A footprint shrinks more slowly than the figure: soft feet give alike (bisection, down to whole mm). */
    private static function heightFor(Figure $figure, float $roomMm): float
    {
        [$fits, $not] = [1.0, $figure->heightMm];
        while ($not - $fits > 0.5) {
            $middle = ($fits + $not) / 2;
            [$fits, $not] = self::feetMm(Scaling::to($figure, $middle)) <= $roomMm ? [$middle, $not] : [$fits, $middle];
        }

        return max(1.0, floor($fits));
    }

    /** @return array{fits: bool, says: list<Message>, cures: list<Message>, ballMm: float, ballG: float, wireMm: float, toMm: ?float} */
    public function holding(Ledger $ledger, Densities $densities): array
    {
        $ball = $this->ballMm();
        $g = M_PI / 6 * ($ball / 10) ** 3 * $densities->insideGPerCm3(CoreMaterial::CoreWool, Firmness::Springy);
        $figure = $ledger->figure;
        [$feet, $room] = [self::feetMm($figure), self::TOP * $ball];
        $to = $feet > $room ? self::heightFor($figure, $room) : null;

        return [
            'fits' => $to === null,
            'says' => [
                Message::of('show.pot.a-base-ball-across', ball: Amount::mm($ball), g: Amount::g($g)),
                Message::of('show.pot.inside-it-a-ring', wire: Amount::mm($this->wireMm())),
                $to === null
                    ? Message::of('show.pot.its-feet-stand-across', feet: Amount::mm($feet), room: Amount::mm($room))
                    : Message::of('show.pot.its-feet-stand-across-2', feet: Amount::mm($feet), room: Amount::mm($room)),
            ],
            'cures' => $to === null ? [] : [
                Message::of('show.pot.a-pot', mm: Amount::mm(ceil($feet / self::TOP / self::GRIPS))),
                Message::of('show.pot.make-it-high', to: Amount::mm($to)),
            ],
            'ballMm' => $ball,
            'ballG' => $g,
            'wireMm' => $this->wireMm(),
            'toMm' => $to,
        ];
    }
}
