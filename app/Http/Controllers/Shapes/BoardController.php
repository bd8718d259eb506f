<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Hand\Profile;
use App\Http\DocumentResponse;
use Impa\Face\Together;
use Impa\Figure\Editing\Scaling;
use Impa\Render\Board;
use Impa\Seeing\Result\ReviewOrder;

/** All that the stations show of a figure, reckoned without saving: the plan, and what to draw. */
final class BoardController
{
    public function store(Body $body): DocumentResponse
    {
        $figure = $body->figure();
        $figure = $body->flag('rescale') ? Scaling::to($figure, $body->float('heightMm')) : $figure;
        $plan = Profile::plan($figure);

        return new DocumentResponse([
            'document' => $body->flag('rescale') ? $figure->document() : null,
            'plan' => $plan->document(),
            'drawing' => self::byKey(Board::flat($plan->ledger)),
            'review' => ReviewOrder::of($figure),
            'together' => (object) array_map(static fn (array $others): object => (object) $others, Together::all($figure)),
        ]);
    }

    /** What the view in the round draws; asked for where that view is shown. */
    public function turning(Body $body): DocumentResponse
    {
        return new DocumentResponse(self::byKey(Board::turning($body->figure())));
    }

    /**
     * What is told by key: an empty list would read as no object at all.
     *
     * @param  array<string, mixed>  $drawn
     * @return array<string, object>
     */
    private static function byKey(array $drawn): array
    {
        return array_map(static fn (mixed $by): object => (object) $by, $drawn);
    }
}
