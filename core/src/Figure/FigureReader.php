<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Colour\Srgb;
use Impa\Figure\Document\Members;
use Impa\Figure\Document\ShapeReader;
use Impa\Figure\Member\Drawn;
use Impa\Figure\Member\Join;
use Impa\Figure\Member\Lie;
use Impa\Figure\Member\Made;
use Impa\Figure\Member\Meaning;
use Impa\Figure\Member\School;
use Impa\Figure\Member\Stand;
use Impa\Figure\Member\Ties;
use Impa\Figure\Member\WireMade;
use Impa\Figure\Term\DetailKind;
use Impa\Figure\Term\DetailRole;
use Impa\Figure\Term\FaceSchool;
use Impa\Figure\Term\Finish;
use Impa\Figure\Term\FlatWay;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\Keep;
use Impa\Figure\Term\Method;
use Impa\Figure\Term\PlateSchool;
use Impa\Figure\Term\Pose;
use Impa\Figure\Term\Side;
use Impa\Figure\Term\Stitch;
use Impa\Geometry\Turn;
use Impa\Material\CoreMaterial;
use Impa\Material\Covering;
use Impa\Material\CoveringWay;
use Impa\Material\Firmness;
use Impa\Material\WireMaterial;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
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
        return Members::text($this->document, 'name');
    }

    public function heightMm(): float
    {
        return Members::number($this->document, 'heightMm');
    }

    public function pose(): Pose
    {
        return Pose::from(Members::text($this->document, 'pose', 'stand'));
    }

    public function school(): School
    {
        $said = Members::object($this->document, 'school');

        return new School(
            face: FaceSchool::from(Members::text($said, 'face', FaceSchool::LooseHead->value)),
            plates: PlateSchool::from(Members::text($said, 'plates', PlateSchool::Steamed->value)),
        );
    }

    /** @return array<string, Colour> */
    public function colours(): array
    {
        $colours = [];
        foreach (Members::members($this->document, 'colours') as $colour) {
            $key = Members::text($colour, 'key');
            $colours[$key] = new Colour(
                $key,
                Members::text($colour, 'name', $key),
                Srgb::hex(Members::text($colour, 'hex')),
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
        $school = Members::object($usual, 'school');
        $parts = [];
        foreach (Members::members($usual, 'parts') as $part) {
            $key = Members::text($part, 'key');
            $at = Members::object($part, 'at');
            $turn = Members::object($part, 'turnDeg');
            $join = Members::object($part, 'join');
            $parts[$key] = new Part(
                key: $key,
                name: Members::text($part, 'name', $key),
                solid: ShapeReader::solid(Members::object($part, 'shape')),
                colour: Members::text($part, 'colour'),
                stand: new Stand(
                    at: [Members::number($at, 'xMm'), Members::number($at, 'yMm'), Members::number($at, 'zMm')],
                    turn: Turn::of(Members::number($turn, 'x'), Members::number($turn, 'y'), Members::number($turn, 'z')),
                    mirror: ($part->mirror ?? false) === true,
                    group: Members::text($part, 'group'),
                ),
                made: new Made(
                    core: CoreMaterial::from(Members::text($part, 'core', Members::text($usual, 'core', 'core-wool'))),
                    coverMm: Members::number($part, 'coverMm', Members::number($usual, 'coverMm', self::COVER_MM)),
                    firmness: Firmness::from(Members::text($part, 'firmness', Members::text($usual, 'firmness', 'springy'))),
                    finish: Finish::from(Members::text($part, 'finish', 'smooth')),
                    covering: $this->covering($part),
                ),
                join: new Join(
                    to: Members::text($join, 'to'),
                    by: JoinBy::from(Members::text($join, 'by', Members::text($school, 'join', 'fluff'))),
                    onto: is_bool($join->onto ?? null) ? $join->onto : null,
                ),
                faceSchool: FaceSchool::from(Members::text(Members::object($part, 'school'), 'face', $this->school()->face->value)),
            );
        }

        return $parts;
    }

    /** @return array<string, int> */
    private static function mix(stdClass $colour): array
    {
        $mix = [];
        foreach (Members::members($colour, 'mix') as $share) {
            $name = Members::text($share, 'wool');
            $mix[$name] = ($mix[$name] ?? 0) + (int) Members::number($share, 'percent');
        }

        return $mix;
    }

    /** As said, else as the finish asks for; a layer of sheet is cut from it. */
    private function covering(stdClass $part): Covering
    {
        $said = Members::object($part, 'covering');
        $isCut = Members::text(Members::object($this->document, 'flat'), 'way') === FlatWay::Sheet->value
            && ShapeKind::tryFrom(Members::text(Members::object($part, 'shape'), 'kind'))?->isFlat() === true;
        $usual = match (true) {
            in_array(Members::text($part, 'finish'), ['loops', 'tufts'], true) => Members::text($part, 'finish'),
            $isCut => CoveringWay::PreFelt->value,
            default => CoveringWay::Felt->value,
        };

        return Covering::of(
            CoveringWay::from(Members::text($said, 'way', $usual)),
            Members::number($said, 'lengthMm'),
            Members::number($said, 'perCm2'),
            Members::number($said, 'mgEach'),
            Members::number($said, 'ribbonMm'),
            Members::number($said, 'overlap', -1.0),
        );
    }

    /** @return array<string, Detail> */
    public function details(): array
    {
        $details = [];
        foreach (Members::members($this->document, 'details') as $detail) {
            $key = Members::text($detail, 'key');
            $kind = DetailKind::from(Members::text($detail, 'kind'));
            $widthMm = Members::number($detail, 'widthMm');
            $usualMethod = match ($kind) {
                DetailKind::Bead => 'bead',
                DetailKind::Eye => 'ready-made',
                default => 'felt',
            };
            $piece = Members::object($detail, 'piece');
            $details[$key] = new Detail(
                key: $key,
                name: Members::text($detail, 'name', $key),
                on: Members::text($detail, 'on'),
                colour: Members::text($detail, 'colour'),
                drawn: new Drawn(
                    kind: $kind,
                    widthMm: $widthMm,
                    heightMm: Members::number($detail, 'heightMm', $widthMm),
                    pointsMm: Members::points($detail, 'pointsMm'),
                    smooth: ($detail->smooth ?? false) === true,
                    widthsMm: Members::numbers($detail, 'widthsMm'),
                    holesMm: Members::loops($detail, 'holesMm'),
                ),
                lie: new Lie(
                    side: Side::from(Members::text($detail, 'side', 'front')),
                    xMm: Members::number($detail, 'xMm'),
                    yMm: Members::number($detail, 'yMm'),
                    turnDeg: Members::number($detail, 'turnDeg'),
                    layer: (int) Members::number($detail, 'layer', 1),
                    mirror: ($detail->mirror ?? false) === true,
                    keep: Keep::from(Members::text($detail, 'keep')),
                ),
                method: Method::from(Members::text($detail, 'method', $usualMethod)),
                meaning: new Meaning(
                    role: DetailRole::from(Members::text($detail, 'role', 'other')),
                    piece: [Members::text($piece, 'key'), Members::text($piece, 'kind')],
                    meant: Members::texts($detail, 'meant'),
                ),
            );
        }

        return $details;
    }

    public function base(): Base
    {
        $said = Members::object($this->document, 'base');
        $weights = [];
        foreach (Members::members($said, 'weights') as $weight) {
            [$x, $y, $z] = array_pad(Members::numbers($weight, 'atMm'), 3, 0.0);
            $weights[] = ['key' => Members::text($weight, 'key'), 'g' => Members::number($weight, 'g'), 'atMm' => [$x, $y, $z]];
        }

        return new Base(Members::number($said, 'flattenMm'), $weights);
    }

    public function flat(): FlatWork
    {
        $said = Members::object($this->document, 'flat');
        $way = FlatWay::from(Members::text($said, 'way', 'none'));
        $ribbon = Members::object($said, 'ribbon');
        $measured = Members::object($said, 'measured');
        $openings = [];
        foreach (Members::members($said, 'openings') as $opening) {
            $openings[Members::text($opening, 'key')] = Members::points($opening, 'pointsMm');
        }

        return new FlatWork(
            way: $way,
            overlapMm: Members::number($said, 'overlapMm', FlatWork::OVERLAP_MM),
            shrink: isset($said->measured)
                ? FlatWork::drawnIn(Members::number($measured, 'laidMm'), Members::number($measured, 'cameMm'))
                : Members::number($said, 'shrink', FlatWork::SHRINK[$way->value]),
            stitch: Stitch::from(Members::text($said, 'stitch', 'none')),
            stitchMm: Members::number($said, 'stitchMm', FlatWork::STITCH_MM),
            openings: $openings,
            ties: new Ties(
                Members::number($ribbon, 'widthMm'),
                Members::number($ribbon, 'lengthMm'),
                Members::points($ribbon, 'holesMm'),
            ),
        );
    }

    /** @return array<string, Wire> */
    public function wires(): array
    {
        $wires = [];
        foreach (Members::members($this->document, 'wires') as $wire) {
            $key = Members::text($wire, 'key');
            $wires[$key] = new Wire(
                key: $key,
                name: Members::text($wire, 'name', $key),
                material: WireMaterial::from(Members::text($wire, 'material', 'paper-covered')),
                gaugeMm: Members::number($wire, 'gaugeMm', Wire::USUAL_MM),
                pointsMm: self::courses($wire),
                made: new WireMade(
                    ($wire->doubled ?? false) === true,
                    Members::number($wire, 'endLoopMm'),
                    Members::text($wire, 'wrapped'),
                ),
                mirror: ($wire->mirror ?? false) === true,
            );
        }

        return $wires;
    }

    /** @return list<Vec3> */
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
        foreach (Members::members(Members::object($this->document, 'work'), 'pulled') as $pull) {
            $isForward = isset($pull->before);
            $pulls[] = new Pull(Members::text($pull, 'step'), Members::text($pull, $isForward ? 'before' : 'after'), $isForward);
        }

        return $pulls;
    }

    public function picture(): ?Picture
    {
        $picture = $this->document->picture ?? null;
        if (! ($picture instanceof stdClass)) {
            return null;
        }
        [$x, $y] = Members::numbers($picture, 'originPx');

        return new Picture(
            (int) Members::number($picture, 'widthPx'),
            (int) Members::number($picture, 'heightPx'),
            Members::number($picture, 'mmPerPx'),
            $x,
            $y,
        );
    }
}
