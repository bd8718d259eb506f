<?php

declare(strict_types=1);

namespace Impa\Figure\Editing;

use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placing\Silhouette;
use Impa\Figure\Term\Carried;
use Impa\Figure\Term\Side;
use Impa\Geometry\Box;
use Impa\Voice\Message;
use stdClass;

/**
 * Things that are held, worn or stand beside: each a small figure of its own inside the figure (docs/flat.md). They are
 * brought in from another figure, made of parts that are there, measured against the hand that holds them, taken out again.
 */
final class Accessories
{
    /** A thing stands so far beside the figure, mm. */
    private const BESIDE_MM = 8.0;

    /** What is worn sinks in by so much of its height. */
    private const SINKS = 0.1;

    /** A thing that is no larger than so many hands is lost in it (house choice). */
    private const LOST = 1.0;

    /** How much larger or smaller at once. */
    private const TIMES = [0.05, 20.0];

    /**
     * The things of a figure, in the order of their first part.
     *
     * @return list<array{
     *     name: string, parts: list<string>, holder: string, widthMm: float, heightMm: float, times: float, isLost: bool,
     * }> holder: the part it is joined to, empty where it is loose; times: its greatest size by the holder's thickness, 0 where it is loose
     */
    public static function all(Figure $figure): array
    {
        $things = [];
        foreach ($figure->parts as $part) {
            if ($part->stand->group === '' || isset($things[$part->stand->group])) {
                continue;
            }
            $parts = self::of($figure, $part->stand->group);
            $box = self::box($parts, false);
            $holder = self::holder($figure, $parts);
            $times = $holder === null ? 0.0 : max($box->width(), $box->height()) / max(0.1, $holder->thickMm());
            $things[$part->stand->group] = [
                'name' => $part->stand->group,
                'parts' => array_map(strval(...), array_keys($parts)),
                'holder' => $holder->key ?? '',
                'widthMm' => $box->width(),
                'heightMm' => $box->height(),
                'times' => $times,
                'isLost' => $holder !== null && $times <= self::LOST,
            ];
        }

        return array_values($things);
    }

    /**
     * Parts that are there become one thing.
     *
     * @param  list<string>  $keys
     *
     * @throws EditRefused if none is named, or one is not there
     */
    public static function gather(Figure $figure, array $keys, string $name): Edited
    {
        if ($keys === []) {
            throw EditRefused::nothingChosen();
        }
        $draft = Draft::of($figure);
        $name = self::freeName($figure, $name);
        foreach ($keys as $key) {
            $draft->part($key)->group = $name;
        }

        return Edited::of($draft, 'part', $keys[0]);
    }

    /**
     * Larger or smaller, held where it is held; a loose one stands where it stands.
     *
     * @throws EditRefused if there is no such thing, or the factor is out of range
     */
    public static function resize(Figure $figure, string $name, float $factor): Edited
    {
        if (! ($factor >= self::TIMES[0] && $factor <= self::TIMES[1])) {
            throw EditRefused::sizeOutOfRange(...self::TIMES);
        }
        $parts = self::of($figure, $name);
        $box = self::box($parts, false);
        $holder = self::holder($figure, $parts);
        $at = $holder === null
            ? [($box->left + $box->right) / 2, $box->low]
            : [max($box->left, min($box->right, $holder->stand->at[0])), max($box->low, min($box->high, $holder->stand->at[1]))];
        $draft = Draft::of($figure);
        $own = self::own($draft, array_map(strval(...), array_keys($parts)));
        $grown = Scaling::of($own, $factor);
        self::shift($grown, $at[0] * (1 - $factor), $at[1] * (1 - $factor), ($holder->stand->at[2] ?? 0.0) * (1 - $factor));

        return Edited::of($draft, 'part', (string) array_key_first($parts));
    }

