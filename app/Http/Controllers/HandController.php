<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Hand\OwnHand;
use App\Http\Requests\Body;
use App\Models\FinishedPart;
use App\Models\FinishedStep;
use App\Models\HandMark;
use Illuminate\Http\JsonResponse;
use Impa\Check\Measurement;
use Impa\Hand\HandRefused;
use Impa\Hand\HandSheet;
use Impa\Hand\Observation;
use Impa\Hand\Practice;
use Impa\Hand\Quantity;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The felter's own hand: what was learned from which record, pieces for themselves, what is set aside. */
final class HandController
{
    public function show(): JsonResponse
    {
        return new JsonResponse(HandSheet::station(OwnHand::hand()) + [
            'practice' => Practice::pieces(),
            'since' => HandMark::query()->find(HandMark::SINCE)?->at,
        ]);
    }

    /** A practice piece, or one that was made before. Asks back where a digit seems to have slipped, and keeps nothing then. */
    public function store(Body $body): JsonResponse
    {
        $kind = ShapeKind::tryFrom($body->text('kind')) ?? throw new HttpException(422, 'A piece is a ball, a sausage, or another shape.');
        $firmness = Firmness::tryFrom($body->text('firmness')) ??
            throw new HttpException(422, sprintf('A piece is %s.', implode(', ', array_column(Firmness::cases(), 'value'))));
        $measured = Measurement::of($body->float('widthMm'), $body->float('heightMm'), $body->float('depthMm'), $body->float('grams'));
        $solid = Catalogue::solid($kind, $measured->size);
        $grams = $measured->g;
        $weighed = self::positive($body, 'weighedG');
        $minutes = self::positive($body, 'minutes');
        $what = mb_substr(trim($body->text('what')), 0, 120);
        $row = [
            'what' => $what === '' ? ucfirst($firmness->value).' '.$kind->value : $what,
            'firmness' => $firmness->value,
            'cm3' => $solid->volumeCm3(),
            'grams' => $grams,
            'house_g' => $solid->volumeCm3() * Densities::house()->feltGPerCm3($firmness),
            'weighed_g' => $weighed,
            'minutes' => $minutes,
            'house_minutes' => $minutes === null ? null : Practice::minutes($solid, $grams, $firmness),
        ] + FinishedPart::sizes($measured->size);
        if ($grams / $row['cm3'] > Densities::FIBRE_G_PER_CM3) {
            throw HandRefused::denserThanFibre($grams / $row['cm3']);
        }
        $asks = $body->flag('sure') ? '' : self::doubt($row);
        if ($asks === '') {
            FinishedPart::keep($body->text('uuid'), $row);
        }

        return new JsonResponse(['asks' => $asks, 'kept' => $asks === ''] + (array) $this->show()->getData(true));
    }

    /** Takes a record out of what is learned, or in again. */
    public function update(Body $body, string $record): JsonResponse
    {
        $this->known($record);
        if ($body->flag('aside')) {
            HandMark::query()->firstOrCreate(['record' => $record], ['at' => self::now()]);
        } else {
            HandMark::query()->whereKey($record)->delete();
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
        HandMark::query()->whereKey($record)->delete();
        OwnHand::changed();

        return $this->show();
    }

    /** Starts over: what was before teaches nothing any more; or takes that back. */
    public function over(Body $body): JsonResponse
    {
        if ($body->flag('back')) {
            HandMark::query()->whereKey(HandMark::SINCE)->delete();
        } else {
            HandMark::query()->updateOrCreate(['record' => HandMark::SINCE], ['at' => self::now()]);
        }
        OwnHand::changed();

        return $this->show();
    }

    private function known(string $record): void
    {
        $ids = array_map(static fn (Observation $o): string => $o->id, OwnHand::hand()->observations);
        if (! in_array($record, $ids, true)) {
            throw new HttpException(404, 'There is no such record any more.');
        }
    }

    /** @param  array{firmness: string, what: string, house_g: float, grams: float, ...}  $row */
    private static function doubt(array $row): string
    {
        $one = new Observation('new', Quantity::Density, $row['firmness'], $row['what'], $row['house_g'], $row['grams']);

        return OwnHand::hand()->isDoubtful($one)
            ? sprintf('%.2f g, where about %.2f g were to be expected at that size: is that right?', $row['grams'], $row['house_g'])
            : '';
    }

    private static function positive(Body $body, string $name): ?float
    {
        if (! $body->has($name)) {
            return null;
        }
        $value = $body->float($name);

        return $value > 0.0 && $value < 100_000.0 ? $value : throw new HttpException(422, sprintf('%s is a number above 0.', $name));
    }

    private static function now(): int
    {
        return (int) (microtime(true) * 1000);
    }
}
