<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Api\Body;
use App\Hand\Profile;
use App\Models\Figure;
use App\Models\Log\LogEntry;
use App\Stash\Stash;
use Illuminate\Http\JsonResponse;
use Impa\Check\Mending\MendDesk;
use Impa\Check\Mending\Remedy;
use Impa\Check\Mending\Sign;
use Impa\Figure\Figure as FigureDocument;
use Impa\Stash\Drawer;
use Impa\Stash\Matching;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The mend desk: what has gone wrong, what helps, and that it was done. */
final class MendController
{
    /** No mend takes more than this, mg. */
    private const MOST_MG = 100_000.0;

    public function index(): JsonResponse
    {
        return new JsonResponse(['signs' => array_map(static fn (Sign $sign): array => [
            'sign' => $sign->value,
            'title' => $sign->title(),
            'about' => $sign->about(),
            'asks' => $sign->asks(),
        ], Sign::cases())]);
    }

    public function store(Body $body): JsonResponse
    {
        $figure = $body->figure();
        $sign = Sign::tryFrom($body->text('sign')) ?? throw new HttpException(422, (string) Message::of('house.refused.no-sign'));
        $answers = [];
        foreach ($sign->asks() as $ask) {
            if ($body->has($ask['name'])) {
                $answers[$ask['name']] = $body->float($ask['name']);
            }
        }
        $remedies = MendDesk::remedies(Profile::ledger($figure), $sign, $body->text('about'), $answers);

        return new JsonResponse(['remedies' => array_map(static fn (Remedy $r): array => $r->document(), $remedies)]);
    }

    /** A mend was made: noted in the log, and what it took is taken from the stash; told twice, it happened once. */
    public function made(Body $body, Figure $figure): JsonResponse
    {
        [$uuid, $text, $mg] = [$body->text('uuid'), trim($body->text('text')), $body->float('mg')];
        if (preg_match('/^[A-Za-z0-9-]{8,64}$/D', $uuid) !== 1 || $text === '' || mb_strlen($text) > 400) {
            throw new HttpException(422, (string) Message::of('house.mend-controller.a-mend-has'));
        }
        if (! is_finite($mg) || $mg < 0.0 || $mg > self::MOST_MG) {
            throw new HttpException(422, (string) Message::of(
                'house.refused.mend-takes',
                least: Amount::g(0.0),
                most: Amount::g(self::MOST_MG / 1000),
            ));
        }
        $entry = LogEntry::query()->firstOrCreate(['figure_id' => $figure->id, 'uuid' => $uuid], [
            'kind' => 'mended',
            'step' => '',
            'text' => $text,
            'grams' => $mg / 1000,
            'at' => (int) (microtime(true) * 1000),
        ]);
        $wool = $entry->wasRecentlyCreated && $mg > 0.0 ? self::wool($figure, $body->text('colour')) : 0;
        if ($wool > 0) {
            Stash::happen(static fn (Drawer $drawer): Drawer => $drawer->weighed($wool, max(0.0, $drawer->left[$wool] - $mg / 1000)));
        }

        return new JsonResponse(['noted' => true, 'takenFromStash' => $wool > 0]);
    }

    /** The wool of the stash that a colour of the figure is made from most; 0 where there is none. */
    private static function wool(Figure $figure, string $colour): int
    {
        $match = Matching::of(FigureDocument::fromJson($figure->document), Stash::wools($figure->id), Stash::swatches())[$colour] ?? null;
        $shares = $match->shares ?? [];
        arsort($shares);

        return (int) (array_key_first($shares) ?? 0);
    }
}
