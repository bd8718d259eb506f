<?php

declare(strict_types=1);

namespace Impa\Build\Steps;

use Impa\Face\Needles;
use Impa\Figure\Detail;
use Impa\Figure\Figure;
use Impa\Figure\Member\Subject;
use Impa\Figure\Part;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Term\PlateSchool;
use Impa\Geometry\Outline\Polygon;
use Impa\Material\CoreMaterial;
use Impa\Material\CoveringWay;
use Impa\Material\Pace;
use Impa\Shape\ShapeKind;
use Impa\Trace\Traced;
use Impa\Voice\Message;
use Impa\Voice\Opening;
use Impa\Wool\Ledger\Coverings;
use Impa\Wool\Ledger\Ledger;
use Impa\Wool\Ledger\LedgerLine;
use Impa\Wool\Ledger\Purpose;

/** The steps that make a part by itself, and what is laid on it at the end. Immutable. */
final readonly class Making
{
    /** Thicker ears, wings, leaves, brims than so many mm keep whatever shape they were felted in (house choice). */
    private const STEAMED_MM = 6.0;

    /** @param  string  $face  key of the part that bears the face */
    public function __construct(
        private Figure $figure,
        private Ledger $ledger,
        private Pace $pace,
        private Needles $needles,
        private WireRouting $routing,
        private string $face,
    ) {
    }

    /**
     * @param  list<string>  $after
     * @return list<Step> wire, core and cover as far as it has them, and both of a pair compared
     */
    public function of(Part $part, array $after): array
    {
        $wool = $this->ledger->wool[$part->key];
        $core = $wool->coreMaterial();
        $cap = $this->under($part);
        $steps = [];
        $then = static function (Step $step) use (&$steps, &$after): void {
            $steps[] = $step;
            $after = [$step->key];
        };
        if ($this->routing->isBentFor($part)) {
            $steps[] = new Step(
                key: 'wire:'.$part->key,
                kind: StepKind::Wire,
                title: Message::of('steps.title.wire', part: $part->name),
                text: Message::of('steps.text.wire'),
                time: StepTime::usual($part->count(), Pace::WIRE),
                about: new Subject($part->key),
            );
            $after = [...$after, 'wire:'.$part->key, ...$this->routing->beforeMaking($part)];
        }
        $each = null;
        if ($core !== CoreMaterial::None) {
            $isFoam = $core === CoreMaterial::Foam;
            $inside = ($wool->inside ?? $part->solid)->size();
            $holder = $this->pace->needles($wool->coreG(), $inside->middleMm());
            $each = $isFoam ? Pace::foam() : $this->pace->bulk($wool->coreG(), $part->made->firmness, $holder);
            $then(new Step(
                key: 'core:'.$part->key,
                kind: StepKind::Core,
                title: Message::of('steps.title.core', part: $part->name),
                text: $cap === null ? StepWords::core($core) : StepWords::capCore($cap, $wool->seat->capMm - $part->made->coverMm),
                time: StepTime::each($part->count(), $each),
                about: new Subject($part->key),
                order: new StepOrder($after),
                uses: new StepUses(
                    $isFoam ? null : NeedleChoice::bulk($holder, $part->solid->thinnestMm())->from($this->needles),
                    $this->lines($part, Purpose::Inside),
                ),
            ));
        }
        $after = [...$after, ...$this->routing->beforeCover($part)];
        $then(
            $this->isCutOut($part) ? $this->cutOut($part, $after) : ($part->made->covering->way->replacesCover()
                ? $this->covering('cover:'.$part->key, $part, $after)
                : $this->cover($part, $core, $after, $each)),
        );
        if ($part->stand->mirror) {
            $then(new Step(
                key: 'compare:'.$part->key,
                kind: StepKind::Compare,
                title: Message::of('steps.title.compare', part: $part->name),
                text: Coverings::isCut($part) ? Message::of('steps.text.compare-cut') : Message::of('steps.text.compare'),
                time: StepTime::usual(1, Pace::COMPARE),
                about: new Subject($part->key, colour: $part->colour),
                order: new StepOrder($after),
            ));
        }

        return $steps;
    }

    /**
     * @param  list<string>  $after
     * @param  ?Traced  $coreMinutes  of one piece
     */
    private function cover(Part $part, CoreMaterial $core, array $after, ?Traced $coreMinutes): Step
    {
        $wool = $this->ledger->wool[$part->key];
        $cap = $this->under($part);
        $isSolid = $core === CoreMaterial::None;
        $holder = $this->pace->needles($wool->coverG(), $part->solid->size()->middleMm());
        $each = $this->pace->felting(
            $this->pace->bulk($wool->coverG(), $part->made->firmness, $holder),
            $this->pace->surface($this->ledger->areaCm2($part->key), $part->key === $this->face),
            $coreMinutes,
        );
        $needle = match (true) {
            ! $isSolid => NeedleChoice::surface($holder),
            $part->solid->kind()->isFlat() => NeedleChoice::flat($part->solid->thinnestMm(), $holder),
            default => NeedleChoice::shaping($part->solid->thinnestMm(), $holder),
        };

        return new Step(
            key: 'cover:'.$part->key,
            kind: $isSolid ? StepKind::Felt : StepKind::Cover,
            title: Message::of($isSolid ? 'steps.title.felt' : 'steps.title.cover', part: $part->name),
            text: match (true) {
                $cap === null => $isSolid ? StepWords::felt($part) : StepWords::cover($part),
                $isSolid && $part->join->by === JoinBy::Wrap => StepWords::wrapped($cap, $wool->seat->capMm),
                $isSolid => StepWords::cap($cap, $wool->seat->capMm),
                default => StepWords::capCover($cap),
            },
            time: StepTime::each($part->count(), $each),
            about: new Subject($part->key, colour: $part->colour),
            order: new StepOrder($after),
            uses: new StepUses($needle->from($this->needles), $this->lines($part, Purpose::Cover)),
        );
    }

    /** What a part is felted onto, by its name; null where it is made as it is drawn. */
    private function under(Part $part): ?string
    {
        return $this->ledger->wool[$part->key]->seat->isOnto() ? mb_strtolower($this->figure->parts[$part->join->to]->name) : null;
    }

    /**
     * Loops, tufts, locks and hair come last on a part: when its face is made and its seams can be hidden under them.
     *
     * @return list<Step>
     */
    public function layingOn(Part $part): array
    {
        $way = $part->made->covering->way;
        if ($way === CoveringWay::Felt || $way->replacesCover()) {
            return [];
        }
        $after = [Steps::made($part)];
        foreach ($this->figure->detailsOn($part->key) as $detail) {
            $after[] = 'detail:'.$detail->key;
        }
        foreach ($this->figure->parts as $other) {
            if ($other->isJoined() && in_array($part->key, [$other->key, $other->join->to], true)) {
                $after[] = 'join:'.$other->key;
            }
        }

        return [$this->covering('covering:'.$part->key, $part, $after)];
    }

    /** @param  list<string>  $after */
    private function covering(string $key, Part $part, array $after): Step
    {
        $need = $this->ledger->wool[$part->key]->covering;
        $way = $part->made->covering->way;

        return new Step(
            key: $key,
            kind: StepKind::Covering,
            title: Message::of('steps.title.covering', way: new Opening($way->label()), part: $part->name),
            text: $need->text ?? '',
            time: StepTime::each($part->count(), $this->pace->covering($way, $need->count, $need->metres)),
            about: new Subject($part->key, colour: $part->colour),
            order: new StepOrder($after),
            uses: new StepUses(
                in_array($way, [CoveringWay::Film, CoveringWay::PreFelt, CoveringWay::Plait], true)
                    ? null
                    : NeedleChoice::surface()->from($this->needles),
                [...$this->lines($part, Purpose::Covering), ...$this->lines($part, Purpose::Film)],
            ),
        );
    }

    /** @param  list<string>  $after */
    private function cutOut(Part $part, array $after): Step
    {
        return new Step(
            key: 'cover:'.$part->key,
            kind: StepKind::Cut,
            title: Message::of('steps.title.cut', part: $part->name),
            text: Message::of('steps.text.cut'),
            time: StepTime::each($part->count(), $this->pace->cutOut(Polygon::perimeter($part->solid->front()[0]))),
            about: new Subject($part->key, colour: $part->colour),
            order: new StepOrder($after),
            uses: new StepUses(weighings: $this->ledger->ofPart($part->key)),
        );
    }

    /**
     * Thin flat pieces of a figure in the round come off the pad flat: they are bent as they are to sit, when all that lies on them is on.
     *
     * @return list<Step>
     */
    public function steaming(Part $part): array
    {
        if (! self::isSteamed($this->figure, $part)) {
            return [];
        }
        $details = array_map(static fn (Detail $d): string => 'detail:'.$d->key, $this->figure->detailsOn($part->key));

        return [new Step(
            key: 'steam:'.$part->key,
            kind: StepKind::Steam,
            title: Message::of('steps.title.steam', part: $part->name),
            text: Message::of('steps.text.steam'),
            time: StepTime::usual($part->count(), Pace::STEAM),
            about: new Subject($part->key, colour: $part->colour),
            order: new StepOrder([Steps::made($part), ...$details]),
        )];
    }

    public static function isSteamed(Figure $figure, Part $part): bool
    {
        return $figure->school->plates === PlateSchool::Steamed && self::isThinPlate($figure, $part);
    }

    /** Whether it comes off the pad flat, and is to sit bent. */
    public static function isThinPlate(Figure $figure, Part $part): bool
    {
        return ! $figure->flat->isFlat() && $part->isJoined() && $part->solid->kind() === ShapeKind::Plate
            && $part->solid->thinnestMm() <= self::STEAMED_MM;
    }

    /** Whether it is a layer cut from a sheet that is there already. */
    private function isCutOut(Part $part): bool
    {
        return $this->figure->flat->isFlat() && $part->made->covering->way === CoveringWay::PreFelt && $part->solid->kind()->isFlat();
    }

    /** @return list<LedgerLine> */
    private function lines(Part $part, Purpose $purpose): array
    {
        return array_values(
            array_filter($this->ledger->ofPart($part->key), static fn (LedgerLine $l): bool => $l->purpose === $purpose),
        );
    }
}
