<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Closure;
use Impa\Figure\Figure;
use Impa\Figure\Pull;
use Impa\Figure\Term\FaceSchool;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\PlateSchool;
use Impa\Figure\Wire;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Firmness;
use Impa\Shape\Size;
use stdClass;

/** How a figure is made, and how it stands, chosen otherwise. Each gives a copy that was found whole. */
final class Choices
{
    /** @param  array<string, Firmness>  $firmness  by part */
    public static function firmness(Figure $figure, array $firmness): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($firmness): void {
            foreach ($firmness as $key => $how) {
                $draft->part((string) $key)->firmness = $how->value;
            }
        });
    }

    /** @param  list<string>  $parts */
    public static function covered(Figure $figure, array $parts, CoveringWay $way): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($parts, $way): void {
            foreach ($parts as $key) {
                $draft->part($key)->covering = (object) ['way' => $way->value];
            }
        });
    }

    /** All of it, whatever a part said for itself. */
    public static function filled(Figure $figure, CoreMaterial $core): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($core): void {
            $draft->document->core = $core->value;
            foreach ($draft->document->parts as $part) {
                unset($part->core);
            }
        });
    }

    public static function school(Figure $figure, FaceSchool $face): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($face): void {
            $draft->member('school')->face = $face->value;
        });
    }

    public static function plates(Figure $figure, PlateSchool $plates): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($plates): void {
            $draft->member('school')->plates = $plates->value;
        });
    }

    /**
     * What says nothing of its join, and what says one of these.
     *
     * @param  list<JoinBy>  $instead
     */
    public static function joinedBy(Figure $figure, JoinBy $by, array $instead): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($by, $instead): void {
            $draft->member('school')->join = $by->value;
            foreach ($draft->document->parts as $part) {
                if (in_array(JoinBy::tryFrom($part->join->by ?? ''), $instead, true)) {
                    $part->join->by = $by->value;
                }
            }
        });
    }

    /** @param  list<string>  $details */
    public static function madeBy(Figure $figure, array $details, Method $method): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($details, $method): void {
            foreach ($details as $key) {
                $draft->detail($key)->method = $method->value;
            }
        });
    }

    /** @param  list<Wire>  $wires  in place of its own */
    public static function wired(Figure $figure, array $wires): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($wires): void {
            $draft->document->wires = array_map(static fn (Wire $wire): stdClass => (object) $wire->document(), $wires);
        });
    }

    /** One step of its work moved; a step moved back to where it came from is not remembered. */
    public static function pulled(Figure $figure, Pull $pull): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($figure, $pull): void {
            $pulls = [...array_filter($figure->pulls, static fn (Pull $p): bool => ! $p->isAbout($pull)), $pull];
            $draft->member('work')->pulled = array_map(
                static fn (Pull $p): stdClass => (object) ['step' => $p->step, $p->isForward ? 'before' : 'after' => $p->past],
                array_slice($pulls, -Pull::MOST),
            );
        });
    }

    /** So much of its lowest parts lies flat on the table. */
    public static function flattened(Figure $figure, float $mm): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($mm): void {
            $draft->member('base')->flattenMm = $mm;
        });
    }

    /** @param  Vec3  $atMm  where something so heavy is hidden */
    public static function weighted(Figure $figure, float $g, array $atMm): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($g, $atMm): void {
            $base = $draft->member('base');
            $key = Draft::besides(array_column($base->weights ?? [], 'key'), 'low');
            $base->weights = [...$base->weights ?? [], (object) ['key' => $key, 'g' => $g, 'atMm' => $atMm]];
        });
    }

    /**
     * @param  list<string>  $parts
     * @param  Vec3  $mm
     */
    public static function moved(Figure $figure, array $parts, array $mm): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($parts, $mm): void {
            foreach ($parts as $key) {
                $at = $draft->part($key)->at;
                [$at->xMm, $at->yMm, $at->zMm] = [$at->xMm + $mm[0], $at->yMm + $mm[1], ($at->zMm ?? 0) + $mm[2]];
            }
        });
    }

    public static function joinedTo(Figure $figure, string $part, string $to): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($part, $to): void {
            $draft->part($part)->join->to = $to;
        });
    }

    /** A part as it came out; what shapes it beyond its dimensions goes along with them. */
    public static function sized(Figure $figure, string $part, Size $size): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($figure, $part, $size): void {
            $shape = $draft->part($part)->shape;
            $was = $figure->parts[$part]->solid->size();
            $across = $size->widthMm / $was->widthMm;
            $least = $size->smallestMm() / $was->smallestMm();
            foreach (['topMm' => $across, 'bottomMm' => $across, 'cornerMm' => $least, 'edgeMm' => $least] as $option => $factor) {
                if (is_numeric($shape->{$option} ?? null)) {
                    $shape->{$option} = round($factor * (float) $shape->{$option}, 3);
                }
            }
            [$shape->widthMm, $shape->heightMm, $shape->depthMm] = [$size->widthMm, $size->heightMm, $size->depthMm];
        });
    }

    public static function named(Figure $figure, string $name): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($name): void {
            $draft->document->name = $name;
        });
    }

    /** Whose design it is. No Impa knows this member yet; members that are not known are kept. */
    public static function credited(Figure $figure, string $by, string $licence): Figure
    {
        return self::changed($figure, static function (Draft $draft) use ($by, $licence): void {
            $draft->document->origin = (object) ['credit' => $by, 'licence' => $licence];
        });
    }

    /** Without the drawings it was made from. */
    public static function withoutPictures(Figure $figure): Figure
    {
        return self::changed($figure, static function (Draft $draft): void {
            unset($draft->document->picture, $draft->document->sidePicture);
        });
    }

    /** @param  Closure(Draft): void  $change */
    private static function changed(Figure $figure, Closure $change): Figure
    {
        $draft = Draft::of($figure);
        $change($draft);

        return Figure::fromDocument($draft->whole());
    }
}
