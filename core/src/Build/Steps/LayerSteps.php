<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Figure\Member\Subject;
use Impa\Figure\Part;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\Stitch;
use Impa\Flat\FlatRefused;
use Impa\Flat\Layers;
use Impa\Flat\Stitching;
use Impa\Material\Pace;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Impa\Voice\Opening;

/**
 * The steps that put a figure of layers together, from the ground up: lay, press, stitch, then the next; openings, embroidery and ribbon
 * last (docs/trade.md, Flat work). Immutable.
 */
final readonly class LayerSteps
{
    /** @var array<string, array{level: int, under: list<string>, rimMm: float}> by part, from the ground up */
    private array $parts;

    private function __construct(private Figure $figure, private Needles $needles)
    {
        $parts = [];
        $layers = Layers::of($figure);
        foreach ($layers->all as $i => $layer) {
            $key = $layer->part->key;
            $under = array_map(static fn (int $k): string => $layers->all[$k]->part->key, $layers->under[$i]);
            // A pair is laid together: on what either lies on, where the higher of them lies.
            $parts[$key] = [
                'level' => max($layer->level, $parts[$key]['level'] ?? 0),
                'under' => array_values(array_diff(array_unique([...$parts[$key]['under'] ?? [], ...$under]), [$key])),
                'rimMm' => ($parts[$key]['rimMm'] ?? 0.0) + $layer->rimMm,
            ];
        }
        $this->parts = $parts;
    }

    /** None where the figure is made in the round, or of more layers than can be laid: they are then joined like any parts. */
    public static function of(Figure $figure, Needles $needles): ?self
    {
        try {
            return $figure->isOfLayers() ? new self($figure, $needles) : null;
        } catch (FlatRefused) {
            return null;
        }
    }

    /** Whether a part is laid as a layer, in place of being joined. */
    public function lays(Part $part): bool
    {
        return isset($this->parts[$part->key]);
    }

    /** Whether a detail waits until all layers lie: what is sewn through them. */
    public static function isEmbroidery(Figure $figure, Method $method): bool
    {
        return $figure->flat->isFlat() && $method === Method::Stitch;
    }

    /** @return list<Step> */
    public function steps(): array
    {
        $flat = $this->figure->flat;
        $steps = [];
        $last = [];
        $levels = max(0, ...array_column($this->parts, 'level'));
        for ($level = 1; $level <= $levels; $level++) {
            $laid = [];
            foreach ($this->parts as $key => $layer) {
                if ($layer['level'] === $level) {
                    $steps[] = $this->lay($this->figure->parts[$key], $layer['under'], $last);
                    $laid[] = 'join:'.$key;
                }
            }
            $last = ['press:'.$level];
            $steps[] = new Step(
                key: 'press:'.$level,
                kind: StepKind::Press,
                title: $levels > 1 ? Message::of('steps.title.press-layer', layer: $level) : Message::of('steps.title.press'),
                text: Message::of('steps.text.press'),
                time: StepTime::usual(1, Pace::PRESS),
                order: new StepOrder($laid),
            );
            foreach ($flat->stitch === Stitch::None ? [] : $laid as $join) {
                $part = $this->figure->parts[substr($join, strlen('join:'))];
                $steps[] = $stitched = $this->stitch($part, $last);
                $last[] = $stitched->key;
            }
        }
        if ($flat->openings !== []) {
            $steps[] = new Step(
                key: 'open',
                kind: StepKind::Open,
                title: Message::of('steps.title.open', count: count($flat->openings)),
                text: Message::of('steps.text.open'),
                time: StepTime::usual(count($flat->openings), Pace::OPEN),
                order: new StepOrder($last),
            );
            $last[] = 'open';
        }
        if ($flat->ties->at !== []) {
            $steps[] = new Step(
                key: 'ribbon',
                kind: StepKind::Ribbon,
                title: Message::of(count($flat->ties->at) === 1 ? 'steps.title.ribbon' : 'steps.title.ties'),
                text: Message::of('steps.text.ribbon'),
                time: StepTime::usual(count($flat->ties->at), Pace::RIBBON),
                order: new StepOrder($last),
            );
        }

        return $steps;
    }

    /** @return list<string> keys of the steps after which embroidery is free */
    public function allLaid(): array
    {
        $joins = [];
        foreach ($this->parts as $key => $layer) {
            if ($layer['level'] > 0) {
                $joins[] = 'join:'.$key;
            }
        }

        return [...$joins, ...$this->figure->flat->openings === [] ? [] : ['open']];
    }

    /**
     * @param  list<string>  $under  what it lies on
     * @param  list<string>  $last  pressed and stitched before
     */
    private function lay(Part $part, array $under, array $last): Step
    {
        $made = array_map(fn (string $key): string => Steps::made($this->figure->parts[$key]), [$part->key, ...$under]);
        $names = array_map(fn (string $key): string => $this->figure->parts[$key]->name, array_slice($under, -1));

        return new Step(
            key: 'join:'.$part->key,
            kind: StepKind::Join,
            title: $names === []
                ? Message::of('steps.title.lay-ground', part: new Name($part->name))
                : Message::of('steps.title.lay', part: new Name($part->name), onto: new Name($names[0])),
            text: Message::of('steps.text.lay'),
            time: StepTime::usual($part->count(), Pace::JOIN),
            about: new Subject($part->key, colour: $part->colour),
            order: new StepOrder([...$made, ...$last]),
            uses: new StepUses(NeedleChoice::flat(2 * $part->solid->thinnestMm(), 1)->from($this->needles)),
        );
    }

    /** @param  list<string>  $after */
    private function stitch(Part $part, array $after): Step
    {
        $flat = $this->figure->flat;
        $count = Stitching::along($flat->stitch, $this->parts[$part->key]['rimMm'], $flat->stitchMm, 1.0)->count;

        return new Step(
            key: 'stitch:'.$part->key,
            kind: StepKind::Stitch,
            title: Message::of('steps.title.stitch', stitch: new Opening($flat->stitch->label()), part: new Name($part->name)),
            text: Message::of('steps.text.stitch'),
            time: StepTime::usual($count, Pace::STITCH),
            about: new Subject($part->key, colour: $part->colour),
            order: new StepOrder($after),
        );
    }
}
