<?php

declare(strict_types=1);

namespace Impa\Tests\EveryEdit;

use Closure;
use ErrorException;
use FilesystemIterator;
use Impa\Face\Together;
use Impa\Figure\Document\FigureCheck;
use Impa\Figure\Editing\Accessories;
use Impa\Figure\Editing\Branch;
use Impa\Figure\Editing\Buried;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Editing\Edited;
use Impa\Figure\Editing\Edits;
use Impa\Figure\Editing\Scaling;
use Impa\Figure\Editing\Touching;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Gap;
use Impa\Figure\Pull;
use Impa\Figure\Term\Carried;
use Impa\Figure\Term\FaceSchool;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\PlateSchool;
use Impa\Geometry\Box;
use Impa\Geometry\Outline\Polygon;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Render\FlatArea;
use Impa\Render\View;
use Impa\Seeing\Editing\PartEditor;
use Impa\Shape\ShapeKind;
use Impa\Shape\Size;
use Impa\Tests\Support\AnyFigure;
use Impa\Tests\Support\Figures;
use Impa\Voice\Refusal;
use Impa\Wool\Ledger\Ledger;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use ReflectionClass;
use ReflectionMethod;
use stdClass;

/*
 * Every change of a figure's document there is, on random figures: half of them made from the schema, with all its members; half whole
 * figures with twins, details on every side, a thing, wires, weights, openings.
 */

function figure(int $seed): Figure
{
    if ($seed % 2 === 0) {
        // What the check refuses is no figure: the next one.
        for ($n = 0; FigureCheck::faults($document = AnyFigure::of(7000 + 100 * $seed + $n, 5, 0.0)) !== []; $n++);
    } else {
        $document = json_decode((string) json_encode(Figures::random($seed, 7, 7)));
        foreach ($document->parts as $i => $part) {
            $part->{'x-mine'} = $i;
            if ($i % 3 !== 2) {
                $part->turnDeg = (object) ['z' => $part->turnDeg->z];
            }
            if ($i >= 5) {
                $part->group = 'cup';
            }
        }
        foreach ($document->details as $i => $detail) {
            $detail->side = ['front', 'back', 'left', 'right', 'top', 'front', 'under'][$i];
        }
        $document->wires = [(object) ['key' => 'w', 'pointsMm' => [[-10.25, 30, 0], [12.5, 31, 2]]]];
        $document->base = (object) ['weights' => [(object) ['g' => 5, 'atMm' => [3, 4, 1]]]];
    }
    $document->{'x-mine'} = ['kept'];

    return Figure::fromDocument($document);
}

