<?php

declare(strict_types=1);

namespace Impa\Picture;

use Impa\Shape\ShapeKind;

/** Names for parts by their place, as suggestions; every key is its own. */
final class Naming
{
    /** @param  array<int, Piece>  $pieces by region index; key and name are set */
    public static function of(array $pieces, float $axis): void
    {
        $root = -1;
        foreach ($pieces as $i => $piece) {
            $root = $piece->joinTo < 0 ? $i : $root;
        }
        $head = self::head($pieces, $root);
        $used = [];
        foreach ($pieces as $i => $piece) {
            $name = match (true) {
                $i === $root => $head === $root ? 'Head' : 'Body',
                $i === $head => 'Head',
                default => self::limb($piece, $pieces, $root, $head),
            };
            $used[$name] = ($used[$name] ?? 0) + 1;
            $piece->name = $used[$name] === 1 ? $name : $name.' '.$used[$name];
            $piece->key = strtolower(str_replace(' ', '-', $piece->name));
        }
    }

    /**
     * The largest piece above the root's middle, if it is a third of the root at least.
     *
     * @param  array<int, Piece>  $pieces
     */
    private static function head(array $pieces, int $root): int
    {
        $head = -1;
        $largest = 0.33 * $pieces[$root]->blob->area();
        foreach ($pieces as $i => $piece) {
            if ($i !== $root && ! $piece->mirror && $piece->fit->y > $pieces[$root]->fit->y && $piece->blob->area() > $largest) {
                [$head, $largest] = [$i, $piece->blob->area()];
            }
        }

        return $head;
    }

    /** @param  array<int, Piece>  $pieces */
    private static function limb(Piece $piece, array $pieces, int $root, int $head): string
    {
        $to = $pieces[$piece->joinTo];
        $above = $piece->fit->y > $to->fit->y + 0.25 * $to->fit->heightPx;
        $below = $piece->fit->y < $to->fit->y - 0.3 * $to->fit->heightPx;
        $onHead = $piece->joinTo === $head || $head < 0;

        return match (true) {
            $piece->mirror && $above && $onHead => $piece->fit->kind === ShapeKind::Cone ? 'Horn' : 'Ear',
            $piece->mirror && $below && $piece->joinTo === $root => 'Foot',
            $piece->mirror && $piece->joinTo === $root => 'Arm',
            $piece->mirror => 'Side piece',
            $above && $onHead => 'Top',
            $below && $piece->joinTo === $root => 'Base',
            default => 'Part',
        };
    }
}
