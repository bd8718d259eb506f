<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Balance\Cure;
use Impa\Balance\Cures;
use Impa\Build\Steps\Hints;
use Impa\Build\Steps\NeedleChoice;
use Impa\Figure\Editing\Buried;
use Impa\Figure\Editing\Sizing;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Gap;
use Impa\Figure\Term\SeatWay;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Voice\Amount;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Opening;
use Impa\Voice\Said;
use Impa\Wool\Ledger\Foam;

/** What the felter should know before she starts, each with an amount where there is one. */
final class Notes
{
    /** Thinner than this cannot be felted well (docs/trade.md, Sums). */
    private const THINNEST_MM = 3.0;

    /** How far the parts may stand from the finished height: what a tape shows, mm, or of a large figure such a share. */
    private const HEIGHT_MM = 0.5;

    private const HEIGHT_SHARE = 0.005;

    /** So many cures are told in a note; all of them where it is shown how it stands. */
    private const CURES = 2;

    /** What lies farther beside the middle line than this, and than this share of its width, is seen to. */
    private const ASIDE_MM = 2.0;

    private const ASIDE = 0.05;

    /** @return list<Note> */
    public static function of(Plan $plan): array
    {
        $figure = $plan->figure;
        $notes = [...self::balance($plan), ...self::height($figure)];
        $gaps = Gap::all($figure);
        $buried = Buried::all($figure);
        $roots = 0;
        foreach (array_values($figure->parts) as $i => $part) {
            array_push($notes, ...self::part($part, '/parts/'.$i), ...self::place($figure, $part, $gaps[$part->key] ?? 0.0, '/parts/'.$i));
            array_push($notes, ...self::seat($plan, $part, $buried[$part->key] ?? 0.0, '/parts/'.$i));
            if (! $part->isJoined() && $part->stand->group === '' && ++$roots > 1) {
                $notes[] = new Note(
                    'loose-part',
                    '/parts/'.$i,
                    Message::of('plan.notes.is-joined-to-nothing', name: $part->name),
                );
            }
        }
        foreach (array_values($figure->details) as $i => $detail) {
            array_push($notes, ...$plan->details[$detail->key]->notes('/details/'.$i));
        }

        return [...$notes, ...self::cautions($figure)];
    }

    /** @return list<Note> */
    private static function balance(Plan $plan): array
    {
        $balance = $plan->balance;
        if (! $balance->isTouchy()) {
            return [];
        }
        $cures = array_map(static fn (Cure $cure): Said => $cure->text, Cures::of($balance, self::CURES));
        $state = $balance->stands()
            ? Message::of('plan.notes.it-is-touchy', tip: Amount::degrees($balance->tipDeg()))
            : ($balance->tipDeg() > 0.0
                ? Message::of('plan.notes.it-falls-it-tips', tip: Amount::degrees($balance->tipDeg()))
                : Message::of('plan.notes.it-falls-at-once'));

        return [
            new Note(
                $balance->stands() ? 'touchy' : 'falls',
                '',
                Message::of('plan.notes.state', state: $state, cures: $cures === []
                    ? Message::of('balance.cures.none')
                    : Message::of('plan.notes.cures', cures: new Opening(new Listed($cures, 'or')))),
            ),
        ];
    }

    /** @return list<Note> */
    private static function height(Figure $figure): array
    {
        $stands = Sizing::standsMm($figure);
        if ($figure->parts === [] || abs($stands - $figure->heightMm) <= max(self::HEIGHT_MM, self::HEIGHT_SHARE * $figure->heightMm)) {
            return [];
        }
        $digits = abs($stands - $figure->heightMm) < 1.0 ? 1 : 0;

        return [
            new Note(
                'height',
                '/heightMm',
                Message::of(
                    'plan.notes.the-parts-stand-tall',
                    stands: Amount::exactMm(round($stands, $digits)),
                    height: Amount::exactMm(round($figure->heightMm, $digits)),
                ),
            ),
        ];
    }

