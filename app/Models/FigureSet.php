<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\Owned;
use App\Models\Concerns\Travels;
use Illuminate\Database\Eloquent\Model;
use Impa\Figure\Figure as FigureDocument;
use Impa\Sets\FigureSet as SetOfFigures;
use Impa\Sets\Member;
use Impa\Voice\Message;
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
    use Owned;
    use Travels;

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
            if (! isset($row->figure)) {
                throw new HttpException(422, (string) Message::of('house.figure-set.figure-say-which-figure', i: $i + 1));
            }
            [$id, $called, $count, $height] = [$row->figure ?? 0, $row->name ?? '', $row->count ?? 1, $row->heightMm ?? null];
            $isHigh = $height === null || is_int($height) || is_float($height);
            if (! is_int($id) || ! is_string($called) || ! is_int($count) || ! $isHigh) {
                throw new HttpException(422, (string) Message::of('house.figure-set.figure-its-count', i: $i + 1));
            }
            $documents[$id] ??= self::document($id, $i);
            $height = $height === null ? null : (float) $height;
            $members[] = Member::of($documents[$id], mb_substr(trim($called), 0, 120), $count, self::hexes($row, $i), $height);
        }

        return SetOfFigures::of($name, $members);
    }

    private static function document(int $id, int $at): FigureDocument
    {
        $figure = Figure::query()->find($id)
            ?? throw new HttpException(422, (string) Message::of('house.figure-set.figure-of-the-set', at: $at + 1));

        return FigureDocument::kept($figure->document);
    }

    /** @return array<string, string> */
    private static function hexes(stdClass $row, int $at): array
    {
        // PHP knows an object without members as an empty list, too.
        $colours = (array) ($row->colours ?? []);
        $hexes = array_filter($colours, is_string(...));
        if (count($hexes) !== count($colours)) {
            throw new HttpException(422, (string) Message::of('house.figure-set.figure-of-the-set-2', at: $at + 1));
        }

        return array_combine(array_map(strval(...), array_keys($hexes)), $hexes);
    }
}
