<?php

declare(strict_types=1);

namespace App\Archive;

use App\Accounts\CurrentFelter;
use stdClass;

/** What is known of a hand, of an archive: pieces that were weighed and measured, and what was taken out of what is learned. */
final readonly class IncomingHand
{
    public function __construct(private ArchiveReader $archive, private Numbers $numbers)
    {
    }

    /** Records of the hand come beside those that are here; each is known by its name. */
    public function take(): void
    {
        $hand = $this->archive->object('hand.json');
        $known = Numbers::of('finished_parts');
        $rows = [];
        foreach (Row::objects($hand, 'pieces') as $said) {
            $uuid = Row::text($said, 'uuid', 64);
            $figure = Row::text($said, 'figure');
            $of = ($this->numbers->figure($figure) ?: null);
            // A piece of a figure that stays out stays out with it.
            if (isset($known[$uuid]) || ($figure !== '' && $of === null)) {
                continue;
            }
            $rows[$uuid] = [
                'uuid' => $uuid,
                'figure_id' => $of,
                'part' => Row::text($said, 'part', 120),
                'is_twin' => Row::flag($said, 'twin'),
                'what' => Row::text($said, 'what', 200),
                'firmness' => Row::text($said, 'firmness', 20),
                'width_mm' => Row::number($said, 'widthMm') ?? 0.0,
                'height_mm' => Row::number($said, 'heightMm') ?? 0.0,
                'depth_mm' => Row::number($said, 'depthMm') ?? 0.0,
                'cm3' => Row::number($said, 'cm3') ?? 0.0,
                'grams' => Row::number($said, 'grams') ?? 0.0,
                'house_g' => Row::number($said, 'houseG') ?? 0.0,
                'weighed_g' => Row::number($said, 'weighedG'),
                'minutes' => Row::number($said, 'minutes'),
                'house_minutes' => Row::number($said, 'houseMinutes'),
                'at' => max(0, Row::whole($said, 'at')),
            ];
        }
        Numbers::insert('finished_parts', array_values($rows));
        $this->takeMarks($hand);
    }

    private function takeMarks(stdClass $hand): void
    {
        $pieces = Numbers::of('finished_parts');
        $here = array_flip(array_filter(CurrentFelter::rows('hand_marks')->pluck('record')->all(), is_string(...)));
        $marks = [];
        foreach (Row::objects($hand, 'aside') as $said) {
            $kind = Row::text($said, 'what', 8);
            $figure = Row::text($said, 'figure');
            $id = $kind === 'step'
                ? CurrentFelter::rows('finished_steps')
                    ->where('figure_id', $this->numbers->figure($figure))
                    ->where('step', Row::text($said, 'step', 160))
                    ->value('id')
                : $pieces[Row::text($said, 'piece', 64)] ?? null;
            if (is_numeric($id) && preg_match('/^[a-z]{4,8}$/D', $kind) === 1) {
                $marks["{$kind}:{$id}"] = max(0, Row::whole($said, 'at'));
            }
        }
        if (is_int($hand->since ?? null)) {
            $marks['since'] = $hand->since;
        }
        $new = array_diff_key($marks, $here);
        Numbers::insert('hand_marks', array_map(
            static fn (string $record, int $at): array => ['record' => $record, 'at' => $at],
            array_keys($new),
            $new,
        ));
    }
}
