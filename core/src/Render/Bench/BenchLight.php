<?php

declare(strict_types=1);

namespace Impa\Render\Bench;

use Impa\Render\RenderRefused;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What a bench is like when a photo is taken on it: where the light comes from and how hard it is, what it makes of the colours, what
 * the figure lies on, and who is in the way. Immutable.
 */
final readonly class BenchLight
{
    /** What a photo can be spoilt by, each by itself. */
    public const KINDS = [
        'even', 'soft', 'side', 'strong', 'shadow', 'hard', 'cast', 'corners', 'unsharp', 'hand', 'finger', 'folds', 'wood', 'cloth',
    ];

    /**
     * @param  float  $shadow  how much darker the ground is in the figure's shadow, 0 to 1
     * @param  float  $contact  and right beside what lies on it
     * @param  float  $corners  how much darker the corners are
     * @param  int  $blur  rounds of blur besides the lens's usual one
     * @param  'paper'|'folds'|'wood'|'cloth'  $ground
     * @param  'none'|'hand'|'finger'  $inTheWay  a hand at the rim of the picture, or a finger that touches the figure
     */
    private function __construct(
        public string $kind,
        public Lamp $lamp,
        public float $shadow,
        public float $contact,
        public float $corners,
        public int $blur,
        public string $ground,
        public string $inTheWay,
    ) {
    }

    /**
     * A bench of one of the kinds.
     *
     * @throws RenderRefused if there is no such kind
     */
    public static function of(string $kind, int $seed): self
    {
        if (! in_array($kind, self::KINDS, true)) {
            throw RenderRefused::noSuchLight(self::KINDS);
        }
        $random = new Randomizer(new Mt19937(31 * $seed + 7));
        $between = static fn (float $low, float $high): float => $low + ($high - $low) * $random->getInt(0, 1_000_000) / 1_000_000;
        $warm = $between(-1.0, 1.0);
        $isShaded = ! in_array($kind, ['even', 'cast', 'corners', 'unsharp'], true);

        return new self(
            kind: $kind,
            lamp: new Lamp(
                fromDeg: $between(0.0, 360.0),
                highDeg: $kind === 'hard' ? $between(35.0, 55.0) : $between(40.0, 65.0),
                shading: match ($kind) {
                    'even' => 0.0,
                    'soft' => $between(0.1, 0.2),
                    'side' => $between(0.24, 0.32),
                    'strong' => $between(0.35, 0.45),
                    default => $isShaded ? $between(0.08, 0.18) : 0.05,
                },
                isHard: in_array($kind, ['hard', 'strong'], true),
                gains: $kind === 'cast' ? [1 + 0.14 * $warm, 1.0, 1 - 0.18 * $warm] : [1.0, 1.0, 1.0],
            ),
            shadow: match ($kind) {
                'shadow' => $between(0.12, 0.25),
                'hard' => $between(0.25, 0.45),
                'side', 'strong' => $between(0.05, 0.12),
                default => 0.0,
            },
            contact: $kind === 'even' ? 0.0 : $between(0.05, 0.15),
            corners: $kind === 'corners' ? $between(0.2, 0.35) : 0.0,
            blur: $kind === 'unsharp' ? $random->getInt(4, 8) : 0,
            ground: match ($kind) {
                'folds', 'wood', 'cloth' => $kind,
                default => 'paper',
            },
            inTheWay: match ($kind) {
                'hand', 'finger' => $kind,
                default => 'none',
            },
        );
    }

    /** @return array<string, mixed> what is true of the photo */
    public function document(): array
    {
        return [...get_object_vars($this), 'lamp' => get_object_vars($this->lamp)];
    }
}
