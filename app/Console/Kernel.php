<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Foundation\Console\Kernel as BaseKernel;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Throwable;

/** What goes wrong before a command is asked, such as an option that there is not, is said where its answer does not stand. */
final class Kernel extends BaseKernel
{
    protected function shouldDiscoverCommands(): bool
    {
        return true;
    }

    protected function renderException($output, Throwable $e): void
    {
        parent::renderException($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output, $e);
    }
}
