<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Accounts\CurrentFelter;
use App\Hand\Profile;
use App\Models\BreakdownJob;
use App\Models\Device;
use App\Models\Felter;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Models\Log\Bout;
use App\Models\Log\FinishedPart;
use App\Models\Log\FinishedStep;
use App\Models\Log\HandMark;
use App\Models\Log\LogEntry;
use App\Models\Needle;
use App\Models\PhotoCheck;
use App\Models\Picture;
use App\Models\SharedLink;
use App\Models\Swatch;
use App\Models\Wool;
use App\Stash\Stash;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Impa\Figure\Figure as FigureDocument;
use Impa\Stash\Drawer;
use Impa\Tests\Support\Figures;
use stdClass;

/** Something of everything that a felter can have in a store: a row in every table that says whose it is. */
final class Belongings
{
    /**
     * @param  string  $mark  in what they name, and in their pictures: two felters have nothing alike
     * @return array<string, int|string> what a route is about, by the name that routes give it
     */
    public static function of(Felter $felter, string $mark): array
    {
        return CurrentFelter::being($felter->id, static fn (): array => self::lay($mark));
    }

    /**
     * Every row of a felter in every table, as text.
     *
     * @return array<string, string> by table
     */
    public static function rows(int $felter): array
    {
        $rows = [];
        foreach (self::tables() as $table) {
            $found = DB::table($table)->where('felter_id', $felter)->get()->all();
            $texts = array_map(static fn (stdClass $row): string => json_encode($row, JSON_THROW_ON_ERROR), $found);
            sort($texts);
            $rows[$table] = implode("\n", $texts);
        }
        $rows['felters'] = json_encode(DB::table('felters')->find($felter)) ?: '';

        return $rows;
    }

    /** @return list<string> tables whose rows say whose they are */
    public static function tables(): array
    {
        static $tables = [];
        $all = $tables === [] ? array_column(Schema::getTables(), 'name') : [];

        $isOwned = static fn (string $table): bool => Schema::hasColumn($table, 'felter_id');

        return $tables = $tables !== [] ? $tables : array_values(array_filter($all, $isOwned));
    }

