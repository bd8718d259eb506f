<?php

declare(strict_types=1);

namespace Impa\Face;

use Impa\Face\Expression\Bit;
use Impa\Face\Expression\Expression;
use Impa\Face\Expression\Head;
use Impa\Face\Expression\Slider;
use Impa\Face\Expression\Tone;
use Impa\Face\Piece\BeadEyes;
use Impa\Face\Piece\Brows;
use Impa\Face\Piece\ButtonNose;
use Impa\Face\Piece\Cheeks;
use Impa\Face\Piece\Eyelashes;
use Impa\Face\Piece\Freckles;
use Impa\Face\Piece\MouthLine;
use Impa\Face\Piece\Muzzle;
use Impa\Face\Piece\OpenEyes;
use Impa\Face\Piece\OpenMouth;
use Impa\Face\Piece\SmilingEyes;
use Impa\Face\Piece\SoftNose;
use Impa\Face\Piece\Spot;
use Impa\Face\Piece\Stripe;
use Impa\Face\Piece\Whiskers;
use Impa\Figure\Editing\Draft;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Figure\Term\DetailRole;
use Impa\Figure\Upgrade\Upgrade;
use Impa\Surface\Surface;
use Impa\Voice\Message;
use stdClass;

/** The pieces of a face that can be put on any head, and varied afterwards. A new one is one file and one line here. */
final class Expressions
{
    /** A piece whose first detail lies within this share of a spot's half size lies on it. */
    private const ON_GROUND = 0.7;

    /** @var list<class-string<Expression>> */
    private const ALL = [
        OpenEyes::class,
        SmilingEyes::class,
        BeadEyes::class,
        Brows::class,
        Eyelashes::class,
        ButtonNose::class,
        SoftNose::class,
        MouthLine::class,
        OpenMouth::class,
        Cheeks::class,
        Whiskers::class,
        Freckles::class,
        Muzzle::class,
        Spot::class,
        Stripe::class,
    ];

    /**
     * @return list<array{
     *     kind: string, name: Message, sliders: list<Slider>, sample: list<array<string, mixed>>,
     * }> with each piece as it looks on a ball of 60 mm, colours as `hex`
     */
    public static function catalogue(): array
    {
        $head = Figure::fromJson(
            (string) json_encode([
                'format' => 'impa-figure',
                'version' => Upgrade::VERSION,
                'name' => 'A ball',
                'heightMm' => 60,
                'colours' => [['key' => 'skin', 'hex' => '#e6cfa6']],
                'parts' => [
                    [
                        'key' => 'head',
                        'shape' => ['kind' => 'ball', 'widthMm' => 60, 'heightMm' => 60, 'depthMm' => 60],
                        'at' => ['xMm' => 0, 'yMm' => 30],
                        'colour' => 'skin',
                    ],
                ],
            ]),
        );

        return array_map(static function (string $e) use ($head): array {
            $document = self::put($head, $head->parts['head'], $e::kind(), [])['document'];
            $hex = array_column($document->colours, 'hex', 'key');

            return [
                'kind' => $e::kind(),
                'name' => $e::name(),
                'sliders' => $e::sliders(),
                'sample' => array_values(
                    array_map(
                        static fn (stdClass $d): array => get_object_vars($d) + ['hex' => $hex[$d->colour]],
                        $document->details,
                    ),
                ),
            ];
        }, self::ALL);
    }

    /**
     * The document with a piece put on a part, or one that is there varied: what the felter gave its details since (a colour, a
     * method, a name, what is meant so) stays with them.
     *
     * @param  array<string, float>  $values  by slider; the usual where one is missing
     * @param  string  $key  of the piece to vary; empty for a new one
     * @return array{document: stdClass, key: string}
     *
     * @throws FaceRefused if there is no such piece, or none with that key on the part
     */
    public static function put(Figure $figure, Part $part, string $kind, array $values, string $key = ''): array
    {
        $expression = self::find($kind);
        $set = [];
        foreach ($expression::sliders() as $slider) {
            $set[$slider->key] = $slider->held($values[$slider->key] ?? null);
        }
        $draft = Draft::of($figure);
        $isNew = $key === '';
        $key = $isNew ? Draft::besides($draft->pieces(), $kind) : $key;
        $old = array_column(
            array_filter($draft->detailsOn($part->key), static fn (stdClass $d): bool => ($d->piece->key ?? '') === $key),
            null,
            'key',
        );
        if (! $isNew && $old === []) {
            throw FaceRefused::pieceIsGone($key, mb_strtolower($part->name));
        }
        $bits = $expression::bits(Head::of(Surface::of($part->placements()[0])), $set);
        $above = self::above($figure, $part, $bits, array_keys($old));
        $made = [];
        foreach ($bits as $bit) {
            $before = $old[$key.'-'.$bit->key] ?? new stdClass();
            $made[] =
                (object) (array_filter([
                    'name' => $before->name ?? null,
                    'colour' => $before->colour ?? null,
                    'method' => $before->method ?? null,
                    'meant' => $before->meant ?? null,
                    'role' => $before->role ?? null,
                ]) + [
                    'key' => $key.'-'.$bit->key,
                    'name' => $bit->name,
                    'role' => DetailRole::byName($bit->name)->value,
                    'on' => $part->key,
                    'colour' => self::colour($draft, $part, $bit->tone),
                    'xMm' => $bit->xMm,
                    'yMm' => $bit->yMm,
                    'layer' => $bit->layer + $above,
                    'piece' => (object) ['key' => $key, 'kind' => $kind, 'values' => (object) $set],
                ] +
                    $bit->members);
        }
        $draft->replaceDetails(array_map(strval(...), array_keys($old)), $made);

        return ['document' => $draft->whole(), 'key' => $key];
    }

    /**
     * @return class-string<Expression>
     *
     * @throws FaceRefused if there is none of that kind
     */
    private static function find(string $kind): string
    {
        foreach (self::ALL as $expression) {
            if ($expression::kind() === $kind) {
                return $expression;
            }
        }

        throw FaceRefused::noSuchPiece($kind, array_map(static fn (string $e): string => $e::kind(), self::ALL));
    }

    /**
     * How many layers lie below where the piece goes, other pieces than its own: only a ground under its middle counts, such as
     * a muzzle under a nose.
     *
     * @param  list<Bit>  $bits
     * @param  list<string>  $own
     */
    private static function above(Figure $figure, Part $part, array $bits, array $own): int
    {
        $layer = 0;
        foreach ($figure->detailsOn($part->key) as $detail) {
            [$x, $y] = $detail->middle();
            $half = max($detail->drawn->widthMm, $detail->drawn->heightMm) / 2;
            if (
                $bits !== [] &&
                ! in_array($detail->key, $own, true) &&
                $half > 0.0 &&
                hypot($bits[0]->xMm - $x, $bits[0]->yMm - $y) < self::ON_GROUND * $half
            ) {
                $layer = max($layer, $detail->lie->layer);
            }
        }

        return $layer;
    }

    /** Key of the figure's colour for a tone; the house's colour is added where the figure has none near it. */
    private static function colour(Draft $draft, Part $part, Tone $tone): string
    {
        return $tone === Tone::Skin ? $part->colour : $draft->colourFor($tone->hex(), $tone->name(), $tone->value, $tone->reach());
    }
}
