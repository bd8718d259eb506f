<?php

declare(strict_types=1);

namespace Impa\Wool\Inside;

use Impa\Colour\Srgb;
use Impa\Figure\Part;
use Impa\Material\CoreMaterial;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Coverings;
use Impa\Wool\Ledger\Foam;
use Impa\Wool\Ledger\PartWool;

/** What to fill a part with: every way that goes, and which is advised for what reason (docs/trade.md, Schools). */
final class Insides
{
    /** From this volume a solid wool core takes much wool and time (house choice; a ball of 66 mm). */
    private const LARGE_CM3 = 150.0;

    /** From this difference an undyed core wants a scrap of like colour instead of more cover (house choice). */
    private const SHOWS = 55.0;

    /** Foam is looked for from this thickness on. */
    private const FOAM_FROM_MM = 40.0;

    /**
     * @param  Srgb  $cover  the colour it is covered with
     * @param  bool  $carries  whether the figure stands on it
     * @return list<Inside> the advised one first
     */
    public static function of(Part $part, PartWool $wool, Srgb $cover, bool $carries): array
    {
        $thick = $wool->thickMm();
        $ways = [self::way(CoreMaterial::None, null, $wool)];
        $hollow = $wool->filledWith(CoreMaterial::CoreWool);
        if ($hollow->insideCm3 > 0.0) {
            foreach ([CoreMaterial::CoreWool, CoreMaterial::Scrap, CoreMaterial::Stuffing] as $material) {
                $ways[] = self::way($material, null, $hollow);
            }
            $foam = $thick >= self::FOAM_FROM_MM && ! $wool->seat->isOnto() ? Foam::inside($part->solid, $part->made->coverMm) : null;
            if ($foam !== null) {
                $ways[] = self::way(CoreMaterial::Foam, $foam->name(), $wool);
            }
        }
        [$advised, $reason] = self::advised($part, $wool, $cover, $carries, $ways);
        usort($ways, static fn (Inside $a, Inside $b): int => ($b->material === $advised) <=> ($a->material === $advised));

        return [$ways[0]->because($reason), ...array_slice($ways, 1)];
    }

    private static function way(CoreMaterial $material, ?Message $what, PartWool $wool): Inside
    {
        $filled = $wool->filledWith($material);

        return new Inside(
            $material,
            $what ?? $material->word(),
            $filled->coreG(),
            $filled->colourG(),
            $filled->finishedG(),
            null,
        );
    }

    /**
     * @param  non-empty-list<Inside>  $ways  solid first, then core wool, scrap and stuffing where it is thick enough
     * @return array{CoreMaterial, Message}
     */
    private static function advised(Part $part, PartWool $wool, Srgb $cover, bool $carries, array $ways): array
    {
        $thick = $wool->thickMm();
        $volume = $wool->volumeCm3;
        if (Coverings::isWhole($part)) {
            return [CoreMaterial::None, Message::of('wool.insides.it-is-nothing-but')];
        }
        if ($part->wantsWire()) {
            return [
                CoreMaterial::None,
                Message::of(
                    'wool.insides.long-and-thick-colour',
                    height: Amount::mm($part->solid->size()->heightMm),
                    thick: Amount::mm($part->thickMm()),
                ),
            ];
        }
        if ($thick < CoreMaterial::SOLID_BELOW_MM || ! isset($ways[1], $ways[3])) {
            return [
                CoreMaterial::None,
                Message::of(
                    'wool.insides.thick-a-core-pays',
                    thick: Amount::mm($thick),
                    solidBelow: Amount::mm(CoreMaterial::SOLID_BELOW_MM),
                ),
            ];
        }
        [$solid, $core, , $stuffing] = $ways;
        $difference = CoverAdvice::of(Srgb::hex(CoverAdvice::UNDYED), $cover)->difference;
        if ($volume > self::LARGE_CM3 && ! $carries) {
            return [
                CoreMaterial::Stuffing,
                Message::of(
                    'wool.insides.stuffing-takes-where-core',
                    volume: Amount::cm3($volume),
                    insideG: Amount::g($stuffing->insideG),
                    insideG2: Amount::g($core->insideG),
                    g: Amount::g($core->finishedG - $stuffing->finishedG),
                ),
            ];
        }
        if ($difference > self::SHOWS) {
            return [
                CoreMaterial::Scrap,
                Message::of(
                    'wool.insides.the-colour-differs-from',
                    number: Amount::number(round($difference)),
                    cover: Amount::mm($part->made->coverMm),
                ),
            ];
        }

        return [
            CoreMaterial::CoreWool,
            Message::of(
                'wool.insides.core-wool'.($carries ? '-low' : ''),
                saves: Amount::g($solid->coverG - $core->coverG),
                weight: Amount::g($core->finishedG),
            ),
        ];
    }
}
