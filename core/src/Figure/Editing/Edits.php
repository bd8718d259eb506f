<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Material\CoreMaterial;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Voice\Message;
use stdClass;

/** Everyday changes: taken away, doubled, coloured, added, mended, made two. Each gives a changed copy that is whole. */
final class Edits
{
    /** A copy lies so far beside what it was taken from, mm. */
    private const BESIDE_PART_MM = 6.0;

    private const BESIDE_DETAIL_MM = 2.0;

    /** A part that comes before another is so much nearer, mm. */
    private const BEFORE_MM = 0.5;

    /**
     * @param  list<string>  $keys
     *
     * @throws EditRefused if one is not there, or none is named
     * @throws FigureRefused with every fault that would be left
     */
    public static function remove(Figure $figure, bool $areParts, array $keys): Edited
    {
        $draft = self::draft($figure, $keys);
        foreach ($keys as $key) {
            $areParts ? $draft->removePart($key) : $draft->detail($key);
        }
        if (! $areParts) {
            $draft->removeDetails($keys);
        }

        return Edited::of($draft);
    }

    /**
     * All that the break-down suggested and nobody has looked at, taken where it is sure enough.
     *
     * @param  float  $least  how sure, 0 to 1
     */
    public static function takeSurer(Figure $figure, float $least): Edited
    {
        $draft = Draft::of($figure);
        foreach ([...$draft->document->parts, ...$draft->document->details] as $member) {
            $seen = $member->seen ?? null;
            if ($seen instanceof stdClass && is_numeric($seen->confidence ?? null) && $seen->confidence >= $least) {
                $seen->taken = true;
            }
        }

        return Edited::of($draft);
    }

    /**
     * @param  array<string, int>  $others  details that make one thing with it, 1 as it goes, -1 mirrored
     *
     * @throws EditRefused if it is not there
     */
    public static function double(Figure $figure, bool $isPart, string $key, array $others = []): Edited
    {
        $draft = Draft::of($figure);
        if ($isPart) {
            $copy = Draft::copy($draft->part($key));
            $copy->name = (string) Message::of('figure.edits.again', name: $copy->name ?? $copy->key);
            $copy->at->xMm += self::BESIDE_PART_MM;
            $copy->at->yMm += self::BESIDE_PART_MM;

            return Edited::of($draft, 'part', $draft->addPart($copy));
        }
        $made = '';
        $taken = $draft->pieces();
        $pieces = [];
        foreach ([$key => 1] + $others as $one => $way) {
            $copy = Draft::copy($draft->detail((string) $one));
            $copy->name = (string) Message::of('figure.edits.again', name: $copy->name ?? $copy->key);
            $copy->xMm = ($copy->xMm ?? 0) + $way * self::BESIDE_DETAIL_MM;
            $copy->yMm = ($copy->yMm ?? 0) + self::BESIDE_DETAIL_MM;
            if (isset($copy->piece->key)) {
                // A piece of its own, to be varied by itself.
                $copy->piece->key = $pieces[$copy->piece->key] ??= Draft::besides($taken, $copy->piece->key);
            }
            $added = $draft->addDetail($copy);
            $made = $made === '' ? $added : $made;
        }

        return Edited::of($draft, 'detail', $made);
    }

    /**
     * A detail made one of a mirrored pair, or alone, with all that makes one thing with it; what lay on the other one alone goes with it.
     *
     * @param  array<string, int>  $others  details that make one thing with it, 1 as it goes, -1 mirrored
     *
     * @throws EditRefused if it is not there
     */
    public static function twinned(Figure $figure, string $key, bool $isPair, array $others = []): Edited
    {
        $draft = Draft::of($figure);
        foreach ([$key => 1] + $others as $one => $way) {
            $detail = $draft->detail((string) $one);
            $was = ($detail->mirror ?? false) === true;
            if (! $isPair && ! $was && $way < 0) {
                $draft->removeDetails([(string) $one]);
            } elseif (! $isPair && $was && $way < 0) {
                foreach (get_object_vars(Draft::mirrored($detail)) as $name => $value) {
                    $detail->{$name} = $value;
                }
                $detail->mirror = false;
            } else {
                $detail->mirror = $isPair;
            }
        }

        return Edited::of($draft, 'detail', $key);
    }