/** @return array<string, Closure(Figure): (Edited|Figure|stdClass)> */
function edits(): array
{
    $any = static fn (array $of): string => $of === [] ? 'none' : (string) array_keys($of)[mt_rand(0, count($of) - 1)];
    $part = static fn (Figure $f): string => $any($f->parts);
    $detail = static fn (Figure $f): string => $any($f->details);
    $thing = static fn (Figure $f): string => Accessories::all($f)[0]['name'] ?? 'none';
    $how = static fn (): Carried => Carried::cases()[mt_rand(0, 2)];
    $others = static fn (Figure $f, string $key): array => Together::all($f)[$key] ?? [];

    return [
        'a part taken away' => static fn (Figure $f): Edited => Edits::remove($f, true, [$part($f)]),
        'a detail taken away' => static fn (Figure $f): Edited => Edits::remove($f, false, [$detail($f)]),
        'a part doubled' => static fn (Figure $f): Edited => Edits::double($f, true, $part($f)),
        'a detail doubled' => static fn (Figure $f): Edited => Edits::double($f, false, $key = $detail($f), $others($f, $key)),
        'a pair made' => static fn (Figure $f): Edited => Edits::twinned($f, $key = $detail($f), true, $others($f, $key)),
        'one of a pair kept' => static fn (Figure $f): Edited => Edits::twinned($f, $key = $detail($f), false, $others($f, $key)),
        'a pair parted' => static fn (Figure $f): Edited => Edits::parted($f, $key = $detail($f), $others($f, $key)),
        'a part painted' => static fn (Figure $f): Edited => Edits::paint($f, true, [$part($f)], '#12ab34', 'Moss'),
        'a detail painted' => static fn (Figure $f): Edited => Edits::paint($f, false, [$detail($f)], '#12ab34', 'Moss'),
        'a shape added' => static fn (Figure $f): Edited => Edits::add($f, ShapeKind::cases()[mt_rand(0, 7)], $part($f)),
        'a detail mended' => static fn (Figure $f): Edited => Edits::mend($f, $detail($f), (object) ['layer' => 2], [], []),
        'the middle line moved' => static fn (Figure $f): Edited => Edits::axisMoved($f, mt_rand(-90, 90) / 10),
        'a part nearer' => static fn (Figure $f): Edited => Edits::reordered($f, $part($f), true),
        'a part farther' => static fn (Figure $f): Edited => Edits::reordered($f, $part($f), false),
        'a point of a wire' => static fn (Figure $f): Edited => Edits::pointed($f, $any($f->wires)),
        'its height said' => static fn (Figure $f): Edited => Edits::ofOneHeight($f, false),
        'grown to its height' => static fn (Figure $f): Edited => Edits::ofOneHeight($f, true),
        'brought forwards' => static fn (Figure $f): Edited => Buried::forwards($f, $any(array_filter(
            $f->parts,
            static fn (Part $p): bool => Buried::mm($f, $p) > 0.0,
        ))),
        'the surer ones taken' => static fn (Figure $f): Edited => Edits::takeSurer($f, mt_rand(0, 10) / 10),
        'brought together' => static fn (Figure $f): Edited => Touching::brought($f, $any(Gap::all($f))),
        'laid round' => static fn (Figure $f): Edited => Buried::laidRound($f, $any(array_filter($f->parts, Buried::canGoRound(...)))),
        'a thing gathered' => static fn (Figure $f): Edited => Accessories::gather($f, [$part($f)], 'cup'),
        'a thing resized' => static fn (Figure $f): Edited => Accessories::resize($f, $thing($f), 1.3),
        'a thing fastened' => static fn (Figure $f): Edited => Accessories::fasten($f, $thing($f), $part($f)),
        'a thing put' => static fn (Figure $f): Edited => Accessories::put($f, figure(3), 'jar', $how(), $part($f), 30.0),
        'a thing taken out' => static fn (Figure $f): stdClass => Accessories::taken($f, $thing($f)),
        'firmness' => static fn (Figure $f): Figure => Choices::firmness($f, [$part($f) => Firmness::Hard]),
        'a covering' => static fn (Figure $f): Figure => Choices::covered($f, [$part($f)], CoveringWay::Tufts),
        'a filling' => static fn (Figure $f): Figure => Choices::filled($f, CoreMaterial::Scrap),
        'a school' => static fn (Figure $f): Figure => Choices::school($f, FaceSchool::FaceFirst),
        'thin plates' => static fn (Figure $f): Figure => Choices::plates($f, PlateSchool::Dry),
        'joined to its root' => static fn (Figure $f): Figure => Choices::joinedTo(
            $f,
            $any(array_filter($f->parts, static fn (Part $p): bool => $p->isJoined())),
            $any(array_filter($f->parts, static fn (Part $p): bool => ! $p->isJoined())),
        ),
        'a way of joining' => static fn (Figure $f): Figure => Choices::joinedBy($f, JoinBy::Slit, [JoinBy::Fluff]),
        'a way of making details' => static fn (Figure $f): Figure => Choices::madeBy($f, [$detail($f)], Method::Bead),
        'other wires' => static fn (Figure $f): Figure => Choices::wired($f, array_slice(array_values($f->wires), 1)),
        'a step pulled' => static fn (Figure $f): Figure => Choices::pulled($f, new Pull('trim', 'inspect', false)),
        'a flat base' => static fn (Figure $f): Figure => Choices::flattened($f, 3.0),
        'a weight' => static fn (Figure $f): Figure => Choices::weighted($f, 5.0, [1.0, 6.0, 0.0]),
        'a part moved' => static fn (Figure $f): Figure => Choices::moved($f, [$part($f)], [2.0, -1.0, 3.0]),
        'another name' => static fn (Figure $f): Figure => Choices::named($f, 'Another'),
        'whose it is' => static fn (Figure $f): Figure => Choices::credited($f, 'A felter', 'as she likes'),
        'without its drawing' => static fn (Figure $f): Figure => Choices::withoutPictures($f),
        'another height' => static fn (Figure $f): Figure => Scaling::to($f, 1.1 * $f->heightMm),
        'a part as it came out' => static fn (Figure $f): Figure => Choices::sized($f, $part($f), Size::of(22, 31, 19)),
        'a branch' => static fn (Figure $f): Figure => Branch::of($f, 'Bough', 1.2, [$any($f->colours) => '#345678']),
        'another size' => static fn (Figure $f): stdClass => Scaling::of($f->document(), 1.3),
        'a part split' => static function (Figure $f) use ($part): Edited {
            $cut = $f->parts[$part($f)];
            $far = $cut->solid->size()->widthMm + $cut->solid->size()->heightMm;

            [$x, $y] = $cut->stand->at;

            return PartEditor::split($f, $cut->key, [$x - $far, $y - 1], [$x + $far, $y + 1]);
        },
        'parts merged' => static fn (Figure $f): Edited => PartEditor::merge($f, array_unique([$part($f), $part($f)])),
        'a part drawn round' => static function (Figure $f) use ($part): Edited {
            [$x, $y] = $f->parts[$part($f)]->stand->at;

            return PartEditor::lasso($f, [[$x - 6, $y - 6], [$x + 6, $y - 6], [$x + 5, $y + 7], [$x - 6, $y + 5]]);
        },
        'a part made a detail' => static fn (Figure $f): Edited => PartEditor::toDetail($f, $part($f)),
        'a detail made a part' => static fn (Figure $f): Edited => PartEditor::toPart($f, $detail($f)),
    ];
}

