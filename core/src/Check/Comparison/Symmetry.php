<?php

declare(strict_types=1);

namespace Impa\Check\Comparison;

use Impa\Figure\Term\Side;
use Impa\Render\FlatArea;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Opening;

/**
 * A figure on a photo against itself, about its own axis: pairs left against right, and of what stands on the axis the one flank
 * against the other.
 */
final class Symmetry
{
    /** Less than this is not told, mm (house choice: an eye sees about as much on a face). */
    private const LEAST_MM = 0.7;

    /** A piece stands on the axis if its middle is so near to it, mm. */
    private const AXIS_MM = 0.3;

    /** Flanks are held against each other in so many bands, from so many places on; a place faces outwards by so much. */
    private const BANDS = ['low', 'below', 'above', 'high'];

    private const LEAST_PLACES = 3;

    private const OUTWARDS = 0.5;

    /** In what the left one is held against the right one. */
    private const COMPARED = ['width', 'height', 'level', 'across'];

    /** @return list<array{part: string, detail?: string, what: 'width'|'height'|'level'|'across'|'bulge', mm: float, text: Message}> the worst first */
    public static function of(Expected $plan, Seen $seen): array
    {
        if (! in_array($plan->side, [Side::Front, Side::Back, Side::Top], true)) {
            return [];
        }
        $found = [...self::pieces($plan, $seen), ...self::details($plan, $seen), ...self::flanks($plan, $seen)];
        usort($found, static fn (array $a, array $b): int => abs($b['mm']) <=> abs($a['mm']));

        return $found;
    }

    /** @return list<array{part: string, what: 'width'|'height'|'level'|'across', mm: float, text: Message}> */
    private static function pieces(Expected $plan, Seen $seen): array
    {
        $found = [];
        foreach ($seen->pieces as $key => [$one, $label]) {
            [$two] = $seen->pieces[$key.' twin'] ?? [null];
            if ($two === null || min($one->places, $two->places) < Seen::LEAST_PLACES) {
                continue;
            }
            $layer = $plan->layers[$label];
            if ($one->isElsewhere($layer->piece) || $two->isElsewhere($layer->piece)) {
                continue;
            }
            [$left, $right] = self::isLeft($layer) ? [$one, $two] : [$two, $one];
            foreach (self::COMPARED as $what) {
                if (max($left->sigma[$what], $right->sigma[$what]) <= Seen::SURE_MM) {
                    // Farther out is farther left on the left.
                    $mm = $what === 'across' ? -$left->off[$what] - $right->off[$what] : $left->off[$what] - $right->off[$what];
                    array_push($found, ...self::told($layer, $what, $mm));
                }
            }
        }

        return $found;
    }

    /** @return list<array{part: string, detail?: string, what: 'width'|'height'|'level'|'across', mm: float, text: Message}> */
    private static function details(Expected $plan, Seen $seen): array
    {
        $pairs = [];
        foreach ($seen->details as [$label, $fit]) {
            $layer = $plan->layers[$label];
            if ($fit->offMm !== null) {
                $pairs[$layer->detail->key ?? ''][] = [$layer, $fit->offMm];
            }
        }
        $found = [];
        foreach ($pairs as $pair) {
            if (count($pair) !== 2 || self::isLeft($pair[0][0]) === self::isLeft($pair[1][0])) {
                continue;
            }
            [[$layer, $left], [, $right]] = self::isLeft($pair[0][0]) ? $pair : array_reverse($pair);
            array_push($found, ...self::told($layer, 'level', $left[1] - $right[1]));
            array_push($found, ...self::told($layer, 'across', -$left[0] - $right[0]));
        }

        return $found;
    }

    /** @return list<array{part: string, what: 'bulge', mm: float, text: Message}> */
    private static function flanks(Expected $plan, Seen $seen): array
    {
        $found = [];
        foreach ($seen->pieces as [$fit, $label]) {
            $piece = $plan->layers[$label]->piece;
            [$mx, $my] = $plan->side->see(...$piece->at);
            if (abs($mx) > self::AXIS_MM || $piece->part->stand->mirror || $fit->places < Seen::LEAST_PLACES) {
                continue;
            }
            $bands = [];
            $half = $piece->part->solid->size()->heightMm / 2;
            foreach ($seen->edges as [$rim, $off]) {
                [$qx, $qy, [$nx, $ny]] = [$rim->x - $mx, $rim->y - $my, $rim->normal];
                if ($rim->layer !== $label || abs($nx) < self::OUTWARDS || $qx * $nx <= 0.0) {
                    continue;
                }
                $shifted = $nx * $fit->off['across'] + $ny * $fit->off['level'] + ($ny * $qx - $nx * $qy) * $fit->off['turn'];
                $band = max(0, min(count(self::BANDS) - 1, (int) floor(count(self::BANDS) * (0.5 + $qy / (2 * $half)))));
                $bands[$band][$qx < 0.0 ? 'left' : 'right'][] = $off - $shifted;
            }
            $worst = [0.0, ''];
            foreach ($bands as $band => $flanks) {
                [$left, $right] = [$flanks['left'] ?? [], $flanks['right'] ?? []];
                if (min(count($left), count($right)) >= self::LEAST_PLACES) {
                    $mm = array_sum($left) / count($left) - array_sum($right) / count($right);
                    $worst = abs($mm) > abs($worst[0]) ? [$mm, self::BANDS[$band]] : $worst;
                }
            }
            if (abs($worst[0]) >= self::LEAST_MM) {
                $code = 'check.symmetry.bulges-'.($worst[0] > 0.0 ? 'left' : 'right');
                $name = new Opening(new Name($piece->part->name));
                $found[] = [
                    'part' => $piece->part->key,
                    'what' => 'bulge',
                    'mm' => round($worst[0], 2),
                    'text' => Message::of(
                        $code,
                        name: $name,
                        by: Amount::mm(abs($worst[0])),
                        where: Message::of('check.symmetry.where.'.$worst[1]),
                    ),
                ];
            }
        }

        return $found;
    }

    private static function isLeft(FlatArea $layer): bool
    {
        return Names::middle($layer)[0] < 0.0;
    }

    /**
     * @param  'width'|'height'|'level'|'across'  $what
     * @return list<array{part: string, detail?: string, what: 'width'|'height'|'level'|'across', mm: float, text: Message}>
     */
    private static function told(FlatArea $layer, string $what, float $mm): array
    {
        if (abs($mm) < self::LEAST_MM) {
            return [];
        }
        $name = new Name($layer->detail->name ?? $layer->piece->part->name);

        return [[
            'part' => $layer->piece->part->key,
            ...($layer->detail === null ? [] : ['detail' => $layer->detail->key]),
            'what' => $what,
            'mm' => round($mm, 2),
            'text' => Message::of("check.symmetry.$what.".($mm > 0.0 ? 'more' : 'less'), name: $name, by: Amount::mm(abs($mm))),
        ]];
    }
}
