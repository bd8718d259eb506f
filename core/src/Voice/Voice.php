<?php

declare(strict_types=1);

namespace Impa\Voice;

use LogicException;
use MessageFormatter;

/**
 * In which language and units Impa speaks. The doors of the house (HTTP, console, jobs) set it, for whom they opened; in the rooms are
 * messages, which take their words from it as late as they can. Immutable.
 */
final class Voice
{
    private static ?self $current = null;

    /** @var array<string, array<string, mixed>> words by language and file */
    private static array $words = [];

    /** @var array<string, MessageFormatter> by language and code */
    private static array $formatters = [];

    private ?Writer $writer = null;

    /** @param  string  $currency  by ISO 4217, such as "EUR"; empty where it was not said: prices then stand without one */
    public function __construct(
        public readonly Language $language = Language::English,
        public readonly Units $units = Units::Metric,
        public readonly string $currency = '',
    ) {
    }

    public static function current(): self
    {
        return self::$current ??= new self;
    }

    /** From now on. */
    public static function speak(self $voice): void
    {
        self::$current = $voice;
    }

    /**
     * By a language tag (IETF BCP 47): its language, and by the keys of Unicode CLDR imperial units and a currency, as in
     * "en-u-cu-usd-ms-ussystem".
     *
     * @return ?self nothing where there are no words in that language
     */
    public static function byTag(string $tag): ?self
    {
        $steps = explode('-', strtolower(trim($tag)));
        $language = Language::tryFrom($steps[0]);
        $said = static fn (string $key): string => is_int($at = array_search($key, $steps, true)) ? $steps[$at + 1] ?? '' : '';
        $units = in_array($said('ms'), ['ussystem', 'uksystem'], true) ? Units::Imperial : Units::Metric;
        $currency = preg_match('/^[a-z]{3}$/', $said('cu')) === 1 ? strtoupper($said('cu')) : '';

        return $language === null ? null : new self($language, $units, $currency);
    }

    public function tag(): string
    {
        $keys = ($this->currency === '' ? '' : '-cu-'.strtolower($this->currency)).($this->units === Units::Imperial ? '-ms-ussystem' : '');

        return $this->language->value.($keys === '' ? '' : "-u$keys");
    }

    public function write(Amount $amount): string
    {
        return ($this->writer ??= Writer::of($this))->write($amount);
    }

    public function say(Message $message): string
    {
        $about = array_map(
            fn (int|float|string|Said $it): int|float|string => $it instanceof Said ? $it->in($this) : $it,
            $message->about,
        );
        $formatter = self::$formatters[$this->language->value.$message->code] ??= self::formatter($this->language, $message->code);
        $said = $formatter->format($about);

        return $said === false ? throw new LogicException("\"{$message->code}\" cannot be said.") : $said;
    }

    /** What stands under a code, as it stands there: ICU MessageFormat. */
    public static function word(Language $language, string $code): string
    {
        [$file, $key] = explode('.', $code, 2);
        $words = self::$words["{$language->value}/$file"]
            ??= require dirname(__DIR__, 3)."/lang/{$language->value}/$file.php";
        foreach (explode('.', $key) as $step) {
            $words = is_array($words) ? ($words[$step] ?? null) : null;
        }

        return is_string($words) ? $words : throw new LogicException("There are no words for \"$code\" in {$language->value}.");
    }

    private static function formatter(Language $language, string $code): MessageFormatter
    {
        return MessageFormatter::create($language->value, self::word($language, $code))
            ?? throw new LogicException("The words for \"$code\" are no ICU message.");
    }
}
