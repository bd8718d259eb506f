<?php

declare(strict_types=1);

namespace Impa\Check;

use Impa\Check\Comparison\Details;
use Impa\Check\Comparison\Deviation;
use Impa\Check\Comparison\Expected;
use Impa\Check\Comparison\Pieces;
use Impa\Check\Comparison\PoseFit;
use Impa\Check\Comparison\Rim;
use Impa\Check\Comparison\Seen;
use Impa\Check\Comparison\Symmetry;
use Impa\Check\Comparison\WhiteBalance;
use Impa\Check\Photo\ForegroundMask;
use Impa\Check\Photo\Marks;
use Impa\Check\Photo\Photo;
use Impa\Check\Photo\PhotoFit;
use Impa\Check\Photo\PhotoPose;
use Impa\Check\Photo\PhotoRefused;
use Impa\Check\Photo\Scale;
use Impa\Colour\Srgb;
use Impa\Figure\Figure;
use Impa\Raster\File\PictureRefused;
use Impa\Render\FlatArea;
use Impa\Render\View;
use Impa\Voice\Message;

/**
 * A photo of a finished figure against its plan: found on its ground, laid over the plan, and piece by piece and detail by detail held
 * against it. Immutable.
 */
final readonly class PhotoCheck
{
    /** Below this overlap it is another figure, or another side. */
    private const SAME = 0.55;

    /** Above this one it is surely this one, and no other light is tried. */
    private const SURELY = 0.9;

    /** What takes longer from one colour to the other than this is blurred, mm, and as a share of the figure. */
    private const BLURRED_MM = 2.4;

    /** Of the rims that are planned so many must be found. */
    private const TOLD = 0.35;

    /** What stands on the photo must overlap so far with the pieces as they were found, or nothing is told. */
    private const EXPLAINED = 0.85;

    /** Less than this is not told: neither hand nor photo is so exact. */
    private const LEAST_MM = 0.7;

    /**
     * @param  list<Deviation>  $deviations  the worst first
     * @param  list<Message>  $unjudged  in words
     * @param  list<array<string, mixed>>  $symmetry  left against right, the worst first
     * @param  ?Message  $why  nothing can be told
     */
    private function __construct(
        public Figure $figure,
        public View $view,
        public Expected $plan,
        public PhotoFit $fit,
        public array $deviations,
        public array $unjudged,
        private array $symmetry,
        private ?Message $why,
    ) {
    }

    /**
     * @param  string  $bytes  PNG, JPEG, WebP or GIF
     *
     * @throws PhotoRefused if nothing can be judged on it
     * @throws PictureRefused if it is no picture
     */
    public static function of(Figure $figure, string $bytes, View $view, ?Scale $scale = null): self
    {
        if ($scale !== null && $scale->ruler === null && ! isset($figure->parts[$scale->part])) {
            throw PhotoRefused::noScalePart();
        }
        $plan = Expected::of($figure, $view->side());
        $photo = Photo::of($bytes);
        $rims = Rim::all($plan);
        try {
            [$fit, $pose, $marks] = self::laid($photo, $plan, $rims, $scale, true);
        } catch (PhotoRefused $refused) {
            // Both places may lie on the figure itself, which is no ruler to be left out.
            [$fit, $pose, $marks] = $scale?->ruler === null ? throw $refused : self::laid($photo, $plan, $rims, $scale, false);
        }
        $scale = $marks === null ? $scale : null;
        $seen = Seen::on($photo, $pose, $plan, $rims);
        if ($seen->edgeMm > self::BLURRED_MM) {
            throw PhotoRefused::blurred();
        }
        if ($scale !== null && $scale->ruler === null) {
            $seen = Seen::on($photo, $seen->scaledBy($scale, $plan), $plan, $rims);
        }
        if (count($seen->edges) < self::TOLD * count($rims)) {
            throw PhotoRefused::littleSeen();
        }
        $explained = $fit->overlap($seen->pose, $plan, $seen->asFound($plan), 80);
        $why = $explained < self::EXPLAINED
            ? Message::of('check.photo-check.shadow')
            : null;
        [$deviations, $unjudged] = $why === null ? self::judged($plan, $seen, $rims) : [[], []];
        usort($deviations, static fn (Deviation $a, Deviation $b): int => $b->weight <=> $a->weight);

        return new self(
            $figure,
            $view,
            $plan,
            new PhotoFit($seen->pose, $fit->overlap($seen->pose, $plan), $explained, $photo->ownPerPx, match (true) {
                $marks !== null => 'sheet',
                $scale === null => 'figure',
                default => $scale->ruler === null ? 'part' : 'ruler',
            }),
            $deviations,
            [...self::whole($seen), ...$unjudged],
            $why === null ? Symmetry::of($plan, $seen) : [],
            $why,
        );
    }

    /**
     * The plan over what stands on the photo.
     *
     * @param  list<Rim>  $rims
     * @return array{PoseFit, PhotoPose, ?Marks}
     *
     * @throws PhotoRefused
     */
    private static function laid(Photo $photo, Expected $plan, array $rims, ?Scale $scale, bool $isRulerOut): array
    {
        $colours = array_map(
            static fn (FlatArea $layer): Srgb => $layer->srgb,
            array_values(array_filter($plan->layers, static fn (FlatArea $layer): bool => $layer->detail === null)),
        );
        $perMm = $scale?->pxPerMm();
        $laid = null;
        $most = 0.0;
        foreach (ForegroundMask::on($photo, $isRulerOut ? $scale : null, $colours) as $mask) {
            $fit = PoseFit::on($mask->cells, $mask->ground);
            $pose = $fit->fit($plan, self::outline($rims), $mask->marks, $perMm === null ? null : $perMm / $photo->ownPerPx);
            $overlap = $fit->overlap($pose, $plan);
            [$laid, $most] = $overlap > $most ? [[$fit, $pose, $mask->marks], $overlap] : [$laid, $most];
            if ($most > self::SURELY) {
                break;
            }
        }

        return $laid === null || $most < self::SAME ? throw PhotoRefused::anotherFigure($most) : $laid;
    }

    /**
     * What is to be said first.
     *
     * @return array{is: 'as-planned'|'look'|'cannot-tell', text: Message}
     */
    public function verdict(): array
    {
        $count = count($this->deviations);

        return match (true) {
            $this->why !== null => ['is' => 'cannot-tell', 'text' => Message::of('check.photo-check.cannot-tell', why: $this->why)],
            $count === 0 => ['is' => 'as-planned', 'text' => Message::of('check.photo-check.no-visible-difference-from')],
            default => [
                'is' => 'look',
                'text' => Message::of('check.photo-check.look', count: $count),
            ],
        };
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
            'verdict' => $this->verdict(),
            'overlap' => round($this->fit->overlap, 4),
            'mmPerPx' => round(1 / ($this->fit->pose->pxPerMm($x, $y) * $this->fit->ownPerPx), 5),
            'tiltDeg' => round(rad2deg($this->fit->pose->turn), 2),
            'scaledBy' => $this->fit->scaledBy,
            'deviations' => array_map($this->pinned(...), $this->deviations),
            'symmetry' => $this->symmetry,
            'unjudged' => $this->unjudged,
            'outline' => $this->drawn(),
        ];
    }

    /** @return array<string, mixed> with its place on the photo */
    private function pinned(Deviation $deviation): array
    {
        [$x, $y] = $deviation->atMm;

        return $deviation->document($this->own($x, $y, $this->plan->label($x, $y)));
    }

    /** @return list<list<array{float, float}>> what is seen of every rim of the plan, where it should be on the photo as it came, in pixels */
    private function drawn(): array
    {
        $drawn = [];
        foreach (array_keys($this->plan->layers) as $label) {
            foreach ($this->plan->seenRim($label) as $stretch) {
                $drawn[] = array_map(function (array $p) use ($label): array {
                    [$x, $y] = $this->own($p[0], $p[1], $label);

                    return [round($x, 1), round($y, 1)];
                }, $stretch);
            }
        }

        return $drawn;
    }

    /** @return array{float, float} in pixels of the photo as it came */
    private function own(float $x, float $y, int $label): array
    {
        [$px, $py] = $this->fit->pose->at($x, $y, $this->plan->towardsMm($label));

        return [$px * $this->fit->ownPerPx, $py * $this->fit->ownPerPx];
    }

    /**
     * @param  list<Rim>  $rims
     * @return list<array{float, float, float}> places of the whole figure's outline, and how near they are
     */
    private static function outline(array $rims): array
    {
        $outline = [];
        foreach ($rims as $rim) {
            if ($rim->outside === Expected::GROUND) {
                $outline[] = [$rim->x, $rim->y, $rim->towardsMm];
            }
        }

        return $outline;
    }

    /**
     * @param  list<Rim>  $rims
     * @return array{list<Deviation>, list<Message>}
     */
    private static function judged(Expected $plan, Seen $seen, array $rims): array
    {
        $deviations = $unjudged = [];
        array_push($deviations, ...Pieces::judged($plan, $seen, $rims, self::LEAST_MM, $unjudged));
        $of = [];
        foreach ($seen->details as [$label, $fit]) {
            $of[$plan->layers[$label]->detail->key ?? ''][] = [$plan->layers[$label], $fit];
        }
        foreach ($of as $pieces) {
            array_push($deviations, ...Details::judged($pieces, self::LEAST_MM, $unjudged));
        }
        array_push($deviations, ...WhiteBalance::deviations($plan, $seen->colours, $unjudged));

        return [$deviations, array_values(array_unique($unjudged))];
    }

    /** @return list<Message> what no photo tells, or not this one */
    private static function whole(Seen $seen): array
    {
        return [
            ...($seen->pose->isMeasured()
                ? []
                : [Message::of('check.photo-check.its-size')]),
            ...($seen->pose->isOnSheet() || $seen->details === []
                ? []
                : [Message::of('check.photo-check.whether-its-face-sits')]),
            Message::of('check.photo-check.how-deep'),
        ];
    }
}
