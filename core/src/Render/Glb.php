<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Flat\CutLayer;
use Impa\Geometry\Outline\Triangulation;

/**
 * A figure as glTF 2.0 binary (Khronos, ISO/IEC 12113): metres, y up, its face towards +z; one node for each piece and each detail, by
 * name, with its flat colour. Pieces are the solids that masses are reckoned from.
 */
final class Glb
{
    private const MM = 0.001;

    private const FLOAT = 5126;

    private const UNSIGNED_INT = 5125;

    private const ARRAY_BUFFER = 34962;

    private const ELEMENT_ARRAY_BUFFER = 34963;

    /** A triangle that is smaller says nothing, mm2. */
    private const LEAST_MM2 = 1e-6;

    private string $bytes = '';

    /** @var list<array<string, mixed>> */
    private array $views = [];

    /** @var list<array<string, mixed>> */
    private array $accessors = [];

    /** @var list<array<string, mixed>> */
    private array $meshes = [];

    /** @var list<array<string, mixed>> */
    private array $nodes = [];

    /** @var array<string, int> number of a material by colour and sides */
    private array $materials = [];

    /** @var list<array<string, mixed>> */
    private array $materialList = [];

    public static function of(Figure $figure): string
    {
        $glb = new self;
        foreach ($figure->parts as $part) {
            $loft = $part->solid->loft();
            foreach ($part->placements() as $nth => $placement) {
                $name = $part->name.($nth > 0 ? ', twin' : '');
                $colour = $figure->colours[$part->colour];
                foreach (CutLayer::of($figure, $placement) ?? [$loft] as $piece) {
                    $rings = array_map(
                        static fn (array $ring): array => array_map(
                            static fn (array $p): array => $placement->place(...$p),
                            self::points($ring),
                        ),
                        $piece->rings,
                    );
                    $glb->piece($name, $rings, $loft->closed, true, $placement->at, $colour->srgb, $colour->name);
                }
            }
        }
        foreach ($figure->details as $detail) {
            $colour = $figure->colours[$detail->colour];
            foreach ($figure->parts[$detail->on]->placements() as $placement) {
                foreach (DetailPiece::all($detail, $placement) as $nth => $piece) {
                    $rings = array_map(self::points(...), $piece->skin());
                    $name = $detail->name.($nth > 0 ? ', twin' : '');
                    $glb->piece($name, $rings, false, false, $placement->at, $colour->srgb, $colour->name);
                }
            }
        }

        return $glb->file($figure);
    }

    /**
     * @param  list<float>  $flat  x0, y0, z0, x1, ...
     * @return list<Vec3>
     */
    private static function points(array $flat): array
    {
        $points = [];
        for ($i = 2, $n = count($flat); $i < $n; $i += 3) {
            $points[] = [$flat[$i - 2], $flat[$i - 1], $flat[$i]];
        }

        return $points;
    }

    /**
     * @param  list<list<Vec3>>  $rings  in mm
     * @param  bool  $isSolid  closed by caps, seen from outside alone; else a skin, seen from both sides
     * @param  Vec3  $middle  what its outside is turned away from
     */
    private function piece(string $name, array $rings, bool $isRing, bool $isSolid, array $middle, Srgb $srgb, string $colour): void
    {
        [$points, $triangles] = self::mesh($rings, $isRing, $isSolid, $middle);
        if ($triangles === []) {
            return;
        }
        $normals = self::normals($points, $triangles);
        $primitive = [
            'attributes' => ['POSITION' => $this->positions($points), 'NORMAL' => $this->vectors($normals)],
            'indices' => $this->indices(array_merge(...$triangles)),
            'material' => $this->material($srgb, $colour, ! $isSolid),
        ];
        $this->meshes[] = ['name' => $name, 'primitives' => [$primitive]];
        $this->nodes[] = ['name' => $name, 'mesh' => count($this->meshes) - 1];
    }

