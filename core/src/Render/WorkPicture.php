<?php

declare(strict_types=1);

namespace Impa\Render;

use Impa\Figure\Figure;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Clip;
use Impa\Voice\Said;
use WeakMap;

/**
 * A figure as far as it has got, as SVG in mm: what is not made yet as a dashed outline, what lies ready pale, what is on in its colour,
 * the present piece lit, arrows where the needle goes.
 */
final class WorkPicture
{
    /** Ink, the present piece's rim, a needle, and undyed wool; the colours of paper, whatever the screen's light. */
    private const INK = '#3a2a20';

    private const LIT = '#9c3447';

    private const NEEDLE = '#2f6480';

    private const UNDYED = '#efe6d2';

    /** So much of the picture's width is free round what it is about. */
    private const RIM = 0.12;

    /** Lines are so thick, as shares of the picture's size. */
    private const THIN = 0.004;

    private const THICK = 0.009;

    /**
     * @param  array<string, PieceState>  $states  by part; what is missing is not made yet
     * @param  array<string, true>  $details  keys of those that are laid
     * @param  string  $lit  key of the detail that is laid now, or empty
     * @param  string  $onTop  key of the part that is held loose before all else, or empty
     * @param  list<Arrow>  $arrows
     * @param  ?Box  $about  what the picture is about; the whole figure where none is said
     * @param  string  $more  SVG in the picture's own mm, y downwards
     * @param  list<array{list<array{float, float}>, float}>  $wires  courses as they are seen, and how thick, mm; what runs out of the
     *     picture is cut there, for paper shows what lies beyond its frame
     */
    public static function of(
        Figure $figure,
        Side $from,
        array $states,
        array $details,
        string $lit = '',
        string $onTop = '',
        array $arrows = [],
        ?Box $about = null,
        string $more = '',
        array $wires = [],
    ): string {
        $layers = FlatArea::all($figure, $from);
        $whole = self::box($layers, $arrows);
        $box = $about === null ? $whole : self::box([], $arrows, $about);
        $size = max($box->width(), $box->height(), 1.0);
        $frame = $box->grown(self::RIM * $size);
        $body = '';
        $isOnTop = static fn (FlatArea $l): bool => $l->piece->part->key === $onTop;
        usort($layers, static fn (FlatArea $a, FlatArea $b): int => $isOnTop($a) <=> $isOnTop($b));
        foreach (array_filter($layers, static fn (FlatArea $l): bool => $frame->meets($l->box)) as $layer) {
            $state = $states[$layer->piece->part->key] ?? PieceState::Ahead;
            $detail = $layer->detail->key ?? '';
            $body .= match (true) {
                $detail === '' => self::piece($layer, $state, $size, $frame),
                $detail === $lit || isset($details[$detail]) => self::detail($layer, $state, $detail === $lit, $size, $frame),
                default => '',
            };
        }
        foreach ($arrows as $arrow) {
            $body .= self::arrow($arrow, $size);
        }
        foreach ($wires as [$seen, $thick]) {
            foreach (Clip::polyline($seen, $frame) as $course) {
                $body .= sprintf(
                    '<path d="%s" fill="none" stroke="#6b5a4c" stroke-width="%s" stroke-dasharray="3 1.5"/>',
                    self::course($course),
                    self::mm($thick),
                );
            }
        }

        return self::framed($body.$more, $box, $size);
    }

