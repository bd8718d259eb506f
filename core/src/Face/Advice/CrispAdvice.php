<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Impa\Colour\Ciede2000;
use Impa\Colour\Contrast;
use Impa\Face\DetailGround;
use Impa\Face\Needles;
use Impa\Face\ReadyMade;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\DetailRole;
use Impa\Figure\Term\Method;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** What keeps a detail from reading, and what would mend it: each with its amount and the change it comes to. */
final class CrispAdvice
{
    /** A rim so wide sets a spot off from its ground, mm (house choice). */
    private const RIM_MM = 1.0;

    /** Smaller than this, what differs in hue alone merges with its ground a few steps away, mm (house choice). */
    private const SMALL_MM = 4.0;

    /** Nothing is told apart by lightness below this contrast ratio of WCAG 2 (house choice; WCAG asks 3 of signs). */
    private const AS_LIGHT = 1.25;

    /** @return list<Advice> */
    public static function of(Figure $figure, Detail $detail, Needles $needles): array
    {
        return array_values(array_filter([self::tooSmall($figure, $detail, $needles), self::hardToSee($figure, $detail)]));
    }

    private static function tooSmall(Figure $figure, Detail $detail, Needles $needles): ?Advice
    {
        $least = Crispness::leastMm($figure, $detail, $needles);
        $own = Crispness::widthMm($detail);
        if ($own >= $least || $own <= 0.0) {
            return null;
        }
        $grow = $least / $own;
        $up = static fn (float $mm): float => ceil(10 * $mm * $grow - 1e-9) / 10;
        $larger =
            ['widthMm' => $up($detail->drawn->widthMm)] +
            ($detail->drawn->kind === DetailKind::Line ? [] : ['heightMm' => $up($detail->drawn->heightMm)]) +
            ($detail->drawn->widthsMm === [] ? [] : ['widthsMm' => array_map($up, $detail->drawn->widthsMm)]);
        $mends = [Mend::set(Message::of('face.crisp-advice.stitch-it'), ['method' => 'stitch'])];
        if ($detail->drawn->kind !== DetailKind::Patch) {
            $mends[] = Mend::set(Message::of('face.crisp-advice.make-it', mm: Amount::mm(ceil(10 * $least - 1e-9) / 10)), $larger);
        }
        if ($detail->drawn->kind === DetailKind::Disc) {
            $sold = ReadyMade::nearest($own);
            $mends[] = Mend::set(Message::of('face.crisp-advice.sew-on-a-bead', sold: Amount::mm($sold)), [
                'kind' => 'bead',
                'method' => 'bead',
                'widthMm' => $sold,
                'heightMm' => $sold,
            ]);
        }

        return Advice::look(
            'too-small',
            Message::of(
                'face.crisp-advice.'.($needles->coarser() > 1.0 ? 'too-small-for-needle' : 'too-small'),
                own: Amount::mm($own),
                least: Amount::mm($least),
                gauge: $needles->finest(),
            ),
            $mends,
        );
    }

    private static function hardToSee(Figure $figure, Detail $detail): ?Advice
    {
        $ground = DetailGround::colour($figure, $detail);
        $difference = DetailGround::difference($figure, $detail);
        [$own, $below] = [$figure->colours[$detail->colour], $figure->colours[$ground]];
        $ratio = $own->srgb->light()->contrast($below->srgb->light());
        $isByHue = Contrast::of($difference) === Contrast::Crisp;
        if ($isByHue && ($ratio >= self::AS_LIGHT || Crispness::widthMm($detail) >= self::SMALL_MM)) {
            return null;
        }
        $mends = [];
        $rim = self::rim($figure, $detail->colour, $ground);
        if ($rim !== '' && in_array($detail->drawn->kind, [DetailKind::Disc, DetailKind::Bead, DetailKind::Eye], true)) {
            $mends[] = self::rimmed($figure, $detail, $rim);
        }
        if ($detail->method === Method::Felt && $detail->drawn->kind === DetailKind::Disc) {
            $sold = ReadyMade::nearest(min($detail->drawn->widthMm, $detail->drawn->heightMm));
            $mends[] = Mend::set(Message::of('face.crisp-advice.use-a-glossy-eye', sold: Amount::mm($sold)), [
                'kind' => 'eye',
                'method' => 'ready-made',
                'widthMm' => $sold,
                'heightMm' => $sold,
            ]);
        }
        if ($rim !== '') {
            $mends[] = Mend::set(
                Message::of('face.crisp-advice.felt-it', name: new Name($figure->colours[$rim]->name)),
                ['colour' => $rim],
            );
        }

        [$it, $ground] = [new Name($own->name), new Name($below->name)];

        return $isByHue
            ? Advice::look(
                'as-light',
                Message::of('face.crisp-advice.is-as-light', it: $it, ground: $ground, number: Amount::number(round($ratio, 1))),
                $mends,
            )
            : Advice::look(
                'low-contrast',
                Message::of(
                    'face.crisp-advice.on-reads',
                    it: $it,
                    ground: $ground,
                    number: Amount::number(round($difference)),
                    crisp: Amount::number(Contrast::CRISP),
                ),
                $mends,
            );
    }

    private static function rimmed(Figure $figure, Detail $detail, string $rim): Mend
    {
        return Mend::with(
            Message::of('face.crisp-advice.rim-it-in-all', name: new Name($figure->colours[$rim]->name), rim: Amount::mm(self::RIM_MM)),
            ['layer' => $detail->lie->layer + 1],
            [
                'key' => $detail->key.'-rim',
                'name' => (string) Message::of('face.bit.rim', name: new Name($detail->name)),
                'role' => DetailRole::Other->value,
                'on' => $detail->on,
                'kind' => 'disc',
                'colour' => $rim,
                'layer' => $detail->lie->layer,
                'mirror' => $detail->lie->mirror,
                'method' => 'felt',
                'side' => $detail->lie->side->value,
                'xMm' => $detail->lie->xMm,
                'yMm' => $detail->lie->yMm,
                'turnDeg' => $detail->lie->turnDeg,
                'widthMm' => $detail->drawn->widthMm + 2 * self::RIM_MM,
                'heightMm' => $detail->drawn->heightMm + 2 * self::RIM_MM,
            ],
        );
    }

    /** Key of the figure's colour that stands out most from both; empty where none does from either. */
    private static function rim(Figure $figure, string $one, string $two): string
    {
        $best = '';
        $most = Contrast::CRISP;
        foreach ($figure->colours as $key => $colour) {
            $least = min(
                array_map(
                    static fn (string $k): float => Ciede2000::between($colour->srgb->lab(), $figure->colours[$k]->srgb->lab()),
                    [$one, $two],
                ),
            );
            if ($least > $most) {
                [$most, $best] = [$least, (string) $key];
            }
        }

        return $best;
    }
}