/** The document that an edit gives, or the words in which it is refused. */
function edited(Closure $edit, Figure $figure): stdClass|string
{
    set_error_handler(static fn (int $level, string $what): never => throw new ErrorException($what, 0, $level));
    try {
        $made = $edit($figure);
    } catch (Refusal $refusal) {
        return $refusal::class.': '.$refusal->getMessage();
    } finally {
        restore_error_handler();
    }

    return $made instanceof Figure ? $made->document() : ($made instanceof Edited ? $made->document : $made);
}

/**
 * Every outline that is seen from a side, whatever it is called and wherever it begins.
 *
 * @return list<array{string, int, list<float>}> colour, points, and what tells it from others: its box and its area
 */
function outlines(Figure $figure, View $view): array
{
    return array_map(static function (FlatArea $area): array {
        $boxes = array_map(Box::around(...), $area->loops);

        return [
            $area->srgb->toHex(),
            array_sum(array_map(count(...), $area->loops)),
            [
                min(array_column($boxes, 'left')), max(array_column($boxes, 'right')), min(array_column($boxes, 'low')),
                max(array_column($boxes, 'high')),
                array_sum(array_map(static fn (array $loop): float => abs(Polygon::signedArea($loop)), $area->loops)),
            ],
        ];
    }, FlatArea::all($figure, $view->side()));
}

/** @return array<string, list<array{string, int, list<float>}>> by side */
function pictures(Figure $figure): array
{
    return array_combine(
        array_column(View::cases(), 'value'),
        array_map(static fn (View $view): array => outlines($figure, $view), View::cases()),
    );
}

