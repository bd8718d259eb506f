<?php

declare(strict_types=1);

namespace Impa\Armature;

use Impa\Figure\Figure;
use Impa\Figure\Wire;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Coverings;
use Impa\Wool\Ledger\Ledger;

/** The impa-armature document, version 1; formats/impa-armature-1.schema.json. */
final class ArmatureSheet
{
    /** Pipe cleaners and cut wires are sold so long (common practice), mm. */
    public const SOLD_MM = 300.0;

    /** A wrapping ribbon, where the wire says no more: its width in mm, and its overlap. */
    private const RIBBON_MM = 8.0;

    private const OVERLAP = 0.3;

    /**
     * @param  array<string, Wire>  $wires
     * @param  list<float>  $stockMm  each piece that is at hand; as many as are enough of the length that is sold where none is said
     * @return array<string, mixed>
     *
     * @throws ArmatureRefused if the stock is too short, or not enough
     */
    public static function of(Figure $figure, Ledger $ledger, array $wires, array $stockMm = []): array
    {
        $documents = $pieces = [];
        foreach ($wires as $wire) {
            $advice = WireAdvice::of($wire, $figure, $ledger);
            $documents[] = self::wire($advice);
            array_push($pieces, ...array_fill(0, $wire->count(), $advice->cutMm));
        }
        $longest = $pieces === [] ? 0.0 : max($pieces);

        return [
            'format' => 'impa-armature',
            'version' => 1,
            'figure' => $figure->name,
            'drawn' => $figure->wires !== [],
            'wires' => $documents,
            'cuts' => $stockMm === []
                ? CutList::fromLengths($pieces, self::SOLD_MM * max(1.0, ceil($longest / self::SOLD_MM)))
                : CutList::of($pieces, $stockMm),
        ];
    }

    /** @return array<string, mixed> */
    private static function wire(WireAdvice $advice): array
    {
        $wire = $advice->wire;
        $isWrapped = $wire->made->wrapped !== '';

        return [
            'key' => $wire->key,
            'name' => $wire->name,
            'count' => $wire->count(),
            'pathMm' => $wire->pointsMm,
            'lengthMm' => $wire->lengthMm(),
            'cutMm' => $advice->cutMm,
            'gaugeMm' => $wire->gaugeMm,
            'awg' => Gauge::awg($wire->gaugeMm),
            'material' => $wire->material->value,
            'doubled' => $wire->made->doubled,
            'massG' => $wire->massG(),
            'freeMm' => $advice->freeMm,
            'carriesG' => $advice->carriesG,
            'sagMm' => $advice->sagMm,
            'staysAsBent' => $advice->staysAsBent,
            'adviceMm' => $advice->adviceMm,
            'adviceAwg' => $advice->adviceMm === null ? null : Gauge::awg($advice->adviceMm),
            'text' => self::text($advice),
            'through' => $advice->through,
            'ribbonM' => $isWrapped ? Coverings::ribbonMetres(...self::ribbon($wire)) : 0.0,
        ];
    }

    /** @return array{float, float, float, float} what a ribbon winds round: thickness, length; its width and overlap */
    private static function ribbon(Wire $wire): array
    {
        return [max(2.0, 2 * $wire->gaugeMm), $wire->lengthMm() + WireAdvice::foldBacksMm($wire), self::RIBBON_MM, self::OVERLAP];
    }

    /** Whether it holds, and what would. */
    private static function text(WireAdvice $advice): Message
    {
        $word = $advice->wire->material->word();
        $now = Message::of('armature.armature-sheet.of', gauge: Amount::mm($advice->wire->gaugeMm), word: $word);
        $isEnough = $advice->adviceMm !== null && $advice->wire->gaugeMm >= $advice->adviceMm - 1e-9;

        return match (true) {
            $advice->adviceMm === null => Message::of('armature.armature-sheet.none-that-is-sold', word: $word),
            ! $isEnough && ! $advice->staysAsBent => Message::of(
                'armature.armature-sheet.bends-under-the-limb',
                now: $now,
                advice: Amount::mm($advice->adviceMm),
            ),
            ! $isEnough => Message::of(
                'armature.armature-sheet.sinks-by-take',
                now: $now,
                sag: Amount::mm($advice->sagMm),
                advice: Amount::mm($advice->adviceMm),
            ),
            $advice->adviceMm < $advice->wire->gaugeMm - 1e-9 => Message::of(
                'armature.armature-sheet.holds-would-do',
                now: $now,
                advice: Amount::mm($advice->adviceMm),
            ),
            default => Message::of('armature.armature-sheet.holds-and-stays', now: $now),
        };
    }
}
