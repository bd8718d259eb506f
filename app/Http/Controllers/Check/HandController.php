<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Api\Body;
use App\Hand\OwnHand;
use App\Http\Revision;
use App\Models\Log\FinishedPart;
use App\Models\Log\FinishedStep;
use App\Models\Log\HandMark;
use Illuminate\Http\JsonResponse;
use Impa\Check\Part\Measurement;
use Impa\Hand\FinishedPiece;
use Impa\Hand\HandSheet;
use Impa\Hand\Observation;
use Impa\Hand\Practice;
use Impa\Material\Firmness;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The felter's own hand: what was learned from which record, pieces for themselves, what is set aside. */
final class HandController
{
    public function show(): JsonResponse
    {
        return new JsonResponse(HandSheet::station(OwnHand::hand()) + [
            'practice' => Practice::pieces(),
            'since' => HandMark::query()->where('record', HandMark::SINCE)->first()?->at,
            'revision' => Revision::of(self::marks()),
        ]);
    }

    /** A practice piece, or one that was made before. Asks back where a digit seems to have slipped, and keeps nothing then. */
    public function store(Body $body): JsonResponse
    {
        $kind = ShapeKind::tryFrom($body->text('kind')) ?? throw new HttpException(
            422,
            (string) Message::of('house.hand-controller.a-piece'),
        );
        $firmness = Firmness::tryFrom($body->text('firmness')) ??
            throw new HttpException(422, (string) Message::of(
                'house.refused.firmness',
                known: implode(', ', array_column(Firmness::cases(), 'value')),
            ));
        $measured = Measurement::of($body->float('widthMm'), $body->float('heightMm'), $body->float('depthMm'), $body->float('grams'));
        $piece = FinishedPiece::alone(
            mb_substr(trim($body->text('what')), 0, 120),
            $kind,
            $measured->size,
            $firmness,
            $measured->g,
            self::positive($body, 'weighedG'),
            self::positive($body, 'minutes'),
        );
        $asks = $body->flag('sure') ? '' : (string) $piece->doubt(OwnHand::hand());
        if ($asks === '') {
            $row = ['cm3' => Catalogue::solid($kind, $measured->size)->volumeCm3()] + FinishedPart::sizes($measured->size);
            FinishedPart::keep($body->text('uuid'), FinishedPart::row($piece) + $row);
        }

        return new JsonResponse(['asks' => $asks, 'kept' => $asks === ''] + (array) $this->show()->getData(true));
    }

    /** Takes a record out of what is learned, or in again. */
    public function update(Body $body, string $record): JsonResponse
    {
        $this->known($record);
        Revision::expect($body, (string) Message::of('house.refused.records-aside'), self::marks());
        if ($body->flag('aside')) {
            HandMark::query()->firstOrCreate(['record' => $record], ['at' => self::now()]);
        } else {
            HandMark::query()->where('record', $record)->delete();
        }
        OwnHand::changed();

        return $this->show();
    }

    /** Removes a record: everything that was learned from it goes too. */
    public function destroy(string $record): JsonResponse
    {
        $this->known($record);
        [$kind, $id] = explode(':', $record) + ['', ''];
        match ($kind) {
            'step' => FinishedStep::query()->whereKey((int) $id)->delete(),
            'waste' => FinishedPart::query()->whereKey((int) $id)->update(['weighed_g' => null]),
            'time' => FinishedPart::query()->whereKey((int) $id)->update(['minutes' => null, 'house_minutes' => null]),
            default => FinishedPart::query()->whereKey((int) $id)->delete(),
        };
        HandMark::query()->where('record', $record)->delete();
        OwnHand::changed();

        return $this->show();
    }

    /** Starts over: what was before teaches nothing any more; or takes that back. */
    public function over(Body $body): JsonResponse
    {
        if ($body->flag('back')) {
            HandMark::query()->where('record', HandMark::SINCE)->delete();
        } else {
            HandMark::query()->updateOrCreate(['record' => HandMark::SINCE], ['at' => self::now()]);
        }
        OwnHand::changed();

        return $this->show();
    }

    /** @return list<string> records that are set aside, and since when all was started over */
    private static function marks(): array
    {
        /** @var list<HandMark> $marks */
        $marks = HandMark::query()->orderBy('record')->get()->all();
        $isSince = static fn (HandMark $mark): bool => $mark->record === HandMark::SINCE;

        return array_map(static fn (HandMark $m): string => $isSince($m) ? "{$m->record} {$m->at}" : $m->record, $marks);
    }

    private function known(string $record): void
    {
        $ids = array_map(static fn (Observation $o): string => $o->id, OwnHand::hand()->observations);
        if (! in_array($record, $ids, true)) {
            throw new HttpException(404, (string) Message::of('house.refused.no-record'));
        }
    }

    private static function positive(Body $body, string $name): ?float
    {
        if (! $body->has($name)) {
            return null;
        }
        $value = $body->float($name);

        return $value > 0.0 && $value < 100_000.0 ? $value : throw new HttpException(
            422,
            (string) Message::of('house.hand-controller.is-a-number-above', name: $name),
        );
    }

    private static function now(): int
    {
        return (int) (microtime(true) * 1000);
    }
}
