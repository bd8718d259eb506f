<?php

declare(strict_types=1);

namespace Impa\Seeing\Result;

use Impa\Voice\Message;

/** Within seeing, parts and marks have English names, from which keys and roles are read; a document gets them in the felter's language. */
final class SeenNames
{
    /** @param  string  $name  such as "Inner ear", or "Ear 2" for another one */
    public static function said(string $name): string
    {
        preg_match('/^(.+?)( \d+)?$/', $name, $m);

        return Message::of('seeing.name.'.strtolower(str_replace(' ', '-', $m[1] ?? $name))).($m[2] ?? '');
    }
}
