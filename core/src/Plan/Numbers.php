<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Balance\Balance;
use Impa\Build\Order\Reach;
use Impa\Build\Steps\Step;
use Impa\Face\Advice\Crispness;
use Impa\Face\Needles;
use Impa\Figure\Colour;
use Impa\Material\HandModel;
use Impa\Stash\Supply\Supply;
use Impa\Trace\Traced;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Said;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\Purpose;
use Impa\Wool\Ledger\WoolWords;
use Impa\Wool\Spread;

/** The numbers of a figure that tell how they came about, by what a felter asks of them. */
final readonly class Numbers
{
    /** What can be asked: of a part, a detail, a colour or material, a step, a need of the stash; total, hands and lean of the figure. */
    public const KNOWN = [
        'core', 'colour', 'cover', 'covering', 'film', 'wisp', 'wool', 'total', 'minutes', 'making', 'hands', 'lean', 'crisp', 'need',
        'reserve', 'reach',
    ];

    /** The edge of a foot gives by about so much under its own weight, mm (house choice). */
    private const FOOT_GIVES_MM = 1.0;

    private function __construct(private Plan $plan, private Needles $needles, private ?Supply $supply)
    {
    }

    /**
     * @param  ?Supply  $supply  for what is to be at hand; no card of a reserve without it
     *
     * @throws NumberRefused if there is no such number, or this figure has none of it
     */
    public static function card(Plan $plan, string $number, string $of, Needles $needles, ?Supply $supply = null): NumberCard
    {
        $numbers = new self($plan, $needles, $supply);

        return match ($number) {
            'colour' => $numbers->colour($of),
            'core', 'cover', 'covering', 'film' => $numbers->line($number, $plan->ledger->ofPart($of), $of),
            'wisp' => $numbers->line($number, array_filter([$plan->ledger->ofDetail($of)]), $of),
            'wool' => $numbers->wool($of),
            'total' => $numbers->total(),
            'minutes' => $numbers->minutes($of),
            'making' => $numbers->making($of),
            'hands' => $numbers->hands(),
            'lean' => $numbers->lean(),
            'crisp' => $numbers->crisp($of),
            'need' => $numbers->need($of),
            'reserve' => $numbers->reserve($of),
            'reach' => $numbers->reach($of),
            default => throw NumberRefused::noSuchNumber($number),
        };
    }

    /**
     * Of one piece, as a felter weighs it.
     *
     * @param  list<LedgerLine>  $lines
     */
    private function line(string $number, array $lines, string $of): NumberCard
    {
        foreach ($lines as $line) {
            if ($line->purpose->number() === $number && $line->how !== null) {
                return $this->weight($line->how, new Name((string) $line->why), [[$line, 1]]);
            }
        }
        throw NumberRefused::notOfThis($number, $of);
    }

    /** All that one piece of a part takes of its colour. */
    private function colour(string $of): NumberCard
    {
        $lines = array_values(array_filter(
            $this->plan->ledger->ofPart($of),
            static fn (LedgerLine $l): bool => in_array($l->purpose, [Purpose::Cover, Purpose::Covering], true),
        ));
        if (count($lines) < 2) {
            return $lines === [] ? throw NumberRefused::notOfThis('colour', $of) : $this->line($lines[0]->purpose->number(), $lines, $of);
        }
        $each = array_values(array_filter(array_map(static fn (LedgerLine $l): ?Traced => $l->how, $lines)));

        return $this->weight(
            Traced::sum('colour', ...$each),
            new Name($this->plan->figure->parts[$of]->name),
            array_map(static fn (LedgerLine $l): array => [$l, 1], $lines),
        );
    }

    private function wool(string $of): NumberCard
    {
        foreach ($this->plan->ledger->totals() as $total) {
            if (($total['colour'] ?? $total['material']) === $of) {
                return $this->weight(
                    $total['how'],
                    new Name(WoolWords::name($total['material'], $total['colour'] ?? '', $this->plan->figure)),
                    self::pieces(array_filter(
                        $this->plan->ledger->lines,
                        static fn (LedgerLine $l): bool => $total['colour'] === null
                            ? $l->for->colour === '' && $l->material === $of
                            : $l->for->colour === $of,
                    )),
                );
            }
        }
        throw NumberRefused::notOfThis('wool', $of);
    }

    private function total(): NumberCard
    {
        $all = array_map(
            fn (array $t): Traced => $t['how']->called(
                'grams-of',
                name: new Name(WoolWords::name($t['material'], $t['colour'] ?? '', $this->plan->figure)),
            ),
            $this->plan->ledger->totals(),
        );
        if ($all === []) {
            throw NumberRefused::notOfThis('total', $this->plan->figure->name);
        }

        return $this->weight(Traced::sum('total', ...$all), Message::of('trace.title.total'), self::pieces($this->plan->ledger->lines));
    }

    /**
     * @param  array<LedgerLine>  $lines
     * @return list<array{LedgerLine, int}> with all the pieces of each
     */
    private static function pieces(array $lines): array
    {
        return array_values(array_map(static fn (LedgerLine $l): array => [$l, $l->pieces], $lines));
    }

    /** @param  list<array{LedgerLine, int}>  $lines  what it is the weight of, and how many pieces of each */
    private function weight(Traced $number, Said $title, array $lines): NumberCard
    {
        $hand = $this->plan->ledger->densities->hand;
        $pieces = [];
        foreach ($lines as [$line, $count]) {
            $firmness = $this->plan->figure->parts[$line->for->part]->made->firmness->value;
            array_push($pieces, ...array_fill(0, $count, [$firmness, $line->g]));
        }
        $group = $pieces === [] ? '' : $pieces[0][0];
        $spread = Spread::around($number->is, $hand->sigmaOfSum($pieces));

        return new NumberCard(
            $number,
            $title,
            Message::of('trace.off.between', low: Amount::g($spread->lowG), high: Amount::g($spread->highG)),
            $this->surer('weights', $hand, $pieces, $group),
        );
    }

    /** @param  list<array{string, float}>  $pieces */
    private function surer(string $what, HandModel $hand, array $pieces, string $group): Message
    {
        $wide = static fn (HandModel $hand): Amount => Amount::share(exp(HandModel::Z80 * $hand->sigmaOfSum($pieces)) - 1);
        [$now, $then] = [$wide($hand), $wide($hand->after($group, $hand->mean($group)))];

        // What is written alike is no gain to her.
        return (string) $now === (string) $then
            ? Message::of("trace.settled.$what", count: $hand->count, now: $now)
            : Message::of("trace.surer.$what", count: $hand->count, now: $now, then: $then);
    }

    private function minutes(string $of): NumberCard
    {
        foreach ($this->plan->work()->steps as $step) {
            if ($step->key === $of) {
                return $this->time($step->time->how, new Name((string) $step->title), [$step]);
            }
        }
        throw NumberRefused::notOfThis('minutes', $of);
    }

    /** Of a part by itself: what is laid on it has its own. */
    private function making(string $of): NumberCard
    {
        $steps = array_values(array_filter(
            $this->plan->work()->steps,
            static fn (Step $s): bool => $s->about->part === $of && $s->about->detail === '',
        ));

        return $of === '' || $steps === []
            ? throw NumberRefused::notOfThis('making', $of)
            : $this->together($steps, new Name($this->plan->figure->parts[$of]->name));
    }

    private function hands(): NumberCard
    {
        $steps = $this->plan->work()->steps;

        return $steps === []
            ? throw NumberRefused::notOfThis('hands', $this->plan->figure->name)
            : $this->together($steps, Message::of('trace.title.hands'));
    }

    /** @param  non-empty-list<Step>  $steps */
    private function together(array $steps, Said $title): NumberCard
    {
        $all = array_map(static fn (Step $s): Traced => $s->time->how->called('minutes-of', name: new Name((string) $s->title)), $steps);

        return $this->time(Traced::sum('hands', ...$all), $title, $steps);
    }

    /** @param  non-empty-list<Step>  $steps */
    private function time(Traced $number, Said $title, array $steps): NumberCard
    {
        $pieces = array_map(static fn (Step $s): array => [$s->kind->value, $s->time->minutes], $steps);
        [$low, , $high] = $this->plan->pace->spread($pieces);

        return new NumberCard(
            $number,
            $title,
            Message::of('trace.off.between', low: Amount::minutes($low), high: Amount::minutes($high)),
            $this->surer('minutes', $this->plan->pace->hand, $pieces, $pieces[0][0]),
        );
    }

    private function lean(): NumberCard
    {
        $balance = $this->plan->balance;
        if (! $balance->mustStand()) {
            throw NumberRefused::notOfThis('lean', $this->plan->figure->name);
        }
        $lean = $balance->lean();

        return new NumberCard($lean, Message::of('trace.title.lean'), Message::of(
            'trace.off.lean',
            gives: Amount::mm(self::FOOT_GIVES_MM),
            low: Amount::degrees($balance->leanWithin(-self::FOOT_GIVES_MM)),
            high: Amount::degrees($balance->leanWithin(self::FOOT_GIVES_MM)),
            falls: Amount::degrees(Balance::FALLS_DEG),
            touchy: Amount::degrees(Balance::TOUCHY_DEG),
        ), Message::of('trace.surer.lean'));
    }

    private function crisp(string $of): NumberCard
    {
        $detail = $this->plan->figure->details[$of] ?? null;
        $least = $detail === null ? null : Crispness::least($this->plan->figure, $detail, $this->needles);
        if ($detail === null || $least === null) {
            throw NumberRefused::notOfThis('crisp', $of);
        }

        return new NumberCard(
            $least,
            Message::of('trace.title.crisp', detail: new Name($detail->name)),
            Message::of('trace.off.crisp', wide: Amount::mm(Crispness::widthMm($detail))),
            Message::of('trace.surer.crisp'),
        );
    }

    /** Of one wool what is likely; of one, or of all where none is named, what is to be at hand. */
    private function need(string $of): NumberCard
    {
        foreach ($this->supply->needs ?? [] as $need) {
            if ($need->key() === $of && $need->how !== null) {
                return new NumberCard(
                    $need->how->of[0],
                    new Name($need->name(array_map(static fn (Colour $c): string => $c->name, $this->plan->figure->colours))),
                    Message::of('trace.off.between', low: Amount::g($need->spread->lowG), high: Amount::g($need->spread->highG)),
                    Message::of('trace.surer.reserve'),
                );
            }
        }
        throw NumberRefused::notOfThis('need', $of);
    }

    private function reserve(string $of): NumberCard
    {
        $colours = array_map(static fn (Colour $c): string => $c->name, $this->plan->figure->colours);
        $all = [];
        $likelyG = 0.0;
        foreach ($this->supply->needs ?? [] as $need) {
            if (($of === '' || $need->key() === $of) && $need->how !== null) {
                $all[] = $of === '' ? $need->how->called('grams-of', name: new Name($need->name($colours))) : $need->how;
                $likelyG += $need->spread->likelyG;
            }
        }
        if ($all === []) {
            throw NumberRefused::notOfThis('reserve', $of);
        }

        return new NumberCard(
            $of === '' ? Traced::sum('reserve', ...$all) : $all[0],
            Message::of('trace.title.reserve'),
            Message::of('trace.off.reserve', likely: Amount::g($likelyG)),
            Message::of('trace.surer.reserve'),
        );
    }

    private function reach(string $of): NumberCard
    {
        $left = $this->plan->figure->flat->isFlat() ? null : Reach::left($this->plan->figure, $of);
        if ($left === null) {
            throw NumberRefused::notOfThis('reach', $of);
        }

        return new NumberCard(
            $left['share'],
            Message::of('trace.title.reach'),
            Message::of('trace.off.reach', needed: Amount::share($left['needed']), cone: Amount::degrees(Reach::CONE_DEG)),
            Message::of('trace.surer.reach'),
        );
    }
}
