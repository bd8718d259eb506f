<?php

declare(strict_types=1);

namespace Impa\Figure\Document;

use Impa\Shape\Catalogue;
use Impa\Shape\ShapeKind;
use Impa\Shape\ShapeRefused;
use Impa\Shape\Size;
use Impa\Shape\Solid;
use stdClass;

/** Reads a shape of a document as the solid that it is. */
final class ShapeReader
{
    /** @throws ShapeRefused if the shape cannot be felted */
    public static function solid(stdClass $shape): Solid
    {
        $options = [];
        foreach (['taper', 'topMm', 'bottomMm', 'edgeMm', 'cornerMm', 'bendDeg'] as $name) {
            if (isset($shape->{$name})) {
                $options[$name] = Members::number($shape, $name);
            }
        }
        if (isset($shape->outline)) {
            $options['outline'] = is_string($shape->outline) ? $shape->outline : Members::points($shape, 'outline');
        }
        $kind = ShapeKind::tryFrom(Members::text($shape, 'kind')) ?? throw ShapeRefused::unknownKind(Members::text($shape, 'kind'));

        return Catalogue::solid(
            $kind,
            Size::of(Members::number($shape, 'widthMm'), Members::number($shape, 'heightMm'), Members::number($shape, 'depthMm')),
            $options,
        );
    }
}
