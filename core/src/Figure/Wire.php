<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Figure\Member\WireMade;
use Impa\Material\WireMaterial;

/** A wire of the figure, by its course in the figure's frame. Immutable. */
final readonly class Wire
{
    /** A wire as thick as most, where the document does not say, mm. */
    public const USUAL_MM = 1.0;

    /** Of a doubled wire its two strands are twisted so often on a mm (house choice). */
    public const TWISTS_PER_MM = 1 / 7;

    /**
     * @param  list<Vec3>  $pointsMm  two at least, from end to end
     * @param  bool  $mirror  whether there is a second one at -x
     */
    public function __construct(
        public string $key,
        public string $name,
        public WireMaterial $material,
        public float $gaugeMm,
        public array $pointsMm,
        public WireMade $made = new WireMade,
        public bool $mirror = false,
    ) {
    }

    /** The same of another material, in the thickness that is sold nearest to its own. */
    public function of(WireMaterial $material): self
    {
        $sold = $material->soldMm();
        usort($sold, fn (float $a, float $b): int => abs($a - $this->gaugeMm) <=> abs($b - $this->gaugeMm));

        return new self(
            $this->key,
            $this->name,
            $material,
            $material === $this->material ? $this->gaugeMm : $sold[0],
            $this->pointsMm,
            $this->made,
            $this->mirror,
        );
    }

    public function count(): int
    {
        return $this->mirror ? 2 : 1;
    }

    /** From end to end along its course, without loops and fold-backs. */
    public function lengthMm(): float
    {
        $length = 0.0;
        for ($i = 1, $n = count($this->pointsMm); $i < $n; $i++) {
            [$a, $b] = [$this->pointsMm[$i - 1], $this->pointsMm[$i]];
            $length += sqrt(($b[0] - $a[0]) ** 2 + ($b[1] - $a[1]) ** 2 + ($b[2] - $a[2]) ** 2);
        }

        return $length;
    }

    /** How many strands lie side by side. */
    public function strands(): int
    {
        return ($this->made->doubled ? 2 : 1) * $this->material->strands();
    }

    /**
     * How much longer a strand of a doubled wire is than the wire: a helix that climbs 1 / twists at each turn, about half its own
     * thickness from the middle.
     */
    public static function takeUp(float $gaugeMm, float $twistsPerMm = self::TWISTS_PER_MM): float
    {
        return sqrt(1 + (M_PI * $gaugeMm * $twistsPerMm) ** 2);
    }

    /** Grams of one of it along its course. */
    public function massG(): float
    {
        $areaMm2 = M_PI / 4 * $this->gaugeMm ** 2;
        $strandMm = $this->lengthMm() * ($this->made->doubled ? self::takeUp($this->gaugeMm) : 1.0);

        return $this->strands() * $areaMm2 * $strandMm / 1000 * $this->material->gPerCm3();
    }

    /** @return Vec3 the middle of its mass */
    public function middleMm(): array
    {
        $sum = [0.0, 0.0, 0.0];
        $whole = 0.0;
        for ($i = 1, $n = count($this->pointsMm); $i < $n; $i++) {
            [$a, $b] = [$this->pointsMm[$i - 1], $this->pointsMm[$i]];
            $length = sqrt(($b[0] - $a[0]) ** 2 + ($b[1] - $a[1]) ** 2 + ($b[2] - $a[2]) ** 2);
            $whole += $length;
            foreach ([0, 1, 2] as $axis) {
                $sum[$axis] += $length * ($a[$axis] + $b[$axis]) / 2;
            }
        }

        return $whole > 0.0 ? [$sum[0] / $whole, $sum[1] / $whole, $sum[2] / $whole] : ($this->pointsMm[0] ?? [0.0, 0.0, 0.0]);
    }

    /** @return non-empty-list<list<Vec3>> its course, and its twin's */
    public function courses(): array
    {
        $twin = array_map(static fn (array $p): array => [-$p[0], $p[1], $p[2]], $this->pointsMm);

        return $this->mirror ? [$this->pointsMm, $twin] : [$this->pointsMm];
    }

    /** @return array<string, mixed> as the document has it */
    public function document(): array
    {
        return [
            'key' => $this->key,
            'name' => $this->name,
            'material' => $this->material->value,
            'gaugeMm' => $this->gaugeMm,
            'pointsMm' => array_map(static fn (array $p): array => [round($p[0], 2), round($p[1], 2), round($p[2], 2)], $this->pointsMm),
            'doubled' => $this->made->doubled,
            'endLoopMm' => $this->made->endLoopMm,
            'mirror' => $this->mirror,
        ] + ($this->made->wrapped === '' ? [] : ['wrapped' => $this->made->wrapped]);
    }
}
