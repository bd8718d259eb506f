<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Render\FlatArea;
use Impa\Voice\Amount;

/** What is said of a detail from where its pieces are seen. */
final class Details
{
    /** A pair of details is level within so many degrees (house choice). */
    private const LEVEL_DEG = 1.5;

    private const LEAST_MM = 0.5;

    /**
     * @param  non-empty-list<array{FlatArea, DetailFit}>  $pieces  of one detail
     * @param  list<string>  $unjudged
     * @return list<Deviation>
     */
    public static function judged(array $pieces, float $leastMm, array &$unjudged): array
    {
        $deviations = [];
        foreach ($pieces as [$layer, $fit]) {
            $name = Names::of($layer);
            if ($fit->share === null) {
                $unjudged[] = sprintf('%s: its colour cannot be told from its ground.', ucfirst($name));
            } elseif ($fit->offMm === null) {
                $deviations[] = self::one($layer, 'missing', 0.0, sprintf('%s is not there.', ucfirst($name)), 20.0);
            } else {
                [$x, $y] = $fit->offMm;
                $rest = sprintf(' for what else lies on the %s', mb_strtolower($layer->piece->part->name));
                [$forAcross, $forLevel] = array_map(static fn (bool $isRelative): string => $isRelative ? $rest : '', $fit->isRelative);
                if (abs($x) >= $leastMm) {
                    $to = $x > 0.0 ? 'right' : 'left';
                    $text = sprintf('%s sits %s too far to the %s%s.', ucfirst($name), Amount::mm(abs($x)), $to, $forAcross);
                    $deviations[] = self::one($layer, 'across', $x, $text, abs($x));
                }
                if (abs($y) >= $leastMm) {
                    $text = sprintf('%s sits %s too %s%s.', ucfirst($name), Amount::mm(abs($y)), $y > 0.0 ? 'high' : 'low', $forLevel);
                    $deviations[] = self::one($layer, 'level', $y, $text, abs($y));
                }
            }
        }

        return [...$deviations, ...self::line($pieces)];
    }

    /**
     * Whether a pair is level.
     *
     * @param  non-empty-list<array{FlatArea, DetailFit}>  $pieces
     * @return list<Deviation>
     */
    private static function line(array $pieces): array
    {
        usort($pieces, static fn (array $a, array $b): int => Names::middle($a[0])[0] <=> Names::middle($b[0])[0]);
        [$left, $one] = $pieces[0];
        [$right, $two] = $pieces[count($pieces) - 1];
        if (count($pieces) !== 2 || $one->offMm === null || $two->offMm === null) {
            return [];
        }
        $rises = $two->offMm[1] - $one->offMm[1];
        $apart = Names::middle($right)[0] - Names::middle($left)[0];
        $deg = rad2deg(atan2($rises, max(1.0, $apart)));
        if (abs($deg) < self::LEVEL_DEG || abs($rises) < self::LEAST_MM) {
            return [];
        }
        $name = mb_strtolower($left->detail->name ?? '');

        return [self::one(
            $left,
            'tilt',
            $deg,
            sprintf('The %s line tilts by %s: the %s one is higher.', $name, Amount::degrees(abs($deg)), $deg > 0.0 ? 'right' : 'left'),
            abs($rises),
        )];
    }

    /**
     * @param  'across'|'level'|'tilt'|'missing'  $what
     */
    private static function one(FlatArea $layer, string $what, float $amount, string $text, float $weight): Deviation
    {
        return new Deviation(
            part: $layer->piece->part->key,
            detail: $layer->detail->key ?? '',
            what: $what,
            amount: $amount,
            text: $text,
            weight: $weight,
            atMm: Names::middle($layer),
            isTwin: $layer->piece->isTwin || $layer->isOther,
        );
    }
}