    /**
     * Bands between neighbouring rings, and caps of points of their own, so that their edges stay sharp.
     *
     * @param  list<list<Vec3>>  $rings
     * @param  Vec3  $middle
     * @return array{list<Vec3>, list<array{int, int, int}>} points; triangles, anticlockwise from outside
     */
    private static function mesh(array $rings, bool $isRing, bool $isSolid, array $middle): array
    {
        $count = count($rings[0] ?? []);
        $bands = $isRing ? count($rings) : count($rings) - 1;
        $points = $rings === [] ? [] : array_merge(...$rings);
        $triangles = [];
        for ($i = 0; $i < $bands; $i++) {
            [$low, $high] = [$i * $count, (($i + 1) % count($rings)) * $count];
            for ($j = 0; $j < $count; $j++) {
                $k = ($j + 1) % $count;
                array_push($triangles, [$low + $j, $low + $k, $high + $j], [$low + $k, $high + $k, $high + $j]);
            }
        }
        if ($isSolid && ! $isRing && $rings !== []) {
            foreach ([[$rings[0], true], [$rings[count($rings) - 1], false]] as [$ring, $isTurned]) {
                $first = count($points);
                array_push($points, ...$ring);
                foreach (self::cap($ring) as [$a, $b, $c]) {
                    $triangles[] = $isTurned ? [$first + $a, $first + $c, $first + $b] : [$first + $a, $first + $b, $first + $c];
                }
            }
        }
        $triangles = array_values(array_filter(
            $triangles,
            static fn (array $t): bool => self::length(self::cross($points, $t)) / 2 > self::LEAST_MM2,
        ));
        // A twin is mirrored, and turns the other way round.
        $isInsideOut = self::sixVolumes($points, $triangles, $middle) < 0.0;

        return [$points, $isInsideOut ? array_map(static fn (array $t): array => [$t[0], $t[2], $t[1]], $triangles) : $triangles];
    }

    /**
     * A ring lies flat in some plane: it is triangulated in it, as it turns.
     *
     * @param  list<Vec3>  $ring
     * @return list<array{int, int, int}>
     */
    private static function cap(array $ring): array
    {
        // Newell's normal, and two axes across it.
        $n = [0.0, 0.0, 0.0];
        $count = count($ring);
        foreach ($ring as $i => $p) {
            $q = $ring[($i + 1) % $count];
            $n[0] += ($p[1] - $q[1]) * ($p[2] + $q[2]);
            $n[1] += ($p[2] - $q[2]) * ($p[0] + $q[0]);
            $n[2] += ($p[0] - $q[0]) * ($p[1] + $q[1]);
        }
        $size = self::length($n);
        if ($size < self::LEAST_MM2) {
            return [];
        }
        $n = [$n[0] / $size, $n[1] / $size, $n[2] / $size];
        $u = abs($n[0]) < 0.9 ? [0.0, $n[2], -$n[1]] : [-$n[2], 0.0, $n[0]];
        $v = [$n[1] * $u[2] - $n[2] * $u[1], $n[2] * $u[0] - $n[0] * $u[2], $n[0] * $u[1] - $n[1] * $u[0]];

        return Triangulation::of(array_map(static fn (array $p): array => [
            $p[0] * $u[0] + $p[1] * $u[1] + $p[2] * $u[2],
            $p[0] * $v[0] + $p[1] * $v[1] + $p[2] * $v[2],
        ], $ring));
    }

    /**
     * @param  list<Vec3>  $points
     * @param  list<array{int, int, int}>  $triangles
     * @return list<Vec3> of length 1: the mean of the triangles about each point by their areas
     */
    private static function normals(array $points, array $triangles): array
    {
        $normals = array_fill(0, count($points), [0.0, 0.0, 0.0]);
        foreach ($triangles as $t) {
            $n = self::cross($points, $t);
            foreach ($t as $p) {
                $normals[$p] = [$normals[$p][0] + $n[0], $normals[$p][1] + $n[1], $normals[$p][2] + $n[2]];
            }
        }

        return array_map(static function (array $n): array {
            $size = self::length($n);

            return $size < 1e-12 ? [0.0, 1.0, 0.0] : [$n[0] / $size, $n[1] / $size, $n[2] / $size];
        }, $normals);
    }

    /** @param  list<Vec3>  $points */
    private function positions(array $points): int
    {
        $metres = array_map(static fn (array $p): array => [
            self::single($p[0] * self::MM), self::single($p[1] * self::MM), self::single($p[2] * self::MM),
        ], $points);
        $axis = static fn (int $i): array => array_column($metres, $i);

        return $this->vectors($metres, [
            'min' => array_map(static fn (int $i): float => min(INF, ...$axis($i)), [0, 1, 2]),
            'max' => array_map(static fn (int $i): float => max(-INF, ...$axis($i)), [0, 1, 2]),
        ]);
    }

    /** As it will be read: the ends that are told of positions must be those of 32-bit numbers. */
    private static function single(float $value): float
    {
        $read = unpack('g', pack('g', $value));

        return is_array($read) && is_float($read[1]) ? $read[1] : $value;
    }

    /**
     * @param  list<Vec3>  $vectors
     * @param  array<string, list<float>>  $more
     */
    private function vectors(array $vectors, array $more = []): int
    {
        $bytes = '';
        foreach ($vectors as [$x, $y, $z]) {
            $bytes .= pack('ggg', $x, $y, $z);
        }

        return $this->accessor($bytes, self::ARRAY_BUFFER, self::FLOAT, 'VEC3', count($vectors), $more);
    }