    /**
     * A colour by its value; the figure's colours grow if it is a new one.
     *
     * @param  list<string>  $keys
     *
     * @throws EditRefused if one is not there, or none is named
     */
    public static function paint(Figure $figure, bool $areParts, array $keys, string $hex, string $name): Edited
    {
        $draft = self::draft($figure, $keys);
        $colour = $draft->colourFor($hex, $name);
        foreach ($keys as $key) {
            $member = $areParts ? $draft->part($key) : $draft->detail($key);
            $member->colour = $colour;
        }

        return Edited::of($draft, $areParts ? 'part' : 'detail', $keys[0]);
    }

    /**
     * A shape of the catalogue in its usual size, on top of a part; in an empty figure, on the table.
     *
     * @param  string  $on  key of the part; empty for the figure's first
     */
    public static function add(Figure $figure, ShapeKind $kind, string $on = ''): Edited
    {
        $draft = Draft::of($figure);
        $size = Catalogue::usualSize($kind);
        $under = $on === '' ? ($draft->document->parts[0] ?? null) : $draft->part($on);
        $part = (object) [
            'key' => $kind->value,
            'name' => ucfirst($kind->value),
            'shape' => (object) [
                'kind' => $kind->value,
                'widthMm' => $size->widthMm,
                'heightMm' => $size->heightMm,
                'depthMm' => $size->depthMm,
            ],
            'core' => CoreMaterial::usualFor($size->smallestMm())->value,
            'at' => (object) [
                'xMm' => $under?->at->xMm ?? 0.0,
                'yMm' => $under === null ? $size->heightMm / 2 : round($under->at->yMm + $under->shape->heightMm / 2),
                'zMm' => $under?->at->zMm ?? 0.0,
            ],
            'colour' => $under->colour ?? $draft->document->colours[0]->key ?? '',
        ];
        if ($under !== null) {
            $part->join = (object) ['to' => $under->key, 'by' => 'fluff'];
        }

        return Edited::of($draft, 'part', $draft->addPart($part));
    }

    /**
     * A mend as it was advised: members of a detail, details that come with it, others that go.
     *
     * @param  list<stdClass>  $add
     * @param  list<string>  $remove
     *
     * @throws EditRefused if it is not there
     * @throws FigureRefused with every fault that it would leave
     */
    public static function mend(Figure $figure, string $key, stdClass $set, array $add, array $remove): Edited
    {
        $draft = Draft::of($figure);
        $detail = $draft->detail($key);
        foreach (get_object_vars($set) as $name => $value) {
            $detail->{$name} = $value;
        }
        $draft->removeDetails($remove);
        foreach ($add as $more) {
            $more->key ??= $key;
            $draft->addDetail($more);
        }

        return Edited::of($draft, 'detail', (string) $detail->key);
    }

    /**
     * A mirrored pair of details made two that can be moved by themselves, with all that makes one thing with it.
     *
     * @param  array<string, int>  $others  details that make one thing with it
     *
     * @throws EditRefused if it is not there
     */
    public static function parted(Figure $figure, string $key, array $others = []): Edited
    {
        $draft = Draft::of($figure);
        foreach ([$key => 1] + $others as $one => $way) {
            $right = $draft->detail((string) $one);
            if ($one !== $key && ($right->mirror ?? false) !== true) {
                continue;
            }
            $left = Draft::mirrored($right);
            $name = $right->name ?? (string) $one;
            [$own, $other] = $way < 0 ? ['left', 'right'] : ['right', 'left'];
            $left->key = $one.'-left';
            $left->name = (string) Message::of('figure.of-a-pair.'.$other, name: $name);
            $left->mirror = $right->mirror = false;
            $right->name = (string) Message::of('figure.of-a-pair.'.$own, name: $name);
            $draft->addDetail($left);
        }

        return Edited::of($draft, 'detail', $key);
    }

