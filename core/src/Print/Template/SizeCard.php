<?php

declare(strict_types=1);

namespace Impa\Print\Template;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Message;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\Purpose;
use Impa\Wool\Ledger\WoolWords;

/** One part at true size: its outline from the front and from the side, and what to write beside it. Lengths in mm. Immutable. */
final readonly class SizeCard
{
    /** Room between the two outlines and round them, for the words below, and the least width they need. */
    private const GAP = 6.0;

    private const WORDS = 21.0;

    private const LEAST_WIDTH = 62.0;

    /**
     * @param  non-empty-list<list<array{float, float}>>  $front  loops from the card's top left corner, y down
     * @param  non-empty-list<list<array{float, float}>>  $side
     * @param  list<string>  $words  a title and lines below it
     */
    private function __construct(
        public array $front,
        public array $side,
        public array $words,
        public string $hex,
        public float $widthMm,
        public float $heightMm,
    ) {
    }

    /** @param  list<LedgerLine>  $lines  what the part of the figure takes */
    public static function of(Part $part, array $lines, Figure $figure): self
    {
        $placement = Placement::of($part);
        // Felt is held against the card as the part lies in the hand: not turned.
        $front = $placement->turn->keepsFront() ? $part->solid->front() : Silhouette::of($placement, Side::Front);
        $side = $part->solid->side();
        [$one, $two] = [Box::around(array_merge(...$front)), Box::around(array_merge(...$side))];
        $height = max($one->height(), $two->height());
        $size = $part->solid->size();
        $words = [
            $part->name.($part->count() > 1 ? ' x '.$part->count() : ''),
            sprintf(
                '%s, %s, %s',
                Message::of('shape.kind.'.$part->solid->kind()->value),
                Lengths::of($size->widthMm, $size->heightMm, $size->depthMm),
                Message::of('material.firmness.'.$part->made->firmness->value),
            ),
            implode(', ', array_map(
                static fn (LedgerLine $l): Message => Message::of(
                    'print.size-card.'.($l->purpose === Purpose::Covering ? 'wool-as' : 'wool').($part->count() > 1 ? '-each' : ''),
                    g: Amount::g($l->g),
                    name: WoolWords::name($l->material, $l->for->colour, $figure),
                    way: $l->way->label(),
                ),
                $lines,
            )),
        ];
        $width = max(self::LEAST_WIDTH, $one->width() + $two->width() + 3 * self::GAP);

        return new self(
            self::moved($front, self::GAP + $one->width() / 2 - $one->middle()[0], self::GAP + $height / 2 + $one->middle()[1]),
            self::moved(
                $side,
                $width - self::GAP - $two->width() / 2 - $two->middle()[0],
                self::GAP + $height / 2 + $two->middle()[1],
            ),
            $words,
            $figure->colours[$part->colour]->srgb->toHex(),
            $width,
            $height + 2 * self::GAP + self::WORDS,
        );
    }

    /** From the card's top to the first line of words. */
    public function wordsMm(): float
    {
        return $this->heightMm - self::WORDS + 4.0;
    }

    /**
     * @param  non-empty-list<list<array{float, float}>>  $loops
     * @return non-empty-list<list<array{float, float}>>
     */
    private static function moved(array $loops, float $x, float $y): array
    {
        return array_map(
            static fn (array $loop): array => array_map(static fn (array $p): array => [$p[0] + $x, $y - $p[1]], $loop),
            $loops,
        );
    }
}
