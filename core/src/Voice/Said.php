<?php

declare(strict_types=1);

namespace Impa\Voice;

/** What becomes words only when it is said: in whose language and units is known then. */
interface Said
{
    public function in(Voice $voice): string;
}