    /**
     * The middle line led elsewhere: all that lies in the figure's frame goes the other way, and so stays where it was seen, over the
     * drawing; twins are mirrored at the new line.
     *
     * @param  float  $mm  to the viewer's right
     *
     * @throws FigureRefused if something would lie too far out
     */
    public static function axisMoved(Figure $figure, float $mm): Edited
    {
        $draft = Draft::of($figure);
        $document = $draft->document;
        $moved = static fn (float|int $x, float $by = -1.0): float => round($x + $by * $mm, 2) + 0.0;
        $all = static fn (array $points): array => array_map(static fn (array $p): array => [$moved($p[0])] + $p, $points);
        foreach ($document->parts as $part) {
            $part->at->xMm = $moved($part->at->xMm);
        }
        foreach ([...$document->wires ?? [], ...$document->flat->openings ?? []] as $line) {
            $line->pointsMm = $all($line->pointsMm);
        }
        foreach ($document->base->weights ?? [] as $weight) {
            [$weight->atMm] = $all([$weight->atMm]);
        }
        if (isset($document->flat->ribbon)) {
            $document->flat->ribbon->holesMm = $all($document->flat->ribbon->holesMm);
        }
        if (isset($document->picture)) {
            $document->picture->originPx[0] = $moved($document->picture->originPx[0], 1.0 / $document->picture->mmPerPx);
        }

        return Edited::of($draft);
    }

    /**
     * A part just before or behind the next one in the order of depth; the foremost and the hindmost stay where they are.
     *
     * @throws EditRefused if it is not there
     */
    public static function reordered(Figure $figure, string $key, bool $comesNearer): Edited
    {
        $draft = Draft::of($figure);
        $part = $draft->part($key);
        $own = $part->at->zMm ?? 0.0;
        $others = array_filter($draft->document->parts, static fn (stdClass $p): bool => $p->key !== $key);
        $depths = array_map(static fn (stdClass $p): float => $p->at->zMm ?? 0.0, $others);
        $beyond = array_filter($depths, static fn (float $z): bool => $comesNearer ? $z >= $own : $z <= $own);
        if ($beyond !== []) {
            $part->at->zMm = round($comesNearer ? min($beyond) + self::BEFORE_MM : max($beyond) - self::BEFORE_MM, 1) + 0.0;
            Redrawing::known($part);
        }

        return Edited::of($draft, 'part', $key);
    }

    /**
     * One more point of a wire, in the middle of its longest stretch.
     *
     * @throws EditRefused if it is not there
     */
    public static function pointed(Figure $figure, string $wire): Edited
    {
        $draft = Draft::of($figure);
        $points = &$draft->wire($wire)->pointsMm;
        $far = static fn (int $i): float => hypot(
            hypot($points[$i + 1][0] - $points[$i][0], $points[$i + 1][1] - $points[$i][1]),
            $points[$i + 1][2] - $points[$i][2],
        );
        $longest = 0;
        for ($i = 1; $i < count($points) - 1; $i++) {
            $longest = $far($i) > $far($longest) ? $i : $longest;
        }
        $middle = array_map(static fn (float $a, float $b): float => round(($a + $b) / 2, 2), $points[$longest], $points[$longest + 1]);
        array_splice($points, $longest + 1, 0, [$middle]);

        return Edited::of($draft);
    }

    /**
     * The finished height and what the parts stand made one: the height says what they stand, or they grow to what it says.
     *
     * @throws FigureRefused if the figure came out as none
     */
    public static function ofOneHeight(Figure $figure, bool $grows): Edited
    {
        $stands = Sizing::standsMm($figure);
        $draft = Draft::of($figure);
        if ($grows && $stands > 0.0) {
            $draft = Draft::of(Figure::fromDocument(Scaling::of($draft->document, $figure->heightMm / $stands)));
            $draft->document->heightMm = $figure->heightMm;
        } else {
            $draft->document->heightMm = round($stands, 1);
        }

        return Edited::of($draft);
    }

    /**
     * @param  list<string>  $keys
     *
     * @throws EditRefused if none is named
     */
    private static function draft(Figure $figure, array $keys): Draft
    {
        return $keys === [] ? throw EditRefused::nothingChosen() : Draft::of($figure);
    }
}
