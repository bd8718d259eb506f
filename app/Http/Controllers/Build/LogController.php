<?php

declare(strict_types=1);

namespace App\Http\Controllers\Build;

use App\Api\Body;
use App\Building\FigureLog;
use App\Hand\Profile;
use App\Hand\TimedSteps;
use App\Models\Figure;
use App\Models\Log\Bout;
use App\Models\Log\LogEntry;
use App\Models\Needle;
use App\Models\Picture;
use App\Store\Record;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Impa\Build\Diary;
use Impa\Figure\Editing\Changes;
use Impa\Figure\Figure as FigureDocument;
use Impa\Voice\Message;
use stdClass;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The log of a figure: how long was worked at which step, and what was noted. A minute that two devices tell of counts once. */
final class LogController
{
    /** A device's clock may be ahead by so much, milliseconds. */
    private const AHEAD_MS = 120_000;

    public function show(Figure $figure): JsonResponse
    {
        return new JsonResponse(self::diary($figure));
    }

    /** Takes down a stretch of work. */
    public function time(Body $body, Figure $figure): JsonResponse
    {
        [$step, $from, $to] = [self::step($body), $body->int('from'), $body->int('to')];
        $now = (int) (microtime(true) * 1000);
        if ($from >= $to || $from < 0) {
            throw new HttpException(422, (string) Message::of('house.log-controller.this-stretch-of-work'));
        }
        if ($to > $now + self::AHEAD_MS) {
            // Too early (RFC 8470): later it may be told again.
            throw new HttpException(425, (string) Message::of('house.log-controller.the-clock-of-this'));
        }
        if ($to - $from > Diary::MOST_MINUTES * 60_000) {
            throw new HttpException(422, (string) Message::of(
                'house.refused.clock-ran-on',
                hours: sprintf('%.0f', ($to - $from) / 3_600_000),
            ));
        }
        Transaction::together(static function () use ($figure, $step, $from, $to): void {
            $taken = [];
            $near = Bout::query()->where('figure_id', $figure->id)->where('ended_at', '>', $from)->where('begun_at', '<', $to)->get();
            foreach ($near as $bout) {
                $taken[] = [$bout->begun_at, $bout->ended_at];
            }
            foreach (Diary::untaken($taken, $from, $to) as [$begun, $ended]) {
                // What goes on without a gap is one stretch.
                $own = ['figure_id' => $figure->id, 'step' => $step];
                if (Bout::query()->where($own + ['ended_at' => $begun])->update(['ended_at' => $ended]) === 0) {
                    Bout::query()->create($own + ['begun_at' => $begun, 'ended_at' => $ended]);
                }
            }
        });
        TimedSteps::keep($figure);

        return new JsonResponse(self::diary($figure));
    }

    /** Takes down a note; told twice, it is kept once. */
    public function store(Body $body, Figure $figure): JsonResponse
    {
        $uuid = $body->text('uuid');
        $kind = $body->text('kind');
        $text = trim($body->text('text'));
        $grams = $body->has('grams') ? $body->float('grams') : null;
        $gauge = $body->intOr('gauge', null);
        $now = (int) (microtime(true) * 1000);
        $row = Record::checked('log_entries', [
            'uuid' => $uuid,
            'kind' => $kind,
            'step' => $body->text('step'),
            'text' => $text,
            'grams' => $grams,
            'gauge' => $gauge,
            'at' => min($body->int('at'), $now),
        ]);
        $picture = $body->intOr('picture', null);
        if (($kind === 'photo') !== ($picture !== null) || ($picture !== null && Picture::query()->whereKey($picture)->doesntExist())) {
            throw new HttpException(422, (string) Message::of('house.log-controller.a-photo'));
        }
        Transaction::together(static function () use ($figure, $uuid, $row, $picture, $kind, $gauge): void {
            $entry = LogEntry::query()->firstOrCreate(['figure_id' => $figure->id, 'uuid' => $uuid], $row + ['picture_id' => $picture]);
            // Told twice, it broke once.
            if ($entry->wasRecentlyCreated && $kind === 'broken' && $gauge !== null) {
                $entry->update(['needle' => Needle::broke($gauge)]);
            }
        });

        return new JsonResponse(self::diary($figure));
    }

    public function destroy(Figure $figure, string $entry): JsonResponse
    {
        Transaction::together(static function () use ($figure, $entry): void {
            $kept = LogEntry::query()->where(['figure_id' => $figure->id, 'uuid' => $entry])->first();
            if ($kept?->delete() === true && $kept->kind === 'broken' && $kept->gauge !== null && $kept->needle !== null) {
                Needle::isWhole($kept->gauge, $kept->needle);
            }
        });

        return new JsonResponse(self::diary($figure));
    }

    private static function step(Body $body): string
    {
        $step = $body->text('step');

        return preg_match('/^[A-Za-z0-9:._-]{0,160}$/D', $step) === 1 ? $step : throw new HttpException(422, (string) Message::of(
            'house.refused.no-step-key',
        ));
    }

    /** @return array<string, mixed> */
    private static function diary(Figure $figure): array
    {
        $work = Profile::work(FigureDocument::fromJson($figure->document));
        $diary = FigureLog::of($figure, $work);
        foreach ($diary['sittings'] as $i => $sitting) {
            $diary['sittings'][$i]['changed'] = self::changed($figure, $sitting['from'], $sitting['to']);
        }

        return $diary;
    }

    /** @return list<Message> what became otherwise of the figure between two moments, as far back as its revisions go */
    private static function changed(Figure $figure, int $from, int $to): array
    {
        $at = static fn (int $ms): string => Carbon::createFromTimestampMs($ms)->format('Y-m-d H:i:s');
        $before = $figure->revisions()->where('created_at', '<', $at($from))->orderByDesc('revision')->value('document')
            ?? $figure->revisions()->orderBy('revision')->value('document');
        $after = $figure->revisions()->where('created_at', '<=', $at($to))->orderByDesc('revision')->value('document');
        [$was, $is] = [json_decode(is_string($before) ? $before : ''), json_decode(is_string($after) ? $after : '')];

        return $was instanceof stdClass && $is instanceof stdClass && $before !== $after ? Changes::between($was, $is) : [];
    }
}
