<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Foundation\Console\Kernel as BaseKernel;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Throwable;

/** What goes wrong before a command is asked, such as an option that there is not, is said where its answer does not stand. */
final class Kernel extends BaseKernel
{
    /** In which units and language: taken by every command alike, as Laravel takes --env (App\Console\Speaking). */
    protected function getArtisan()
    {
        // In tests as well, where Laravel leaves it out.
        $this->rerouteSymfonyCommandEvents();
        $artisan = parent::getArtisan();
        $options = $artisan->getDefinition();
        if (! $options->hasOption('units')) {
            $options->addOption(new InputOption('--units', null, InputOption::VALUE_REQUIRED, 'metric or imperial', 'metric'));
            $currency = 'of prices, by ISO 4217, such as EUR';
            $options->addOption(new InputOption('--currency', null, InputOption::VALUE_REQUIRED, $currency, ''));
            $options->addOption(new InputOption('--lang', null, InputOption::VALUE_REQUIRED, 'a language that there are words for', 'en'));
        }

        return $artisan;
    }

    protected function shouldDiscoverCommands(): bool
    {
        return true;
    }

    protected function renderException($output, Throwable $e): void
    {
        parent::renderException($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output, $e);
    }
}
