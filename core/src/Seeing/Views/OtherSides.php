<?php

declare(strict_types=1);

namespace Impa\Seeing\Views;

use Impa\Figure\Figure;
use Impa\Seeing\SheetView;
use Impa\Voice\Message;

/** What the other views of a turnaround sheet add to the figure that its front became: depths from the side, and what is on the back. */
final class OtherSides
{
    /**
     * @param  array<string, mixed>  $document  that the front became
     * @param  list<SheetView>  $views  of the figures on the sheet, from the left; none where it is no such sheet
     * @param  callable(int $figure, callable $progress): Figure  $look  at one of the figures, counted from 1, as the front was looked at
     * @param  string  $hash  of the sheet's file
     * @param  callable(Message $doing, float $share): void  $progress  as of Breakdown
     * @return array{array<string, mixed>, list<Message>} the document, and what is to be said of it
     */
    public static function of(array $document, array $views, callable $look, string $hash, callable $progress): array
    {
        $others = array_filter($views, static fn (SheetView $v): bool => ! in_array($v, [SheetView::Front, SheetView::None], true));
        if ($others === []) {
            return [$document, []];
        }
        $figure = Figure::fromJson((string) json_encode($document, JSON_PRESERVE_ZERO_FRACTION));
        $file = $figure->document()->picture->file;
        $notices = [Message::of('seeing.other-sides.this-is-one-character')];
        $done = 0;
        foreach ($others as $n => $view) {
            $done++;
            $onwards = static fn (Message $doing, float $share) => $progress(
                Message::of($view === SheetView::Back ? 'seeing.side.back' : 'seeing.side.side', doing: $doing),
                ($done + $share) / (count($others) + 1),
            );
            $other = $look($n + 1, $onwards);
            $seen = $view === SheetView::Back
                ? BackView::of($figure, $other)
                : SideView::of($figure, $other, $view === SheetView::Left, $file, $hash);
            $figure = Figure::fromDocument($seen->document);
            array_push($notices, ...$seen->notices);
        }
        $completed = json_decode((string) json_encode($figure->document(), JSON_PRESERVE_ZERO_FRACTION), true);

        return [is_array($completed) ? $completed : $document, $notices];
    }
}
