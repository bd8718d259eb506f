<?php

declare(strict_types=1);

namespace Impa\Wool\Portion;

use Impa\Geometry\Outline\SkylinePacking;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Wool\WoolRefused;

/** Lays flat pieces on a sheet of felt so that little of its length is used: each by its box, with room for the scissors. */
final readonly class SheetLayout
{
    /** Room for the scissors between two pieces, mm. */
    public const MARGIN_MM = 2.0;

    /**
     * @param  list<array{
     *     key: string, xMm: float, yMm: float, widthMm: float, heightMm: float, isTurned: bool,
     * }>  $placed  from the lower left corner
     */
    private function __construct(public float $widthMm, public float $lengthMm, public array $placed)
    {
    }

    /**
     * @param  list<array{key: string, widthMm: float, heightMm: float}>  $pieces
     *
     * @throws WoolRefused if a piece is wider than the sheet both ways
     */
    public static function of(array $pieces, float $sheetWidthMm): self
    {
        foreach ($pieces as $piece) {
            if (min($piece['widthMm'], $piece['heightMm']) + self::MARGIN_MM > $sheetWidthMm) {
                throw WoolRefused::cannotRead(
                    Message::of(
                        'wool.sheet-layout.is-across',
                        key: $piece['key'],
                        mm: Amount::mm(min($piece['widthMm'], $piece['heightMm'])),
                        sheetWidth: Amount::mm($sheetWidthMm),
                    ),
                );
            }
        }
        $packing = SkylinePacking::of(
            array_map(
                static fn (array $p): array => [$p['widthMm'] + self::MARGIN_MM, $p['heightMm'] + self::MARGIN_MM],
                $pieces,
            ),
            $sheetWidthMm,
        );
        $placed = [];
        foreach ($packing->places as $i => $at) {
            $turned = $at['isTurned'];
            $placed[] = [
                'key' => $pieces[$i]['key'],
                'xMm' => $at['x'],
                'yMm' => $at['y'],
                'widthMm' => $pieces[$i][$turned ? 'heightMm' : 'widthMm'],
                'heightMm' => $pieces[$i][$turned ? 'widthMm' : 'heightMm'],
                'isTurned' => $turned,
            ];
        }

        return new self($sheetWidthMm, max(0.0, $packing->length - self::MARGIN_MM), $placed);
    }

    /** Share of the sheet's used length that no piece's box covers. */
    public function waste(): float
    {
        $covered = array_sum(array_map(static fn (array $p): float => $p['widthMm'] * $p['heightMm'], $this->placed));

        return $this->lengthMm > 0.0 ? 1 - $covered / ($this->widthMm * $this->lengthMm) : 0.0;
    }
}
