<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Colour\Ciede2000;
use Impa\Colour\Srgb;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Figure\Term\Side;
use stdClass;

/**
 * A figure's document while it is edited: a copy, members unknown to us kept. The one place that finds or adds a colour, gives a
 * free key, rehangs joins and moves details; what comes out is checked as a whole before anybody gets it. Changes in place.
 */
final class Draft
{
    private function __construct(public readonly stdClass $document, private readonly Figure $figure)
    {
    }

    public static function of(Figure $figure): self
    {
        $document = $figure->document();
        $document->details ??= [];

        return new self($document, $figure);
    }

    /**
     * The document, found whole.
     *
     * @throws FigureRefused with every fault that the edit would have left
     */
    public function whole(): stdClass
    {
        $this->forgetPulls();
        Figure::fromDocument($this->document);

        return $this->document;
    }

    /** What was taken away is pulled before nothing: another thing may come under its key. */
    private function forgetPulls(): void
    {
        $pulled = $this->document->work->pulled ?? [];
        $gone = $pulled === [] ? [] : Anew::gone($this->figure->document(), $this->document);
        $isGone = static fn (string $step): bool => array_filter(
            $gone,
            static fn (array $thing): bool => Anew::isStepOf($step, ...$thing),
        ) !== [];
        if ($gone !== []) {
            $this->document->work->pulled = array_values(array_filter(
                $pulled,
                static fn (stdClass $pull): bool => ! $isGone($pull->step) && ! $isGone($pull->before ?? $pull->after),
            ));
        }
    }

    /**
     * A key that no member of a list has: the wish, or the wish and a number.
     *
     * @param  'parts'|'details'|'colours'  $list
     */
    public function freeKey(string $list, string $wish): string
    {
        return self::besides(array_column($this->document->{$list}, 'key'), $wish);
    }

    /** @param  array<array-key, mixed>  $taken */
    public static function besides(array $taken, string $wish): string
    {
        for ($key = $wish, $n = 2; in_array($key, $taken, true); $n++) {
            $key = $wish.'-'.$n;
        }

        return $key;
    }

    /**
     * Key of the figure's colour that is this one, or the nearest to it; added if there is none.
     *
     * @param  float  $within  CIEDE2000 below which another colour passes for it; 0 for none but the same
     */
    public function colourFor(string $hex, string $name, string $wish = 'colour', float $within = 0.0): string
    {
        $hex = strtolower($hex);
        $lab = Srgb::hex($hex)->lab();
        $best = ['', $within];
        foreach ($this->document->colours as $colour) {
            if (strtolower($colour->hex) === $hex) {
                return $colour->key;
            }
            $difference = $within > 0.0 ? Ciede2000::between(Srgb::hex($colour->hex)->lab(), $lab) : INF;
            $best = $difference < $best[1] ? [$colour->key, $difference] : $best;
        }
        if ($best[0] === '') {
            $best[0] = $this->freeKey('colours', $wish);
            $this->document->colours[] = (object) ['key' => $best[0], 'name' => $name, 'hex' => $hex];
        }

        return $best[0];
    }

    /** @throws EditRefused if there is none of that key */
    public function part(string $key): stdClass
    {
        return $this->document->parts[$this->placeOf($key)];
    }

    /** @throws EditRefused if there is none of that key */
    public function detail(string $key): stdClass
    {
        foreach ($this->document->details as $detail) {
            if ($detail->key === $key) {
                return $detail;
            }
        }
        throw EditRefused::noSuchDetail($key);
    }

    /** @throws EditRefused if there is none of that key */
    public function wire(string $key): stdClass
    {
        foreach ($this->document->wires ?? [] as $wire) {
            if ($wire->key === $key) {
                return $wire;
            }
        }
        throw EditRefused::noSuchWire($key);
    }

    /** An object of the document, empty where there was none. */
    public function member(string $name): stdClass
    {
        $own = $this->document->{$name} ?? null;

        return $own instanceof stdClass ? $own : $this->document->{$name} = new stdClass;
    }

    /** Adds a part under a key of its own, and gives that key. */
    public function addPart(stdClass $part): string
    {
        $part->key = $this->freeKey('parts', (string) $part->key);
        $this->document->parts[] = $part;

        return $part->key;
    }

    /** Adds a detail under a key of its own, and gives that key. */
    public function addDetail(stdClass $detail): string
    {
        $detail->key = $this->freeKey('details', (string) $detail->key);
        $this->document->details[] = $detail;

        return $detail->key;
    }

    /** @return list<stdClass> details on a part, on one side of it where that is said */
    public function detailsOn(string $part, ?Side $side = null): array
    {
        return array_values(array_filter(
            $this->document->details,
            static fn (stdClass $d): bool => $d->on === $part && ($side === null || ($d->side ?? Side::Front->value) === $side->value),
        ));
    }

    /** @return list<string> keys of the pieces of faces that are there */
    public function pieces(): array
    {
        return array_values(array_filter(array_map(
            static fn (stdClass $d): string => $d->piece->key ?? '',
            $this->document->details,
        )));
    }

    /**
     * Details in the place of others, where the first of those stood; last where there were none.
     *
     * @param  list<string>  $keys
     * @param  list<stdClass>  $made
     */
    public function replaceDetails(array $keys, array $made): void
    {
        $places = array_keys(array_intersect(array_column($this->document->details, 'key'), $keys));
        $at = $places === [] ? count($this->document->details) : min($places);
        $this->removeDetails($keys);
        array_splice($this->document->details, $at, 0, $made);
    }

