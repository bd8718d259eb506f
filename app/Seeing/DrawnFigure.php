<?php

declare(strict_types=1);

namespace App\Seeing;

use App\Api\Body;
use App\Models\Picture;
use Impa\Seeing\Breakdown;
use Impa\Seeing\Editing\SeenAgain;
use Impa\Seeing\SheetView;
use Impa\Voice\Message;

/** A drawing that was taken in, broken down by a felter's wishes. */
final class DrawnFigure
{
    /**
     * With a `document` that was broken down from this drawing before, what the felter made of it stays.
     *
     * @param  ?callable(Message, float): void  $progress  what is being done, and the share that is behind
     * @return array<string, mixed>
     */
    public static function seen(Body $body, ?callable $progress = null): array
    {
        $name = mb_substr(trim($body->text('name')), 0, 120);
        $before = $body->has('document') ? $body->figure() : null;
        $breakdown = Breakdown::of(
            Picture::chosen($body->int('picture'))->bytes(),
            $body->wishes(),
            $name,
            $body->text('file'),
            $progress,
        );
        $again = $before === null ? null : SeenAgain::of($before, $breakdown->document);

        return [
            'document' => $again === null ? $breakdown->document : $again->document,
            'notices' => [...$again === null ? [] : [$again->notice()], ...$breakdown->notices],
            'figures' => $breakdown->figures,
            'views' => array_map(static fn (SheetView $v): string => $v->value, $breakdown->views),
        ];
    }

    /** What would be refused at once is refused before anything is begun. */
    public static function check(Body $body): void
    {
        Picture::chosen($body->int('picture'));
        $body->wishes();
        $body->has('document') && $body->figure();
    }
}
