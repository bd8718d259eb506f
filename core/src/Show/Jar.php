<?php

declare(strict_types=1);

namespace Impa\Show;

use Impa\Voice\Amount;

/** A jar, measured inside: its mouth, its belly, the height under its lid. Immutable. */
final readonly class Jar
{
    private const RANGE_MM = [5.0, 1000.0];

    /** A disc of felt on the floor is cut so much smaller than the lid, mm (docs/trade.md: a little smaller; house choice). */
    /** Whatever is smaller goes in, mm: a figure may be said to be thinner than a hair. */
    private const LEAST_MM = 0.01;

    private const DISC_MM = 4.0;

    private function __construct(public float $mouthMm, public float $bellyMm, public float $heightMm)
    {
    }

    /** @throws ShowRefused if a measure is out of range */
    public static function of(float $mouthMm, float $bellyMm, float $heightMm): self
    {
        foreach (['The mouth' => $mouthMm, 'The belly' => $bellyMm, 'The height under the lid' => $heightMm] as $what => $mm) {
            if (is_nan($mm) || $mm < self::RANGE_MM[0] || $mm > self::RANGE_MM[1]) {
                throw ShowRefused::outOfRange($what, ...self::RANGE_MM);
            }
        }

        return new self($mouthMm, $bellyMm, $heightMm);
    }

    /**
     * Whether a figure goes in and stands in it, and what helps where it does not.
     *
     * @return array{fits: bool, says: list<string>, cures: list<string>, openingMm: float, squeezeMm: float, roundMm: float,
     *     wideMm: float, highMm: float, discMm: float, toMm: ?float} toMm: a height at which it fits
     */
    public function holding(Shown $body): array
    {
        $opening = $body->opening();
        $squeeze = max(0.0, $opening['mm'] - $this->mouthMm);
        $canGive = $opening['gives'] * $opening['mm'];
        $round = $body->roundMm();
        $says = $cures = [];
        $names = $this->named($body, $opening['parts']);
        if ($squeeze <= 0.0) {
            $says[] = sprintf('Turned as is best it goes through the mouth with %s to spare.', Amount::mm($this->mouthMm - $opening['mm']));
        } elseif ($squeeze <= $canGive) {
            $says[] = sprintf(
                'It goes through the mouth squeezed by %s at %s: that gives up to %s.',
                Amount::mm($squeeze),
                $names,
                Amount::mm($canGive),
            );
        } else {
            $says[] = sprintf(
                'It does not go through the mouth: at %s it needs %s, squeezed %s.',
                $names,
                Amount::mm($opening['mm']),
                Amount::mm($opening['mm'] - $canGive),
            );
            $cures[] = sprintf('A jar with a mouth of %s.', Amount::mm(ceil($opening['mm'] - $canGive)));
            $cures[] = sprintf('Join %s inside the jar, with a long needle, as the last step.', $names);
        }
        if ($round > $this->bellyMm) {
            $says[] = sprintf('It is too broad for the belly by %s.', Amount::mm($round - $this->bellyMm));
        }
        if ($body->heightMm() > $this->heightMm) {
            $says[] = sprintf('It is too high for the lid by %s.', Amount::mm($body->heightMm() - $this->heightMm));
        }
        $share = min(
            $squeeze > $canGive ? $this->mouthMm / max(self::LEAST_MM, $opening['mm'] - $canGive) : 1.0,
            $this->bellyMm / max(self::LEAST_MM, $round),
            $this->heightMm / max(self::LEAST_MM, $body->heightMm()),
        );
        // Down to whole mm, so that what is said does fit.
        $to = $share < 1.0 ? floor($share * $body->figure->heightMm) : null;
        if ($to !== null) {
            $cures[] = sprintf(
                'Make it %s high instead of %s: then it fits as it is.',
                Amount::mm($to),
                Amount::mm($body->figure->heightMm),
            );
        }

        return [
            'fits' => $share >= 1.0,
            'says' => $says,
            'cures' => $cures,
            'openingMm' => $opening['mm'],
            'squeezeMm' => $squeeze,
            'roundMm' => $round,
            'wideMm' => $body->widthMm(),
            'highMm' => $body->heightMm(),
            'discMm' => max(0.0, min($this->bellyMm, $this->mouthMm) - self::DISC_MM),
            'toMm' => $to,
        ];
    }

    /** @param  list<string>  $keys */
    private function named(Shown $body, array $keys): string
    {
        $names = array_unique(array_map(static fn (string $key): string => mb_strtolower($body->figure->parts[$key]->name), $keys));

        return implode(' and ', array_slice($names, 0, 3));
    }
}
