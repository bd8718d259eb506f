<?php

declare(strict_types=1);

use Impa\Figure\Figure;
use Impa\Geometry\Outline\Polygon;
use Impa\Geometry\Outline\Triangulation;
use Impa\Print\Page\Outlines;
use Impa\Render\Glb;
use Impa\Render\View;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return array{stdClass, array<string, list<array{float, float, float}>>, array<string, float>} JSON; points by node; volumes by node, cm3 */
function unpacked(string $glb): array
{
    ['length' => $length] = unpack('Vlength', substr($glb, 12, 4));
    $json = json_decode(substr($glb, 20, $length));
    $bin = substr($glb, 28 + $length);
    $read = static function (int $accessor) use ($json, $bin): array {
        $a = $json->accessors[$accessor];
        $view = $json->bufferViews[$a->bufferView];
        $values = array_values(unpack($a->type === 'VEC3' ? 'g*' : 'V*', substr($bin, $view->byteOffset, $view->byteLength)));

        return $a->type === 'VEC3' ? array_chunk($values, 3) : $values;
    };
    $points = $volumes = [];
    foreach ($json->nodes as $node) {
        if (! isset($node->mesh)) {
            continue;
        }
        $primitive = $json->meshes[$node->mesh]->primitives[0];
        $points[$node->name] = $read($primitive->attributes->POSITION);
        $six = 0.0;
        foreach (array_chunk($read($primitive->indices), 3) as [$a, $b, $c]) {
            [[$ax, $ay, $az], [$bx, $by, $bz], [$cx, $cy, $cz]] = [
                $points[$node->name][$a],
                $points[$node->name][$b],
                $points[$node->name][$c],
            ];
            $six += $ax * ($by * $cz - $bz * $cy) + $ay * ($bz * $cx - $bx * $cz) + $az * ($bx * $cy - $by * $cx);
        }
        // Cubic metres.
        $volumes[$node->name] = $six / 6 * 1e6;
    }

    return [$json, $points, $volumes];
}

/** A figure of one shape, and its twin across the middle. */
function ofShape(ShapeKind $kind): Figure
{
    $size = Catalogue::usualSize($kind);

    return Figure::fromJson((string) json_encode([
        'format' => 'impa-figure', 'version' => 1, 'name' => 'One', 'heightMm' => 100,
        'colours' => [['key' => 'a', 'hex' => '#bc8040', 'name' => 'Oak']],
        'parts' => [[
            'key' => 'p', 'name' => 'Piece', 'mirror' => true, 'colour' => 'a', 'core' => 'none',
            'shape' => ['kind' => $kind->value, 'widthMm' => $size->widthMm, 'heightMm' => $size->heightMm, 'depthMm' => $size->depthMm],
            'at' => ['xMm' => 40, 'yMm' => 50, 'zMm' => -7], 'turnDeg' => ['x' => 20, 'y' => -35, 'z' => 50],
        ]],
    ]));
}

it('makes of every shape a closed solid of the volume that masses are reckoned from, its twin as large and right side out', function (
    ShapeKind $kind,
) {
    [, , $volumes] = unpacked(Glb::of(ofShape($kind)));
    $own = ofShape($kind)->parts['p']->solid->loft()->signedVolumeCm3();
    expect($volumes['Piece'])->toEqualWithDelta($own, 0.002 * $own)->and($volumes['Piece, twin'])->toEqualWithDelta($own, 0.002 * $own);
})->with(ShapeKind::cases());

it('is in metres with y up and the face towards +z, by name, in linear colours', function () {
    $figure = Figure::fromJson((string) file_get_contents(__DIR__.'/../../../demo/bobbin.impa.json'));
    [$json, $points] = unpacked(Glb::of($figure));
    $ys = array_column(array_merge(...array_values($points)), 1);
    expect(max($ys) - min($ys))->toEqualWithDelta($figure->heightMm / 1000, 0.004)
        ->and($json->scenes[0]->name)->toBe($figure->name)
        ->and(array_column($json->nodes, 'name'))->toContain('Head', 'Arm', 'Arm, twin');
    // An eye lies in front of the middle of the head it is on.
    $middle = static fn (string $node, int $axis): float => array_sum(array_column($points[$node], $axis)) / count($points[$node]);
    expect($middle('Eye white', 2))->toBeGreaterThan($middle('Head', 2));
    // IEC 61966-2-1 by its formula: #bc8040 is 0.5029, 0.2159, 0.0513.
    [$one] = unpacked(Glb::of(ofShape(ShapeKind::Ball)));
    expect($one->materials[0]->name)->toBe('Oak');
    foreach ([0.5029, 0.2159, 0.0513, 1.0] as $i => $value) {
        expect($one->materials[0]->pbrMetallicRoughness->baseColorFactor[$i])->toEqualWithDelta($value, 1e-4);
    }
});

