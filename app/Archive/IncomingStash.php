<?php

declare(strict_types=1);

namespace App\Archive;

use App\Accounts\CurrentFelter;
use App\Models\Wool;
use Impa\Stash\Table\WoolEntry;
use Impa\Voice\Message;
use stdClass;

/** The wools of an archive, with their weighings, and what mixes of them became. */
final readonly class IncomingStash
{
    public function __construct(private ArchiveReader $archive, private Outgoing $here, private Numbers $numbers)
    {
    }

    /** @return list<stdClass> */
    public function wools(): array
    {
        return Row::objects($this->archive->object('stash.json'), 'wools');
    }

    /**
     * New, the same as one that is here, or otherwise than it. One that the drawer has under another name everywhere, but is called the
     * same, is that one.
     *
     * @return 'new'|'same'|'conflict'
     */
    public function state(stdClass $said): string
    {
        $row = CurrentFelter::rows('wools')->where('uuid', Row::text($said, 'uuid'))->first();
        if ($row === null && Row::time($said, 'thrownAt') === null && $this->twin(Row::text($said, 'name', 120)) > 0) {
            return 'same';
        }

        return $row === null ? 'new' : (Json::of($this->here->wool($row)) === Json::of($said) ? 'same' : 'conflict');
    }

    /** A wool of this name in the drawer, whatever its capitals; 0 where there is none. */
    private function twin(string $name): int
    {
        foreach (Wool::byName() as $wool) {
            if (mb_strtolower($wool->name) === mb_strtolower($name)) {
                return $wool->id;
            }
        }

        return 0;
    }

    public function take(Conflict $conflict): void
    {
        $this->numbers->wools = Numbers::of('wools');
        foreach ($this->wools() as $said) {
            $uuid = Row::text($said, 'uuid');
            $isThrown = Row::time($said, 'thrownAt') !== null;
            $state = $this->state($said);
            $twin = isset($this->numbers->wools[$uuid]) || $isThrown ? 0 : $this->twin(Row::text($said, 'name', 120));
            if ($twin > 0) {
                // The drawer has a wool of this name: it is that one.
                $this->numbers->wools[$uuid] = $twin;

                continue;
            }
            if ($state === 'same' || ($state === 'conflict' && $conflict !== Conflict::Replace)) {
                continue;
            }
            $faults = [];
            $entry = WoolEntry::of(array_intersect_key((array) $said, array_flip(Row::WOOL)), $faults);
            if ($entry === null) {
                $name = Row::text($said, 'name', 80);
                throw ArchiveRefused::because((string) Message::of(
                    'house.incoming-stash.the-wool',
                    name: $name,
                    implode: implode(' ', $faults),
                ));
            }
            $row = Wool::columns($entry) + CurrentFelter::own() + [
                'uuid' => $uuid,
                'is_demo' => Row::flag($said, 'demo'),
                'created_at' => Row::time($said, 'createdAt'),
                'updated_at' => Row::time($said, 'changedAt'),
                'deleted_at' => Row::time($said, 'thrownAt'),
            ];
            $id = $this->numbers->wools[$uuid] ?? 0;
            if ($id > 0) {
                CurrentFelter::rows('wools')->where('id', $id)->update($row);
                CurrentFelter::rows('weighings')->where('wool_id', $id)->delete();
            } else {
                $id = $this->numbers->wools[$uuid] = (int) CurrentFelter::rows('wools')->insertGetId($row);
            }
            Numbers::insert('weighings', array_map(static fn (stdClass $w): array => [
                'wool_id' => $id,
                'grams' => Row::number($w, 'grams') ?? 0.0,
                'created_at' => Row::time($w, 'at') ?? now()->toDateTimeString(),
            ], Row::objects($said, 'weighings')));
        }
        $this->takeSwatches();
    }

    private function takeSwatches(): void
    {
        $known = [];
        foreach (CurrentFelter::rows('swatches')->get() as $row) {
            $shares = self::sharesKey((array) json_decode((string) $row->shares, true));
            $known[$shares.$row->hex.substr((string) $row->created_at, 0, 19)] = true;
        }
        $rows = [];
        foreach (Row::objects($this->archive->object('stash.json'), 'swatches') as $said) {
            $shares = [];
            foreach ((array) ($said->shares ?? []) as $uuid => $share) {
                if (isset($this->numbers->wools[$uuid]) && is_numeric($share)) {
                    $shares[$this->numbers->wools[$uuid]] = (float) $share;
                }
            }
            $hex = Row::text($said, 'hex', 7);
            $at = Row::time($said, 'at') ?? now()->toDateTimeString();
            $isKnown = isset($known[self::sharesKey($shares).$hex.$at]);
            if (! $isKnown && preg_match('/^#[0-9a-f]{6}$/D', $hex) === 1 && count($shares) === count((array) ($said->shares ?? []))) {
                $rows[] = ['shares' => json_encode($shares, JSON_THROW_ON_ERROR), 'hex' => $hex, 'created_at' => $at];
            }
        }
        Numbers::insert('swatches', $rows);
    }

    /** @param  array<int|string, mixed>  $shares */
    private static function sharesKey(array $shares): string
    {
        ksort($shares);

        return json_encode(array_map(static fn (mixed $s): float => is_numeric($s) ? (float) $s : 0.0, $shares), JSON_THROW_ON_ERROR);
    }
}