    /** @param  list<int>  $indices */
    private function indices(array $indices): int
    {
        return $this->accessor(pack('V*', ...$indices), self::ELEMENT_ARRAY_BUFFER, self::UNSIGNED_INT, 'SCALAR', count($indices), []);
    }

    /** @param  array<string, list<float>>  $more */
    private function accessor(string $bytes, int $target, int $component, string $type, int $count, array $more): int
    {
        $this->views[] = ['buffer' => 0, 'byteOffset' => strlen($this->bytes), 'byteLength' => strlen($bytes), 'target' => $target];
        $this->bytes .= $bytes;
        $view = count($this->views) - 1;
        $this->accessors[] = ['bufferView' => $view, 'componentType' => $component, 'count' => $count, 'type' => $type] + $more;

        return count($this->accessors) - 1;
    }

    private function material(Srgb $srgb, string $name, bool $isSkin): int
    {
        $key = $srgb->toHex().($isSkin ? ' skin' : '').' '.$name;
        if (! isset($this->materials[$key])) {
            $light = $srgb->light();
            $this->materialList[] = [
                'name' => $name,
                'pbrMetallicRoughness' => [
                    'baseColorFactor' => [$light->red, $light->green, $light->blue, 1.0],
                    'metallicFactor' => 0.0,
                    'roughnessFactor' => 1.0,
                ],
            ] + ($isSkin ? ['doubleSided' => true] : []);
            $this->materials[$key] = count($this->materialList) - 1;
        }

        return $this->materials[$key];
    }

    private function file(Figure $figure): string
    {
        $children = array_keys($this->nodes);
        $root = [
            'name' => $figure->name,
            'extras' => ['heightMm' => $figure->heightMm],
        ] + ($children === [] ? [] : ['children' => $children]);
        $all = [
            'asset' => ['version' => '2.0', 'generator' => 'Impa'],
            'scene' => 0,
            'scenes' => [['name' => $figure->name, 'nodes' => [count($this->nodes)]]],
            'nodes' => [...$this->nodes, $root],
            'meshes' => $this->meshes,
            'materials' => $this->materialList,
            'accessors' => $this->accessors,
            'bufferViews' => $this->views,
            'buffers' => $this->bytes === '' ? [] : [['byteLength' => strlen($this->bytes)]],
        ];
        // An empty list may not stand in it.
        $json = json_encode(
            array_filter($all, static fn (mixed $member): bool => $member !== []),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES,
        );
        $json = str_pad($json, (int) (4 * ceil(strlen($json) / 4)), ' ');
        $chunks = pack('VV', strlen($json), 0x4E4F534A).$json;
        if ($this->bytes !== '') {
            $chunks .= pack('VV', strlen($this->bytes), 0x004E4942).$this->bytes;
        }

        return 'glTF'.pack('VV', 2, 12 + strlen($chunks)).$chunks;
    }

    /**
     * Its normal, as long as twice its area.
     *
     * @param  list<Vec3>  $points
     * @param  array{int, int, int}  $triangle
     * @return Vec3
     */
    private static function cross(array $points, array $triangle): array
    {
        [$p, $q, $r] = [$points[$triangle[0]], $points[$triangle[1]], $points[$triangle[2]]];
        [$ax, $ay, $az] = [$q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]];
        [$bx, $by, $bz] = [$r[0] - $p[0], $r[1] - $p[1], $r[2] - $p[2]];

        return [$ay * $bz - $az * $by, $az * $bx - $ax * $bz, $ax * $by - $ay * $bx];
    }

    /**
     * Six times the volume between the triangles and a middle, by the divergence theorem: of a closed piece wherever that is; below 0
     * where they turn inside out.
     *
     * @param  list<Vec3>  $points
     * @param  list<array{int, int, int}>  $triangles
     * @param  Vec3  $middle
     */
    private static function sixVolumes(array $points, array $triangles, array $middle): float
    {
        $six = 0.0;
        foreach ($triangles as $t) {
            [$x, $y, $z] = self::cross($points, $t);
            [$px, $py, $pz] = $points[$t[0]];
            $six += ($px - $middle[0]) * $x + ($py - $middle[1]) * $y + ($pz - $middle[2]) * $z;
        }

        return $six;
    }

    /** @param  Vec3  $vector */
    private static function length(array $vector): float
    {
        return sqrt($vector[0] ** 2 + $vector[1] ** 2 + $vector[2] ** 2);
    }
}
