<?php

declare(strict_types=1);

namespace App\Models;

use App\Accounts\CurrentFelter;
use App\Models\Concerns\Owned;
use App\Models\Log\LogEntry;
use App\Store\StoreTrouble;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Storage;
use Impa\Raster\File\PictureRefused;
use Impa\Raster\Raster;
use Impa\Voice\Message;
use League\Flysystem\FilesystemException;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * A drawing, its bytes on disk under their own hash.
 *
 * @property int $id
 * @property string $hash
 * @property string $media_type
 * @property int $width_px
 * @property int $height_px
 * @property int $bytes
 */
final class Picture extends Model
{
    use Owned;

    protected $guarded = [];

    /**
     * Keeps a picture once, however often it is sent.
     *
     * @throws PictureRefused if the bytes are no picture we can read to its end
     */
    public static function keep(string $bytes): self
    {
        [$width, $height, $mediaType] = Raster::header($bytes);
        Raster::decode($bytes);
        $hash = hash('sha256', $bytes);
        self::spare($hash, strlen($bytes));
        self::write($hash, $bytes);

        $picture = self::query()->firstOrCreate(
            ['hash' => $hash],
            ['media_type' => $mediaType, 'width_px' => $width, 'height_px' => $height, 'bytes' => strlen($bytes)],
        );
        // Taken in again, it is as fresh as a new one.
        $picture->touch();

        return $picture;
    }

    /** What one's own pictures take, bytes. */
    public static function taken(): int
    {
        $bytes = self::query()->sum('bytes');

        return is_numeric($bytes) ? (int) $bytes : 0;
    }

    /** Whether there is room for one more, where there is an end to it. */
    private static function spare(string $hash, int $bytes): void
    {
        $most = config()->integer('impa.pictures_mb') * 1_000_000;
        if ($most > 0 && self::query()->where('hash', $hash)->doesntExist() && self::taken() + $bytes > $most) {
            throw new HttpException(413, (string) Message::of(
                'house.refused.pictures-full',
                taken: sprintf('%.0f', self::taken() / 1e6),
                most: config()->integer('impa.pictures_mb'),
            ));
        }
    }

    /**
     * Written aside and renamed: where the disk is full, nothing half is left under its name.
     *
     * @throws StoreTrouble if it cannot be written
     */
    private static function write(string $hash, string $bytes): void
    {
        $disk = Storage::disk('pictures');
        if ($disk->exists($hash) && $disk->size($hash) === strlen($bytes)) {
            return;
        }
        $aside = $hash.'.'.bin2hex(random_bytes(4)).'.part';
        try {
            $disk->put($aside, $bytes);
            if ($disk->size($aside) !== strlen($bytes)) {
                throw StoreTrouble::full();
            }
            $disk->move($aside, $hash);
        } catch (FilesystemException $e) {
            report($e);
            throw is_writable($disk->path('')) ? StoreTrouble::full() : StoreTrouble::readOnly();
        } finally {
            $disk->delete($aside);
        }
    }

    /** The picture of this number, refused in words where it is gone. */
    public static function chosen(int $id): self
    {
        return self::query()->find($id) ?? throw new HttpException(404, (string) Message::of('house.picture.this-picture-is-not'));
    }

    /** What was taken in a day ago or earlier and is in no figure, on the shelf or in the bin, nor in what one once was, nor a photo of one, goes. */
    public static function sweep(): void
    {
        /** @var list<self> $unused */
        $unused = self::query()
            ->where('updated_at', '<', now()->subDay())
            ->whereNotIn('id', Figure::withTrashed()->whereNotNull('picture_id')->select('picture_id'))
            ->whereNotIn('id', LogEntry::query()->whereNotNull('picture_id')->select('picture_id'))
            ->whereNotIn('id', PhotoCheck::query()->select('picture_id'))
            ->get()
            ->all();
        foreach ($unused as $picture) {
            // A side view is known by its hash alone.
            $isMeant = static fn (Builder $in): bool => $in->where('document', 'like', '%'.$picture->hash.'%')->exists();
            if (! $isMeant(CurrentFelter::rows('figures')) && ! $isMeant(CurrentFelter::rows('figure_revisions'))) {
                $picture->letGo();
            }
        }
    }

    /** The picture goes, and its file where it is no other felter's picture as well. */
    public function letGo(): void
    {
        $this->delete();
        if (self::query()->withoutGlobalScopes()->where('hash', $this->hash)->doesntExist()) {
            Storage::disk('pictures')->delete($this->hash);
        }
    }

    /** Its bytes; empty where the file is gone. */
    public function bytesOrNone(): string
    {
        return (string) Storage::disk('pictures')->get($this->hash);
    }

    public function bytes(): string
    {
        $bytes = $this->bytesOrNone();

        return $bytes !== '' ? $bytes : throw new HttpException(404, (string) Message::of('house.picture.the-file-of-this'));
    }
}