    /** @return list<Note> */
    private static function part(Part $part, string $at): array
    {
        $notes = [];
        // What is cut from a sheet is as thin as the sheet.
        if ($part->solid->thinnestMm() < self::THINNEST_MM && $part->made->covering->way !== CoveringWay::PreFelt) {
            $notes[] = new Note(
                'thin',
                $at,
                Message::of(
                    'plan.notes.is-thin-and-felt',
                    name: $part->name,
                    thinnest: Amount::mm($part->solid->thinnestMm()),
                    thinnest2: Amount::mm(self::THINNEST_MM),
                    mm: Amount::mm(self::THINNEST_MM - $part->solid->thinnestMm()),
                ),
            );
        }
        if ($part->wantsWire()) {
            $notes[] = new Note(
                'wire',
                $at,
                Message::of(
                    'plan.notes.is-long-and-thick',
                    name: $part->name,
                    height: Amount::mm($part->solid->size()->heightMm),
                    thick: Amount::mm($part->thickMm()),
                    holdsItselfFrom: Amount::mm($part->holdsItselfFromMm()),
                ),
            );
        }
        if (
            $part->made->core === CoreMaterial::Foam &&
            $part->solid->within($part->made->coverMm) !== null &&
            Foam::inside($part->solid, $part->made->coverMm) === null
        ) {
            $notes[] = new Note(
                'no-foam',
                $at,
                Message::of('plan.notes.no-stock-piece', cover: Amount::mm($part->made->coverMm), name: $part->name),
            );
        }
        $loose = $part->solid->thinnestMm() - 2 * NeedleChoice::DEEPEST_MM;
        if ($loose > 0.0 && ! $part->solid->kind()->isFlat()) {
            $notes[] = self::tooDeep($part, $at, $loose);
        }

        return $notes;
    }

    /** @param  float  $loose  of it no needle reaches so much, mm */
    private static function tooDeep(Part $part, string $at, float $loose): Note
    {
        return new Note(
            'too-deep',
            $at,
            Message::of(
                'plan.notes.is-thick',
                name: $part->name,
                thinnest: Amount::mm($part->solid->thinnestMm()),
                deepest: Amount::mm(NeedleChoice::DEEPEST_MM),
                mm: Amount::mm(max(20.0, ceil($loose / 5) * 5)),
            ),
        );
    }

    /**
     * Where it floats, or lies beside the middle that its pairs mirror about.
     *
     * @param  float  $gapMm  to what it is joined to
     * @return list<Note>
     */
    private static function place(Figure $figure, Part $part, float $gapMm, string $at): array
    {
        $notes = [];
        if ($gapMm > 0.0) {
            $notes[] = new Note('floats', $at, Hints::floats($part, $figure->parts[$part->join->to], $gapMm));
        }
        $mm = $part->stand->at[0];
        $isOff = ! $part->stand->mirror && abs($mm) > max(self::ASIDE_MM, self::ASIDE * $part->solid->size()->widthMm);
        $pairs = array_filter($figure->parts, static fn (Part $p): bool => $p->stand->mirror && $p->join->to === $part->key);
        if ($isOff && $pairs !== []) {
            $notes[] = new Note('beside', $at, Message::of(
                'plan.notes.beside-'.($mm > 0.0 ? 'right' : 'left'),
                name: $part->name,
                by: Amount::mm(abs($mm)),
                pair: new Name(array_values($pairs)[0]->name),
            ));
        }

        return $notes;
    }

    /**
     * What lies within what it is joined to.
     *
     * @param  float  $buriedMm  forwards to where it shows, where the picture shows it and the round does not
     * @return list<Note>
     */
    private static function seat(Plan $plan, Part $part, float $buriedMm, string $at): array
    {
        $to = $plan->figure->parts[$part->join->to] ?? null;
        if ($to === null) {
            return [];
        }
        $seat = $plan->ledger->wool[$part->key]->seat;
        $isHidden = $seat->way === SeatWay::Hidden;
        $notes = [];
        if ($buriedMm > 0.0) {
            $code = Buried::canGoRound($part) ? 'buried-roll' : 'buried';
            $notes[] = new Note($code, $at, Hints::buried($part, $to, $buriedMm, $isHidden));
        } elseif ($isHidden) {
            $notes[] = new Note('hidden', $at, Hints::hidden($part, $to));
        }
        // What she said herself needs no telling.
        if ($seat->isOnto() && $part->join->onto === null) {
            $notes[] = new Note('onto', $at, Hints::lies($seat, $part, $to));
        }
        if ($seat->isOnto() && $part->made->core === CoreMaterial::Foam) {
            $notes[] = new Note(
                'no-foam',
                $at,
                Message::of('plan.notes.foam-is-not-cut', name: new Name($part->name)),
            );
        }

        return $notes;
    }

    /** @return list<Note> */
    private static function cautions(Figure $figure): array
    {
        foreach ($figure->details as $detail) {
            if ($detail->method->isHard()) {
                return [
                    new Note(
                        'small-parts',
                        '',
                        Message::of('plan.notes.beads-ready-made-eyes'),
                    ),
                ];
            }
        }

        return [];
    }
}
