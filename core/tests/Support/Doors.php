<?php

declare(strict_types=1);

namespace Impa\Tests\Support;

use ErrorException;
use Impa\Armature\ArmatureSheet;
use Impa\Armature\Skeleton;
use Impa\Balance\Balance;
use Impa\Balance\BalanceSheet;
use Impa\Build\Schedule\Evenings;
use Impa\Build\ScheduleSheet;
use Impa\Build\StepsSheet;
use Impa\Build\Technique\TechniqueChoices;
use Impa\Build\Work;
use Impa\Colour\Srgb;
use Impa\Face\Advice\Advice;
use Impa\Face\Advice\Evenness;
use Impa\Face\Advice\FaceAdvice;
use Impa\Face\Advice\Guides;
use Impa\Face\Advice\NeedlesEye;
use Impa\Face\Advice\Sliding;
use Impa\Face\Laying;
use Impa\Face\LayingOrder;
use Impa\Face\Needles;
use Impa\Figure\Editing\Accessories;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Term\Stitch;
use Impa\Flat\FeltSheet;
use Impa\Flat\FlatPlan;
use Impa\Flat\Pattern;
use Impa\Flat\Sewing;
use Impa\Geometry\Bisection;
use Impa\Material\Densities;
use Impa\Plan\Numbers;
use Impa\Plan\Plan;
use Impa\Plan\StepPicture;
use Impa\Print\Page\Outlines;
use Impa\Print\Page\Paper;
use Impa\Print\Template\BendingSheet;
use Impa\Print\Template\FaceTemplates;
use Impa\Print\Template\LayerTemplates;
use Impa\Print\Template\SizeCards;
use Impa\Print\Work\WorkSheet;
use Impa\Render\Board;
use Impa\Render\Glb;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Seeing\Result\ReviewOrder;
use Impa\Sets\FigureSet;
use Impa\Sets\Kit;
use Impa\Sets\Member;
use Impa\Sets\SetPlan;
use Impa\Show\Jar;
use Impa\Show\Showing;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Surface\Anchor;
use Impa\Surface\Girth;
use Impa\Surface\Surface;
use Impa\Surface\TapeGrid;
use Impa\Wool\Ledger\Ledger;
use Throwable;

