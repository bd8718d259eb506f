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

    public function __construct(public readonly Language $language = Language::English, public readonly Units $units = Units::Metric)
    {
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
     * By a language tag (IETF BCP 47): its language, and imperial units where it says so by the key of Unicode CLDR, as in
     * "en-u-ms-ussystem".
     *
     * @return ?self nothing where there are no words in that language
     */
    public static function byTag(string $tag): ?self
    {
        $steps = explode('-', strtolower(trim($tag)));
        $language = Language::tryFrom($steps[0]);
        $at = array_search('ms', $steps, true);
        $isImperial = is_int($at) && in_array($steps[$at + 1] ?? '', ['ussystem', 'uksystem'], true);

        return $language === null ? null : new self($language, $isImperial ? Units::Imperial : Units::Metric);
    }

    public function tag(): string
    {
        return $this->language->value.($this->units === Units::Imperial ? '-u-ms-ussystem' : '');
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
