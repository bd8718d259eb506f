<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Events\CommandStarting;
use Impa\Voice\Language;
use Impa\Voice\Message;
use Impa\Voice\Units;
use Impa\Voice\Voice;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;

/** Every command answers in the units, the language and the currency that it is asked for by --units, --lang and --currency. */
final class Speaking
{
    public function handle(CommandStarting $starting): void
    {
        $units = Units::tryFrom(self::said($starting->input, '--units', Units::Metric->value));
        $language = Language::tryFrom(self::said($starting->input, '--lang', Language::English->value));
        Voice::speak(new Voice(
            $language ?? throw self::refused('--lang', array_column(Language::cases(), 'value')),
            $units ?? throw self::refused('--units', array_column(Units::cases(), 'value')),
            self::currency($starting->input),
        ));
    }

    private static function currency(InputInterface $input): string
    {
        $said = self::said($input, '--currency', '');

        return $said === '' || preg_match('/^[A-Z]{3}$/', $said) === 1
            ? $said
            : throw new InvalidOptionException((string) Message::of('console.currency'));
    }

    private static function said(InputInterface $input, string $option, string $usual): string
    {
        $said = $input->getParameterOption($option, $usual, true);

        return is_string($said) ? $said : '';
    }

    /** @param  list<string>  $one */
    private static function refused(string $option, array $one): InvalidOptionException
    {
        return new InvalidOptionException("$option: ".implode(' or ', $one).'.');
    }
}
