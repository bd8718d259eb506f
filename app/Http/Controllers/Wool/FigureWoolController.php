<?php

declare(strict_types=1);

namespace App\Http\Controllers\Wool;

use App\Accounts\CurrentFelter;
use App\Api\Body;
use App\Http\Revision;
use App\Models\Figure;
use App\Stash\Stash;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Impa\Voice\Message;

/** The wool that a figure has set aside, and what it took when it was finished. */
final class FigureWoolController
{
    public function show(Figure $figure): JsonResponse
    {
        return new JsonResponse(self::state($figure));
    }

    /** Sets aside, or sets aside anew, what the saved figure needs. */
    public function update(Body $body, Figure $figure): JsonResponse
    {
        Transaction::together(static function () use ($figure, $body): void {
            Revision::expect($body, (string) Message::of('house.figure-wool-controller.what-this-figure-has'), self::told($figure));
            Stash::setAside($figure, $body->reserve());
        });

        return new JsonResponse(self::state($figure));
    }

    public function destroy(Figure $figure): JsonResponse
    {
        Stash::release($figure);

        return new JsonResponse(self::state($figure));
    }

    /** The figure is finished: what it took leaves the drawer, by the plan, or by what she says was used. */
    public function finish(Body $body, Figure $figure): JsonResponse
    {
        Stash::finish($figure, $body->numbersOr('used', []));

        return new JsonResponse(self::state($figure), 201);
    }

    /** @return array{wool_id: int, planned_g: float, used_g: float, grams: float} PostgreSQL hands numbers out as text */
    private static function row(object $row): array
    {
        $row = (array) $row;
        $g = static fn (string $column): float => is_numeric($row[$column] ?? null) ? (float) $row[$column] : 0.0;

        return [
            'wool_id' => is_int($row['wool_id']) ? $row['wool_id'] : 0,
            'planned_g' => $g('planned_g'),
            'used_g' => $g('used_g'),
            'grams' => $g('grams'),
        ];
    }

    /** @return array<string, mixed> whether it is set aside or used, wool by wool, and under which revision that stands */
    private static function state(Figure $figure): array
    {
        $told = self::told($figure);

        return $told + ['revision' => Revision::of($told), 'elsewhere' => $told['state'] === 'aside' ? Stash::elsewhere($figure) : []];
    }

    /** @return array<string, mixed> whether it is set aside or used, and wool by wool: planned, used, left over */
    private static function told(Figure $figure): array
    {
        $names = CurrentFelter::rows('wools')->pluck('name', 'id');
        $rows = static fn (string $table): array => CurrentFelter::rows($table)
            ->where('figure_id', $figure->id)
            ->orderBy('wool_id')
            ->get()
            ->map(self::row(...))
            ->all();
        $uses = array_map(
            static fn (array $r): array => [
                'wool' => $r['wool_id'],
                'name' => $names[$r['wool_id']],
                'plannedG' => $r['planned_g'],
                'usedG' => $r['used_g'],
                'sparedG' => $r['planned_g'] - $r['used_g'],
            ],
            $rows('wool_uses'),
        );
        $asides = array_map(
            static fn (array $r): array => ['wool' => $r['wool_id'], 'name' => $names[$r['wool_id']], 'g' => $r['grams']],
            $rows('set_asides'),
        );

        return ['state' => $uses !== [] ? 'used' : ($asides !== [] ? 'aside' : 'open'), 'aside' => $asides, 'used' => $uses];
    }
}