    /**
     * Joined to a part, or left loose.
     *
     * @param  string  $holder  key of a part outside the thing; empty: it is left loose
     *
     * @throws EditRefused if there is no such thing or part
     */
    public static function fasten(Figure $figure, string $name, string $holder): Edited
    {
        $parts = self::of($figure, $name);
        $draft = Draft::of($figure);
        if ($holder !== '' && ($draft->part($holder)->group ?? '') === $name) {
            throw EditRefused::ownPart();
        }
        foreach ($parts as $key => $part) {
            if (! $part->isJoined() || ! isset($parts[$part->join->to])) {
                $own = $draft->part((string) $key);
                if ($holder === '') {
                    unset($own->join);
                } else {
                    $own->join = (object) ['to' => $holder, 'by' => $own->join->by ?? 'fluff'];
                }
            }
        }

        return Edited::of($draft, 'part', (string) array_key_first($parts));
    }

    /**
     * Another figure comes in as a thing: held at a part's free end, worn on its top, or beside the figure on the table.
     *
     * @param  float  $heightMm  how tall it is to be, 1 to 2000
     * @param  string  $holder  key of the part that holds or wears it; not needed for what stands beside
     *
     * @throws EditRefused if there is no such part, or it is too small or large
     * @throws FigureRefused with every fault that would be left
     */
    public static function put(Figure $into, Figure $thing, string $name, Carried $how, string $holder, float $heightMm): Edited
    {
        if (! ($heightMm >= 1.0 && $heightMm <= 2000.0)) {
            throw EditRefused::heightOutOfRange();
        }
        if ($thing->parts === [] || $into->parts === []) {
            throw EditRefused::nothingChosen();
        }
        $draft = Draft::of($into);
        $name = self::freeName($into, $name === '' ? $thing->name : $name);
        $grown = Figure::fromDocument(Scaling::of($thing->document(), $heightMm / self::box($thing->parts, true)->height()));
        $box = self::box($grown->parts, true);
        [$x, $y, $z] = self::place($into, $how, $how === Carried::Beside ? null : self::part($into, $holder), $box);
        [$dx, $dy] = [$x - ($box->left + $box->right) / 2, $y - ($box->low + $box->high) / 2];
        $document = $grown->document();
        $document->details ??= [];
        $document->wires ??= [];
        self::parted($document, abs($dx) > 1e-6);
        self::shift($document, $dx, $dy, $z);
        $first = self::adopt($draft, $document, $name, $how === Carried::Beside ? '' : $holder);

        return Edited::of($draft, 'part', $first);
    }

    /**
     * The thing as a figure of its own, standing on the table, to be kept for another.
     *
     * @throws EditRefused if there is no such thing
     * @throws FigureRefused with every fault that would be left
     */
    public static function taken(Figure $figure, string $name): stdClass
    {
        $parts = self::of($figure, $name);
        $document = $figure->document();
        $document->details ??= [];
        $keys = array_map(strval(...), array_keys($parts));
        $single = self::box($parts, false);
        // In each hand one: a single one is kept. What lies across the middle line is whole with its twins.
        $isOfPair = $single->left > 0.0 || $single->right < 0.0;
        $kept = static fn (array $all, string $by, array $keys): array => array_values(
            array_filter($all, static fn (stdClass $one): bool => in_array($one->{$by}, $keys, true)),
        );
        $document->parts = $kept($document->parts, 'key', $keys);
        $document->details = $kept($document->details, 'on', $keys);
        foreach ($document->parts as $part) {
            unset($part->group);
            if (isset($part->join) && ! in_array($part->join->to, $keys, true)) {
                unset($part->join);
            }
            if ($isOfPair) {
                $part->mirror = false;
            }
        }
        $used = [...array_column($document->parts, 'colour'), ...array_column($document->details, 'colour')];
        $document->colours = $kept($document->colours, 'key', $used);
        $document->wires = [];
        unset($document->picture, $document->sidePicture, $document->base, $document->work, $document->flat, $document->origin);
        $document->name = ucfirst($name);
        $box = self::box($parts, ! $isOfPair);
        $document->heightMm = max(1.0, round($box->height(), 2));
        self::shift($document, $isOfPair ? -($box->left + $box->right) / 2 : 0.0, -$box->low, -$parts[$keys[0]]->stand->at[2]);

        return Figure::fromDocument($document)->document();
    }