    /**
     * A picture of its own drawing.
     *
     * @param  string  $body  SVG in mm, y downwards
     */
    public static function framed(string $body, Box $box, ?float $size = null): string
    {
        $rim = self::RIM * ($size ?? max($box->width(), $box->height()));
        [$width, $height] = [$box->width() + 2 * $rim, $box->height() + 2 * $rim];

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$s" height="%2$s" viewBox="%3$s %4$s %1$s %2$s">%5$s</svg>',
            self::mm($width),
            self::mm($height),
            self::mm($box->left - $rim),
            self::mm(-$box->high - $rim),
            $body,
        );
    }

    /** @param  list<list<array{float, float}>>  $loops */
    public static function path(array $loops): string
    {
        return implode('', array_map(static fn (array $loop): string => self::course($loop).'Z', $loops));
    }

    /** @param  list<array{float, float}>  $points */
    private static function course(array $points): string
    {
        return 'M'.implode('L', array_map(static fn (array $p): string => self::mm($p[0]).' '.self::mm(-$p[1]), $points));
    }

    public static function mm(float $mm): string
    {
        return (string) (round($mm, 2) + 0.0);
    }

    private static function piece(FlatArea $layer, PieceState $state, float $size, Box $frame): string
    {
        [$fill, $stroke, $width, $more] = match ($state) {
            PieceState::Ahead => ['', self::INK, self::THIN, self::dashes($size)],
            PieceState::Core => [self::UNDYED, self::INK, self::THIN, ' opacity="0.5"'],
            PieceState::Ready => [$layer->srgb->toHex(), self::INK, self::THIN, ' opacity="0.3"'],
            PieceState::On => [$layer->srgb->toHex(), self::INK, self::THIN, ''],
            PieceState::LitCore => [self::UNDYED, self::LIT, self::THICK, ''],
            PieceState::Lit => [$layer->srgb->toHex(), self::LIT, self::THICK, ''],
        };
        $rim = self::rim($layer, $frame);

        return self::area($layer, $fill, $more, $frame).($rim === '' ? '' : sprintf(
            '<path d="%s" fill="none" stroke="%s" stroke-width="%s"%s/>',
            $rim,
            $stroke,
            self::mm($width * $size),
            // Said, for some readers of SVG go on with the last dashes.
            $state === PieceState::Ahead ? $more : ' stroke-dasharray="none"'.$more,
        ));
    }

    /** What of a layer lies within the picture: not every reader of SVG cuts off what does not. */
    private static function area(FlatArea $layer, string $fill, string $more, Box $frame): string
    {
        $path = match (true) {
            $fill === '' => '',
            $frame->holds($layer->box) => self::whole($layer)['area'],
            default => self::path(array_values(array_filter(
                array_map(static fn (array $loop): array => Clip::polygon($loop, $frame), $layer->loops),
            ))),
        };

        return $path === '' ? '' : sprintf('<path d="%s" fill="%s" fill-rule="evenodd"%s/>', $path, $fill, $more);
    }

    /** What of a layer's rim lies within the picture. */
    private static function rim(FlatArea $layer, Box $frame): string
    {
        if ($frame->holds($layer->box)) {
            return self::whole($layer)['rim'];
        }
        $rim = '';
        foreach ($layer->loops as $loop) {
            $rim .= implode('', array_map(self::course(...), Clip::polyline([...$loop, $loop[0]], $frame)));
        }

        return $rim;
    }

    /**
     * A layer that lies wholly within a picture: written once for all the pictures of a figure.
     *
     * @return array{rim: string, area: string}
     */
    private static function whole(FlatArea $layer): array
    {
        /** @var WeakMap<FlatArea, array{rim: string, area: string}> $known */
        static $known = new WeakMap;

        return $known[$layer] ??= [
            'rim' => implode('', array_map(static fn (array $loop): string => self::course([...$loop, $loop[0]]), $layer->loops)),
            'area' => self::path($layer->loops),
        ];
    }

    private static function dashes(float $size): string
    {
        return sprintf(' stroke-dasharray="%1$s %1$s" opacity="0.35"', self::mm(0.018 * $size));
    }

    private static function detail(FlatArea $layer, PieceState $state, bool $isLit, float $size, Box $frame): string
    {
        $more = match (true) {
            $isLit => sprintf(' stroke="%s" stroke-width="%s"', self::LIT, self::mm(self::THIN * $size)),
            $state === PieceState::Ready => ' opacity="0.3"',
            default => '',
        };

        return self::area($layer, $layer->srgb->toHex(), $more, $frame);
    }

    /** A needle: its shaft, and its tip. */
    private static function arrow(Arrow $arrow, float $size): string
    {
        $length = max(1e-6, hypot($arrow->toX - $arrow->fromX, $arrow->toY - $arrow->fromY));
        [$x, $y] = [($arrow->toX - $arrow->fromX) / $length, ($arrow->toY - $arrow->fromY) / $length];
        $tip = min($length / 2, 0.028 * $size);
        [$bx, $by] = [$arrow->toX - $tip * $x, $arrow->toY - $tip * $y];
        $wide = $tip * 0.45;

        return sprintf(
            '<path d="M%s %sL%s %s" stroke="%s" stroke-width="%s" stroke-linecap="round"/><path d="%s" fill="%s"/>',
            self::mm($arrow->fromX),
            self::mm(-$arrow->fromY),
            self::mm($bx),
            self::mm(-$by),
            self::NEEDLE,
            self::mm(self::THICK * $size),
            self::path([[[$arrow->toX, $arrow->toY], [$bx - $wide * $y, $by + $wide * $x], [$bx + $wide * $y, $by - $wide * $x]]]),
            self::NEEDLE,
        );
    }

    /**
     * @param  list<FlatArea>  $layers
     * @param  list<Arrow>  $arrows
     */
    private static function box(array $layers, array $arrows, ?Box $about = null): Box
    {
        $points = $about === null ? [] : [[$about->left, $about->low], [$about->right, $about->high]];
        foreach ($layers as $layer) {
            array_push($points, [$layer->box->left, $layer->box->low], [$layer->box->right, $layer->box->high]);
        }
        foreach ($arrows as $arrow) {
            array_push($points, [$arrow->fromX, $arrow->fromY], [$arrow->toX, $arrow->toY]);
        }

        return Box::around($points === [] ? [[0.0, 0.0], [1.0, 1.0]] : $points);
    }
}
