<?php

declare(strict_types=1);

use Impa\Figure\Figure;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Random\Engine\Mt19937;
use Random\Randomizer;

// Prints figures of random solid shapes with the meshes of their pieces, for bench/mass-fixture.mjs.

require __DIR__.'/../vendor/autoload.php';

$random = new Randomizer(new Mt19937(1687));
$between = static fn (int $low, int $high): int => $random->getInt($low, $high);
$kinds = array_values(array_filter(ShapeKind::cases(), static fn (ShapeKind $k): bool => ! in_array($k->value, ['sheet', 'strip'], true)));
$figures = [];
for ($n = 0; $n < 40; $n++) {
    $parts = [];
    foreach (range(1, $n < 20 ? 1 : $between(2, 5)) as $i) {
        $kind = $kinds[($n + 7 * $i) % count($kinds)];
        $size = Catalogue::usualSize($kind);
        $parts[] = [
            'key' => 'p'.$i,
            'shape' => ['kind' => $kind->value, 'widthMm' => $size->widthMm, 'heightMm' => $size->heightMm, 'depthMm' => $size->depthMm],
            'at' => ['xMm' => $between(-60, 60), 'yMm' => $between(20, 90), 'zMm' => $between(-30, 30)],
            'turnDeg' => ['x' => $between(-60, 60), 'y' => $between(-60, 60), 'z' => $between(-60, 60)],
            'mirror' => $n >= 20 && $between(0, 2) === 0,
            'colour' => 'teal',
            'core' => 'none',
        ];
    }
    $document = [
        'format' => 'impa-figure',
        'version' => 1,
        'name' => 'Figure '.$n,
        'heightMm' => 100,
        'colours' => [['key' => 'teal', 'hex' => '#2f8f86']],
        'parts' => $parts,
    ];
    $meshes = [];
    foreach (Figure::fromJson((string) json_encode($document))->parts as $part) {
        foreach ($part->placements() as $piece) {
            $meshes[] = ['rings' => $piece->rings(), 'closed' => $part->solid->loft()->closed];
        }
    }
    $figures[] = ['figure' => $document, 'meshes' => $meshes];
}
echo json_encode($figures);
