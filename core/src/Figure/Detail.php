<?php

declare(strict_types=1);

namespace Impa\Figure;

use Impa\Figure\Member\Drawn;
use Impa\Figure\Member\Lie;
use Impa\Figure\Member\Meaning;
use Impa\Figure\Term\Method;
use Impa\Geometry\Box;

/** Colour, a bead or a line on a part. Unchanging; its outline and middle are memoised. */
final class Detail
{
    /** @var ?non-empty-list<array{float, float}> its outline, once it was asked for */
    private ?array $outline = null;

    /** @var ?array{float, float} its middle, once it was asked for */
    private ?array $middle = null;

    public function __construct(
        public readonly string $key,
        public readonly string $name,
        public readonly string $on,
        public readonly string $colour,
        public readonly Drawn $drawn,
        public readonly Lie $lie,
        public readonly Method $method,
        public readonly Meaning $meaning,
    ) {
    }

    /**
     * Its outline, or a line's course, as seen from its side, from the middle of the part.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function outline(): array
    {
        return $this->outline ??= $this->lie->placed($this->drawn->course());
    }

    /** @return list<array{float, float}> its own points, not those of the curve through them, placed like its outline; none of a disc */
    public function points(): array
    {
        return $this->lie->placed($this->drawn->pointsMm);
    }

    /** @return list<non-empty-list<array{float, float}>> outlines of what is left open in it, placed like its own */
    public function holes(): array
    {
        return array_values(array_map($this->lie->placed(...), array_filter($this->drawn->holesMm)));
    }

    /** Whether the felter said of this advice that it is meant so. */
    public function isMeant(string $code): bool
    {
        return in_array($code, $this->meaning->meant, true);
    }

    /** @return array{float, float} the middle as seen from its side; of a line, the middle of its points' box */
    public function middle(): array
    {
        return $this->middle ??= $this->drawn->pointsMm === []
            ? [$this->lie->xMm, $this->lie->yMm]
            : Box::around($this->outline())->middle();
    }
}