/** Every way in which a figure is reckoned, as the controllers ask for it: what each answers, to be written out. */
final class Doors
{
    /** @return array<string, callable(Figure): mixed> */
    public static function all(): array
    {
        $house = Densities::house();
        $ledger = static fn (Figure $f): Ledger => Ledger::of($f, $house);
        $work = static fn (Figure $f): Work => Works::of($f);
        $needles = Needles::usual();
        // What is asked of one part, detail or step at a time.
        $each = static fn (Figure $f, callable $do): array => self::each($do, array_values($f->parts));
        $supply = static fn (Figure $f): Supply => Supply::of($f, [], [], Reserve::Usual, $house);

        return [
            'plan' => static fn (Figure $f): array => Plan::of($f)->document(),
            'board' => static fn (Figure $f): array => [Board::flat($ledger($f)), ReviewOrder::of($f)],
            'board/turning' => static fn (Figure $f): array => Board::turning($f),
            'board, rescaled' => static fn (Figure $f): mixed => Scaling::to($f, 90.0)->document(),
            'number' => static fn (Figure $f): array => self::each(
                static fn (array $a): array => Numbers::card(Plan::of($f), $a[0], $a[1], $needles, $supply($f))->document(),
                self::numbers($f),
            ),
            'balance' => static fn (Figure $f): array => BalanceSheet::of(Balance::of($ledger($f))),
            'armature' => static fn (Figure $f): array => ArmatureSheet::of($f, $ledger($f), Skeleton::of($f, true), []),
            'armature/bend' => static fn (Figure $f): array => BendingSheet::pages($f, Skeleton::of($f, true), Paper::A4),
            'build' => static fn (Figure $f): array => [StepsSheet::of($work($f)), TechniqueChoices::of($f)],
            'build/picture' => static function (Figure $f) use ($work): array {
                $steps = $work($f);

                return self::each(static fn ($step): string => StepPicture::of($steps, $step), $steps->steps);
            },
            'build/paper' => static fn (Figure $f): string => WorkSheet::of($work($f)),
            'schedule' => static fn (Figure $f): array => ScheduleSheet::of(
                $work($f),
                $needles,
                90.0,
                Evenings::of(['tue'], '2026-12-01', '2026-12-01', '', '19:00'),
            ),
            'face' => static fn (Figure $f): array => $each($f, static function (Part $part): array {
                $surface = Surface::of($part->placements()[0]);
                $grid = TapeGrid::of($surface);
                $half = static fn (float $y): float => Bisection::of(static fn (float $mm): bool => $surface->has($mm, $y));

                return $grid + [
                    'girth' => Girth::widest($part, $surface, $grid['crownMm'], $grid['footMm']),
                    'guides' => Guides::on($grid['crownMm'], $grid['footMm'], $half),
                ];
            }),
            'face/advice' => static fn (Figure $f): array => $each($f, static function (Part $part) use ($f, $needles): array {
                $even = Evenness::of($f, $part->key);
                $documents = static fn (array $list): array => array_map(static fn (Advice $a): array => $a->document(), $list);

                return [array_map($documents, FaceAdvice::of($f, $part->key, $needles, $even)), get_object_vars($even)];
            }),
            'face/laying' => static fn (Figure $f): array => array_map(
                static fn ($detail): array => Laying::of(
                    $f,
                    $detail,
                    Surface::of($f->parts[$detail->on]->placements()[0], $detail->lie->side),
                    $needles,
                )->document(),
                LayingOrder::of($f, array_values($f->details)),
            ),
            'face/needles-eye' => static fn (Figure $f): array => self::each(static fn ($d): array => [
                NeedlesEye::on($f, $d, Surface::of($f->parts[$d->on]->placements()[0], $d->lie->side)),
                Sliding::inSize($d, Surface::of($f->parts[$d->on]->placements()[0], $d->lie->side)),
            ], array_values($f->details)),
            'face/marks' => static fn (Figure $f): array => $each($f, static function (Part $part) use ($f): array {
                $surface = Surface::of($part->placements()[0]);
                $marks = [];
                foreach (Anchor::all($f, $part, $surface) as $anchor) {
                    foreach ($f->detailsOn($part->key) as $detail) {
                        $marks[] = $anchor->to($surface, ...$detail->middle());
                    }
                }

                return $marks;
            }),
            'face/sheets' => static fn (Figure $f): array => $each(
                $f,
                static fn (Part $part): array => FaceTemplates::of($f, $part)->pages(Paper::A4),
            ),
            'supply' => static fn (Figure $f): array => $supply($f)->document(200.0),
            'supply/portions' => static fn (Figure $f): string => \Impa\Print\Work\PortionsSheet::of($supply($f)),
            'size-cards' => static fn (Figure $f): string => SizeCards::sheet(Plan::of($f), Paper::A4),
            'outlines' => static fn (Figure $f): array => array_map(
                static fn (View $view): string => Outlines::svg($f, $view),
                View::cases(),
            ),
            'model' => static fn (Figure $f): string => bin2hex(substr(Glb::of($f), 0, 40)),
            'render' => static fn (Figure $f): array => array_map(
                static fn (View $view): int => strlen(Painter::png($f, $view, 32, Srgb::hex('#ffffff'))),
                View::cases(),
            ),
            'flat' => static fn (Figure $f): array => FlatPlan::of($f, FeltSheet::usual())->document(),
            'flat/templates' => static fn (Figure $f): array => LayerTemplates::pages(
                $f,
                FlatPlan::of($f, FeltSheet::usual()),
                Paper::A4,
                true,
            ),
            'flat/pattern' => static fn (Figure $f): array => $each($f, static fn (Part $part): mixed => self::unless(
                static fn (): array => Pattern::of($part, Sewing::of(3.0, Stitch::Back, 3.0, 1.5, true), $house)->document(),
            )),
            'things' => static fn (Figure $f): array => Accessories::all($f),
            'show' => static fn (Figure $f): array => [
                self::unless(static fn (): array => Jar::of(60.0, 80.0, 120.0)->holding(\Impa\Show\Shown::of($f))),
                self::unless(static fn (): array => Showing::hook($ledger($f), 40.0)),
                self::unless(static fn (): array => Showing::brooch($ledger($f))),
            ],
            'set/plan' => static fn (Figure $f): array => SetPlan::of(
                FigureSet::of('Two', [Member::of($f, 'One', 2, [], null)]),
                [],
                [],
                Reserve::Usual,
            )->document(),
            'kit' => static fn (Figure $f): array => Kit::of($supply($f), $work($f), 4, 1, 0.5, Reserve::Usual)->document(),
        ];
    }

