<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Term\JoinBy;
use Impa\Geometry\Box;
use Impa\Shape\ShapeKind;

/**
 * Parts that a picture shows before what they are joined to, and that lie inside it in the round: pictures are painted by where the
 * middles of parts lie, wool by where its skin is. They are brought forwards, or laid round as a ring.
 */
final class Buried
{
    /** Places looked at, spread evenly, and by so much farther up from each to the next (the golden section). */
    private const PLACES = 89;

    private const UP = 0.6180339887;

    /** From such a share of its front on that is lost it is told. */
    private const LOST = 0.5;

    /** So deep within another's skin it is lost, mm. */
    private const DEEP_MM = 0.5;

    /** Brought forwards, so much of its depth stands out where it lay deepest. */
    private const STANDS_OUT = 0.25;

    /** What goes round is painted before what it goes round, mm. */
    private const BEFORE_MM = 0.2;

    /** @return array<string, float> whole mm that each of them is brought forwards, by key */
    public static function all(Figure $figure): array
    {
        $found = [];
        foreach ($figure->parts as $key => $part) {
            $found[(string) $key] = self::mm($figure, $part);
        }

        return array_filter($found);
    }

    /** The same of one of them; 0 where it shows in the round as in the picture. */
    public static function mm(Figure $figure, Part $part): float
    {
        $host = $figure->parts[$part->join->to] ?? null;
        $isPlain = $part->stand->turn->keepsFront() && $host?->stand->turn->keepsFront() === true && ! $figure->flat->isFlat();
        if ($host === null || ! $isPlain || $part->stand->at[2] < $host->stand->at[2]) {
            return 0.0;
        }
        $piece = Placement::of($part);
        $box = Box::around($part->solid->front()[0]);
        $all = $lost = 0;
        $deepest = 0.0;
        for ($i = 0; $i < self::PLACES; $i++) {
            $x = $box->left + ($i + 0.5) / self::PLACES * $box->width();
            $y = $box->low + fmod(($i + 0.5) * self::UP, 1.0) * $box->height();
            $front = $part->solid->frontMm($x, $y);
            if (is_nan($front)) {
                continue;
            }
            $all++;
            $within = self::frontOf($host, $piece->place($x, $y, 0.0)) - $part->stand->at[2] - $front;
            $lost += (int) ($within > self::DEEP_MM);
            $deepest = max($deepest, $within);
        }

        return $lost > 0 && $lost >= self::LOST * $all
            ? ceil($deepest + self::STANDS_OUT * $part->solid->size()->depthMm)
            : 0.0;
    }

    /** Whether it could be laid round what it is joined to: a roll that lies across. */
    public static function canGoRound(Part $part): bool
    {
        return $part->isJoined()
            && $part->solid->kind()->isLong()
            && ! $part->stand->mirror
            && abs(sin(deg2rad($part->stand->turn->zDeg))) > M_SQRT1_2
            && 2 * $part->thickMm() <= $part->solid->size()->heightMm;
    }

    /**
     * Brought forwards so far that it shows.
     *
     * @throws EditRefused if it shows
     */
    public static function forwards(Figure $figure, string $key): Edited
    {
        $part = $figure->parts[$key] ?? throw EditRefused::noSuchPart($key);
        $mm = self::mm($figure, $part);
        if ($mm <= 0.0) {
            throw EditRefused::showsAlready($part->name);
        }
        $draft = Draft::of($figure);
        $draft->part($key)->at->zMm = round($part->stand->at[2] + $mm, 2);

        return Edited::of($draft, 'part', $key);
    }

    /**
     * A roll that lies across what it is joined to, laid round it: a ring as wide as it is long, as deep as what it goes round asks for.
     *
     * @throws EditRefused if it is no such roll
     */
    public static function laidRound(Figure $figure, string $key): Edited
    {
        $part = $figure->parts[$key] ?? throw EditRefused::noSuchPart($key);
        if (! self::canGoRound($part)) {
            throw EditRefused::goesNotRound($part->name);
        }
        $host = $figure->parts[$part->join->to];
        $size = $part->solid->size();
        [$long, $thick] = [$size->heightMm, $part->thickMm()];
        // As much deeper or flatter as what it goes round.
        $about = $host->solid->size();
        $deep = max(2 * $thick, $long * ($host->stand->turn->isNone() ? $about->depthMm / $about->widthMm : 1.0));
        $draft = Draft::of($figure);
        $now = $draft->part($key);
        $now->shape = (object) [
            'kind' => ShapeKind::Ring->value,
            'widthMm' => round($long, 2),
            'heightMm' => round($deep, 2),
            'depthMm' => round($thick, 2),
        ];
        $now->at->zMm = $host->stand->at[2] + self::BEFORE_MM;
        $now->turnDeg = (object) ['x' => 90, 'y' => 0, 'z' => 0];
        $now->join->by = JoinBy::Wrap->value;

        return Edited::of($draft, 'part', $key);
    }

    /**
     * Where the front of a part lies at a place, in the figure's frame.
     *
     * @param  Vec3  $at
     */
    private static function frontOf(Part $part, array $at): float
    {
        $front = -INF;
        foreach ($part->placements() as $piece) {
            [$x, $y] = $piece->own($at[0] - $piece->at[0], $at[1] - $piece->at[1], 0.0);
            $deep = $piece->part->solid->frontMm($x, $y);
            $front = is_nan($deep) ? $front : max($front, $piece->at[2] + $deep);
        }

        return $front;
    }
}