    /**
     * @return non-empty-array<string, Part>
     *
     * @throws EditRefused if there is no such thing
     */
    private static function of(Figure $figure, string $name): array
    {
        $parts = array_filter($figure->parts, static fn (Part $p): bool => $name !== '' && $p->stand->group === $name);

        return $parts === [] ? throw EditRefused::noSuchThing($name) : $parts;
    }

    /** @throws EditRefused */
    private static function part(Figure $figure, string $key): Part
    {
        return $figure->parts[$key] ?? throw EditRefused::noSuchPart($key);
    }

    /** @param  array<string, Part>  $parts */
    private static function holder(Figure $figure, array $parts): ?Part
    {
        foreach ($parts as $part) {
            if ($part->isJoined() && ! isset($parts[$part->join->to])) {
                return $figure->parts[$part->join->to];
            }
        }

        return null;
    }

    private static function freeName(Figure $figure, string $name): string
    {
        $name = mb_substr(trim($name) === '' ? (string) Message::of('figure.thing') : trim($name), 0, 56);

        return Draft::besides(array_map(static fn (Part $p): string => $p->stand->group, array_values($figure->parts)), $name);
    }

    /**
     * @param  array<string, Part>  $parts
     * @param  bool  $withTwins  whether the mirrored ones count
     */
    private static function box(array $parts, bool $withTwins): Box
    {
        $points = [];
        foreach ($parts as $part) {
            foreach (array_slice($part->placements(), 0, $withTwins ? 2 : 1) as $piece) {
                foreach (Silhouette::of($piece, Side::Front)[0] as [$x, $y]) {
                    $points[] = [$piece->at[0] + $x, $piece->at[1] + $y];
                }
            }
        }

        return Box::around($points);
    }

    /**
     * Where the middle of a thing goes.
     *
     * @return Vec3
     */
    private static function place(Figure $into, Carried $how, ?Part $holder, Box $thing): array
    {
        if ($holder === null) {
            $box = self::box($into->parts, true);

            return [$box->right + self::BESIDE_MM + $thing->width() / 2, $box->low + $thing->height() / 2, 0.0];
        }
        $piece = $holder->placements()[0];
        if ($how === Carried::Worn) {
            return [$holder->stand->at[0], $piece->levelsMm()[1] + (0.5 - self::SINKS) * $thing->height(), $holder->stand->at[2]];
        }
        // The end of the arm that is farther from what it is joined to.
        $half = $holder->solid->size()->heightMm / 2 - $holder->thickMm() / 2;
        $root = $holder->isJoined() ? $into->parts[$holder->join->to]->stand->at : [0.0, INF, 0.0];
        $ends = [$piece->place(0.0, $half, 0.0), $piece->place(0.0, -$half, 0.0)];
        usort($ends, static fn (array $a, array $b): int => is_infinite($root[1])
            ? $a[1] <=> $b[1]
            : hypot($b[0] - $root[0], $b[1] - $root[1]) <=> hypot($a[0] - $root[0], $a[1] - $root[1]));
        [$x, $y, $z] = $ends[0];

        return [$x, $y, $z + $holder->thickMm() / 2];
    }

