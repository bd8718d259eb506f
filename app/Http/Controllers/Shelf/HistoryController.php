<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Api\Body;
use App\Hand\Profile;
use App\Http\DocumentResponse;
use App\Models\Figure;
use App\Models\FigureRevision;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Branch;
use Impa\Figure\Editing\Changes;
use Impa\Figure\Figure as FigureDocument;
use Impa\Figure\Upgrade\Upgrade;
use Impa\Voice\Message;
use Impa\Wool\Ledger\LedgerChange;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What a figure once was, and figures that branch off from it. */
final class HistoryController
{
    /** Every revision that is kept, the latest first, and what became otherwise with it. */
    public function index(Figure $figure): JsonResponse
    {
        /** @var list<FigureRevision> $rows */
        $rows = $figure->revisions()->orderBy('revision')->get(['revision', 'document', 'created_at'])->all();
        $revisions = [];
        $before = null;
        foreach ($rows as $row) {
            $is = Upgrade::read($row->document);
            $revisions[] = [
                'revision' => $row->revision,
                'at' => (int) Carbon::parse($row->created_at)->getTimestampMs(),
                'changes' => $before !== null && $is !== null ? Changes::between($before, $is) : [],
            ];
            $before = $is;
        }

        return new JsonResponse(['revisions' => array_reverse($revisions)]);
    }

    /** One of them as it was, and what it took beside what the figure takes now. */
    public function show(Figure $figure, int $revision): DocumentResponse
    {
        $document = self::at($figure, $revision);
        $now = FigureDocument::fromJson($figure->document);
        $was = Profile::ledger($document);

        return new DocumentResponse([
            'document' => $document->document(),
            'totalG' => $was->totalG(),
            'wool' => LedgerChange::between($was, Profile::ledger($now)),
        ]);
    }

    /** A figure of its own: the same, so much larger, in other colours. */
    public function branch(Body $body, Figure $figure): JsonResponse
    {
        $name = trim($body->text('name'));
        if ($name === '' || mb_strlen($name) > 120) {
            throw new HttpException(422, (string) Message::of('house.history-controller.the-new-figure-wants'));
        }
        $from = $body->has('revision') ? self::at($figure, $body->int('revision')) : FigureDocument::fromJson($figure->document);
        $colours = $body->has('colours') ? array_filter((array) $body->object('colours'), is_string(...)) : [];
        $branch = Branch::of($from, $name, $body->floatOr('percent', 100.0) / 100, $colours);

        return FigureController::answer(Figure::lay($branch, Profile::summary($branch), $figure->picture_id), 201);
    }

    private static function at(Figure $figure, int $revision): FigureDocument
    {
        $json = $figure->revisions()->where('revision', $revision)->value('document');
        if (! is_string($json)) {
            throw new HttpException(404, (string) Message::of('house.history-controller.this-revision-is-not'));
        }
        try {
            return FigureDocument::fromJson($json);
        } catch (FigureRefused) {
            throw new HttpException(422, (string) Message::of('house.history-controller.this-revision-cannot-be'));
        }
    }
}
