<?php

declare(strict_types=1);

namespace App\Help;

use App\Models\Figure;
use App\Models\Wool;
use Impa\Plan\TradeWord;
use Impa\Voice\Voice;
use Transliterator;

/** What is found for a few letters over help, words of the trade, her figures and her wools. */
final class Search
{
    /** So many of a kind are shown. */
    private const MOST = 8;

    /** Of the newest so many figures and wools. */
    private const AMONG = 2000;

    /** What stands in a title counts so many times what stands below it. */
    private const TITLE = 5;

    /** @return array<string, mixed> pages by their numbers, words by their codes, figures, wools; the best first */
    public static function of(string $asked): array
    {
        $words = array_values(array_filter(explode(' ', self::plain($asked)), static fn (string $w): bool => $w !== ''));
        $pages = [];
        foreach (Guide::pages(Voice::current()->language) as $page) {
            $pages[] = [$page->number, $page->title, $page->text];
        }
        $trade = [];
        foreach (TradeWord::all() as $word) {
            $trade[] = [$word->code, $word->is.' '.implode(' ', $word->forms()), (string) $word->means];
        }

        return [
            'pages' => self::best($pages, $words),
            'words' => self::best($trade, $words),
            'figures' => self::named(Figure::query()->orderByDesc('id')->limit(self::AMONG)->pluck('name', 'id')->all(), $words),
            'wools' => self::named(Wool::query()->orderByDesc('id')->limit(self::AMONG)->pluck('name', 'id')->all(), $words),
        ];
    }

    /**
     * @template K of int|string
     *
     * @param  list<array{K, string, string}>  $all  by what it is known, its title, what stands below
     * @param  list<string>  $words
     * @return list<K>
     */
    private static function best(array $all, array $words): array
    {
        $scores = array_filter(array_map(static fn (array $one): int => self::score($one[1], $one[2], $words), $all));
        arsort($scores);

        return array_map(static fn (int $i): int|string => $all[$i][0], array_keys(array_slice($scores, 0, self::MOST, true)));
    }

    /**
     * @param  array<mixed>  $names  by number
     * @param  list<string>  $words
     * @return list<array{id: int, name: string}>
     */
    private static function named(array $names, array $words): array
    {
        $names = array_filter($names, is_string(...));
        $all = array_map(static fn (int|string $id): array => [(int) $id, $names[$id], ''], array_keys($names));

        return array_map(static fn (int $id): array => ['id' => $id, 'name' => $names[$id]], self::best($all, $words));
    }

    /**
     * Every word must begin one there; 0 where one does not.
     *
     * @param  list<string>  $words
     */
    private static function score(string $title, string $text, array $words): int
    {
        [$title, $text] = [' '.self::plain($title), ' '.self::plain($text)];
        $score = 0;
        foreach ($words as $word) {
            $found = (str_contains($title, " $word") ? self::TITLE : 0) + (str_contains($text, " $word") ? 1 : 0);
            if ($found === 0) {
                return 0;
            }
            $score += $found;
        }

        return $score;
    }

    /** Lower case, without accents, words with one space between them. */
    private static function plain(string $text): string
    {
        static $plainly = null;
        $plainly ??= Transliterator::create('NFD; [:Nonspacing Mark:] Remove; NFC; Lower');
        $plain = $plainly instanceof Transliterator ? $plainly->transliterate(mb_scrub($text)) : mb_strtolower($text);

        return trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', is_string($plain) ? $plain : ''));
    }
}
