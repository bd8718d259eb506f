<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Api\Body;
use App\Api\Stale;
use App\Hand\OwnHand;
use App\Hand\Profile;
use App\Http\DocumentResponse;
use App\Models\Figure;
use App\Models\Log\FinishedPart;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Impa\Check\Part\Measurement;
use Impa\Check\Part\PartCheck;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure as FigureDocument;
use Impa\Hand\FinishedPiece;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Finished parts against their cards. */
final class PartCheckController
{
    /** What was measured of a figure's parts, each against the figure as it is saved. */
    public function index(Figure $figure): JsonResponse
    {
        $document = FigureDocument::fromJson($figure->document);
        $ledger = Profile::ledger($document);
        $parts = [];
        /** @var list<FinishedPart> $rows */
        $rows = FinishedPart::query()->where('figure_id', $figure->id)->oldest('at')->get()->all();
        foreach ($rows as $row) {
            if (isset($document->parts[$row->part])) {
                $check = PartCheck::of($ledger, $row->part, $row->measurement(), $row->twin()?->measurement());
                $parts[] = ['uuid' => $row->uuid, 'twin' => $row->is_twin, 'at' => $row->at, 'check' => $check->document()];
            }
        }

        return new JsonResponse(['parts' => $parts]);
    }

    /** Holds a piece against its card, and keeps it; asks back where a digit seems to have slipped, and keeps nothing then. */
    public function store(Body $body, Figure $figure): JsonResponse
    {
        [$document, $part] = $body->part();
        $measured = Measurement::of($body->float('widthMm'), $body->float('heightMm'), $body->float('depthMm'), $body->float('grams'));
        $isTwin = $part->stand->mirror && $body->flag('twin');
        $other = FinishedPart::query()->where(['figure_id' => $figure->id, 'part' => $part->key, 'is_twin' => ! $isTwin])->first();
        $check = PartCheck::of(Profile::ledger($document), $part->key, $measured, $other?->measurement());
        $asks = $body->flag('sure') ? '' : (string) $check->doubt();
        if ($asks === '' && $body->flag('keep')) {
            $weighed = $body->has('weighedG') && $body->float('weighedG') > 0.0 ? $body->float('weighedG') : null;
            $place = ['figure_id' => $figure->id, 'part' => $part->key, 'is_twin' => $isTwin];
            $row = $place + FinishedPart::row(FinishedPiece::ofPart($document, $part->key, $measured, $weighed))
                + ['cm3' => $check->volumeCm3] + FinishedPart::sizes($measured->size);
            // One piece was weighed and measured once: said again, it is corrected.
            Transaction::together(static function () use ($place, $body, $row): void {
                // Whoever corrects one says which record they saw: another window may have measured it meanwhile.
                $there = FinishedPart::query()->where($place)->first();
                if ($there?->uuid === $body->text('uuid')) {
                    return;
                }
                if ($body->text('instead') !== ($there->uuid ?? '')) {
                    throw new Stale(
                        (string) Message::of('house.part-check-controller.this-piece'),
                        $there->uuid ?? '',
                        ['grams' => $there?->grams, 'at' => $there?->at],
                    );
                }
                FinishedPart::query()->where($place)->delete();
                FinishedPart::keep($body->text('uuid'), $row);
            });
        }

        return new JsonResponse(['asks' => $asks, 'kept' => $asks === '' && $body->flag('keep'), 'check' => $check->document()]);
    }

    /** The figure with the part as it came out. */
    public function follow(Body $body): DocumentResponse
    {
        [$document, $part] = $body->part();
        $measured = Measurement::of($body->float('widthMm'), $body->float('heightMm'), $body->float('depthMm'), 1.0);

        return new DocumentResponse(['document' => Choices::sized($document, $part->key, $measured->size)->document()]);
    }

    public function destroy(Figure $figure, string $uuid): JsonResponse
    {
        if (FinishedPart::query()->where(['figure_id' => $figure->id, 'uuid' => $uuid])->delete() === 0) {
            throw new HttpException(404, (string) Message::of('house.refused.no-record'));
        }
        OwnHand::changed();

        return $this->index($figure);
    }
}
