<?php

declare(strict_types=1);

namespace Impa\Surface;

use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Placement;
use Impa\Figure\Term\Side;
use Impa\Voice\Message;
use Impa\Voice\Name;

/**
 * A place on a part that others can be measured from: its crown, a detail, the foot of what is joined to it. In mm from
 * the part's middle. Immutable.
 */
final readonly class Anchor
{
    /** How far it is drawn in towards the middle, share by share, until it lies on the part as seen from the front. */
    private const INWARDS = 0.98;

    private const STEPS = 120;

    private function __construct(public string $key, public Message|string $name, public float $xMm, public float $yMm)
    {
    }

    public static function crown(Surface $surface): self
    {
        return new self('crown', Message::of('surface.anchor.the-crown'), 0.0, $surface->crownMm());
    }

    /** @return non-empty-list<self> the crown first; of a pair both */
    public static function all(Figure $figure, Part $part, Surface $surface): array
    {
        $anchors = [self::crown($surface)];
        foreach ($figure->detailsOn($part->key) as $detail) {
            [$x, $y] = $detail->middle();
            if ($detail->lie->side === Side::Front && $surface->has($x, $y)) {
                $anchors[] = new self(
                    $detail->key,
                    $detail->lie->mirror ? Message::of('surface.anchor.right', name: $detail->name) : $detail->name,
                    $x,
                    $y,
                );
                if ($detail->lie->mirror && $surface->has(-$x, $y)) {
                    $anchors[] = new self($detail->key.' twin', Message::of('surface.anchor.left', name: $detail->name), -$x, $y);
                }
            }
        }
        foreach ($figure->parts as $joined) {
            foreach ($joined->join->to === $part->key ? $joined->placements() : [] as $placement) {
                $foot = self::foot($placement, $part, $surface);
                if ($foot !== null) {
                    $anchors[] = new self(
                        $joined->key.($placement->isTwin ? ' twin' : '').' foot',
                        Message::of(
                            'surface.anchor.foot'.($joined->stand->mirror ? ($foot[0] < 0.0 ? '-left' : '-right') : ''),
                            name: new Name($joined->name),
                        ),
                        ...$foot,
                    );
                }
            }
        }

        return $anchors;
    }

    /**
     * Where a mark lies from here: level by tape from straight above or below the anchor, by tape up or down the anchor's own
     * line to that level, and straight by calipers.
     *
     * @return ?array{acrossMm: float, downMm: float, pinMm: float} null where one of the three ways leaves the part
     */
    public function to(Surface $surface, float $xMm, float $yMm): ?array
    {
        $across = TapeMark::straightMm($surface, [$this->xMm, $yMm], [$xMm, $yMm]);
        $down =
            $this->key === 'crown'
                ? TapeMark::downMm($surface, $yMm)
                : TapeMark::straightMm($surface, [$this->xMm, $this->yMm], [$this->xMm, $yMm]);
        $pin = sqrt(
            ($xMm - $this->xMm) ** 2 +
                ($yMm - $this->yMm) ** 2 +
                ($surface->heightMm($xMm, $yMm) - $surface->heightMm($this->xMm, $this->yMm)) ** 2,
        );

        return is_nan($across + $down + $pin)
            ? null
            : [
                'acrossMm' => $xMm < $this->xMm ? -$across : $across,
                'downMm' => $yMm > $this->yMm ? -$down : $down,
                'pinMm' => $pin,
            ];
    }

    /**
     * @return ?array{
     *     float, float,
     * } the point of a joined piece that lies nearest to the part's middle, drawn in until it is seen on the part
     */
    private static function foot(Placement $piece, Part $part, Surface $surface): ?array
    {
        // The middle of each ring: the course of the piece itself.
        $at = $part->stand->at;
        $middle = static fn (array $ring, int $axis): float => array_sum(array_column($ring, $axis)) / count($ring) - $at[$axis];
        $course = array_map(
            static fn (array $ring): array => [$middle($ring, 0), $middle($ring, 1), $middle($ring, 2)],
            $piece->rings(),
        );
        $far = static fn (array $p): float => hypot(hypot($p[0], $p[1]), $p[2]);
        usort($course, static fn (array $a, array $b): int => $far($a) <=> $far($b));
        [$x, $y] = $course[0];
        for ($i = 0; $i < self::STEPS && ! $surface->has($x, $y); $i++) {
            [$x, $y] = [$x * self::INWARDS, $y * self::INWARDS];
        }

        return $surface->has($x, $y) ? [$x, $y] : null;
    }
}
