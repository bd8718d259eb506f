<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Api\Body;
use App\Hand\OwnHand;
use App\Hand\Profile;
use App\Http\Revision;
use App\Models\Figure;
use App\Models\Log\Bout;
use App\Models\Log\LogEntry;
use App\Models\Log\StepMark;
use App\Models\PhotoCheck;
use App\Models\Picture;
use App\Printing\Pdf;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Impa\Build\Diary;
use Impa\Build\Work;
use Impa\Check\Finish\Closing;
use Impa\Figure\Figure as FigureDocument;
use Impa\Hand\HandSheet;
use Impa\Print\Share\FinishedCard;
use Impa\Raster\Raster;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The last look at a figure, and its card. */
final class ClosingController
{
    /** A photo on the card has so many pixels at most. */
    private const CARD_PX = 900;

    private const LONGEST = 2000;

    public function show(Figure $figure): JsonResponse
    {
        $looked = array_values(array_filter(
            Closing::LOOKED_AT,
            static fn (string $kind): bool => $figure->marks->contains('step', self::mark($kind)),
        ));
        $work = self::work($figure);
        $left = Closing::left($work, $figure->done($work->keys()), Diary::tipsMissing(self::kinds($figure)), $looked);

        $next = self::next($figure);

        return new JsonResponse(['left' => $left, 'next' => $next, 'revision' => Revision::of([$next])]);
    }

    /** Ticks what was looked at, or takes the tick away. */
    public function look(Body $body, Figure $figure, string $kind): JsonResponse
    {
        if (! in_array($kind, Closing::LOOKED_AT, true)) {
            throw new HttpException(404, (string) Message::of('house.refused.no-kind'));
        }
        if ($body->flag('done')) {
            $figure->marks()->firstOrCreate(['step' => self::mark($kind)], ['created_at' => now()]);
        } else {
            $figure->marks()->where('step', self::mark($kind))->delete();
        }

        return $this->show($figure->load('marks'));
    }

    private static function mark(string $kind): string
    {
        return StepMark::LOOKED.$kind;
    }

    /** What to change next time. */
    public function update(Body $body, Figure $figure): JsonResponse
    {
        $text = trim($body->text('next'));
        if (mb_strlen($text) > self::LONGEST) {
            throw new HttpException(422, (string) Message::of('house.closing-controller.at-most-letters-what', longest: self::LONGEST));
        }
        Transaction::together(static function () use ($figure, $body, $text): void {
            Revision::expect($body, (string) Message::of('house.closing-controller.what-to-change-next'), [self::next($figure)]);
            LogEntry::query()->updateOrCreate(['figure_id' => $figure->id, 'uuid' => 'next-time'], [
                'kind' => 'note',
                'step' => '',
                'text' => $text,
                'at' => (int) (microtime(true) * 1000),
            ]);
        });

        return $this->show($figure);
    }

    public function card(Body $body, Figure $figure): Response
    {
        $work = self::work($figure);
        $kinds = array_count_values(self::kinds($figure));
        $minutes = 0.0;
        foreach (Bout::query()->where('figure_id', $figure->id)->get() as $bout) {
            $minutes += ($bout->ended_at - $bout->begun_at) / 60_000;
        }
        $html = FinishedCard::of(
            $work->ledger,
            self::picture($figure, $work),
            $minutes,
            array_sum($work->minutes()),
            $kinds['broken'] ?? 0,
            $kinds['mended'] ?? 0,
            HandSheet::sentences(OwnHand::hand()),
            self::next($figure),
        );

        return new Response(Pdf::of($html, $body->paper()), 200, ['Content-Type' => 'application/pdf']);
    }

    private static function work(Figure $figure): Work
    {
        return Profile::work(FigureDocument::fromJson($figure->document));
    }

    /** @return list<string> kinds of the diary's entries */
    private static function kinds(Figure $figure): array
    {
        /** @var list<LogEntry> $entries */
        $entries = LogEntry::query()->where('figure_id', $figure->id)->get(['kind'])->all();

        return array_map(static fn (LogEntry $entry): string => $entry->kind, $entries);
    }

    private static function next(Figure $figure): string
    {
        return LogEntry::query()->where(['figure_id' => $figure->id, 'uuid' => 'next-time'])->first()->text ?? '';
    }

    /** The latest photo, made small; a drawing of the plan where there is none. */
    private static function picture(Figure $figure, Work $work): string
    {
        $photo = PhotoCheck::query()->where('figure_id', $figure->id)->latest('at')->value('picture_id');
        if (! is_numeric($photo)) {
            return 'data:image/png;base64,'.base64_encode(Painter::png($work->ledger->figure, View::Front, 600));
        }
        $image = Raster::image(Picture::chosen((int) $photo)->bytes());
        $scale = min(1.0, self::CARD_PX / max(imagesx($image), imagesy($image)));
        $small = imagescale($image, max(1, (int) (imagesx($image) * $scale)));
        ob_start();
        imagejpeg($small === false ? $image : $small, null, 85);

        return 'data:image/jpeg;base64,'.base64_encode((string) ob_get_clean());
    }
}
