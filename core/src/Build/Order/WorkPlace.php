<?php

declare(strict_types=1);

namespace Impa\Build\Order;

use Impa\Armature\Passage;
use Impa\Build\Steps\WireRouting;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Geometry\Box;
use Impa\Surface\Surface;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Said;

/**
 * A place on the skin where a needle must get: a piece of a detail, the seam of a join, a wire's hole, by points with the way they
 * face. Immutable.
 */
final readonly class WorkPlace
{
    /** A detail smaller than so many mm is looked at in its middle alone. */
    private const SMALL_MM = 3.0;

    /** For the slope of the skin, mm. */
    private const BESIDE_MM = 0.4;

    /** The side of a piece is looked at on so many levels; where it enters another is found by so many halvings. */
    private const LEVELS = 14;

    private const HALVINGS = 4;

    /** Pieces that nearly touch are joined as well, within so many mm. */
    private const NEARLY_MM = 1.5;

    /** The least share of a seam that must be reached: what is left is held by the rest. Of a detail all of it must be. */
    private const SEAM_SHARE = 0.66;

    /**
     * @param  string  $step  key of the step that works here
     * @param  Said  $name  what is worked, for a felter
     * @param  list<string>  $hosts  keys of the parts that bear it
     * @param  list<int>  $pieces  places of its bearers in the list of obstacles
     * @param  list<array{Vec3, Vec3}>  $points  where, and which way the skin looks there
     */
    private function __construct(
        public string $step,
        public Said $name,
        public array $hosts,
        public array $pieces,
        public array $points,
        public float $share,
    ) {
    }

    /**
     * @param  array<string, non-empty-list<int>>  $at  places of each part's pieces in the list of obstacles
     * @return list<self> of every piece of a detail
     */
    public static function ofDetail(Detail $detail, Part $part, array $at): array
    {
        $places = [];
        foreach ($part->placements() as $i => $placement) {
            foreach ($detail->lie->mirror ? [$placement->isTwin, ! $placement->isTwin] : [$placement->isTwin] as $isTwin) {
                $points = self::skin($detail, $placement, $isTwin);
                if ($points !== []) {
                    $name = self::sided($detail->name, $detail->lie->mirror || $part->stand->mirror, $points[0][0][0]);
                    $places[] = new self('detail:'.$detail->key, $name, [$part->key], [$at[$part->key][$i]], $points, 1.0);
                }
            }
        }

        return $places;
    }

    /**
     * The seam of a part and what it is joined to; none where it is joined to nothing.
     *
     * @param  array<string, non-empty-list<int>>  $at  places of each part's pieces in the list of obstacles
     * @param  list<Obstacle>  $obstacles
     * @return list<self> of each piece
     */
    public static function ofSeam(Figure $figure, Part $part, array $at, array $obstacles): array
    {
        $places = [];
        foreach ($part->isJoined() ? $at[$part->key] : [] as $piece) {
            $to = self::nearest($obstacles[$piece]->at, $at[$part->join->to], $obstacles);
            $points = self::seam($obstacles[$piece], $part, $obstacles[$to]);
            if ($points !== []) {
                $name = Message::of('build.place.seam', of: self::sided($part->name, $part->stand->mirror, $obstacles[$piece]->at[0]));
                $places[] = new self('hide:'.$part->key, $name, [$part->key, $part->join->to], [$piece, $to], $points, self::SEAM_SHARE);
            }
        }

        return $places;
    }

    /**
     * Every hole that a wire needs, each on the piece where it is.
     *
     * @param  array<string, non-empty-list<int>>  $at  places of each part's pieces in the list of obstacles
     * @param  list<Obstacle>  $obstacles
     * @return list<self>
     */
    public static function ofHoles(Passage $passage, array $at, array $obstacles): array
    {
        $places = [];
        foreach ($passage->holes as $part => $holes) {
            foreach ($holes as $hole) {
                $piece = self::nearest($hole, $at[$part], $obstacles);
                $points = [[$hole, self::unit($obstacles[$piece]->normal(...$hole))]];
                $name = Message::of('build.place.hole', wire: new Name($passage->wire->name));
                $places[] = new self(WireRouting::key($passage), $name, [(string) $part], [$piece], $points, 1.0);
            }
        }

        return $places;
    }

    /** How many of its points must be reached. */
    public function needed(): int
    {
        return (int) ceil($this->share * count($this->points) - 1e-9);
    }

    /** "the left eye", as the viewer sees it. */
    private static function sided(string $name, bool $isPair, float $x): Message
    {
        return Message::of('build.place.'.($isPair ? ($x < 0.0 ? 'left' : 'right') : 'one'), name: new Name($name));
    }

    /**
     * The detail's middle and its four outermost points, on the skin.
     *
     * @return list<array{Vec3, Vec3}>
     */
    private static function skin(Detail $detail, Placement $piece, bool $isTwin): array
    {
        $side = $isTwin ? $detail->lie->side->mirrored() : $detail->lie->side;
        $surface = Surface::of($piece, $side);
        $outline = $detail->outline();
        $wanted = [$detail->middle()];
        $box = Box::around($outline);
        if (max($box->width(), $box->height()) >= self::SMALL_MM) {
            [$xs, $ys] = [array_column($outline, 0), array_column($outline, 1)];
            foreach ([[$xs, min($xs)], [$xs, max($xs)], [$ys, min($ys)], [$ys, max($ys)]] as [$list, $value]) {
                $wanted[] = $outline[(int) array_search($value, $list, true)];
            }
        }
        $points = [];
        foreach ($wanted as [$u, $v]) {
            $u = $isTwin ? -$u : $u;
            $height = $surface->heightMm($u, $v);
            if (is_nan($height)) {
                continue;
            }
            [$right, $up] = [self::slope($surface, $u, $v, $height, 1, 0), self::slope($surface, $u, $v, $height, 0, 1)];
            $length = sqrt(1 + $right ** 2 + $up ** 2);
            [$x, $y, $z] = $side->place($u, $v, $height);
            $points[] = [
                [$x + $piece->at[0], $y + $piece->at[1], $z + $piece->at[2]],
                $side->place(-$right / $length, -$up / $length, 1 / $length),
            ];
        }

        return $points;
    }

    /** How steeply the skin rises to the right or upwards, by a difference to the side on which it is still there. */
    private static function slope(Surface $surface, float $u, float $v, float $height, int $right, int $up): float
    {
        foreach ([self::BESIDE_MM, -self::BESIDE_MM] as $beside) {
            $next = $surface->heightMm($u + $right * $beside, $v + $up * $beside, $height);
            if (! is_nan($next)) {
                return ($next - $height) / $beside;
            }
        }

        return 0.0;
    }

    /**
     * @param  Vec3  $to
     * @param  non-empty-list<int>  $places
     * @param  list<Obstacle>  $obstacles
     */
    private static function nearest(array $to, array $places, array $obstacles): int
    {
        $far = static fn (int $i): float => ($obstacles[$i]->at[0] - $to[0]) ** 2
            + ($obstacles[$i]->at[1] - $to[1]) ** 2
            + ($obstacles[$i]->at[2] - $to[2]) ** 2;
        usort($places, static fn (int $a, int $b): int => $far($a) <=> $far($b));

        return $places[0];
    }

    /**
     * Where the skin of a piece enters what it is joined to: along its outline from the front, and along its middle line from the side.
     * The skin looks there halfway between the ways that the two pieces' skins look.
     *
     * @return list<array{Vec3, Vec3}>
     */
    private static function seam(Obstacle $piece, Part $part, Obstacle $to): array
    {
        $placement = $piece->isTwin ? Placement::twinOf($part) : Placement::of($part);
        $points = [];
        foreach (self::courses($part) as $course) {
            $before = null;
            foreach ($course as $own) {
                $point = $placement->place(...$own);
                $isIn = $to->holds($point[0], $point[1], $point[2], self::NEARLY_MM);
                if ($before !== null && $before[1] !== $isIn) {
                    $at = self::crossing($before[0], $point, $before[1], $to);
                    [$one, $two] = [$piece->normal(...$at), $to->normal(...$at)];
                    $points[] = [$at, self::unit([$one[0] + $two[0], $one[1] + $two[1], $one[2] + $two[2]])];
                }
                $before = [$point, $isIn];
            }
        }

        return $points;
    }

    /**
     * Two ways round the skin of a part, in its own frame.
     *
     * @return list<list<Vec3>>
     */
    private static function courses(Part $part): array
    {
        $front = array_map(static fn (array $p): array => [$p[0], $p[1], 0.0], $part->solid->front()[0]);
        $height = $part->solid->size()->heightMm;
        $up = $down = [];
        for ($k = 0; $k <= self::LEVELS; $k++) {
            // Closer together towards both ends, where the skin turns most.
            $y = -cos(M_PI * $k / self::LEVELS) * $height / 2;
            $z = $part->solid->frontMm(0.0, $y);
            if (! is_nan($z)) {
                $up[] = [0.0, $y, $z];
                array_unshift($down, [0.0, $y, -$z]);
            }
        }
        $side = [...$up, ...$down];

        return [[...$front, $front[0]], $side === [] ? [] : [...$side, $side[0]]];
    }

    /**
     * @param  Vec3  $from
     * @param  Vec3  $to
     * @return Vec3
     */
    private static function crossing(array $from, array $to, bool $isFromIn, Obstacle $piece): array
    {
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = [($from[0] + $to[0]) / 2, ($from[1] + $to[1]) / 2, ($from[2] + $to[2]) / 2];
            if ($piece->holds($middle[0], $middle[1], $middle[2], self::NEARLY_MM) === $isFromIn) {
                $from = $middle;
            } else {
                $to = $middle;
            }
        }

        return $isFromIn ? $to : $from;
    }

    /**
     * @param  Vec3  $v
     * @return Vec3
     */
    private static function unit(array $v): array
    {
        $length = sqrt($v[0] ** 2 + $v[1] ** 2 + $v[2] ** 2);

        return $length < 1e-9 ? [0.0, 1.0, 0.0] : [$v[0] / $length, $v[1] / $length, $v[2] / $length];
    }

    /**
     * Two directions across one, and across each other.
     *
     * @param  Vec3  $n  of length 1
     * @return array{Vec3, Vec3}
     */
    public static function perpendicular(array $n): array
    {
        // Crossed with the axis that it follows least.
        $u = abs($n[0]) < 0.6 ? self::unit([0.0, -$n[2], $n[1]]) : self::unit([$n[2], 0.0, -$n[0]]);

        return [$u, [$n[1] * $u[2] - $n[2] * $u[1], $n[2] * $u[0] - $n[0] * $u[2], $n[0] * $u[1] - $n[1] * $u[0]]];
    }
}
