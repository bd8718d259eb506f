<?php

declare(strict_types=1);

namespace Impa\Show;

use Impa\Figure\Term\Stitch;
use Impa\Flat\Stitching;
use Impa\Material\CoreMaterial;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Voice\Amount;
use Impa\Voice\Message;

/** A cushion with the figure on it: two sheets of felt sewn together and stuffed. Immutable. */
final readonly class Cushion
{
    private const RANGE_MM = [40.0, 1000.0];

    /** The sheet, what is sewn off all round, and from stitch to stitch, mm (house choices). */
    private const FELT_MM = 2.0;

    private const SEAM_MM = 10.0;

    private const STITCH_MM = 3.0;

    /** So much of it stays free beside the figure, mm (house choice). */
    private const RIM_MM = 20.0;

    private function __construct(public float $widthMm, public float $heightMm)
    {
    }

    /**
     * @param  float  $widthMm  flat, from seam to seam
     *
     * @throws ShowRefused if a measure is out of range
     */
    public static function of(float $widthMm, float $heightMm): self
    {
        foreach (['width' => $widthMm, 'height' => $heightMm] as $what => $mm) {
            if (is_nan($mm) || $mm < self::RANGE_MM[0] || $mm > self::RANGE_MM[1]) {
                throw ShowRefused::outOfRange($what, ...self::RANGE_MM);
            }
        }

        return new self($widthMm, $heightMm);
    }

    /**
     * What two rectangles hold that are sewn together and filled, cm3: the paper bag problem, by Robin's formula (Mathematics Today,
     * 2004; from memory), within a few per cent of what was measured.
     */
    public function volumeCm3(): float
    {
        [$w, $h] = [min($this->widthMm, $this->heightMm) / 10, max($this->widthMm, $this->heightMm) / 10];

        return $w ** 3 * ($h / (M_PI * $w) - 0.142 * (1 - 10 ** (-$h / $w)));
    }

    /**
     * @return array{fits: bool, says: list<Message>, cures: list<Message>, stuffingG: float, coverG: float, seamMm: float, threadMm: float,
     *     toMm: ?float}
     */
    public function bearing(Shown $body, Densities $densities): array
    {
        $stuffing = $this->volumeCm3() * $densities->insideGPerCm3(CoreMaterial::Stuffing, Firmness::Soft);
        $areaCm2 = 2 * ($this->widthMm + 2 * self::SEAM_MM) * ($this->heightMm + 2 * self::SEAM_MM) / 100;
        $cover = $areaCm2 * self::FELT_MM / 10 * Densities::SHEET;
        $seam = 2 * ($this->widthMm + $this->heightMm);
        $stitching = Stitching::along(Stitch::Back, $seam, self::STITCH_MM, 2 * self::FELT_MM);
        $share = min(
            1.0,
            ($this->widthMm - 2 * self::RIM_MM) / $body->widthMm(),
            ($this->heightMm - 2 * self::RIM_MM) / $body->heightMm(),
        );
        $to = $share < 1.0 ? max(1.0, floor($share * $body->figure->heightMm)) : null;

        return [
            'fits' => $to === null,
            'says' => [
                Message::of('show.cushion.stuffing-start-from', stuffing: Amount::g($stuffing)),
                Message::of('show.cushion.cover-two-sheets', cover: Amount::g($cover), seam: Amount::mm(self::SEAM_MM)),
                Message::of('show.cushion.the-seam-stitches-leave', seam: Amount::mm($seam), count: $stitching->count),
            ],
            'cures' => $to === null ? [] : [Message::of(
                'show.cushion.make-the-figure-high',
                to: Amount::mm($to),
                rim: Amount::mm(self::RIM_MM),
            )],
            'stuffingG' => $stuffing,
            'coverG' => $cover,
            'seamMm' => $seam,
            'threadMm' => $stitching->threadMm(),
            'toMm' => $to,
        ];
    }
}
