<?php

declare(strict_types=1);

namespace App\Help;

use Impa\Voice\Language;
use Parsedown;

/** The help pages: docs/help, a page for each language, cut at its headings; a comment below a heading names its stations. */
final class Guide
{
    /** @return list<GuidePage> as they stand in the language's page */
    public static function pages(Language $language): array
    {
        $text = (string) file_get_contents(base_path("docs/help/{$language->value}.md"));
        $markdown = (new Parsedown)->setSafeMode(true);
        $pages = [];
        foreach (array_slice(preg_split('/^## /m', $text) ?: [], 1) as $i => $section) {
            [$title, $body] = explode("\n", $section, 2) + [1 => ''];
            preg_match('/<!-- ([a-z ]+) -->/', $body, $stations);
            $body = trim((string) preg_replace('/<!--.*?-->/s', '', $body));
            $pages[] = new GuidePage(
                $i,
                trim($title),
                explode(' ', $stations[1] ?? ''),
                $body,
                $markdown->text($body),
            );
        }

        return $pages;
    }
}
