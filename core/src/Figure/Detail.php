<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Shape\Box;

/**
 * Colour, a bead or a line on a part. x and y in mm as seen from `side`, from the middle of the part,
 * y up, whatever the part's own turn. Immutable.
 */
final readonly class Detail
{
    /** @param  list<array{float, float}>  $pointsMm of a patch or line, else empty */
    public function __construct(
        public string $key,
        public string $name,
        public string $on,
        public DetailKind $kind,
        public float $widthMm,
        public float $heightMm,
        public float $xMm,
        public float $yMm,
        public float $turnDeg,
        public array $pointsMm,
        public string $colour,
        public int $layer,
        public bool $mirror,
        public Method $method,
        public Side $side,
    ) {
    }

    /**
     * Its outline, or a line's course, as seen from its side, from the middle of the part.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function outline(): array
    {
        $turn = deg2rad($this->turnDeg);
        $raw = $this->pointsMm !== [] ? $this->pointsMm : $this->ellipse();
        $points = [];
        foreach ($raw as [$x, $y]) {
            $points[] = [
                $this->xMm + $x * cos($turn) - $y * sin($turn),
                $this->yMm + $x * sin($turn) + $y * cos($turn),
            ];
        }

        return $points;
    }

    /** Length of a line's course in mm; 0 for what is no line. */
    public function lengthMm(): float
    {
        $length = 0.0;
        for ($i = 1, $n = count($this->pointsMm); $this->kind === DetailKind::Line && $i < $n; $i++) {
            $length += hypot($this->pointsMm[$i][0] - $this->pointsMm[$i - 1][0], $this->pointsMm[$i][1] - $this->pointsMm[$i - 1][1]);
        }

        return $length;
    }

    /** @return array{float, float} the middle as seen from its side; of a line, the middle of its points' box */
    public function middle(): array
    {
        return Box::around($this->outline())->middle();
    }

    /** @return non-empty-list<array{float, float}> */
    private function ellipse(): array
    {
        $points = [];
        for ($i = 0; $i < 28; $i++) {
            $a = 2 * M_PI * $i / 28;
            $points[] = [$this->widthMm / 2 * cos($a), $this->heightMm / 2 * sin($a)];
        }

        return $points;
    }
}
