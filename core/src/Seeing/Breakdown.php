<?php

declare(strict_types=1);

namespace Impa\Seeing;

use Impa\Figure\Editing\Sizing;
use Impa\Figure\Figure;
use Impa\Figure\FlatWork;
use Impa\Figure\Term\FlatWay;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\Grain;
use Impa\Raster\PhotoFaults;
use Impa\Raster\Raster;
use Impa\Seeing\Assembly\Joining;
use Impa\Seeing\Assembly\Layering;
use Impa\Seeing\Assembly\MarkNames;
use Impa\Seeing\Assembly\Naming;
use Impa\Seeing\Assembly\Synthesis;
use Impa\Seeing\Assembly\TwinPairing;
use Impa\Seeing\Decomposition\PartExtraction;
use Impa\Seeing\Decomposition\Piece;
use Impa\Seeing\Foreground\Background;
use Impa\Seeing\Foreground\BrushStroke;
use Impa\Seeing\Foreground\Brushwork;
use Impa\Seeing\Layers\FlatLayers;
use Impa\Seeing\Layers\FlatWriting;
use Impa\Seeing\Result\FigureWriting;
use Impa\Seeing\Result\Standing;
use Impa\Seeing\Result\Sureness;
use Impa\Seeing\Segmentation\Extent;
use Impa\Seeing\Segmentation\FiguresApart;
use Impa\Seeing\Segmentation\FlatColours;
use Impa\Seeing\Segmentation\Ink;
use Impa\Seeing\Segmentation\MiddleLine;
use Impa\Seeing\Segmentation\PictureAdvice;
use Impa\Seeing\Segmentation\Regions;
use Impa\Seeing\Views\Facing;
use Impa\Seeing\Views\OtherSides;
use Impa\Seeing\Views\Turnaround;
use Impa\Voice\Message;

/**
 * From a picture to a figure document, one room after the other: ground, flat colours, ink, regions, who carries whom,
 * lobes, shapes, twins, joins, names. Immutable.
 */
