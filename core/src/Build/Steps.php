<?php

declare(strict_types=1);

namespace Impa\Build;

use Impa\Face\Crispness;
use Impa\Face\LayingOrder;
use Impa\Figure\Detail;
use Impa\Figure\FaceSchool;
use Impa\Figure\Figure;
use Impa\Figure\Method;
use Impa\Figure\Part;
use Impa\Wool\CoreMaterial;
use Impa\Wool\DetailWool;
use Impa\Wool\PartWool;

/** Everything there is to do for a figure, each step after what it depends on. */
final readonly class Steps
{
    /** @param  array<string, PartWool>  $wool by part key */
    private function __construct(
        private Figure $figure,
        private array $wool,
        private string $face,
    ) {
    }

    /**
     * @param  array<string, PartWool>  $wool  by part key
     * @return list<Step> in an order that can be followed
     */
    public static function of(Figure $figure, array $wool): array
    {
        if ($figure->parts === []) {
            return [];
        }
        $steps = new self($figure, $wool, self::facePart($figure));
        $all = $steps->portions();
        foreach ($figure->parts as $part) {
            array_push($all, ...$steps->making($part), ...$steps->joining($part));
        }
        foreach (LayingOrder::of($figure, array_values($figure->details)) as $detail) {
            $all[] = $steps->detail($detail);
        }
        $all[] = new Step('inspect', StepKind::Inspect, '', '', array_map(static fn (Step $s): string => $s->key, $all), Minutes::INSPECT, 0.0, null, [], Words::INSPECT);

        return Order::of($all);
    }

    /** The part that bears the most details: the face. Empty where there are none. */
    public static function facePart(Figure $figure): string
    {
        $counts = array_count_values(array_map(static fn (Detail $d): string => $d->on, array_values($figure->details)));
        arsort($counts);

        return (string) array_key_first($counts);
    }

    /** @return list<Step> one step, where anything comes in pairs */
    private function portions(): array
    {
        $weighings = [];
        foreach ($this->figure->parts as $part) {
            if ($part->mirror) {
                $weighings[] = new Weighing('wool', $part->colour, $this->wool[$part->key]->coverG(), 2);
            }
        }

        return $weighings === [] ? [] : [new Step('portion', StepKind::Portion, '', '', [], Minutes::PORTION, 0.0, null, $weighings, Words::PORTION)];
    }

    /** @return list<Step> core and cover, or one step for a solid part */
    private function making(Part $part): array
    {
        $wool = $this->wool[$part->key];
        $core = $wool->coreMaterial();
        $colour = new Weighing('wool', $part->colour, $wool->coverG(), $part->count());
        $after = $part->mirror ? ['portion'] : [];
        $surface = Minutes::surface($wool->areaCm2(), $part->key === $this->face);
        $coverMinutes = $part->count() * (Minutes::bulk($wool->coverG(), $part->firmness) + $surface);
        if ($core === CoreMaterial::None) {
            return [new Step('cover:'.$part->key, StepKind::Felt, $part->key, '', $after, $coverMinutes, 0.0, Needle::shaping(), [$colour], Words::felt($part))];
        }
        $coreMinutes = $part->count() * ($core === CoreMaterial::Foam ? 1.0 : Minutes::bulk($wool->coreG(), $part->firmness));

        return [
            new Step('core:'.$part->key, StepKind::Core, $part->key, '', $after, $coreMinutes, 0.0, Needle::bulk(Minutes::holder($wool->coreG())), [new Weighing($core->value, '', $wool->coreG(), $part->count())], Words::core($part, $core)),
            new Step('cover:'.$part->key, StepKind::Cover, $part->key, '', ['core:'.$part->key], $coverMinutes, 0.0, Needle::surface(), [$colour], Words::cover($part)),
        ];
    }

    /** @return list<Step> */
    private function joining(Part $part): array
    {
        if (! $part->isJoined()) {
            return [];
        }
        $after = ['cover:'.$part->key, 'cover:'.$part->joinTo];
        $first = match ($this->figure->faceSchool) {
            FaceSchool::LooseHead => [$part->key, $this->face],
            FaceSchool::FaceFirst => $part->key === $this->face ? [] : [$this->face],
            FaceSchool::LimbsFirst => [],
        };
        foreach ($this->figure->details as $detail) {
            if (in_array($detail->on, $first, true)) {
                $after[] = 'detail:'.$detail->key;
            }
        }

        return [
            new Step('join:'.$part->key, StepKind::Join, $part->key, '', $after, $part->count() * Minutes::JOIN, 0.0, Needle::joining(), [], Words::join($part, $this->figure->parts[$part->joinTo])),
            new Step('hide:'.$part->key, StepKind::Hide, $part->key, '', ['join:'.$part->key], $part->count() * Minutes::HIDE, 0.0, Needle::surface(), [], Words::hide($part)),
        ];
    }

    private function detail(Detail $detail): Step
    {
        $part = $this->figure->parts[$detail->on];
        $after = ['cover:'.$detail->on];
        foreach ($this->figure->detailsOn($detail->on) as $other) {
            if ($other->layer < $detail->layer) {
                $after[] = 'detail:'.$other->key;
            }
        }
        if ($this->figure->faceSchool === FaceSchool::FaceFirst && $part->isJoined()) {
            $after[] = 'join:'.$part->key;
        }
        foreach ($this->figure->faceSchool === FaceSchool::LimbsFirst ? $this->figure->parts : [] as $other) {
            if ($other->isJoined()) {
                $after[] = 'join:'.$other->key;
            }
        }
        $count = self::pieces($detail, $part);
        $felted = $detail->method === Method::Felt;
        $weighings = $felted ? [new Weighing('wool', $detail->colour, DetailWool::mg($detail) / 1000, $count)] : [];
        $isSpark = Crispness::isSpark($this->figure, $detail);

        return new Step(
            'detail:'.$detail->key, StepKind::Detail, $detail->on, $detail->key, $after, $count * Minutes::detail($detail, $isSpark),
            in_array($detail->method, [Method::ReadyMade, Method::Paint, Method::Pin], true) ? Minutes::DRYING : 0.0,
            $felted ? Needle::face() : null, $weighings, Words::detail($detail),
        );
    }

    public static function pieces(Detail $detail, Part $part): int
    {
        return ($detail->mirror ? 2 : 1) * $part->count();
    }
}
