<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Impa\Figure\Figure as FigureDocument;
use Impa\Sets\FigureSet as SetOfFigures;
use Impa\Sets\Member;
use stdClass;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * Several figures of the shelf planned as one.
 *
 * @property int $id
 * @property string $name
 * @property string $members JSON: which figure, its name in the set, how many, colours that are otherwise, another height
 * @property int $revision
 * @property bool $is_demo
 */
final class FigureSet extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['is_demo' => 'boolean', 'revision' => 'integer'];

    /** @return list<stdClass> */
    public function rows(): array
    {
        $rows = json_decode($this->members);

        return array_values(array_filter(is_array($rows) ? $rows : [], static fn (mixed $row): bool => $row instanceof stdClass));
    }

    /**
     * The set itself, of figures as they stand on the shelf now.
     *
     * @param  list<stdClass>  $rows  members as they are kept or sent
     */
    public static function planned(string $name, array $rows): SetOfFigures
    {
        $documents = $members = [];
        foreach ($rows as $i => $row) {
            $id = is_int($row->figure ?? null) ? $row->figure : 0;
            $documents[$id] ??= self::document($id, $i);
            $members[] = Member::of(
                $documents[$id],
                is_string($row->name ?? null) ? mb_substr(trim($row->name), 0, 120) : '',
                is_int($row->count ?? null) ? $row->count : 1,
                self::hexes($row),
                is_numeric($row->heightMm ?? null) ? (float) $row->heightMm : null,
            );
        }

        return SetOfFigures::of($name, $members);
    }

    private static function document(int $id, int $at): FigureDocument
    {
        $figure = Figure::query()->find($id)
            ?? throw new HttpException(422, sprintf('Figure %d of the set is not on the shelf any more: take it out of the set.', $at + 1));

        return FigureDocument::fromJson($figure->document);
    }

    /** @return array<string, string> */
    private static function hexes(stdClass $row): array
    {
        $colours = $row->colours ?? null;

        return $colours instanceof stdClass ? array_filter(get_object_vars($colours), is_string(...)) : [];
    }
}
