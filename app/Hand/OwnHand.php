<?php

declare(strict_types=1);

namespace App\Hand;

use App\Models\Figure;
use App\Models\Log\FinishedPart;
use App\Models\Log\FinishedStep;
use App\Models\Log\HandMark;
use App\Store\Record;
use Impa\Hand\Hand;
use Impa\Hand\Observation;
use Impa\Hand\TimedStep;

/** The felter's own hand, as far as the store tells: every estimate asks it. */
final class OwnHand
{
    /** It is learned from so many of the latest records: a hand changes, and a plan must not wait for all of ten years. */
    private const LATEST = 200;

    /** So many figures are reckoned anew at once after a record has come or gone, those of the shelf's first pages. */
    private const REWEIGHED = 24;

    /** Read once for each request. */
    public static function hand(): Hand
    {
        return app(Hand::class);
    }

    /** After a record has come or gone: the shelf says what the stations say. */
    public static function changed(): void
    {
        app()->forgetInstance(Hand::class);
        defer(static function (): void {
            /** @var list<Figure> $figures */
            $figures = Figure::query()->latest('updated_at')->limit(self::REWEIGHED)->get()->all();
            foreach ($figures as $figure) {
                Profile::reckonAnew($figure);
            }
        }, 'reckon with the new hand');
    }

    /** @return list<Observation> oldest first */
    public static function observations(): array
    {
        $marks = HandMark::query()->get()->keyBy('record');
        $since = $marks->get(HandMark::SINCE)->at ?? 0;
        $all = [];
        /** @var list<FinishedPart> $parts */
        $parts = FinishedPart::query()->with('figure:id,name')->where('at', '>', $since)->latest('at')->limit(self::LATEST)->get()->all();
        foreach (array_reverse(Record::good($parts)) as $part) {
            array_push($all, ...$part->piece()->observations((string) $part->id));
        }
        $timed = FinishedStep::query()->with('figure:id,name')->where('at', '>', $since)->where('minutes', '>=', TimedStep::LEAST_MINUTES);
        /** @var list<FinishedStep> $steps */
        $steps = $timed->latest('at')->limit(self::LATEST)->get()->all();
        foreach (array_reverse(Record::good($steps)) as $step) {
            array_push($all, ...$step->timed()->observations((string) $step->id));
        }

        return array_map(
            static fn (Observation $o): Observation => $marks->has($o->id) ? $o->aside() : $o,
            $all,
        );
    }
}
