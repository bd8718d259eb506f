<?php

declare(strict_types=1);

namespace Impa\Plan;

use Impa\Armature\Passage;
use Impa\Build\Order\Reach;
use Impa\Build\Order\WorkPlace;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Build\Steps\WireRouting;
use Impa\Build\Work;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Render\Arrow;
use Impa\Render\DetailPiece;
use Impa\Render\PieceState;
use Impa\Render\WorkPicture;

/** The drawing of a step: the figure as far as it has got, the present piece lit, arrows where the needle goes. Immutable. */
final readonly class StepPicture
{
    /** Needles that are drawn round a piece, and how far outside they begin, as a share of its size. */
    private const ROUND = 8;

    private const OUT = 0.22;

    /** A picture is about a piece and so much round it, as shares of its size: more where it must be found on the figure. */
    private const BESIDE = 0.25;

    private const PLACED = 0.8;

    /** At these a piece may still be without its cover. */
    private const BEFORE_COVER = [StepKind::Core, StepKind::Wire, StepKind::Thread, StepKind::Loop, StepKind::Weight];

    private Figure $figure;

    private function __construct(private Work $work, private Step $step, private Side $from)
    {
        $this->figure = $work->ledger->figure;
    }

    /** @return string SVG */
    public static function of(Work $work, Step $step): string
    {
        $picture = new self($work, $step, self::side($work->ledger->figure, $step));

        return match ($step->kind) {
            StepKind::Mix => TablePicture::mixed($picture->figure, $step),
            StepKind::Portion => TablePicture::portions($work, $step),
            StepKind::Compare => TablePicture::compared($picture->figure, $picture->figure->parts[$step->about->part]),
            StepKind::Inspect => TablePicture::turned($picture->figure),
            default => $picture->working(),
        };
    }

    /** The side from which the place is seen best. */
    private static function side(Figure $figure, Step $step): Side
    {
        if ($step->about->detail !== '') {
            return $figure->details[$step->about->detail]->lie->side;
        }
        $part = $figure->parts[$step->about->part] ?? null;
        $isJoining = $step->kind->joins();
        // A layer is laid on what lies under it, joined or not: that is seen from the front.
        if (! $isJoining || $part === null || ! $part->isJoined()) {
            return Side::Front;
        }
        $to = $figure->parts[$part->join->to]->stand->at;
        [$x, $y, $z] = [abs($part->stand->at[0] - $to[0]), abs($part->stand->at[1] - $to[1]), $part->stand->at[2] - $to[2]];

        // What sits behind or before is seen from the side; what is hidden by what it sits on, from the back.
        return abs($z) > max($x, $y) ? Side::Right : Side::Front;
    }

    private function working(): string
    {
        $states = $this->states();
        $details = [];
        foreach ($this->before() as $key => $true) {
            if (str_starts_with($key, 'detail:')) {
                $details[substr($key, strlen('detail:'))] = true;
            }
        }
        $part = $this->figure->parts[$this->step->about->part] ?? null;
        if ($part === null) {
            return WorkPicture::of($this->figure, $this->from, $states, $details, arrows: $this->brushing());
        }

        return WorkPicture::of(
            $this->figure,
            $this->from,
            $states,
            $details,
            lit: $this->step->about->detail,
            onTop: count($this->together($this->before())) > 1 || $this->isPutOn() ? '' : $part->key,
            arrows: $this->arrows($part),
            about: $this->about($part),
            more: match ($this->step->kind) {
                StepKind::Mark => $this->marks($part),
                StepKind::Slit => $this->slit($part),
                default => '',
            },
            wires: $this->wires(),
        );
    }

    /** @return array<string, true> keys of the steps before this one */
    private function before(): array
    {
        $before = [];
        foreach ($this->work->steps as $step) {
            if ($step->key === $this->step->key) {
                break;
            }
            $before[$step->key] = true;
        }

        return $before;
    }

    /** @return array<string, PieceState> */
    private function states(): array
    {
        $done = $this->before();
        $together = $this->together($done);
        $states = [];
        foreach ($this->figure->parts as $key => $part) {
            $isNow = $key === $this->step->about->part;
            $isMade = isset($done['cover:'.$key]) || ($isNow && ! in_array($this->step->kind, self::BEFORE_COVER, true));
            $isOn = isset($together[$key]);
            $state = match (true) {
                $isMade && $isNow => PieceState::Lit,
                $isNow => PieceState::LitCore,
                $isMade && $isOn => PieceState::On,
                $isMade => PieceState::Ready,
                isset($done['core:'.$key]) => PieceState::Core,
                default => PieceState::Ahead,
            };
            $states[$key] = $state;
        }

        return $states;
    }

    /**
     * What hangs together with the present piece; where there is none, with the figure's first part.
     *
     * @param  array<string, true>  $done
     * @return array<string, true> by part
     */
    private function together(array $done): array
    {
        $together = [$this->step->about->part !== '' ? $this->step->about->part : (string) array_key_first($this->figure->parts) => true];
        if ($this->isPutOn()) {
            $together[$this->figure->parts[$this->step->about->part]->join->to] = true;
        }
        do {
            $before = count($together);
            foreach ($this->figure->parts as $key => $part) {
                if (isset($done['join:'.$key]) && (isset($together[$key]) || isset($together[$part->join->to]))) {
                    $together += [$key => true, $part->join->to => true];
                }
            }
        } while (count($together) > $before);

        return $together;
    }

    /** @return list<Arrow> */
    private function arrows(Part $part): array
    {
        $size = $this->size($part);

        return match ($this->step->kind) {
            StepKind::Core, StepKind::Felt => $this->round(
                $part,
                self::OUT * $size,
                0.12 * $size,
                $part->solid->kind()->isFlat() ? 45.0 : 0.0,
            ),
            StepKind::Cover, StepKind::Covering => $this->round($part, self::OUT * $size, 0.04 * $size, 50.0),
            StepKind::Detail => $this->roundDetail($size),
            StepKind::Join, StepKind::Hide => $this->into($this->seams($part), $size),
            StepKind::Thread => $this->into($this->holes(), $size),
            StepKind::Loop => $this->above($part, $size),
            default => [],
        };
    }

    /** @return list<Arrow> round every piece of a part */
    private function round(Part $part, float $outMm, float $inMm, float $slantDeg): array
    {
        return Arrow::round($this->outline($part->placements()[0]), self::ROUND, $outMm, $inMm, $slantDeg);
    }

    /** @return list<Arrow> to the rim of every piece of the detail */
    private function roundDetail(float $partMm): array
    {
        $detail = $this->figure->details[$this->step->about->detail];
        $arrows = [];
        $placement = $this->figure->parts[$detail->on]->placements()[0];
        [$right, $up] = $this->from->see(...$placement->at);
        foreach (DetailPiece::all($detail, $placement) as $piece) {
            foreach (array_slice($piece->seenFrom($this->from), 0, 1) as $loops) {
                $loop = array_map(static fn (array $p): array => [$p[0] + $right, $p[1] + $up], $loops[0]);
                array_push($arrows, ...Arrow::round($loop, 4, 0.14 * $partMm, 0.005 * $partMm, 20.0));
            }
        }

        return $arrows;
    }

    /**
     * @param  list<WorkPlace>  $places
     * @return list<Arrow> to every point of them from all sides, as the needle can stand there
     */
    private function into(array $places, float $size): array
    {
        $arrows = [];
        foreach ($places as $place) {
            foreach ($place->points as [$point, $normal]) {
                [$x, $y] = $this->from->see(...$point);
                [$dx, $dy] = $this->from->see(...$normal);
                // Seen end on, a needle is a dot.
                if (hypot($dx, $dy) > 0.3) {
                    $out = max(6.0, 0.45 * $size);
                    $arrows[] = new Arrow($x + $out * $dx, $y + $out * $dy, $x - 1.5 * $dx, $y - 1.5 * $dy);
                }
            }
        }

        return $arrows;
    }

    /** @return list<WorkPlace> */
    private function seams(Part $part): array
    {
        [$obstacles, $at] = Reach::obstacles($this->figure);

        return WorkPlace::ofSeam($this->figure, $part, $at, $obstacles);
    }

    /** @return list<WorkPlace> of the wire that is led through */
    private function holes(): array
    {
        [$obstacles, $at] = Reach::obstacles($this->figure);
        foreach (Passage::all($this->figure) as $passage) {
            if (WireRouting::key($passage) === $this->step->key) {
                return WorkPlace::ofHoles($passage, $at, $obstacles);
            }
        }

        return [];
    }

    /** Where the scissors go: along the seam. */
    private function slit(Part $part): string
    {
        $svg = '';
        foreach ($this->seams($part) as $place) {
            $seen = array_map(fn (array $p): array => $this->from->see(...$p[0]), $place->points);
            usort($seen, static fn (array $a, array $b): int => [$a[1], $a[0]] <=> [$b[1], $b[0]]);
            [$one, $two] = [$seen[0], $seen[count($seen) - 1]];
            $svg .= sprintf(
                '<path d="M%s %sL%s %s" stroke="#2f6480" stroke-width="%s" stroke-linecap="round"/>',
                WorkPicture::mm($one[0]),
                WorkPicture::mm(-$one[1]),
                WorkPicture::mm($two[0]),
                WorkPicture::mm(-$two[1]),
                WorkPicture::mm(0.04 * $this->size($part)),
            );
        }

        return $svg;
    }

    /** Whether the present piece is put onto another. */
    private function isPutOn(): bool
    {
        return $this->step->kind->joins();
    }

    /** @return list<Arrow> through the top */
    private function above(Part $part, float $size): array
    {
        $loop = $this->outline($part->placements()[0]);
        $box = Box::around($loop);
        [$top, $x] = [$box->high, $box->middle()[0]];

        return [new Arrow($x, $top + 0.5 * $size, $x, $top - 0.15 * $size)];
    }

    /** @return list<Arrow> along the rim of the whole figure */
    private function brushing(): array
    {
        $points = [];
        foreach ($this->figure->parts as $part) {
            foreach ($part->placements() as $placement) {
                array_push($points, ...$this->outline($placement));
            }
        }
        $size = $points === [] ? 1.0 : Box::around($points)->height();

        return Arrow::round($points, self::ROUND, 0.1 * $size, 0.01 * $size, 60.0);
    }

    private function about(Part $part): Box
    {
        $points = [];
        foreach ($part->placements() as $placement) {
            array_push($points, ...$this->outline($placement));
        }
        if (! $this->isPutOn() || ! $part->isJoined()) {
            return Box::around($this->outline($part->placements()[0]))->grown(self::BESIDE * $this->size($part));
        }
        // Both of a pair, and enough of what they are put on.
        $to = Box::around($this->outline($this->figure->parts[$part->join->to]->placements()[0]));
        $box = Box::around($points)->grown(self::PLACED * $this->size($part));

        return Box::around([[max($box->left, $to->left), $box->low], [min($box->right, $to->right), $box->high], ...$points]);
    }

    private function size(Part $part): float
    {
        $box = Box::around($this->outline($part->placements()[0]));

        return max($box->width(), $box->height());
    }

    /** @return list<array{float, float}> of a piece where it stands, seen from the picture's side */
    private function outline(Placement $piece): array
    {
        [$right, $up] = $this->from->see(...$piece->at);

        return array_map(
            static fn (array $p): array => [$p[0] + $right, $p[1] + $up],
            Silhouette::of($piece, $this->from)[0],
        );
    }

    /**
     * Every wire that is there by now, as it runs: the needle keeps away from it.
     *
     * @return list<array{list<array{float, float}>, float}> courses as they are seen, and how thick they are drawn, mm
     */
    private function wires(): array
    {
        $done = $this->before() + [$this->step->key => true];
        $wires = [];
        foreach (Passage::all($this->figure) as $passage) {
            if ($this->isLaid($passage, $done)) {
                foreach ($passage->wire->courses() as $course) {
                    $seen = array_map(fn (array $p): array => array_slice($this->from->see(...$p), 0, 2), $course);
                    $wires[] = [$seen, max(0.8, $passage->wire->gaugeMm)];
                }
            }
        }

        return $wires;
    }

    /**
     * Whether a wire is in its place: it was led through, or where that is no step, bent for its limb.
     *
     * @param  array<string, true>  $done  by the key of a step
     */
    private function isLaid(Passage $passage, array $done): bool
    {
        $key = WireRouting::key($passage);
        $bent = array_map(static fn (string $limb): string => 'wire:'.$limb, $passage->limbs);

        return array_intersect($this->work->needs->has($key) ? [$key] : $bent, array_map('strval', array_keys($done))) !== [];
    }

    /** The level line, the middle line, and a prick for every detail. */
    private function marks(Part $part): string
    {
        [$x, $y] = $this->from->see(...$part->stand->at);
        $size = $this->size($part);
        $svg = '';
        $heights = [];
        foreach ($this->figure->detailsOn($part->key) as $detail) {
            [$u, $v] = $detail->middle();
            $heights[] = $v;
            foreach ($detail->lie->mirror ? [$u, -$u] : [$u] as $across) {
                $svg .= sprintf(
                    '<circle cx="%s" cy="%s" r="%s" fill="#2f6480"/>',
                    WorkPicture::mm($x + $across),
                    WorkPicture::mm(-$y - $v),
                    WorkPicture::mm(0.014 * $size),
                );
            }
        }
        $level = $heights === [] ? 0.0 : max($heights);

        return sprintf(
            '<path d="M%s %sH%sM%s %sV%s" fill="none" stroke="#2f6480" stroke-width="%s" stroke-dasharray="%s"/>%s',
            WorkPicture::mm($x - 0.6 * $size),
            WorkPicture::mm(-$y - $level),
            WorkPicture::mm($x + 0.6 * $size),
            WorkPicture::mm($x),
            WorkPicture::mm(-$y - 0.6 * $size),
            WorkPicture::mm(-$y + 0.6 * $size),
            WorkPicture::mm(0.006 * $size),
            WorkPicture::mm(0.03 * $size),
            $svg,
        );
    }
}
