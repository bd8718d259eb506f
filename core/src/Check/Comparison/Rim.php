<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

/** A place on the rim of a piece of the plan that is seen, with what lies to either side. Immutable. */
final readonly class Rim
{
    /** One about every so many mm; it is looked to either side by so much at most. */
    public const EVERY_MM = 1.0;

    private const REACH_MM = 7.0;

    /** It is asked what lies so far beside the rim. */
    private const BESIDE_MM = 0.5;

    private const STEP_MM = 0.25;

    /** Where less than this is free to either side, nothing is looked for. */
    private const LEAST_MM = 0.75;

    /**
     * @param  array{float, float}  $normal  outwards
     * @param  int  $outside  label of what lies beyond
     * @param  float  $towardsMm  how far towards the camera the piece lies
     * @param  float  $inMm  how far inwards only this piece is seen; outwards only what lies beyond
     */
    private function __construct(
        public float $x,
        public float $y,
        public array $normal,
        public int $layer,
        public int $outside,
        public float $towardsMm,
        public float $inMm,
        public float $outMm,
    ) {
    }

    /** @return list<self> of all pieces, what is hidden left out */
    public static function all(Expected $plan): array
    {
        $rims = [];
        foreach ($plan->layers as $i => $layer) {
            if ($layer->detail === null) {
                array_push($rims, ...self::of($plan, $i, $layer->loops[0]));
            }
        }

        return $rims;
    }

    /**
     * @param  list<array{float, float}>  $loop
     * @return list<self>
     */
    private static function of(Expected $plan, int $label, array $loop): array
    {
        $area = 0.0;
        $n = count($loop);
        for ($i = 0; $i < $n; $i++) {
            [$a, $b] = [$loop[$i], $loop[($i + 1) % $n]];
            $area += $a[0] * $b[1] - $b[0] * $a[1];
        }
        $sign = $area > 0.0 ? 1.0 : -1.0;
        $rims = [];
        $rest = self::EVERY_MM / 2;
        for ($i = 0; $i < $n; $i++) {
            [$a, $b] = [$loop[$i], $loop[($i + 1) % $n]];
            $length = hypot($b[0] - $a[0], $b[1] - $a[1]);
            if ($length < 1e-9) {
                continue;
            }
            $normal = [$sign * ($b[1] - $a[1]) / $length, -$sign * ($b[0] - $a[0]) / $length];
            for (; $rest < $length; $rest += self::EVERY_MM) {
                $share = $rest / $length;
                $rim = self::at($plan, $label, $a[0] + $share * ($b[0] - $a[0]), $a[1] + $share * ($b[1] - $a[1]), $normal);
                if ($rim !== null) {
                    $rims[] = $rim;
                }
            }
            $rest -= $length;
        }

        return $rims;
    }

    /** @return array{float, float} a place so far within the piece */
    public function within(float $mm): array
    {
        return [$this->x - $mm * $this->normal[0], $this->y - $mm * $this->normal[1]];
    }

    /** @param  array{float, float}  $normal */
    private static function at(Expected $plan, int $label, float $x, float $y, array $normal): ?self
    {
        $seen = static fn (float $out): int => $plan->label($x + $out * $normal[0], $y + $out * $normal[1]);
        $outside = $seen(self::BESIDE_MM);
        if ($seen(-self::BESIDE_MM) !== $label || $outside === $label) {
            return null;
        }
        $in = $out = self::BESIDE_MM;
        while ($in < self::REACH_MM && $seen(-$in - self::STEP_MM) === $label) {
            $in += self::STEP_MM;
        }
        while ($out < self::REACH_MM && $seen($out + self::STEP_MM) === $outside) {
            $out += self::STEP_MM;
        }

        return min($in, $out) < self::LEAST_MM ? null : new self(
            $x,
            $y,
            $normal,
            $label,
            $outside,
            $plan->towardsMm($label),
            $in,
            $out,
        );
    }
}
