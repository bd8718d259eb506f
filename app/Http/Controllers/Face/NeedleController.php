<?php

declare(strict_types=1);

namespace App\Http\Controllers\Face;

use App\Api\Body;
use App\Hand\Profile;
use App\Http\Revision;
use App\Models\Needle;
use App\Store\Record;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Impa\Face\Needles;
use Impa\Voice\Message;
use stdClass;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The needles at hand: their gauges, or the whole box, so many of each gauge and kind. */
final class NeedleController
{
    public function index(): JsonResponse
    {
        $needles = Profile::needles();

        return new JsonResponse([
            'revision' => Revision::of(Needle::box()),
            'gauges' => $needles->gauges,
            'sold' => Needles::SOLD,
            'kinds' => Needles::KINDS,
            'finest' => $needles->finest(),
            'box' => Needle::box(),
            'last' => Needle::last(),
        ]);
    }

    public function update(Body $body): JsonResponse
    {
        $box = $body->has('box') ? self::box($body) : self::known($body);
        Transaction::together(static function () use ($box, $body): void {
            Revision::expect($body, (string) Message::of('house.needle-controller.the-box-of-needles'), Needle::box());
            Needle::query()->delete();
            foreach ($box as $needle) {
                Needle::query()->create($needle);
            }
        });

        return $this->index();
    }

    /**
     * Gauges that are there; of those that the box has already, as many as it has.
     *
     * @return list<array{gauge: int, kind: string, left: int}>
     */
    private static function known(Body $body): array
    {
        $gauges = array_values(array_unique(array_map(intval(...), array_values($body->numbers('gauges')))));
        if (array_diff($gauges, Needles::SOLD) !== []) {
            throw new HttpException(422, (string) Message::of('house.refused.gauges', known: implode(', ', Needles::SOLD)));
        }
        $box = array_values(array_filter(
            Needle::box(),
            static fn (array $n): bool => $n['kind'] === 'reverse' || (in_array($n['gauge'], $gauges, true) && $n['left'] > 0),
        ));
        $there = array_column(array_filter($box, static fn (array $n): bool => $n['kind'] !== 'reverse'), 'gauge');
        foreach (array_diff($gauges, $there) as $gauge) {
            $box[] = ['gauge' => $gauge, 'kind' => 'triangle', 'left' => 1];
        }

        return $box;
    }

    /** @return list<array{gauge: int, kind: string, left: int}> */
    private static function box(Body $body): array
    {
        $box = [];
        foreach ($body->objects('box') as $needle) {
            $box[] = self::needle($needle);
        }
        if (count(array_unique(array_map(static fn (array $n): string => $n['gauge'].$n['kind'], $box))) !== count($box)) {
            throw new HttpException(422, (string) Message::of('house.needle-controller.each-gauge-and-kind'));
        }

        return $box;
    }

    /** @return array{gauge: int, kind: string, left: int} */
    private static function needle(stdClass $needle): array
    {
        $said = ['gauge' => $needle->gauge ?? null, 'kind' => $needle->kind ?? null, 'left' => $needle->left ?? null];
        $row = Record::checked('needles', $said);

        return [
            'gauge' => is_int($row['gauge']) ? $row['gauge'] : 0,
            'kind' => is_string($row['kind']) ? $row['kind'] : '',
            'left' => is_int($row['left']) ? $row['left'] : 0,
        ];
    }
}
