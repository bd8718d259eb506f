<?php

declare(strict_types=1);

namespace Impa\Check;

use Impa\Figure\Figure;
use Impa\Raster\PictureRefused;
use Impa\Render\Layer;
use Impa\Render\View;

/**
 * A photo of a finished figure against its plan: found on its ground, laid over the plan, and piece by piece and detail by detail held
 * against it. Immutable.
 */
final readonly class PhotoCheck
{
    /** Below this overlap it is another figure, or another side. */
    private const SAME = 0.55;

    /** What takes longer from one colour to the other than this is blurred, mm, and as a share of the figure. */
    private const BLURRED_MM = 2.4;

    /** Less than this is not told: neither hand nor photo is so exact. */
    private const LEAST_MM = 0.7;

    private const LEAST_DEG = 1.5;

    private const LEAST_SWING_MM = 0.4;

    /** A fit must be so sure to be told. */
    private const SURE_MM = 0.45;

    private const SURE_TURN = 0.04;

    /** So surely its far end must be known where it is turned, mm. */
    private const SURE_SWING_MM = 0.35;

    private const LEAST_PLACES = 6;

    private const SURE_SIGMAS = 2.5;

    /** Finding and refining take so many rounds. */
    private const ROUNDS = 3;

    /**
     * @param  list<Deviation>  $deviations  the worst first
     * @param  list<string>  $unjudged  in words
     */
    private function __construct(
        public Figure $figure,
        public View $view,
        public float $overlap,
        public Pose $pose,
        public float $ownPerPx,
        public array $deviations,
        public array $unjudged,
        public Expected $plan,
    ) {
    }

    /**
     * @param  string  $bytes  PNG, JPEG, WebP or GIF
     *
     * @throws PhotoRefused if nothing can be judged on it
     * @throws PictureRefused if it is no picture
     */
    public static function of(Figure $figure, string $bytes, View $view): self
    {
        $plan = Expected::of($figure, $view->side());
        $photo = Photo::of($bytes);
        $ground = Ground::of($photo);
        $pieces = $ground->pieces();
        $marks = Marks::among($pieces, $ground, $photo);
        $seen = self::standing(array_values(array_diff_key($pieces, array_flip($marks->places ?? []))), $ground);
        $rims = Rim::all($plan);
        $fit = PoseFit::on($seen, $ground);
        $pose = $fit->fit($plan, self::outline($rims), $marks);
        $overlap = $fit->overlap($pose, $plan);
        if ($overlap < self::SAME) {
            throw PhotoRefused::anotherFigure($overlap);
        }
        $colours = Colours::seen($photo, $pose, $plan);
        $edges = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $edges = Edges::found($photo, $pose, $colours, $rims);
            if ($round + 1 < self::ROUNDS) {
                $pose = PoseFit::refined($pose, $plan, self::paired($rims, $edges));
                $colours = Colours::seen($photo, $pose, $plan);
            }
        }
        $widths = array_column($edges, 1);
        sort($widths);
        if ($widths !== [] && $widths[intdiv(count($widths), 2)] > self::BLURRED_MM) {
            throw PhotoRefused::blurred();
        }
        [$deviations, $unjudged] = self::judged($photo, $pose, $plan, $colours, $rims, $edges);
        usort($deviations, static fn (Deviation $a, Deviation $b): int => $b->weight <=> $a->weight);

        return new self(
            $figure,
            $view,
            $fit->overlap($pose, $plan),
            $pose,
            $photo->ownPerPx,
            $deviations,
            [...self::whole($pose), ...$unjudged],
            $plan,
        );
    }

    /** @return array<string, mixed> the impa-photo-check document, version 1 */
    public function document(): array
    {
        [$x, $y] = $this->plan->box->middle();

        return [
            'format' => 'impa-photo-check',
            'version' => 1,
            'figure' => $this->figure->name,
            'view' => $this->view->value,
            'overlap' => round($this->overlap, 4),
            'mmPerPx' => round(1 / ($this->pose->pxPerMm($x, $y) * $this->ownPerPx), 5),
            'tiltDeg' => round(rad2deg($this->pose->turn), 2),
            'measured' => $this->pose->isMeasured(),
            'deviations' => array_map(fn (Deviation $d): array => $d->document($this->own(...$d->atMm)), $this->deviations),
            'unjudged' => $this->unjudged,
            'outline' => $this->drawn(),
        ];
    }

    /** @return list<list<array{float, float}>> every piece of the plan where it should be on the photo as it came, in pixels */
    private function drawn(): array
    {
        $drawn = [];
        foreach ($this->plan->layers as $layer) {
            $drawn[] = array_map(function (array $p): array {
                [$x, $y] = $this->own(...$p);

                return [round($x, 1), round($y, 1)];
            }, $layer->loops[0]);
        }

        return $drawn;
    }

    /** @return array{float, float} in pixels of the photo as it came */
    private function own(float $x, float $y): array
    {
        [$px, $py] = $this->pose->at($x, $y);

        return [$px * $this->ownPerPx, $py * $this->ownPerPx];
    }

    /**
     * The cells of the figure: the largest piece, and what is not much smaller.
     *
     * @param  list<non-empty-array<int, true>>  $pieces
     * @return array<int, true>
     */
    private static function standing(array $pieces, Ground $ground): array
    {
        $largest = count($pieces[0] ?? []);
        if ($largest < 60) {
            throw PhotoRefused::nothingThere();
        }
        $seen = [];
        foreach ($pieces as $piece) {
            if (count($piece) > 0.02 * $largest) {
                foreach ($piece as $i => $_) {
                    [$x, $y] = [$i % $ground->width, intdiv($i, $ground->width)];
                    if (min($x, $y, $ground->width - 1 - $x, $ground->height - 1 - $y) < 1) {
                        throw PhotoRefused::cutOff();
                    }
                }
                $seen += $piece;
            }
        }

        return $seen;
    }

    /**
     * @param  list<Rim>  $rims
     * @return list<array{float, float}> places of the whole figure's outline
     */
    private static function outline(array $rims): array
    {
        $outline = [];
        foreach ($rims as $rim) {
            if ($rim->outside === Expected::GROUND) {
                $outline[] = [$rim->x, $rim->y];
            }
        }

        return $outline;
    }

    /**
     * @param  list<Rim>  $rims
     * @param  array<int, array{float, float}>  $edges
     * @return list<array{Rim, float}>
     */
    private static function paired(array $rims, array $edges): array
    {
        $paired = [];
        foreach ($edges as $i => [$off]) {
            $paired[] = [$rims[$i], $off];
        }

        return $paired;
    }

    /**
     * @param  list<Rim>  $rims
     * @param  array<int, array{float, float}>  $edges
     * @return array{list<Deviation>, list<string>}
     */
    private static function judged(Photo $photo, Pose $pose, Expected $plan, Colours $colours, array $rims, array $edges): array
    {
        $deviations = $unjudged = $moved = [];
        $of = [];
        foreach ($edges as $i => [$off]) {
            $of[$rims[$i]->layer][] = [$rims[$i], $off];
        }
        foreach ($plan->layers as $label => $layer) {
            if ($layer->detail === null) {
                $fit = PieceFit::of($layer->piece, $plan->side, $of[$label] ?? []);
                $moved[self::pieceKey($layer)] = [$fit, $label];
            }
        }
        foreach ($moved as [$fit, $label]) {
            $layer = $plan->layers[$label];
            $all = count(array_filter($rims, static fn (Rim $r): bool => $r->layer === $label));
            if ($all < self::LEAST_PLACES) {
                $unjudged[] = sprintf('%s: it is hidden from this side.', ucfirst(Names::of($layer)));
            } elseif ($fit->places < self::LEAST_PLACES) {
                $unjudged[] = sprintf('%s: its rim cannot be told from what lies beside it.', ucfirst(Names::of($layer)));
            } else {
                array_push($deviations, ...self::ofPiece($layer, $fit, $unjudged));
            }
        }
        array_push($deviations, ...self::ofDetails($photo, $pose, $plan, $colours, $moved, $unjudged));
        array_push($deviations, ...InLight::deviations($plan, $colours, $unjudged));

        return [$deviations, array_values(array_unique($unjudged))];
    }

    private static function pieceKey(Layer $layer): string
    {
        return $layer->piece->part->key.($layer->piece->isTwin ? ' twin' : '');
    }

    /**
     * @param  list<string>  $unjudged
     * @return list<Deviation>
     */
    private static function ofPiece(Layer $layer, PieceFit $fit, array &$unjudged): array
    {
        $name = Names::of($layer);
        $size = $layer->piece->part->solid->size();
        $at = Names::middle($layer);
        $words = [
            'width' => ['wide', 'narrow', '%s %.1f mm too %s'],
            'height' => ['tall', 'short', '%s %.1f mm too %s'],
            'across' => ['to the right', 'to the left', '%s sits %.1f mm too far %s'],
            'level' => ['higher', 'lower', '%s sits %.1f mm %s than planned'],
        ];
        $deviations = [];
        foreach ($words as $what => [$more, $less, $text]) {
            [$off, $sigma] = [$fit->off[$what], $fit->sigma[$what]];
            if ($sigma > self::SURE_MM) {
                $unjudged[] = sprintf('%s: its %s is not seen from this side.', ucfirst($name), [
                    'width' => 'width',
                    'height' => 'height',
                    'across' => 'place across',
                    'level' => 'level',
                ][$what]);
            } elseif (abs($off) >= max(self::LEAST_MM, self::SURE_SIGMAS * $sigma)) {
                $deviations[] = new Deviation(
                    part: $layer->piece->part->key,
                    detail: '',
                    what: $what,
                    unit: 'mm',
                    amount: $off,
                    text: ucfirst(sprintf($text, $name, abs($off), $off > 0.0 ? $more : $less)).'.',
                    weight: abs($off),
                    atMm: $at,
                    isTwin: $layer->piece->isTwin,
                );
            }
        }
        $turn = rad2deg($fit->off['turn']);
        // Turned by so much, its far end is off by that.
        $swing = abs($fit->off['turn']) * $size->largestMm() / 2;
        if ($fit->sigma['turn'] > self::SURE_TURN || $fit->sigma['turn'] * $size->largestMm() / 2 > self::SURE_SWING_MM) {
            $unjudged[] = sprintf('%s: its lean is not told, it is too round for that.', ucfirst($name));
        } elseif (abs($turn) >= self::LEAST_DEG && $swing >= self::LEAST_SWING_MM) {
            $deviations[] = new Deviation(
                part: $layer->piece->part->key,
                detail: '',
                what: 'tilt',
                unit: 'deg',
                amount: $turn,
                text: sprintf('%s leans %.1f degrees to the %s.', ucfirst($name), abs($turn), $turn > 0.0 ? 'left' : 'right'),
                weight: $swing,
                atMm: $at,
                isTwin: $layer->piece->isTwin,
            );
        }

        return $deviations;
    }

    /**
     * @param  array<string, array{PieceFit, int}>  $moved  by piece
     * @param  list<string>  $unjudged
     * @return list<Deviation>
     */
    private static function ofDetails(Photo $photo, Pose $pose, Expected $plan, Colours $colours, array $moved, array &$unjudged): array
    {
        $deviations = $pairs = $carried = [];
        foreach ($plan->details() as $labels) {
            $layer = $plan->layers[$labels[0]];
            [$fit] = $moved[self::pieceKey($layer)];
            $shift = $fit->places >= self::LEAST_PLACES && max($fit->sigma['across'], $fit->sigma['level']) <= self::SURE_MM
                ? [$fit->off['across'], $fit->off['level']]
                : [0.0, 0.0];
            // What lies on another detail goes along with that: a spark with its eye.
            $host = DetailFit::host($plan, $labels);
            [$x, $y] = $carried[$host] ?? [0.0, 0.0];
            $found = DetailFit::of($photo, $pose, $plan, $colours, $labels, [$shift[0] + $x, $shift[1] + $y]);
            foreach ($labels as $label) {
                $carried[$label] = [$x + ($found->offMm[0] ?? 0.0), $y + ($found->offMm[1] ?? 0.0)];
            }
            $pairs[$layer->detail->key ?? ''][] = [$layer, $found];
        }
        foreach ($pairs as $pieces) {
            array_push($deviations, ...Details::judged($pieces, self::LEAST_MM, $unjudged));
        }

        return $deviations;
    }

    /** @return list<string> what no photo tells, or not this one */
    private static function whole(Pose $pose): array
    {
        return [
            ...($pose->isMeasured() ? [] : ['Its size as a whole: lay it on the marker sheet, and it is measured too.']),
            'How deep it is: take a photo from the side.',
        ];
    }
}
