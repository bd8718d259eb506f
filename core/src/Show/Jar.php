<?php

declare(strict_types=1);

namespace Impa\Show;

use Impa\Voice\Amount;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Name;

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
        foreach (['mouth' => $mouthMm, 'belly' => $bellyMm, 'under-lid' => $heightMm] as $what => $mm) {
            if (is_nan($mm) || $mm < self::RANGE_MM[0] || $mm > self::RANGE_MM[1]) {
                throw ShowRefused::outOfRange($what, ...self::RANGE_MM);
            }
        }

        return new self($mouthMm, $bellyMm, $heightMm);
    }

    /**
     * Whether a figure goes in and stands in it, and what helps where it does not.
     *
     * @return array{fits: bool, says: list<Message>, cures: list<Message>, openingMm: float, squeezeMm: float, roundMm: float,
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
            $says[] = Message::of('show.jar.turned-as-is-best', mm: Amount::mm($this->mouthMm - $opening['mm']));
        } elseif ($squeeze <= $canGive) {
            $says[] = Message::of('show.jar.it-goes-through', squeeze: Amount::mm($squeeze), names: $names, canGive: Amount::mm($canGive));
        } else {
            $says[] = Message::of(
                'show.jar.it-does-not-go',
                names: $names,
                mm: Amount::mm($opening['mm']),
                mm2: Amount::mm($opening['mm'] - $canGive),
            );
            $cures[] = Message::of('show.jar.a-jar', mm: Amount::mm(ceil($opening['mm'] - $canGive)));
            $cures[] = Message::of('show.jar.join-inside-the-jar', names: $names);
        }
        if ($round > $this->bellyMm) {
            $says[] = Message::of('show.jar.it-is-too-broad', mm: Amount::mm($round - $this->bellyMm));
        }
        if ($body->heightMm() > $this->heightMm) {
            $says[] = Message::of('show.jar.it-is-too-high', mm: Amount::mm($body->heightMm() - $this->heightMm));
        }
        $share = min(
            $squeeze > $canGive ? $this->mouthMm / max(self::LEAST_MM, $opening['mm'] - $canGive) : 1.0,
            $this->bellyMm / max(self::LEAST_MM, $round),
            $this->heightMm / max(self::LEAST_MM, $body->heightMm()),
        );
        // Down to whole mm, so that what is said does fit.
        $to = $share < 1.0 ? floor($share * $body->figure->heightMm) : null;
        if ($to !== null) {
            $cures[] = Message::of('show.jar.make-it-high-instead', to: Amount::mm($to), height: Amount::mm($body->figure->heightMm));
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
    private function named(Shown $body, array $keys): Listed
    {
        $names = array_unique(array_map(static fn (string $key): string => $body->figure->parts[$key]->name, $keys));

        return new Listed(array_map(static fn (string $name): Name => new Name($name), array_slice($names, 0, 3)));
    }
}