    /**
     * Pairs made two: mirrored about the thing's own middle, they would not be once it has moved aside.
     */
    private static function parted(stdClass $document, bool $isAside): void
    {
        if (! $isAside) {
            return;
        }
        $mirrored = static fn (array $points): array => array_map(
            static fn (array $p): array => [0 - $p[0], ...array_slice($p, 1)],
            $points,
        );
        foreach ($document->wires as $wire) {
            if (($wire->mirror ?? false) === true) {
                $wire->mirror = false;
                $twin = Draft::copy($wire);
                $twin->key = Draft::besides(array_column($document->wires, 'key'), $wire->key.'-left');
                $twin->pointsMm = $mirrored($wire->pointsMm);
                $document->wires[] = $twin;
            }
        }
        foreach ($document->parts as $part) {
            if (($part->mirror ?? false) !== true) {
                continue;
            }
            $part->mirror = false;
            $twin = Draft::copy($part);
            $twin->key = Draft::besides(array_column($document->parts, 'key'), $part->key.'-left');
            $twin->name = (string) Message::of('figure.accessories.left', name: $part->name ?? $part->key);
            $twin->at->xMm = 0 - $part->at->xMm;
            if (isset($twin->turnDeg)) {
                $twin->turnDeg->y = 0 - ($twin->turnDeg->y ?? 0);
                $twin->turnDeg->z = 0 - ($twin->turnDeg->z ?? 0);
            }
            if (is_array($twin->shape->outline ?? null)) {
                $twin->shape->outline = $mirrored($twin->shape->outline);
            }
            $document->parts[] = $twin;
            foreach ($document->details as $detail) {
                if ($detail->on !== $part->key) {
                    continue;
                }
                $copy = Draft::mirrored($detail);
                $copy->key = Draft::besides(array_column($document->details, 'key'), $detail->key.'-left');
                $copy->on = $twin->key;
                $document->details[] = $copy;
            }
        }
    }

    /** Everything of a document moved. */
    private static function shift(stdClass $document, float $dx, float $dy, float $dz): void
    {
        foreach ($document->parts as $part) {
            $part->at->xMm += $dx;
            $part->at->yMm += $dy;
            $part->at->zMm = ($part->at->zMm ?? 0) + $dz;
        }
        foreach ($document->wires ?? [] as $wire) {
            $wire->pointsMm = array_map(static fn (array $p): array => [$p[0] + $dx, $p[1] + $dy, $p[2] + $dz], $wire->pointsMm);
        }
    }

    /**
     * The parts of a draft, and what lies on them, to be changed in place.
     *
     * @param  list<string>  $keys
     */
    private static function own(Draft $draft, array $keys): stdClass
    {
        return (object) [
            'parts' => array_map($draft->part(...), $keys),
            'details' => array_values(array_filter(
                $draft->document->details,
                static fn (stdClass $d): bool => in_array($d->on, $keys, true),
            )),
        ];
    }

    /**
     * Parts, details, wires and colours of a document under keys of their own.
     *
     * @return string key of the first part
     */
    private static function adopt(Draft $draft, stdClass $document, string $name, string $holder): string
    {
        $colours = $keys = [];
        foreach ($document->colours as $colour) {
            $colours[$colour->key] = $draft->colourFor($colour->hex, $colour->name ?? $colour->key, $colour->key);
        }
        $usual = ['core', 'coverMm', 'firmness'];
        foreach ($document->parts as $part) {
            $keys[$part->key] = $draft->freeKey('parts', $part->key);
            // Its own habits come along where they are not the figure's.
            foreach ($usual as $member) {
                if (! isset($part->{$member}) && isset($document->{$member})) {
                    $part->{$member} = $document->{$member};
                }
            }
            $own = Draft::copy($part);
            $own->key = $keys[$part->key];
            $own->colour = $colours[$part->colour];
            $own->group = $name;
            $draft->document->parts[] = $own;
        }
        foreach (array_slice($draft->document->parts, -count($document->parts)) as $own) {
            if (isset($own->join)) {
                $own->join->to = $keys[$own->join->to];
            } elseif ($holder !== '') {
                $own->join = (object) ['to' => $holder, 'by' => 'fluff'];
            }
        }
        foreach ($document->details as $detail) {
            $own = Draft::copy($detail);
            $own->on = $keys[$detail->on];
            $own->colour = $colours[$detail->colour];
            $draft->addDetail($own);
        }
        $draft->document->wires ??= [];
        foreach ($document->wires as $wire) {
            $own = Draft::copy($wire);
            $own->key = Draft::besides(array_column($draft->document->wires, 'key'), $wire->key);
            if (isset($own->wrapped)) {
                $own->wrapped = $colours[$own->wrapped];
            }
            $draft->document->wires[] = $own;
        }

        return $keys[$document->parts[0]->key];
    }
}
