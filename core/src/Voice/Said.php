<?php

declare(strict_types=1);

namespace Impa\Voice;

use JsonSerializable;
use Stringable;

/** What becomes words only when it is said: in whose language and units is known then. */
interface Said extends JsonSerializable, Stringable
{
    public function in(Voice $voice): string;
}
