<?php

declare(strict_types=1);

use Illuminate\Contracts\Console\Kernel;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputOption;

/*
 * Writes docs/console.md from the commands themselves: what each is for, what it takes.
 *   php bin/console.php            writes the page anew
 *   php bin/console.php --check    exits with 1 where the page says something else than the commands
 */

require __DIR__.'/../vendor/autoload.php';

/** What one of them means, and what it is where it is not said. */
function row(string $name, InputArgument|InputOption $one): string
{
    $default = $one->getDefault();
    $else = is_scalar($default) && ! is_bool($default) ? " ($default where it is not said)" : '';

    return sprintf('| `%s` | %s%s |', $name, str_replace('|', '\|', $one->getDescription()), $else);
}

/** An option as it is typed. */
function typed(InputOption $option): string
{
    return '--'.$option->getName().($option->acceptValue() ? '=…' : '');
}

/** An argument as it is typed. */
function named(InputArgument $argument): string
{
    $name = mb_strtoupper($argument->getName()).($argument->isArray() ? ' …' : '');

    return $argument->isRequired() ? $name : "[$name]";
}

$app = require __DIR__.'/../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();
$commands = array_filter($kernel->all(), static fn (string $name): bool => str_starts_with($name, 'impa:'), ARRAY_FILTER_USE_KEY);
ksort($commands);
$page = <<<'MD'
    # Console

    Every command, and what it takes: written from the commands themselves by `php bin/console.php`. A figure is an
    impa-figure file ([its form](../docs/formats.md)). Exit 0, or 2 with one line per fault on standard error.
    `impa:render --match` draws in the drawing's own pixels, so that the render lies over it. The console reckons by the
    house's numbers, not by a felter's own hand, so that a document gives the same answer everywhere.

    Every command takes `--units=metric` or `--units=imperial`, `--lang=en`
    or `--lang=de`, and `--currency=EUR`: its words, amounts and prices follow. What is
    asked in mm or grams, and the members of JSON, stay metric.

    MD;
foreach ($commands as $name => $command) {
    [$arguments, $options] = [$command->getDefinition()->getArguments(), $command->getDefinition()->getOptions()];
    $page .= sprintf(
        "\n## %s\n\n%s.\n\n```\nphp artisan %s\n```\n",
        $name,
        wordwrap(rtrim($command->getDescription(), '.'), 119),
        wordwrap(implode(' ', [
            $name,
            ...array_map(named(...), array_values($arguments)),
            ...array_map(static fn (InputOption $option): string => '['.typed($option).']', array_values($options)),
        ]), 100, " \\\n    "),
    );
    $rows = [];
    foreach ($arguments as $argument) {
        $rows[] = row(mb_strtoupper($argument->getName()), $argument);
    }
    foreach ($options as $option) {
        $rows[] = row(typed($option), $option);
    }
    $page .= $rows === [] ? '' : "\n| | |\n|---|---|\n".implode("\n", $rows)."\n";
}
$file = __DIR__.'/../docs/console.md';
if (! in_array('--check', $argv, true)) {
    file_put_contents($file, $page);
} elseif (! is_file($file) || file_get_contents($file) !== $page) {
    fwrite(STDERR, "docs/console.md says something else than the commands. Run php bin/console.php to write it anew.\n");
    exit(1);
}