    /** @param  list<string>  $keys */
    public function removeDetails(array $keys): void
    {
        $this->document->details = array_values(
            array_filter($this->document->details, static fn (stdClass $d): bool => ! in_array($d->key, $keys, true)),
        );
    }

    /**
     * A part goes with what lies on it; what hung on it hangs on what it hung on.
     *
     * @throws EditRefused if there is none of that key
     */
    public function removePart(string $key): void
    {
        $gone = $this->part($key);
        array_splice($this->document->parts, $this->placeOf($key), 1);
        $this->document->details = array_values(
            array_filter($this->document->details, static fn (stdClass $d): bool => $d->on !== $key),
        );
        $this->rehang($key, isset($gone->join->to) ? (string) $gone->join->to : '');
    }

    /**
     * Parts that hung on one hang on another.
     *
     * @param  string  $to  empty: they stand on their own
     */
    public function rehang(string $from, string $to): void
    {
        foreach ($this->document->parts as $part) {
            if (($part->join->to ?? '') !== $from) {
                continue;
            }
            if ($to === '' || $to === $part->key) {
                unset($part->join);
            } else {
                $part->join->to = $to;
            }
        }
    }

    /**
     * Others take the place of a part: what lay on it, and what hung on it, goes to the nearest of them.
     *
     * @param  non-empty-list<stdClass>  $heirs
     *
     * @throws EditRefused if there is none of that key
     */
    public function replacePart(string $key, array $heirs): void
    {
        $old = $this->part($key);
        $this->settle($key, $old, $heirs);
        array_splice($this->document->parts, $this->placeOf($key), 1, $heirs);
    }

    /**
     * What was on a part goes to the nearest of others: details, and parts joined to it.
     *
     * @param  non-empty-list<stdClass>  $heirs
     */
    public function settle(string $key, stdClass $old, array $heirs): void
    {
        $nearest = static function (float $x, float $y) use ($heirs): stdClass {
            $far = static fn (stdClass $p): float => hypot($p->at->xMm - $x, $p->at->yMm - $y) /
                max($p->shape->widthMm, $p->shape->heightMm);
            usort($heirs, static fn (stdClass $a, stdClass $b): int => $far($a) <=> $far($b));

            return $heirs[0];
        };
        foreach ($this->document->details as $detail) {
            if ($detail->on === $key) {
                [$x, $y] = self::middle($detail);
                self::moveDetail($detail, $old, $nearest($old->at->xMm + $x, $old->at->yMm + $y));
            }
        }
        foreach ($this->document->parts as $part) {
            if (($part->join->to ?? '') === $key && ! in_array($part, $heirs, true)) {
                $part->join->to = $nearest($part->at->xMm, $part->at->yMm)->key;
            }
        }
    }

    /** A detail lies on another part, at the same place in the front view. */
    public static function moveDetail(stdClass $detail, stdClass $from, stdClass $to): void
    {
        [$dx, $dy] = [$from->at->xMm - $to->at->xMm, $from->at->yMm - $to->at->yMm];
        $detail->on = $to->key;
        if (isset($detail->pointsMm) && ($detail->turnDeg ?? 0) == 0) {
            $moved = static fn (array $points): array => array_map(
                static fn (array $p): array => [round($p[0] + $dx, 2), round($p[1] + $dy, 2)],
                $points,
            );
            $detail->pointsMm = $moved($detail->pointsMm);
            if (isset($detail->holesMm)) {
                $detail->holesMm = array_map($moved, $detail->holesMm);
            }
        } else {
            $detail->xMm = round(($detail->xMm ?? 0) + $dx, 2);
            $detail->yMm = round(($detail->yMm ?? 0) + $dy, 2);
        }
    }

    /** A copy that shares nothing with what it was taken from. */
    public static function copy(stdClass $member): stdClass
    {
        $copy = json_decode((string) json_encode($member, JSON_PRESERVE_ZERO_FRACTION), false);

        return $copy instanceof stdClass ? $copy : new stdClass;
    }

    /** A copy of a detail as it lies on the other half: mirrored at the middle line, from the other side where it is laid from one. */
    public static function mirrored(stdClass $detail): stdClass
    {
        $copy = self::copy($detail);
        $turned = static fn (array $points): array => array_map(static fn (array $p): array => [0 - $p[0], $p[1]], $points);
        $copy->xMm = 0 - ($detail->xMm ?? 0);
        $copy->turnDeg = 0 - ($detail->turnDeg ?? 0);
        if (isset($detail->side)) {
            $copy->side = Side::from($detail->side)->mirrored()->value;
        }
        if (isset($detail->pointsMm)) {
            $copy->pointsMm = $turned($detail->pointsMm);
        }
        if (isset($detail->holesMm)) {
            $copy->holesMm = array_map($turned, $detail->holesMm);
        }

        return $copy;
    }

    /** @return array{float, float} */
    private static function middle(stdClass $detail): array
    {
        $points = is_array($detail->pointsMm ?? null) && $detail->pointsMm !== [] ? $detail->pointsMm : [[0.0, 0.0]];

        return [
            ($detail->xMm ?? 0) + array_sum(array_column($points, 0)) / count($points),
            ($detail->yMm ?? 0) + array_sum(array_column($points, 1)) / count($points),
        ];
    }

    /** @throws EditRefused if there is none of that key */
    private function placeOf(string $key): int
    {
        foreach ($this->document->parts as $i => $part) {
            if ($part->key === $key) {
                return $i;
            }
        }
        throw EditRefused::noSuchPart($key);
    }
}