it('cuts polygons into triangles that are all of it and nothing twice', function (int $seed) {
    $random = new Randomizer(new Mt19937($seed));
    $count = $random->getInt(3, 120);
    $points = [];
    // A star about the middle never crosses itself, however jagged.
    for ($i = 0; $i < $count; $i++) {
        $r = $random->getInt(10, 100);
        $points[] = [$r * cos(2 * M_PI * $i / $count), $r * sin(2 * M_PI * $i / $count)];
    }
    $area = Polygon::signedArea($points);
    foreach ([$points, array_reverse($points)] as $way) {
        $triangles = Triangulation::of($way);
        $areas = array_map(static fn (array $t): float => Polygon::signedArea([$way[$t[0]], $way[$t[1]], $way[$t[2]]]), $triangles);
        // None turned, so that areas which sum to the whole cannot lie over each other.
        expect(min($areas))->toBeGreaterThan(0.0)->and(array_sum($areas))->toEqualWithDelta($area, 1e-6 * $area)
            ->and(count($triangles))->toBeLessThanOrEqual($count - 2);
    }
})->with(range(1, 12));

it('cuts what has corners in a line, points twice, or no area', function () {
    $square = [[0.0, 0.0], [1.0, 0.0], [2.0, 0.0], [2.0, 2.0], [2.0, 2.0], [0.0, 2.0]];
    $areas = array_map(
        static fn (array $t): float => Polygon::signedArea([$square[$t[0]], $square[$t[1]], $square[$t[2]]]),
        Triangulation::of($square),
    );
    expect(array_sum($areas))->toEqualWithDelta(4.0, 1e-9)
        ->and(Triangulation::of([[0.0, 0.0], [1.0, 1.0], [2.0, 2.0]]))->toBe([])->and(Triangulation::of([]))->toBe([]);
});

it('draws every outline of true size, each by its name, and lets no name be markup', function () {
    $document = json_decode((string) file_get_contents(__DIR__.'/../../../demo/bobbin.impa.json'));
    $document->parts[0]->name = '<script>&"x';
    $figure = Figure::fromDocument($document);
    $svg = Outlines::svg($figure, View::Front);
    $xml = simplexml_load_string($svg);
    [, , $width, $height] = array_map(floatval(...), explode(' ', (string) $xml['viewBox']));
    expect([(string) $xml['width'], (string) $xml['height']])->toBe([$width.'mm', $height.'mm'])
        // With 5 mm about it.
        ->and($height)->toEqualWithDelta($figure->heightMm + 10.0, 4.0)
        ->and($svg)->not->toContain('<script>')
        ->and(
            array_map(strval(...), $xml->xpath('//*[local-name()="path"]/*[local-name()="title"]')),
        )->toContain('<script>&"x', 'Arm, twin');
});

it('turns every detail outwards, and its twin across the middle as well, on whichever side it lies', function (string $kind, string $side) {
    $spot = ['kind' => $kind, 'on' => 'p', 'colour' => 'a', 'side' => $side, 'widthMm' => 6, 'heightMm' => 4, 'mirror' => true] + [
        'xMm' => 7, 'yMm' => 3, 'key' => 'd', 'name' => 'Spot',
    ];
    $points = ['line' => [[-3, 0], [0, 1], [3, 0]], 'patch' => [[-3, -2], [3, -3], [4, 2], [0, 4]]][$kind] ?? null;
    // About the middle of its part, which is the model's: what is turned outwards holds a volume, what is turned inwards takes one away.
    $document = [
        'format' => 'impa-figure', 'version' => 1, 'name' => 'One', 'heightMm' => 100,
        'colours' => [['key' => 'a', 'hex' => '#bc8040', 'name' => 'Oak']],
        'parts' => [[
            'key' => 'p', 'name' => 'Piece', 'colour' => 'a', 'core' => 'none',
            'shape' => ['kind' => 'ball', 'widthMm' => 40, 'heightMm' => 44, 'depthMm' => 36],
            'at' => ['xMm' => 0, 'yMm' => 0, 'zMm' => 0],
        ]],
        'details' => [$points === null ? $spot : ['pointsMm' => $points, 'widthMm' => 1.5] + $spot],
    ];
    [, , $volumes] = unpacked(Glb::of(Figure::fromJson((string) json_encode($document))));
    expect($volumes['Spot'])->toBeGreaterThan(0.0)
        ->and($volumes['Spot, twin'])->toEqualWithDelta($volumes['Spot'], 0.02 * $volumes['Spot']);
})->with(['disc', 'patch', 'line'])->with(['front', 'back', 'left', 'top']);
