<?php

declare(strict_types=1);

namespace Impa\Sets;

use Impa\Figure\Colour;
use Impa\Figure\Editing\Branch;
use Impa\Figure\Figure;

/** One figure of a set, in its own colours and size, and how many are made of it. Immutable. */
final readonly class Member
{
    /** Of one there are so many at most. */
    private const MOST = 1000;

    /**
     * @param  Figure  $base  as it stands on the shelf
     * @param  array<string, string>  $hexes  colours that are otherwise than there, by key
     */
    private function __construct(
        public string $name,
        public Figure $figure,
        public int $count,
        public Figure $base,
        public array $hexes,
    ) {
    }

    /**
     * @param  array<string, string>  $hexes  colours that are otherwise, by key
     * @param  ?float  $heightMm  another finished height
     *
     * @throws SetRefused if there are none or too many of it
     * @throws \Impa\Figure\Editing\EditRefused if the height is out of range, or there is no such colour
     * @throws \Impa\Figure\Document\FigureRefused if the figure so changed has faults
     */
    public static function of(Figure $base, string $name = '', int $count = 1, array $hexes = [], ?float $heightMm = null): self
    {
        $name = $name === '' ? $base->name : $name;
        if ($count < 1 || $count > self::MOST) {
            throw SetRefused::countOutOfRange($name, self::MOST);
        }
        $isItself = $hexes === [] && $heightMm === null && $name === $base->name;
        $figure = $isItself ? $base : Branch::of($base, $name, $heightMm === null ? 1.0 : $heightMm / $base->heightMm, $hexes);

        return new self($name, $figure, $count, $base, $hexes);
    }

    /** What is made of wool alike whatever its colours are: two with the same are made side by side. */
    public function shape(): string
    {
        $document = $this->figure->document();
        unset($document->name, $document->colours, $document->picture);

        return md5((string) json_encode($document));
    }

    /** Another one with the same comes out exactly like this. */
    public function look(): string
    {
        return $this->shape().implode(' ', array_map(static fn (Colour $c): string => $c->srgb->toHex(), $this->figure->colours));
    }
}
