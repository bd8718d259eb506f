<?php

declare(strict_types=1);

namespace App\Archive;

/** What is done where something is here already, and otherwise than in the archive. */
enum Conflict: string
{
    case Keep = 'keep';
    case Replace = 'replace';
    case Both = 'both';
}
