<?php

declare(strict_types=1);

namespace Impa\Face\Advice;

use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\Side;
use Impa\Voice\Amount;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Name;

/** How level and even a face is where it is meant to be, in millimetres as seen from the front, and what would make it so. Immutable. */
final readonly class Evenness
{
    /** Meant as twins: of one kind and colour, about as large, and about where the other's mirror image lies. */
    private const TWIN_SIZE = 0.2;

    private const TWIN_MM = 4.0;

    /** Meant for the middle line: so close to it, mm. */
    private const MIDDLE_MM = 1.5;

    /** Nobody sees less, mm. */
    private const SEEN_MM = 0.1;

    /**
     * @param  float  $levelMm  by how much one of a pair lies higher than the other, at most
     * @param  float  $asideMm  by how much one lies farther from the middle line than its twin, or a middle one beside it, at most
     * @param  ?float  $eyeLineMm  y of the highest pair of spots, beads or ready-made eyes; null where there is none
     * @param  array<string, list<Advice>>  $advice  by the key of a detail
     */
    private function __construct(public float $levelMm, public float $asideMm, public ?float $eyeLineMm, public array $advice)
    {
    }

    public static function of(Figure $figure, string $part): self
    {
        $details = array_values(array_filter($figure->detailsOn($part), static fn (Detail $d): bool => $d->lie->side === Side::Front));
        $middles = array_map(static fn (Detail $d): array => $d->middle(), $details);
        $level = $aside = 0.0;
        $eyeLine = null;
        $advice = $paired = [];
        foreach ($details as $i => $one) {
            [$x, $y] = $middles[$i];
            if ($one->lie->mirror && ! in_array($one->drawn->kind, [DetailKind::Line, DetailKind::Patch], true)) {
                $eyeLine = max($eyeLine ?? $y, $y);
            }
            if ($one->lie->mirror) {
                $spark = self::spark($figure, $i, $details, $middles);
                if ($spark !== null) {
                    $advice[$one->key][] = $spark;
                }

                continue;
            }
            for ($k = $i + 1, $n = count($details); $k < $n && ! isset($paired[$one->key]); $k++) {
                [$other, [$ox, $oy]] = [$details[$k], $middles[$k]];
                if (
                    isset($paired[$other->key]) ||
                    $x * $ox >= 0.0 ||
                    hypot($x + $ox, $y - $oy) >= self::TWIN_MM ||
                    min(abs($x), abs($ox)) <= self::MIDDLE_MM ||
                    ! self::areAlike($one, $other)
                ) {
                    continue;
                }
                $paired[$one->key] = $paired[$other->key] = true;
                [$up, $out] = [$oy - $y, abs($ox) - abs($x)];
                // On a pair of eyes two may lean the same way, as the sparks of one light do: they are no mirror images,
                // and even all the same.
                if (self::isOnPair($i, $details, $middles)) {
                    $level = max($level, abs($up));

                    continue;
                }
                // A wink is no fault of evenness.
                if ($one->isMeant('uneven') || $other->isMeant('uneven')) {
                    continue;
                }
                [$level, $aside] = [max($level, abs($up)), max($aside, abs($out))];
                if (max(abs($up), abs($out)) > self::SEEN_MM) {
                    $advice[$other->key][] = self::uneven($one, $other, $up, $out);
                }
            }
            if (! isset($paired[$one->key]) && abs($x) < self::MIDDLE_MM && ! $one->isMeant('aside')) {
                $aside = max($aside, abs($x));
                if (abs($x) > self::SEEN_MM && ! Crispness::isSpark($figure, $one)) {
                    $advice[$one->key][] = Advice::look(
                        'aside',
                        Message::of('face.evenness.'.($x > 0.0 ? 'right' : 'left'), by: Amount::mm(abs($x))),
                        [Mend::set(Message::of('face.evenness.set-it'), ['xMm' => round($one->lie->xMm - $x, 2)])],
                    );
                }
            }
        }

        return new self($level, $aside, $eyeLine, $advice);
    }

    /** Of two that are meant to be alike the other lies so much higher, and so much farther out, mm. */
    private static function uneven(Detail $one, Detail $other, float $up, float $out): Advice
    {
        $where = array_filter([
            abs($up) > self::SEEN_MM ? Message::of('face.evenness.'.($up > 0.0 ? 'higher' : 'lower'), by: Amount::mm(abs($up))) : null,
            abs($out) > self::SEEN_MM ? Message::of('face.evenness.'.($out > 0.0 ? 'out' : 'in'), by: Amount::mm(abs($out))) : null,
        ]);

        return Advice::look('uneven', Message::of(
            'face.evenness.uneven',
            where: new Listed(array_values($where)),
            name: new Name($one->name),
        ), [
            Mend::instead(Message::of('face.evenness.make-the-two-one'), ['mirror' => true], $one->key),
            Mend::set(Message::of('face.evenness.only-set-it-level'), ['yMm' => round($other->lie->yMm - $up, 2)]),
        ]);
    }

    /**
     * Whether it lies on one of a mirrored pair.
     *
     * @param  list<Detail>  $details
     * @param  list<array{float, float}>  $middles
     */
    private static function isOnPair(int $i, array $details, array $middles): bool
    {
        [$x, $y] = $middles[$i];
        foreach ($details as $k => $under) {
            [$ux, $uy] = $middles[$k];
            if (
                $under->lie->mirror &&
                $under->lie->layer < $details[$i]->lie->layer &&
                hypot(abs($x) - abs($ux), $y - $uy) < max($under->drawn->widthMm, $under->drawn->heightMm) / 2
            ) {
                return true;
            }
        }

        return false;
    }

    private static function areAlike(Detail $one, Detail $other): bool
    {
        return ! $other->lie->mirror &&
            $one->drawn->kind === $other->drawn->kind &&
            $one->colour === $other->colour &&
            $one->lie->layer === $other->lie->layer &&
            abs(log(max(0.01, $one->drawn->areaMm2()) / max(0.01, $other->drawn->areaMm2()))) < self::TWIN_SIZE;
    }

    /**
     * A mirrored spark beside the middle of what it lies on: light falls from one side, so both lie on the same.
     *
     * @param  list<Detail>  $details
     * @param  list<array{float, float}>  $middles
     */
    private static function spark(Figure $figure, int $i, array $details, array $middles): ?Advice
    {
        [$spark, [$x, $y]] = [$details[$i], $middles[$i]];
        if (! Crispness::isSpark($figure, $spark)) {
            return null;
        }
        foreach (array_reverse($details, true) as $k => $under) {
            [$ux, $uy] = $middles[$k];
            if (
                $under->lie->mirror &&
                $under->lie->layer < $spark->lie->layer &&
                hypot($x - $ux, $y - $uy) < max($under->drawn->widthMm, $under->drawn->heightMm) / 2
            ) {
                $by = $x - $ux;

                return abs($by) <= self::SEEN_MM
                    ? null
                    : Advice::look(
                        'sparks',
                        Message::of('face.evenness.the-sparks-lie', mm: Amount::mm(abs($by))),
                        [
                            Mend::with(
                                Message::of('face.evenness.put-both'),
                                ['mirror' => false, 'xMm' => round($ux + abs($by), 2)],
                                self::twin($figure, $spark, -$ux + abs($by)),
                            ),
                            Mend::with(
                                Message::of('face.evenness.put-both-2'),
                                ['mirror' => false, 'xMm' => round($ux - abs($by), 2)],
                                self::twin($figure, $spark, -$ux - abs($by)),
                            ),
                        ],
                    );
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    private static function twin(Figure $figure, Detail $spark, float $x): array
    {
        foreach ($figure->document()->details ?? [] as $detail) {
            if ($detail->key === $spark->key) {
                return [
                    'key' => $spark->key.'-left',
                    'name' => (string) Message::of('figure.of-a-pair.left', name: $spark->name),
                    'mirror' => false,
                    'xMm' => round($x, 2),
                ] + get_object_vars($detail);
            }
        }

        return [];
    }
}
