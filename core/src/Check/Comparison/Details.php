<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Render\FlatArea;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Opening;

/** What is said of a detail from where its pieces are seen. */
final class Details
{
    /** A pair of details is level within so many degrees (house choice). */
    private const LEVEL_DEG = 1.5;

    private const LEAST_MM = 0.5;

    /**
     * @param  non-empty-list<array{FlatArea, DetailFit}>  $pieces  of one detail
     * @param  list<Message>  $unjudged
     * @return list<Deviation>
     */
    public static function judged(array $pieces, float $leastMm, array &$unjudged): array
    {
        $deviations = [];
        foreach ($pieces as [$layer, $fit]) {
            $name = new Opening(Names::of($layer));
            if ($fit->share === null) {
                $unjudged[] = Message::of('check.details.unseen', name: $name);
            } elseif ($fit->offMm === null) {
                $deviations[] = self::one($layer, 'missing', 0.0, Message::of('check.details.missing', name: $name), 20.0);
            } else {
                [$x, $y] = $fit->offMm;
                $about = ['name' => $name, 'part' => new Name($layer->piece->part->name)];
                [$across, $level] = array_map(static fn (bool $isRelative): string => $isRelative ? '-by-others' : '', $fit->isRelative);
                if (abs($x) >= $leastMm) {
                    $to = ($x > 0.0 ? 'right' : 'left').$across;
                    $text = Message::of('check.details.'.$to, ...$about, off: Amount::mm(abs($x)));
                    $deviations[] = self::one($layer, 'across', $x, $text, abs($x));
                }
                if (abs($y) >= $leastMm) {
                    $to = ($y > 0.0 ? 'high' : 'low').$level;
                    $text = Message::of('check.details.'.$to, ...$about, off: Amount::mm(abs($y)));
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
        $name = new Name($left->detail->name ?? '');

        return [self::one(
            $left,
            'tilt',
            $deg,
            Message::of('check.details.tilts-'.($deg > 0.0 ? 'right' : 'left'), name: $name, by: Amount::degrees(abs($deg))),
            abs($rises),
        )];
    }

    /**
     * @param  'across'|'level'|'tilt'|'missing'  $what
     */
    private static function one(FlatArea $layer, string $what, float $amount, Message $text, float $weight): Deviation
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
