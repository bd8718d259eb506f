<?php

declare(strict_types=1);

namespace App\Http;

use App\Hand\Profile;
use App\Models\Figure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/** The cards of the shelf and of the bin, a page at a time, newest first. */
final class Shelf
{
    private const PER_PAGE = 24;

    /**
     * @param  Builder<Figure>  $figures
     * @return array{figures: list<array<string, mixed>>, page: int, pages: int, count: int}
     */
    public static function page(Builder $figures, Request $request): array
    {
        $page = $figures
            ->with('marks')
            ->orderByDesc('updated_at')
            ->orderByDesc('id')
            ->paginate(
                self::PER_PAGE,
                [
                    'id', 'name', 'revision', 'total_g', 'hands_minutes', 'step_keys', 'reckoning', 'updated_at', 'deleted_at',
                ],
                page: max(1, $request->integer('page', 1)),
            );

        /** @var list<Figure> $onPage */
        $onPage = $page->items();

        return [
            'figures' => array_map(self::card(...), $onPage),
            'page' => $page->currentPage(),
            'pages' => $page->lastPage(),
            'count' => $page->total(),
        ];
    }

    /** @return array<string, mixed> */
    private static function card(Figure $figure): array
    {
        $summary = Profile::shown($figure);

        return [
            'id' => $figure->id,
            'name' => $figure->name,
            'revision' => $figure->revision,
            'totalG' => $summary->totalG,
            'handsMinutes' => $summary->handsMinutes,
            'steps' => count($summary->steps),
            'done' => count($figure->done($summary->steps)),
            'changedAt' => $figure->updated_at->toIso8601String(),
        ];
    }
}