    /** @return list<array{string, string}> what can be asked of how its numbers came about, each number of a figure once */
    public static function numbers(Figure $figure): array
    {
        $part = (string) array_key_first($figure->parts);
        $detail = (string) array_key_first($figure->details);
        $of = [
            'core' => $part, 'colour' => $part, 'making' => $part, 'cover' => $part, 'covering' => $part, 'film' => $part,
            'wisp' => $detail, 'crisp' => $detail,
            'wool' => (string) array_key_first($figure->colours), 'minutes' => "cover:$part", 'reach' => "detail:$detail",
            'reserve' => '', 'need' => 'core-wool',
        ];

        return array_map(static fn (string $number): array => [$number, $of[$number] ?? ''], Numbers::KNOWN);
    }

    /**
     * @param  list<mixed>  $all
     * @return list<mixed> what is answered of each; how long the longest took is told apart
     */
    private static function each(callable $do, array $all): array
    {
        $answers = [];
        foreach ($all as $one) {
            $began = microtime(true);
            $answers[] = self::unless(static fn (): mixed => $do($one));
            self::$longest = max(self::$longest ?? 0.0, microtime(true) - $began);
        }

        return $answers;
    }

    /** Seconds of the longest of several asks of the last door; none where it is one ask. */
    private static ?float $longest = null;

    /** Refused in words is an answer, too. */
    private static function unless(callable $ask): mixed
    {
        try {
            return $ask();
        } catch (\Impa\Voice\Refusal $refused) {
            return $refused->getMessage();
        }
    }

    /**
     * What a door answers to a figure, written out as a screen or a page would get it; in words where it is refused.
     *
     * @throws Throwable if it breaks
     */
    public static function answer(string $door, Figure $figure): string
    {
        return json_encode(self::unless(static fn (): mixed => self::all()[$door]($figure)), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /** What is wrong with an answer; empty where nothing is. PHP's own warnings count. */
    public static function fault(string $door, Figure $figure): string
    {
        set_error_handler(static fn (int $n, string $why, string $file, int $line) => throw new ErrorException($why, 0, $n, $file, $line));
        try {
            $answer = self::answer($door, $figure);
        } catch (Throwable $e) {
            return sprintf('%s at %s:%d', $e->getMessage(), basename($e->getFile()), $e->getLine());
        } finally {
            restore_error_handler();
        }

        return preg_match('/.{0,60}\\b(?:NaN|NAN|INF)\\b.{0,30}/u', $answer, $m) === 1 ? $m[0] : '';
    }

    /** How long one ask at a door took at most, seconds. */
    public static function seconds(string $door, Figure $figure, ?callable $ask = null): float
    {
        self::$longest = null;
        $began = microtime(true);
        ($ask ?? self::answer(...))($door, $figure);

        return self::$longest ?? microtime(true) - $began;
    }
}
