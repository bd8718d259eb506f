<?php

declare(strict_types=1);

namespace App\Seeing;

use RuntimeException;

/** Nobody waits for this break-down any more. */
final class GivenUp extends RuntimeException
{
}