final readonly class Breakdown
{
    /** So much of what was left out is listed. */
    private const MOST_LISTED = 50;

    /** What is cut along its outline is looked at more closely. */
    private const CUT_LOOK_PX = 720;

    /**
     * @param  array<string, mixed>  $document  an impa-figure document
     * @param  list<Message>  $notices  plain words on what was done and left out
     * @param  list<array{
     *     0: float, 1: float, 2: float, 3: float,
     * }>  $figures  boxes of the figures that stand apart on the picture, from the left: left, top, right, bottom as
     *     shares of its width and height
     * @param  list<SheetView>  $views  what each of them shows, where they are one character from several sides; else none
     * @param  array<string, Sureness>  $sureness  how sure each part and detail is, by `parts/KEY` and `details/KEY`; none of layers
     */
    private function __construct(
        public array $document,
        public array $notices,
        public array $figures,
        public array $views,
        public array $sureness = [],
    ) {
    }

    /**
     * @param  string  $bytes  the picture file
     * @param  Wishes|float  $wishes  or only the finished height in mm, 10 to 2000
     * @param  string  $name  of the figure
     * @param  string  $file  name of the picture, kept in the document
     * @param  ?callable(Message $doing, float $share): void  $progress  told what is being done and how much is behind; may throw to stop
     *
     * @throws PictureRefused if the file is no usable picture, or a wish out of range
     */
    public static function of(
        string $bytes,
        Wishes|float $wishes,
        string $name = '',
        string $file = '',
        ?callable $progress = null,
    ): self {
        $wishes = is_float($wishes) ? Wishes::of($wishes) : $wishes;
        $progress ??= static function (): void {
        };

        return self::looked(self::read($bytes, $wishes, $progress), $wishes, $progress, $name, $file, hash('sha256', $bytes));
    }

    /**
     * What another drawing shows of a figure from one of its other sides: as tall as the figure is before its base is flattened. It need
     * not stand.
     *
     * @throws PictureRefused if the file is no usable picture
     */
    public static function ofSide(string $bytes, Figure $figure): Figure
    {
        $nobody = static function (): void {
        };
        $tallMm = Sizing::standsMm($figure) + $figure->base->flattenMm;
        $wishes = Wishes::of(max(Wishes::LEAST_MM, min(Wishes::MOST_MM, $tallMm)));

        return self::looked(self::read($bytes, $wishes, $nobody), $wishes, $nobody, isWhole: false)->figure();
    }

    /**
     * @param  callable(Message $doing, float $share): void  $progress
     * @return array{Raster, Raster, Background, FiguresApart} as decoded, smoothed, told from its background, figures counted
     */
    private static function read(string $bytes, Wishes $wishes, callable $progress): array
    {
        $progress(Message::of('seeing.breakdown.reading-the-picture'), 0.0);
        $photo = Raster::decode($bytes, $wishes->flat === FlatWay::None ? Raster::LOOK_PX : self::CUT_LOOK_PX, true);
        $raster = Grain::smoothed($photo);
        $progress(Message::of('seeing.breakdown.telling-the-figure-from'), 0.1);
        $whole = Background::of($raster, $wishes->strokes, $wishes->keepsUnsure);

        return [$photo, $raster, $whole, FiguresApart::of($whole, $raster->width)];
    }

    /**
     * Looks at one of the figures that stand on a picture, or at all as one; of a turnaround sheet at its front, then at the others.
     *
     * @param  array{Raster, Raster, Background, FiguresApart}  $picture  as decoded, smoothed, told from its background, figures counted
     * @param  callable(Message $doing, float $share): void  $progress
     * @param  string  $hash  of the picture's file
     * @param  bool  $isWhole  whether it is to become the figure; one of its other sides need not stand
     */
    private static function looked(
        array $picture,
        Wishes $wishes,
        callable $progress,
        string $name = '',
        string $file = '',
        string $hash = '',
        bool $isWhole = true,
    ): self {
        [$photo, $raster, $whole, $figures] = $picture;
        $name = $name === '' ? (string) Message::of('seeing.new-figure') : $name;
        if ($wishes->figure > count($figures->boxes)) {
            throw PictureRefused::noSuchFigure($wishes->figure, count($figures->boxes));
        }
        $views = self::views($wishes, $raster, $whole, $figures);
        $front = array_search(SheetView::Front, $views, true);
        $ground = $figures->only($front === false ? $wishes->figure : $front + 1, $whole);
        // Of a sheet the front is looked at first, then the other sides.
        $looks = $front === false ? 1 : count(array_filter($views, static fn (SheetView $v): bool => $v !== SheetView::None));
        $told = $progress;
        $progress = static fn (Message $doing, float $share) => $told($doing, $share / $looks);
        $isTurned = $wishes->flat === FlatWay::None && Facing::isHeavyRight($raster, $ground);
        $looked = $isTurned ? $raster->mirrored() : $raster;
        $ground = $isTurned ? $ground->mirrored($raster->width) : $ground;
        $progress(Message::of('seeing.breakdown.sorting-the-colours'), 0.15);
        $flat = FlatColours::of($looked, $ground, $wishes->shades);
        $strokes = $isTurned ? array_map(static fn (BrushStroke $s): BrushStroke => $s->mirrored(), $wishes->strokes) : $wishes->strokes;
        $regions = Regions::of($flat, $looked, $ground, Brushwork::inked($looked, $strokes));
        if ($wishes->flat !== FlatWay::None) {
            $progress(Message::of('seeing.breakdown.laying-the-layers'), 0.5);

            return self::inLayers($picture, $wishes, $regions, $flat, $ground, $name, $file);
        }
        [$pieces, $extraction, $axis] = self::pieces($regions, $flat, $progress);
        $progress(Message::of('seeing.breakdown.writing-it-down'), 0.95);
        $writer = new FigureWriting(
            pieces: $pieces,
            extraction: $extraction,
            flat: $flat,
            raster: $looked,
            axis: $axis,
            wishes: $wishes,
            dropped: array_slice([...$extraction->dropped, ...$regions->dropped], 0, self::MOST_LISTED),
            isTurned: $isTurned,
        );

        $look = static function (int $figure, callable $onwards) use ($picture, $wishes): Figure {
            return self::looked($picture, $wishes->ofFigure($figure), $onwards, isWhole: false)->figure();
        };
        [$document, $said, $stands] = $isWhole
            ? self::inTheRound($writer->document($name, $file), $views, $wishes, $look, $hash, $told)
            : [$writer->document($name, $file), [], []];

        $seen = [...$flat->notices, ...self::noticed($figures, $wishes, $views, $regions), ...$extraction->notices, ...$stands];
        $notices = [...$said, ...self::ofPicture($photo, $raster, $ground), ...PictureAdvice::of($ground, $raster->width), ...$seen];

        return new self($document, $notices, self::boxes($figures, $raster), $views, $writer->sureness());
    }

    /**
     * Regions as pieces, in place, joined and named.
     *
     * @param  callable(Message $doing, float $share): void  $progress
     * @return array{array<int, Piece>, PartExtraction, float} and where the middle line stands, pixels
     *
     * @throws PictureRefused if there is nothing
     */
    private static function pieces(Regions $regions, FlatColours $flat, callable $progress): array
    {
        $shapes = static fn (float $share) => $progress(Message::of('seeing.breakdown.seeing-simple-shapes'), 0.25 + 0.6 * $share);
        $shapes(0.0);
        $extraction = PartExtraction::of($regions, $shapes);
        if ($extraction->pieces === []) {
            throw PictureRefused::nothingDrawn();
        }
        $progress(Message::of('seeing.breakdown.finding-pairs-and-joins'), 0.88);
        $axis = MiddleLine::of(array_map(static fn (Piece $p): float => $p->fit->x, $extraction->pieces), $regions);
        $pieces = TwinPairing::of($extraction->pieces, $axis);
        TwinPairing::straighten($pieces, $axis);
        Joining::of($pieces, $extraction->map, $regions->width, $axis);
        $again = static fn (float $share) => $progress(Message::of('seeing.breakdown.seeing-all'), 0.9 + 0.05 * $share);
        [$pieces, $extraction] = Synthesis::of($pieces, $extraction, $regions->width, $axis, $again);
        $extraction = $extraction->withMarks(Layering::missed($pieces, $extraction, $regions, $axis));
        $isDark = array_map(MarkNames::isDark(...), array_values($flat->colours));
        Naming::of($pieces, $extraction->marks, $isDark, $axis);

        return [$pieces, $extraction, $axis];
    }

    /**
     * What the front became, with what other sides show of it, so that it hangs together and stands.
     *
     * @param  array<string, mixed>  $document
     * @param  list<SheetView>  $views
     * @param  callable(int $figure, callable $progress): Figure  $look
     * @param  callable(Message $doing, float $share): void  $progress
     * @return array{array<string, mixed>, list<Message>, list<Message>} and what is to be said of the other sides, and of how it stands
     */
    private static function inTheRound(
        array $document,
        array $views,
        Wishes $wishes,
        callable $look,
        string $hash,
        callable $progress,
    ): array {
        [$document, $said] = OtherSides::of($document, $views, $look, $hash, $progress);
        $seen = Figure::fromJson((string) json_encode($document, JSON_PRESERVE_ZERO_FRACTION));
        [$figure, $stood] = Standing::of($seen, $views !== [], $wishes->roundToMm === 0.0);
        $stands = json_decode((string) json_encode($figure->document(), JSON_PRESERVE_ZERO_FRACTION), true);

        return [$figure === $seen || ! is_array($stands) ? $document : $stands, $said, $stood];
    }

    /** @return list<Message> what was done to the picture, and what is wrong with it */
    private static function ofPicture(Raster $photo, Raster $raster, Background $ground): array
    {
        $unsure = $ground->isUnsure() && ! $ground->keepsUnsure ? [Message::of('seeing.background.something-may-belong')] : [];

        return [...$raster->notices, ...$photo->isLossy ? PhotoFaults::of($photo) : [], ...$ground->notices, ...$unsure];
    }

    /**
     * The picture as layers of felt on a ground.
     *
     * @param  array{Raster, Raster, Background, FiguresApart}  $picture
     */
    private static function inLayers(
        array $picture,
        Wishes $wishes,
        Regions $regions,
        FlatColours $flat,
        Background $ground,
        string $name,
        string $file,
    ): self {
        [$photo, $raster, , $figures] = $picture;
        $layers = FlatLayers::of($regions, $wishes->heightMm / Extent::of($regions->all)->heightPx(), FlatWork::OVERLAP_MM);
        $ink = Ink::outlines(Regions::connected($flat->labels, $raster->width)[0], $flat);

        return new self(
            (new FlatWriting($layers, $flat, $regions, $raster, $wishes, $ink))->document($name, $file),
            [
                ...self::ofPicture($photo, $raster, $ground),
                ...$flat->notices,
                ...self::noticed($figures, $wishes, [], $regions),
                ...$layers->notices,
            ],
            self::boxes($figures, $raster),
            [],
        );
    }

    /** @return list<array{float, float, float, float}> of every figure, as shares of the picture */
    private static function boxes(FiguresApart $figures, Raster $raster): array
    {
        return array_map(
            static fn (array $box): array => [
                $box[0] / $raster->width,
                ($box[1] * $raster->width) / count($raster->pixels),
                ($box[2] + 1) / $raster->width,
                (($box[3] + 1) * $raster->width) / count($raster->pixels),
            ],
            $figures->boxes,
        );
    }

    /** The document, read. */
    public function figure(): Figure
    {
        return Figure::fromDocument(json_decode((string) json_encode($this->document, JSON_PRESERVE_ZERO_FRACTION)));
    }

    /**
     * @return list<SheetView> what each figure shows, as the felter says, or as it seems; none where one of them, or all, were meant
     *
     * @throws PictureRefused if not as many were named as there are figures
     */
    private static function views(Wishes $wishes, Raster $raster, Background $whole, FiguresApart $figures): array
    {
        $count = count($figures->boxes);
        if ($wishes->views !== [] && count($wishes->views) !== $count) {
            throw PictureRefused::notAsManyViews(count($wishes->views), $count);
        }
        if ($wishes->views !== [] || $wishes->figure > 0 || $count < 2 || $wishes->flat !== FlatWay::None) {
            return $wishes->views;
        }

        return Turnaround::of($whole, $figures, Regions::of(FlatColours::of($raster, $whole, $wishes->shades), $raster, $whole));
    }

    /**
     * @param  list<SheetView>  $views
     * @return list<Message>
     */
    private static function noticed(FiguresApart $figures, Wishes $wishes, array $views, Regions $regions): array
    {
        $notices = [];
        $count = count($figures->boxes);
        if ($count > 1 && $wishes->figure === 0 && $views === []) {
            $notices[] = Message::of('seeing.breakdown.figures-stand-on-this', count: $count);
        }
        if ($regions->dropped !== []) {
            $dropped = count($regions->dropped);
            $notices[] = $dropped === 1 ? Message::of('seeing.breakdown.one-tiny-dot-was') : Message::of(
                'seeing.breakdown.tiny-dots-were-ignored',
                dropped: $dropped,
            );
        }

        return $notices;
    }
}
