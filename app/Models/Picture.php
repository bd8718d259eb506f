<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Storage;
use Impa\Picture\PictureRefused;
use Impa\Picture\Raster;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * A drawing, its bytes on disk under their own hash.
 *
 * @property int $id
 * @property string $hash
 * @property string $media_type
 * @property int $width_px
 * @property int $height_px
 */
final class Picture extends Model
{
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
        Storage::disk('pictures')->put($hash, $bytes);

        return self::query()->firstOrCreate(['hash' => $hash], ['media_type' => $mediaType, 'width_px' => $width, 'height_px' => $height]);
    }

    /** The picture of this number, refused in words where it is gone. */
    public static function chosen(int $id): self
    {
        return self::query()->find($id) ?? throw new HttpException(404, 'This picture is not here any more. Choose it again.');
    }

    public function bytes(): string
    {
        return (string) Storage::disk('pictures')->get($this->hash);
    }
}
