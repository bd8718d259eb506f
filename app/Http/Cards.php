<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Figure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/** The cards of the shelf and of the bin, a page at a time, newest first. */
final class Cards
{
    private const PER_PAGE = 24;

    /**
     * @param  Builder<Figure>  $figures
     * @return array{figures: list<array<string, mixed>>, page: int, pages: int, count: int}
     */
    public static function page(Builder $figures, Request $request): array
    {
        $page = $figures->withCount('marks')->orderByDesc('updated_at')->orderByDesc('id')
            ->paginate(self::PER_PAGE, ['id', 'name', 'revision', 'total_g', 'hands_minutes', 'steps', 'updated_at', 'deleted_at'], page: max(1, $request->integer('page', 1)));

        return [
            'figures' => array_map(static fn (Figure $f): array => [
                'id' => $f->id,
                'name' => $f->name,
                'revision' => $f->revision,
                'totalG' => $f->total_g,
                'handsMinutes' => $f->hands_minutes,
                'steps' => $f->steps,
                'done' => min($f->steps, (int) $f->marks_count),
                'changedAt' => $f->updated_at->toIso8601String(),
            ], array_values($page->items())),
            'page' => $page->currentPage(),
            'pages' => $page->lastPage(),
            'count' => $page->total(),
        ];
    }
}
