<?php

declare(strict_types=1);

namespace Impa\Raster\File;

use DOMDocument;
use DOMElement;
use DOMXPath;
use Impa\Voice\Message;

/**
 * A drawing in SVG, looked over before anything draws it: no scripts, nothing from elsewhere, no entities, and no more of it than a drawing
 * has. What draws it afterwards is told how many pixels, and held to seconds.
 */
final readonly class SvgDrawing
{
    private const MOST_BYTES = 5_000_000;

    private const MOST_ELEMENTS = 50_000;

    private const MOST_USES = 2_000;

    /** Its longer side is drawn so long, px: as much as is looked at. */
    private const LONGEST_PX = 1200;

    /** What may stand in it that draws, groups, fills or describes. */
    private const ELEMENTS = [
        'svg', 'g', 'defs', 'symbol', 'use', 'path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon', 'text',
        'tspan', 'textPath', 'image', 'clipPath', 'mask', 'pattern', 'linearGradient', 'radialGradient', 'stop', 'marker',
        'title', 'desc', 'metadata', 'style', 'switch', 'a', 'view', 'filter', 'solidColor', 'meshgradient', 'hatch',
        'hatchpath',
    ];

    private function __construct(public string $bytes, public int $widthPx, public int $heightPx)
    {
    }

    /** Whether these bytes mean to be an SVG drawing. */
    public static function isMeant(string $bytes): bool
    {
        return preg_match(
            '/^(?:\xEF\xBB\xBF)?\s*(?:<\?xml[^>]*>\s*)?(?:<!--.*?-->\s*)*(?:<!DOCTYPE\s+svg.*?>\s*)?(?:<!--.*?-->\s*)*<svg[\s>]/is',
            substr($bytes, 0, 20_000),
        ) === 1;
    }

    /** @throws PictureRefused in words, if there is anything in it that is not for drawing */
    public static function of(string $bytes): self
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw PictureRefused::because(Message::of('raster.svg-drawing.this-svg-is-larger'));
        }
        if (preg_match('/<!ENTITY|<!DOCTYPE[^>]*\[/i', $bytes) === 1) {
            throw PictureRefused::because(Message::of('raster.svg-drawing.this-svg-declares-entities'));
        }
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        $isRead = $document->loadXML($bytes, LIBXML_NONET | LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $root = $document->documentElement;
        if (! $isRead || $root === null || $root->localName !== 'svg') {
            throw PictureRefused::because(Message::of('raster.svg-drawing.this-svg-is-damaged'));
        }
        self::look($document);

        return new self($bytes, ...self::size($root));
    }

    /** @throws PictureRefused */
    private static function look(DOMDocument $document): void
    {
        $all = (new DOMXPath($document))->query('//*');
        $uses = 0;
        if ($all === false || $all->length > self::MOST_ELEMENTS) {
            throw PictureRefused::because(Message::of('raster.svg-drawing.this-svg-has-more', mostElements: self::MOST_ELEMENTS));
        }
        foreach ($all as $element) {
            if (! $element instanceof DOMElement) {
                continue;
            }
            $name = (string) $element->localName;
            $isSvg = $element->namespaceURI === 'http://www.w3.org/2000/svg' || $element->namespaceURI === null;
            if (preg_match('/^(script|foreignObject|iframe|handler|listener|set|animate.*)$/i', $name) === 1) {
                throw PictureRefused::because(
                    Message::of('raster.svg-drawing.this-svg-carries-which', name: $name),
                );
            }
            if ($isSvg && ! in_array($name, self::ELEMENTS, true) && ! str_starts_with($name, 'fe') && ! str_starts_with($name, 'font')) {
                throw PictureRefused::because(
                    Message::of('raster.svg-drawing.this-svg-carries-which-2', name: mb_substr($name, 0, 40)),
                );
            }
            $uses += $name === 'use' ? 1 : 0;
            foreach ($element->attributes as $attribute) {
                self::attribute((string) $attribute->localName, (string) $attribute->nodeValue);
            }
            if ($name === 'style') {
                self::css($element->textContent);
            }
        }
        if ($uses > self::MOST_USES) {
            throw PictureRefused::because(Message::of('raster.svg-drawing.this-svg-repeats-itself'));
        }
    }

    /** @throws PictureRefused */
    private static function attribute(string $name, string $value): void
    {
        if (preg_match('/^on/i', $name) === 1) {
            throw PictureRefused::because(Message::of('raster.svg-drawing.this-svg-carries-scripts'));
        }
        $value = trim($value);
        if (in_array($name, ['href', 'src'], true) && preg_match('~^(#|data:image/(png|jpeg|gif|webp);base64,|$)~i', $value) !== 1) {
            throw self::elsewhere($value);
        }
        self::css($value);
    }

    /** @throws PictureRefused */
    private static function css(string $text): void
    {
        // Escapes hide what is meant.
        $isHidden = preg_match('/@import|\\\\[0-9a-f]|javascript:|expression\s*\(/i', $text) === 1;
        if ($isHidden || preg_match('/url\(\s*["\']?\s*(?!#)([^"\')\s])/i', $text) === 1) {
            throw self::elsewhere($text);
        }
    }

    private static function elsewhere(string $what): PictureRefused
    {
        return PictureRefused::because(Message::of(
            'raster.svg-drawing.this-svg-asks',
            what: mb_substr((string) preg_replace('/[^\x20-\x7e]/', '?', $what), 0, 60),
        ));
    }

    /** @return array{int, int} px, in the proportion of its view box or its size */
    private static function size(DOMElement $root): array
    {
        $box = preg_split('/[\s,]+/', trim($root->getAttribute('viewBox'))) ?: [];
        [$width, $height] = count($box) === 4 && is_numeric($box[2]) && is_numeric($box[3])
            ? [(float) $box[2], (float) $box[3]]
            : [self::length($root->getAttribute('width')), self::length($root->getAttribute('height'))];
        $isSize = $width > 0.0 && $height > 0.0 && is_finite($width) && is_finite($height);
        if (! $isSize || max($width, $height) / min($width, $height) > 20.0) {
            throw PictureRefused::because(Message::of('raster.svg-drawing.this-svg-does-not'));
        }
        $scale = self::LONGEST_PX / max($width, $height);

        return [max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale))];
    }

    private static function length(string $said): float
    {
        return preg_match('/^\s*([0-9.eE+-]+)\s*(px|mm|cm|in|pt|pc|em)?\s*$/D', $said, $m) === 1 && is_numeric($m[1]) ? (float) $m[1] : 0.0;
    }
}