/**
 * What is seen in one and not in the other, to a hundredth of a millimetre: numbers are kept to that.
 *
 * @param  array<string, list<array{string, int, list<float>}>>  $some
 * @param  array<string, list<array{string, int, list<float>}>>  $others
 * @return list<array{string, int, list<float>}>
 */
function without(array $some, array $others): array
{
    $left = [];
    foreach ($some as $side => $outlines) {
        foreach ($outlines as $one) {
            foreach ($others[$side] as $i => $other) {
                $apart = array_map(static fn (float $a, float $b): float => abs($a - $b), $one[2], $other[2]);
                if ([$one[0], $one[1]] === [$other[0], $other[1]] && max(array_slice($apart, 0, 4)) < 0.011 && $apart[4] < 0.2) {
                    unset($others[$side][$i]);

                    continue 2;
                }
            }
            $left[] = $one;
        }
    }

    return $left;
}

/** @param  array<string, list<array{string, int, list<float>}>>  $was */
function looksLike(Figure $figure, array $was, string $what): void
{
    $is = pictures($figure);
    expect(without($is, $was))->toBe([], $what)->and(without($was, $is))->toBe([], $what);
}

function grams(stdClass $document): float
{
    return Ledger::of(Figure::fromDocument($document), Densities::house())->totalG();
}

/** Edits a figure that was edited. */
function then(Edited $edited): Figure
{
    return Figure::fromDocument($edited->document);
}

it('leaves a whole figure with what Impa does not know, whatever is edited, and the one it was made of as it was', function (int $from) {
    $n = 0;
    foreach (range($from, $from + 9) as $seed) {
        $figure = figure($seed);
        $before = $figure->toJson();
        foreach (edits() as $name => $edit) {
            mt_srand(31 * $seed);
            $isWeighed = ++$n % 5 === 0;
            $document = edited($edit, $figure);
            $what = "figure {$seed}, {$name}";
            expect($figure->toJson())->toBe($before, $what);
            if (is_string($document)) {
                expect($document)->not->toContain('NAN')->not->toContain('INF');

                continue;
            }
            expect(FigureCheck::faults($document))->toBe([], $what)
                ->and($name === 'a thing taken out' || $document->{'x-mine'} === ['kept'])->toBeTrue($what)
                ->and(! $isWeighed || is_finite(grams($document)))->toBeTrue($what);
        }
    }
})->with(range(1, 291, 10))->group('dear');

it('knows every edit there is', function () {
    $own = (string) file_get_contents(__FILE__);
    $missing = [];
    $editing = [Accessories::class, Buried::class, Choices::class, Edits::class, PartEditor::class, Scaling::class, Touching::class];
    foreach ($editing as $class) {
        foreach ((new ReflectionClass($class))->getMethods(ReflectionMethod::IS_PUBLIC) as $method) {
            $call = $method->getDeclaringClass()->getShortName().'::'.$method->getName().'(';
            $isEdit = $method->isStatic() && in_array((string) $method->getReturnType(), [Edited::class, Figure::class], true);
            array_push($missing, ...$isEdit && ! str_contains($own, $call) ? [$call] : []);
        }
    }
    expect($missing)->toBe([]);
});

it('writes documents in the editing of figures alone', function () {
    $writes = [];
    foreach (['core/src', 'app'] as $code) {
        $folder = new RecursiveDirectoryIterator(dirname(__DIR__, 3).'/'.$code, FilesystemIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($folder) as $file) {
            $writing = '/document(->\w+|->\{[^}]+\})+(\[\])? (\?\?)?=[^=>]|array_splice\(\$\w*->?document->/';
            if (preg_match($writing, (string) file_get_contents((string) $file)) === 1) {
                $writes[] = substr((string) $file, strlen(dirname(__DIR__, 3)) + 1);
            }
        }
    }
    $elsewhere = array_filter($writes, static fn (string $file): bool => ! str_starts_with($file, 'core/src/Figure/Editing/'));
    expect(array_values($elsewhere))->toBe([])->and(count($writes))->toBeGreaterThan(5);
});