    /** @return array<string, int|string> */
    private static function lay(string $mark): array
    {
        $picture = Picture::keep(self::picture($mark));
        $document = self::document($mark);
        $wool = Wool::query()->create([
            'name' => "Moss of {$mark}", 'hex' => $document['colours'][0]['hex'], 'preparation' => 'carded batting', 'grams_left' => 200,
        ]);
        $other = Wool::query()->create([
            'name' => "Yarn of {$mark}", 'hex' => '#2f8f86', 'preparation' => 'yarn', 'grams_left' => 90, 'g_per_m' => 2,
        ]);
        $read = FigureDocument::fromJson(json_encode($document, JSON_THROW_ON_ERROR));
        $summary = Profile::summary($read);
        $figure = Figure::lay($read, $summary, $picture->id);
        $binned = Figure::lay($read, $summary, null);
        $binned->delete();
        $swatch = Swatch::query()->create(['shares' => [$wool->id => 0.5, $other->id => 0.5], 'hex' => '#446644', 'created_at' => now()]);
        CurrentFelter::rows('weighings')->insert(CurrentFelter::own() + ['wool_id' => $wool->id, 'grams' => 200, 'created_at' => now()]);
        $finished = Figure::lay($read, $summary, $picture->id);
        Stash::finish($finished, []);
        Stash::happen(static fn (Drawer $drawer): Drawer => $drawer->setAside($figure->id, [$wool->id => 2.0]));
        $members = json_encode([['figure' => $figure->id, 'name' => 'One', 'count' => 1]], JSON_THROW_ON_ERROR);
        $set = FigureSet::query()->create(['name' => "Choir of {$mark}", 'members' => $members]);
        Stash::setAsideForSet($set->id, [$wool->id => 3.0]);
        Needle::query()->create(['gauge' => 38, 'kind' => 'star', 'left' => 7]);
        $figure->marks()->create(['step' => 'core:head', 'created_at' => now()]);
        $at = (int) (microtime(true) * 1000) - 3_600_000;
        Bout::query()->create(['figure_id' => $figure->id, 'step' => 'core:head', 'begun_at' => $at, 'ended_at' => $at + 600_000]);
        LogEntry::query()->create([
            'figure_id' => $figure->id, 'uuid' => "note-of-{$mark}", 'kind' => 'note', 'text' => $mark, 'at' => $at,
        ]);
        $step = FinishedStep::query()->create([
            'figure_id' => $figure->id, 'step' => 'core:head', 'kind' => 'core', 'what' => $mark,
            'minutes' => 10, 'house_minutes' => 9, 'at' => $at,
        ]);
        $part = FinishedPart::query()->create([
            'uuid' => "part-of-{$mark}", 'figure_id' => $figure->id, 'part' => 'head', 'what' => $mark, 'firmness' => 'springy',
            'width_mm' => 52, 'height_mm' => 46, 'depth_mm' => 48, 'cm3' => 60, 'grams' => 9, 'house_g' => 9, 'at' => $at,
        ]);
        HandMark::query()->create(['record' => "step:{$step->id}", 'at' => $at]);
        $photo = PhotoCheck::query()->create([
            'figure_id' => $figure->id, 'picture_id' => $picture->id, 'view' => 'front', 'found' => self::found($mark), 'at' => $at,
        ]);
        $link = SharedLink::query()->create([
            'figure_id' => $figure->id, 'token_hash' => SharedLink::hashed(str_pad($mark, 32, 'x')), 'created_at' => now(),
        ]);
        $device = Device::query()->create(['name' => "Tablet of {$mark}", 'pass_hash' => hash('sha256', $mark), 'paired_at' => now()]);
        $code = ['code_hash' => hash('sha256', "code{$mark}"), 'ends_at' => now()->addHour()];
        CurrentFelter::rows('pairing_codes')->insert(CurrentFelter::own() + $code);
        CurrentFelter::rows('unreadable_records')->insert(
            CurrentFelter::own() + ['table' => 'needles', 'row' => '{}', 'created_at' => now()],
        );
        $breakdown = BreakdownJob::query()->create(['asked' => '{}', 'doing' => 'Waiting its turn', 'worker_pid' => getmypid()]);

        return [
            'figure' => $figure->id, 'binned' => $binned->id, 'finished' => $finished->id, 'picture' => $picture->id, 'wool' => $wool->id,
            'yarn' => $other->id, 'swatch' => $swatch->id, 'set' => $set->id, 'device' => $device->id, 'link' => $link->id,
            'photo' => $photo->id, 'record' => 'part:'.$part->id, 'uuid' => $part->uuid, 'entry' => "note-of-{$mark}",
            'hash' => $picture->hash, 'breakdown' => $breakdown->uuid, 'token' => str_pad($mark, 32, 'x'),
            'step' => 'core:head', 'kind' => 'trim', 'revision' => 1, 'station' => 'wool',
        ];
    }

    /** @return array<string, mixed> a head with two eyes on a body of loops, small enough to be asked about a thousand times */
    public static function document(string $mark): array
    {
        $eye = ['key' => 'eye', 'on' => 'head', 'kind' => 'disc', 'widthMm' => 5, 'heightMm' => 6, 'xMm' => 9, 'mirror' => true]
            + ['colour' => 'black'];

        return Figures::document([
            Figures::part('body', 'egg', 46, 50, 40, 0, 25, 0, ['covering' => ['way' => 'loops']]),
            Figures::part('head', 'ball', 52, 46, 48, 0, 68, 0, ['join' => ['to' => 'body', 'by' => 'fluff']]),
        ], [$eye], ['name' => "Bobbin of {$mark}"]);
    }

    /** An impa-photo-check document in which nothing was found. */
    private static function found(string $mark): string
    {
        $empty = ['deviations' => [], 'symmetry' => [], 'unjudged' => [], 'outline' => []];

        return json_encode([
            'format' => 'impa-photo-check', 'version' => 1, 'figure' => $mark, 'view' => 'front', 'overlap' => 0.9, 'mmPerPx' => 0.2,
            'tiltDeg' => 0.5, 'scaledBy' => 'figure',
        ] + $empty, JSON_THROW_ON_ERROR);
    }

    /** A drawing of two discs in a colour by the mark. */
    private static function picture(string $mark): string
    {
        $image = imagecreatetruecolor(160, 200);
        imagefill($image, 0, 0, 0xFFFFFF);
        imagefilledellipse($image, 80, 130, 90, 110, hexdec(substr(hash('sha256', $mark), 0, 6)));
        imagefilledellipse($image, 80, 50, 70, 64, 0x7A3020);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }
}
