<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Colour\Srgb;
use Impa\Geometry\Turn;
use Impa\Material\CoreMaterial;
use Impa\Material\Covering;
use Impa\Material\CoveringWay;
use Impa\Material\Firmness;
use Impa\Material\WireMaterial;
use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;
use stdClass;

/**
 * Reads the members of a document that the schema has passed, filling in the house's defaults
 * (docs/trade.md, Schools).
 */
final readonly class FigureReader
{
    public const COVER_MM = 3.0;

    private function __construct(private stdClass $document)
    {
    }

    public static function of(stdClass $document): self
    {
        return new self($document);
    }

    public function name(): string
    {
        return self::text($this->document, 'name');
    }

    public function heightMm(): float
    {
        return self::number($this->document, 'heightMm');
    }

    public function pose(): Pose
    {
        return Pose::from(self::text($this->document, 'pose', 'stand'));
    }

    public function faceSchool(): FaceSchool
    {
        return FaceSchool::from(self::text(self::object($this->document, 'school'), 'face', 'loose-head'));
    }

    /** @return array<string, Colour> */
    public function colours(): array
    {
        $colours = [];
        foreach (self::members($this->document, 'colours') as $colour) {
            $key = self::text($colour, 'key');
            $colours[$key] = new Colour(
                $key,
                self::text($colour, 'name', $key),
                Srgb::hex(self::text($colour, 'hex')),
                self::mix($colour),
            );
        }

        return $colours;
    }

    /**
     * @return array<string, Part>
     *
     * @throws ShapeRefused if a shape cannot be felted
     */
    public function parts(): array
    {
        $usual = $this->document;
        $school = self::object($usual, 'school');
        $parts = [];
        foreach (self::members($usual, 'parts') as $part) {
            $key = self::text($part, 'key');
            $at = self::object($part, 'at');
            $turn = self::object($part, 'turnDeg');
            $join = self::object($part, 'join');
            $parts[$key] = new Part(
                key: $key,
                name: self::text($part, 'name', $key),
                solid: self::solid(self::object($part, 'shape')),
                at: [self::number($at, 'xMm'), self::number($at, 'yMm'), self::number($at, 'zMm')],
                turn: Turn::of(self::number($turn, 'x'), self::number($turn, 'y'), self::number($turn, 'z')),
                mirror: ($part->mirror ?? false) === true,
                colour: self::text($part, 'colour'),
                core: CoreMaterial::from(self::text($part, 'core', self::text($usual, 'core', 'core-wool'))),
                coverMm: self::number($part, 'coverMm', self::number($usual, 'coverMm', self::COVER_MM)),
                firmness: Firmness::from(self::text($part, 'firmness', self::text($usual, 'firmness', 'springy'))),
                finish: Finish::from(self::text($part, 'finish', 'smooth')),
                group: self::text($part, 'group'),
                joinTo: self::text($join, 'to'),
                joinBy: JoinBy::from(self::text($join, 'by', self::text($school, 'join', 'fluff'))),
                covering: $this->covering($part),
                faceSchool: FaceSchool::from(self::text(self::object($part, 'school'), 'face', $this->faceSchool()->value)),
                joinOnto: is_bool($join->onto ?? null) ? $join->onto : null,
            );
        }

        return $parts;
    }

    /** @return array<string, int> */
    private static function mix(stdClass $colour): array
    {
        $mix = [];
        foreach (self::members($colour, 'mix') as $share) {
            $name = self::text($share, 'wool');
            $mix[$name] = ($mix[$name] ?? 0) + (int) self::number($share, 'percent');
        }

        return $mix;
    }

    /** As said, else as the finish asks for; a layer of sheet is cut from it. */
    private function covering(stdClass $part): Covering
    {
        $said = self::object($part, 'covering');
        $isCut = self::text(self::object($this->document, 'flat'), 'way') === FlatWay::Sheet->value
            && ShapeKind::tryFrom(self::text(self::object($part, 'shape'), 'kind'))?->isFlat() === true;
        $usual = match (true) {
            in_array(self::text($part, 'finish'), ['loops', 'tufts'], true) => self::text($part, 'finish'),
            $isCut => CoveringWay::PreFelt->value,
            default => CoveringWay::Felt->value,
        };

        return Covering::of(
            CoveringWay::from(self::text($said, 'way', $usual)),
            self::number($said, 'lengthMm'),
            self::number($said, 'perCm2'),
            self::number($said, 'mgEach'),
            self::number($said, 'ribbonMm'),
            self::number($said, 'overlap', -1.0),
        );
    }

    /** @return array<string, Detail> */
    public function details(): array
    {
        $details = [];
        foreach (self::members($this->document, 'details') as $detail) {
            $key = self::text($detail, 'key');
            $kind = DetailKind::from(self::text($detail, 'kind'));
            $widthMm = self::number($detail, 'widthMm');
            $usualMethod = match ($kind) {
                DetailKind::Bead => 'bead',
                DetailKind::Eye => 'ready-made',
                default => 'felt',
            };
            $details[$key] = new Detail(
                key: $key,
                name: self::text($detail, 'name', $key),
                on: self::text($detail, 'on'),
                kind: $kind,
                widthMm: $widthMm,
                heightMm: self::number($detail, 'heightMm', $widthMm),
                xMm: self::number($detail, 'xMm'),
                yMm: self::number($detail, 'yMm'),
                turnDeg: self::number($detail, 'turnDeg'),
                pointsMm: self::points($detail, 'pointsMm'),
                colour: self::text($detail, 'colour'),
                layer: (int) self::number($detail, 'layer', 1),
                mirror: ($detail->mirror ?? false) === true,
                method: Method::from(self::text($detail, 'method', $usualMethod)),
                side: Side::from(self::text($detail, 'side', 'front')),
                smooth: ($detail->smooth ?? false) === true,
                widthsMm: self::numbers($detail, 'widthsMm'),
                holesMm: self::loops($detail, 'holesMm'),
                keep: Keep::from(self::text($detail, 'keep')),
                meant: self::texts($detail, 'meant'),
                piece: [self::text(self::object($detail, 'piece'), 'key'), self::text(self::object($detail, 'piece'), 'kind')],
            );
        }

        return $details;
    }

    public function base(): Base
    {
        $said = self::object($this->document, 'base');
        $weights = [];
        foreach (self::members($said, 'weights') as $i => $weight) {
            [$x, $y, $z] = array_pad(self::numbers($weight, 'atMm'), 3, 0.0);
            $weights[] = ['key' => Base::weightKey($weight, $i), 'g' => self::number($weight, 'g'), 'atMm' => [$x, $y, $z]];
        }

        return new Base(self::number($said, 'flattenMm'), $weights);
    }

    public function flat(): FlatWork
    {
        $said = self::object($this->document, 'flat');
        $way = FlatWay::from(self::text($said, 'way', 'none'));
        $ribbon = self::object($said, 'ribbon');
        $measured = self::object($said, 'measured');
        $openings = [];
        foreach (self::members($said, 'openings') as $opening) {
            $openings[self::text($opening, 'key')] = self::points($opening, 'pointsMm');
        }

        return new FlatWork(
            way: $way,
            overlapMm: self::number($said, 'overlapMm', FlatWork::OVERLAP_MM),
            shrink: isset($said->measured)
                ? FlatWork::drawnIn(self::number($measured, 'laidMm'), self::number($measured, 'cameMm'))
                : self::number($said, 'shrink', FlatWork::SHRINK[$way->value]),
            stitch: Stitch::from(self::text($said, 'stitch', 'none')),
            stitchMm: self::number($said, 'stitchMm', FlatWork::STITCH_MM),
            openings: $openings,
            ribbonMm: self::number($ribbon, 'widthMm'),
            ribbonLengthMm: self::number($ribbon, 'lengthMm'),
            ribbonAt: self::points($ribbon, 'holesMm'),
        );
    }

    /** @return array<string, Wire> */
    public function wires(): array
    {
        $wires = [];
        foreach (self::members($this->document, 'wires') as $wire) {
            $key = self::text($wire, 'key');
            $wires[$key] = new Wire(
                key: $key,
                name: self::text($wire, 'name', $key),
                material: WireMaterial::from(self::text($wire, 'material', 'paper-covered')),
                gaugeMm: self::number($wire, 'gaugeMm', Wire::USUAL_MM),
                pointsMm: self::courses($wire),
                doubled: ($wire->doubled ?? false) === true,
                endLoopMm: self::number($wire, 'endLoopMm'),
                wrapped: self::text($wire, 'wrapped'),
                mirror: ($wire->mirror ?? false) === true,
            );
        }

        return $wires;
    }

    /** @return list<array{float, float, float}> */
    private static function courses(stdClass $wire): array
    {
        $points = [];
        foreach (is_array($wire->pointsMm ?? null) ? $wire->pointsMm : [] as $point) {
            if (is_array($point)) {
                $number = static fn (mixed $v): float => is_int($v) || is_float($v) ? (float) $v : 0.0;
                [$x, $y, $z] = array_map($number, array_values($point));
                $points[] = [$x, $y, $z];
            }
        }

        return $points;
    }

    /** @return list<Pull> */
    public function pulls(): array
    {
        $pulls = [];
        foreach (self::members(self::object($this->document, 'work'), 'pulled') as $pull) {
            $isForward = isset($pull->before);
            $pulls[] = new Pull(self::text($pull, 'step'), self::text($pull, $isForward ? 'before' : 'after'), $isForward);
        }

        return $pulls;
    }

    public function picture(): ?Picture
    {
        $picture = $this->document->picture ?? null;
        if (! ($picture instanceof stdClass)) {
            return null;
        }
        [$x, $y] = self::numbers($picture, 'originPx');

        return new Picture(
            (int) self::number($picture, 'widthPx'),
            (int) self::number($picture, 'heightPx'),
            self::number($picture, 'mmPerPx'),
            $x,
            $y,
        );
    }

    /** @throws ShapeRefused if the shape cannot be felted */
    public static function solid(stdClass $shape): Solid
    {
        $options = [];
        foreach (['taper', 'topMm', 'bottomMm', 'edgeMm', 'cornerMm', 'bendDeg'] as $name) {
            if (isset($shape->{$name})) {
                $options[$name] = self::number($shape, $name);
            }
        }
        if (isset($shape->outline)) {
            $options['outline'] = is_string($shape->outline) ? $shape->outline : self::points($shape, 'outline');
        }
        $kind = ShapeKind::tryFrom(self::text($shape, 'kind')) ?? throw ShapeRefused::unknownKind(self::text($shape, 'kind'));

        return Catalogue::solid(
            $kind,
            Size::of(self::number($shape, 'widthMm'), self::number($shape, 'heightMm'), self::number($shape, 'depthMm')),
            $options,
        );
    }

    private static function text(stdClass $from, string $name, string $usual = ''): string
    {
        return is_string($from->{$name} ?? null) ? $from->{$name} : $usual;
    }

    private static function number(stdClass $from, string $name, float $usual = 0.0): float
    {
        return isset($from->{$name}) ? self::float($from->{$name}) : $usual;
    }

    private static function float(mixed $value): float
    {
        return is_int($value) || is_float($value) ? (float) $value : 0.0;
    }

    private static function object(stdClass $from, string $name): stdClass
    {
        return ($from->{$name} ?? null) instanceof stdClass ? $from->{$name} : new stdClass();
    }

    /** @return list<stdClass> */
    private static function members(stdClass $from, string $name): array
    {
        /** @var list<stdClass> $members the schema has passed them */
        $members = $from->{$name} ?? [];

        return $members;
    }

    /** @return list<float> */
    private static function numbers(stdClass $from, string $name): array
    {
        /** @var list<float|int> $numbers the schema has passed them */
        $numbers = $from->{$name} ?? [];

        return array_map(floatval(...), $numbers);
    }

    /** @return list<string> */
    private static function texts(stdClass $from, string $name): array
    {
        /** @var list<string> $texts the schema has passed them */
        $texts = $from->{$name} ?? [];

        return $texts;
    }

    /** @return list<list<array{float, float}>> */
    private static function loops(stdClass $from, string $name): array
    {
        /** @var list<mixed> $loops the schema has passed them */
        $loops = $from->{$name} ?? [];

        return array_map(self::pointsOf(...), $loops);
    }

    /** @return list<array{float, float}> */
    private static function points(stdClass $from, string $name): array
    {
        return self::pointsOf($from->{$name} ?? null);
    }

    /** @return list<array{float, float}> */
    private static function pointsOf(mixed $list): array
    {
        $points = [];
        foreach (is_array($list) ? $list : [] as $point) {
            $points[] = is_array($point) ? [self::float($point[0] ?? 0), self::float($point[1] ?? 0)] : [0.0, 0.0];
        }

        return $points;
    }
}