it('makes every edit there is on some of them', function () {
    $made = [];
    foreach ([2, 5, 31, 32, 33, 34, 57, 58] as $seed) {
        $figure = figure($seed);
        foreach (edits() as $name => $edit) {
            mt_srand(31 * $seed);
            $made[$name] = ($made[$name] ?? false) || ! is_string(edited($edit, $figure));
        }
    }
    expect(array_keys($made, false, true))->toBe([]);
});

it('can be edited back: the same pictures from all sides, the same grams', function (int $from) {
    foreach ([$from, $from + 1] as $seed) {
        $figure = figure($seed);
        [$was, $grams] = [pictures($figure), grams($figure->document())];
        foreach (array_map(strval(...), array_slice(array_keys($figure->details), $seed % 3, 2)) as $key) {
            $others = Together::all($figure)[$key] ?? [];
            $double = Edits::double($figure, false, $key, $others);
            $added = array_diff(array_column($double->document->details, 'key'), array_map(strval(...), array_keys($figure->details)));
            looksLike(then(Edits::remove(then($double), false, array_values($added))), $was, "figure {$seed}: {$key} doubled");
            if ($figure->details[$key]->lie->mirror) {
                $parted = Edits::parted($figure, $key, $others);
                looksLike(then($parted), $was, "figure {$seed}: {$key} parted");
                expect(grams($parted->document))->toEqualWithDelta($grams, 0.01 * $grams);
            } else {
                $pair = Edits::twinned($figure, $key, true);
                looksLike(then(Edits::twinned(then($pair), $key, false)), $was, "figure {$seed}: {$key} made a pair");
            }
        }
        foreach (array_map(strval(...), array_slice(array_keys($figure->parts), $seed % 3, 2)) as $key) {
            $double = Edits::double($figure, true, $key);
            looksLike(then(Edits::remove(then($double), true, [$double->key])), $was, "figure {$seed}: {$key} doubled");
        }
        foreach (Accessories::all($figure) as $thing) {
            looksLike(then(Accessories::fasten($figure, $thing['name'], '')), $was, "figure {$seed}: {$thing['name']} loose");
        }
        $back = Edits::axisMoved(then(Edits::axisMoved($figure, 3.5)), -3.5);
        looksLike(then($back), $was, "figure {$seed}: the middle line there and back");
        // Not where holes cross themselves, or are larger than what they lie in: there a breath decides what they take away.
        if ($seed % 2 === 1) {
            $scaled = Scaling::of(Scaling::of($figure->document(), 1.3), 1 / 1.3);
            expect(grams($scaled))->toEqualWithDelta($grams, 0.01 * $grams);
        }
    }
})->with(range(1, 291, 10))->group('dear');

it('leaves no detail, join or step that names what was taken away; what is left looks as it did', function (int $from) {
    foreach ([$from, $from + 1] as $seed) {
        $figure = figure($seed);
        $was = pictures($figure);
        foreach (array_map(strval(...), array_slice(array_keys($figure->parts), 0, 3)) as $key) {
            $edited = edited(static fn (Figure $f): Edited => Edits::remove($f, true, [$key]), $figure);
            if (is_string($edited)) {
                continue;
            }
            $pulled = array_map(
                static fn (stdClass $pull): array => [$pull->step, $pull->before ?? '', $pull->after ?? ''],
                $edited->work->pulled ?? [],
            );
            $named = [
                ...array_column($edited->details, 'on'),
                ...array_map(static fn (stdClass $part): string => $part->join->to ?? '', $edited->parts),
                ...array_map(static fn (string $step): string => substr((string) strrchr($step, ':'), 1), array_merge(...$pulled)),
            ];
            expect($named)->not->toContain($key)
                ->and(without(pictures(Figure::fromDocument($edited)), $was))->toBe([], "figure {$seed} without {$key}");
        }
    }
})->with(range(1, 291, 10))->group('dear');
