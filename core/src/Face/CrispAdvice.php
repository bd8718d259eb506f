<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Colour\Ciede2000;
use Impa\Colour\Contrast;
use Impa\Figure\Detail;
use Impa\Figure\DetailKind;
use Impa\Figure\Figure;
use Impa\Figure\Method;

/** What keeps a detail from reading, and what would mend it: each with its amount and the change it comes to. */
final class CrispAdvice
{
    /** Beads and ready-made eyes are sold in whole and half millimetres from here to there (common practice). */
    private const SOLD_MM = [2.0, 12.0];

    /** A rim so wide sets a spot off from its ground, mm (house choice). */
    private const RIM_MM = 1.0;

    /**
     * @return list<array{why: string, mends: list<array{text: string, set: array<string, mixed>, under: ?array<string, mixed>}>}> what to set on the
     *                                                                                                                            detail, and a detail to lay under it
     */
    public static function of(Figure $figure, Detail $detail): array
    {
        return array_values(array_filter([self::tooSmall($detail), self::hardToSee($figure, $detail)]));
    }

    /** @return ?array{why: string, mends: list<array{text: string, set: array<string, mixed>, under: ?array<string, mixed>}>} */
    private static function tooSmall(Detail $detail): ?array
    {
        $least = Crispness::leastMm($detail);
        $own = Crispness::widthMm($detail);
        if ($own >= $least || $own <= 0.0) {
            return null;
        }
        $grow = $least / $own;
        $larger = array_map(static fn (float $mm): float => ceil(10 * $mm * $grow - 1e-9) / 10, ['widthMm' => $detail->widthMm] + ($detail->kind === DetailKind::Line ? [] : ['heightMm' => $detail->heightMm]));
        $mends = [self::mend('stitch it', ['method' => 'stitch'])];
        if ($detail->kind !== DetailKind::Patch) {
            $mends[] = self::mend(sprintf('make it %.1f mm', $least), $larger);
        }
        if ($detail->kind === DetailKind::Disc) {
            $sold = self::sold($own);
            $mends[] = self::mend(sprintf('sew on a bead of %.1f mm', $sold), ['kind' => 'bead', 'method' => 'bead', 'widthMm' => $sold, 'heightMm' => $sold]);
        }

        return ['why' => sprintf('%.1f mm, and felt holds no less than %.1f mm cleanly', $own, $least), 'mends' => $mends];
    }

    /** @return ?array{why: string, mends: list<array{text: string, set: array<string, mixed>, under: ?array<string, mixed>}>} */
    private static function hardToSee(Figure $figure, Detail $detail): ?array
    {
        $ground = Ground::colour($figure, $detail);
        $difference = Ground::difference($figure, $detail);
        if (Contrast::of($difference) === Contrast::Crisp) {
            return null;
        }
        $mends = [];
        $rim = self::rim($figure, $detail->colour, $ground);
        if ($rim !== '' && in_array($detail->kind, [DetailKind::Disc, DetailKind::Bead, DetailKind::Eye], true)) {
            $mends[] = self::mend(sprintf('rim it in %s, %.0f mm all round', mb_strtolower($figure->colours[$rim]->name), self::RIM_MM), ['layer' => $detail->layer + 1], [
                'name' => 'Rim of '.mb_strtolower($detail->name), 'on' => $detail->on, 'kind' => 'disc', 'colour' => $rim, 'layer' => $detail->layer, 'mirror' => $detail->mirror, 'method' => 'felt', 'side' => $detail->side->value,
                'xMm' => $detail->xMm, 'yMm' => $detail->yMm, 'turnDeg' => $detail->turnDeg, 'widthMm' => $detail->widthMm + 2 * self::RIM_MM, 'heightMm' => $detail->heightMm + 2 * self::RIM_MM,
            ]);
        }
        if ($detail->method === Method::Felt && $detail->kind === DetailKind::Disc) {
            $sold = self::sold(min($detail->widthMm, $detail->heightMm));
            $mends[] = self::mend(sprintf('use a glossy eye of %.1f mm', $sold), ['kind' => 'eye', 'method' => 'ready-made', 'widthMm' => $sold, 'heightMm' => $sold]);
        }
        if ($rim !== '') {
            $mends[] = self::mend(sprintf('felt it in %s', mb_strtolower($figure->colours[$rim]->name)), ['colour' => $rim]);
        }

        return ['why' => sprintf('%s on %s reads at %.0f; 20 is crisp', mb_strtolower($figure->colours[$detail->colour]->name), mb_strtolower($figure->colours[$ground]->name), $difference), 'mends' => $mends];
    }

    /** Key of the figure's colour that stands out most from both; empty where none does from either. */
    private static function rim(Figure $figure, string $one, string $two): string
    {
        $best = '';
        $most = 20.0;
        foreach ($figure->colours as $key => $colour) {
            $least = min(array_map(static fn (string $k): float => Ciede2000::between($colour->srgb->lab(), $figure->colours[$k]->srgb->lab()), [$one, $two]));
            if ($least > $most) {
                [$most, $best] = [$least, (string) $key];
            }
        }

        return $best;
    }

    /** The nearest size that is sold, in half millimetres. */
    private static function sold(float $mm): float
    {
        return max(self::SOLD_MM[0], min(self::SOLD_MM[1], round(2 * $mm) / 2));
    }

    /**
     * @param  array<string, mixed>  $set
     * @param  ?array<string, mixed>  $under
     * @return array{text: string, set: array<string, mixed>, under: ?array<string, mixed>}
     */
    private static function mend(string $text, array $set, ?array $under = null): array
    {
        return ['text' => $text, 'set' => $set, 'under' => $under];
    }
}
