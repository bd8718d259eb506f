<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Figure\Term\FlatWay;
use Impa\Raster\File\PictureRefused;
use Impa\Seeing\Foreground\BrushStroke;

/** What the felter asks of a break-down beyond the picture. Immutable. */
final readonly class Wishes
{
    /** Finished heights, mm. */
    public const LEAST_MM = 10.0;

    public const MOST_MM = 2000.0;

    /**
     * @param  list<BrushStroke>  $strokes
     * @param  list<SheetView>  $views
     */
    private function __construct(
        public float $heightMm,
        public float $shades,
        public int $figure,
        public float $roundToMm,
        public array $strokes,
        public array $views,
        public FlatWay $flat,
        public bool $keepsUnsure,
    ) {
    }

    /**
     * @param  float  $heightMm  finished height, 10 to 2000
     * @param  float  $shades  how strongly near shades are made one: 0 (only what is hardly told apart) to 1 (all of a hue)
     * @param  int  $figure  of several figures on one picture, this one from the left, from 1; 0 for all of them
     * @param  float  $roundToMm  sizes in steps of so many mm; 0 for as seen
     * @param  list<BrushStroke>  $strokes  brushed over the picture, in order
     * @param  list<SheetView>  $views  what each figure of a turnaround sheet shows, from the left; none where Impa is to tell
     * @param  FlatWay  $flat  of what its layers are made; none where it is seen in the round
     * @param  bool  $keepsUnsure  whether what may be a shadow, a halo, paper or a speck belongs to the figure
     *
     * @throws PictureRefused if one of them is out of range
     */
    public static function of(
        float $heightMm,
        float $shades = 0.2,
        int $figure = 0,
        float $roundToMm = 0.0,
        array $strokes = [],
        array $views = [],
        FlatWay $flat = FlatWay::None,
        bool $keepsUnsure = false,
    ): self {
        if (! ($heightMm >= self::LEAST_MM && $heightMm <= self::MOST_MM)) {
            throw PictureRefused::heightOutOfRange($heightMm);
        }
        if (! ($shades >= 0 && $shades <= 1)) {
            throw PictureRefused::shadesOutOfRange($shades);
        }
        if ($figure < 0 || ! ($roundToMm >= 0 && $roundToMm <= 10)) {
            throw PictureRefused::wishOutOfRange();
        }
        $points = array_sum(array_map(static fn (BrushStroke $s): int => count($s->points), $strokes));
        if (count($strokes) > BrushStroke::MOST || $points > BrushStroke::MOST_IN_ALL) {
            throw PictureRefused::tooManyStrokes(BrushStroke::MOST);
        }
        $times = array_count_values(array_map(static fn (SheetView $v): string => $v->value, $views));
        $sides = ($times[SheetView::Left->value] ?? 0) + ($times[SheetView::Right->value] ?? 0);
        if ($views !== [] && (($times[SheetView::Front->value] ?? 0) !== 1 || ($times[SheetView::Back->value] ?? 0) > 1 || $sides > 1)) {
            throw PictureRefused::viewsDoNotFit();
        }

        return new self($heightMm, $shades, $figure, $roundToMm, $strokes, $views, $flat, $keepsUnsure);
    }

    /**
     * @param  string  $said  empty where it is seen in the round
     *
     * @throws PictureRefused if nothing is made of that
     */
    public static function way(string $said): FlatWay
    {
        return FlatWay::tryFrom($said === '' ? 'none' : $said) ?? throw PictureRefused::noSuchLayers($said);
    }

    /** The same wishes for one figure of the sheet alone. */
    public function ofFigure(int $figure): self
    {
        return new self(
            $this->heightMm,
            $this->shades,
            $figure,
            $this->roundToMm,
            $this->strokes,
            [],
            $this->flat,
            $this->keepsUnsure,
        );
    }

    /** @return array<string, mixed> as the figure keeps them with its drawing */
    public function document(): array
    {
        return [
            'shades' => $this->shades,
            'figure' => $this->figure,
            'roundToMm' => $this->roundToMm,
            'views' => array_map(static fn (SheetView $v): string => $v->value, $this->views),
            'brushes' => array_map(static fn (BrushStroke $s): array => $s->document(), $this->strokes),
        ] + ($this->flat === FlatWay::None ? [] : ['flat' => $this->flat->value])
            + ($this->keepsUnsure ? ['keepsUnsure' => true] : []);
    }
}
