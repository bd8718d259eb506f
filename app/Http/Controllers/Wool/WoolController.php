<?php

declare(strict_types=1);

namespace App\Http\Controllers\Wool;

use App\Accounts\CurrentFelter;
use App\Api\Body;
use App\Api\Problem;
use App\Http\Revision;
use App\Models\Wool;
use App\Stash\Stash;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Impa\Stash\Drawer;
use Impa\Stash\Table\WoolEntry;
use Impa\Voice\Message;

/** The stash: what is in the drawer, and how much of it is free. */
final class WoolController
{
    public function index(): JsonResponse
    {
        $drawer = Stash::drawer();

        return new JsonResponse(['wools' => array_map(static fn (Wool $w): array => self::row($w, $drawer), Wool::byName())]);
    }

    public function store(Body $body): JsonResponse
    {
        return $this->written(new Wool(), $body, 201);
    }

    public function update(Body $body, Wool $wool): JsonResponse
    {
        return $this->written($wool, $body, 200);
    }

    public function destroy(Wool $wool): JsonResponse
    {
        Transaction::together(static function () use ($wool): void {
            CurrentFelter::rows('set_asides')->where('wool_id', $wool->id)->delete();
            $wool->delete();
        });
        Stash::reweigh();

        return new JsonResponse(null, 204);
    }

    public function restore(Wool $wool): JsonResponse
    {
        $twin = self::sameName($wool->name, $wool->id);
        if ($twin) {
            return Problem::of(
                422,
                (string) Message::of('house.wool-controller.twice-the-same-wool'),
                (string) Message::of('house.refused.twin-wool', name: $wool->name),
            );
        }
        $wool->restore();
        Stash::reweigh();

        return new JsonResponse(self::row($wool, Stash::drawer()));
    }

    private function written(Wool $wool, Body $body, int $status): JsonResponse
    {
        // Looked and written in one: two posts at once do not make the same wool twice.
        return Transaction::together(static function () use ($wool, $body, $status): JsonResponse {
            if ($wool->exists) {
                Revision::expect($body, sprintf('"%s"', $wool->refresh()->name), $wool->members());
            }
            $faults = [];
            $entry = WoolEntry::of($body->members(), $faults);
            if ($entry !== null && self::sameName($entry->name, $wool->exists ? $wool->id : 0)) {
                $faults['name'] = Message::of('stash.wool-entry.taken', name: $entry->name);
            }
            if ($entry === null || $faults !== []) {
                return Problem::of(422, (string) Message::of('house.wool-controller.this-wool-has-faults'), implode(' ', $faults), [
                    'errors' => array_map(
                        static fn (string $member, Message $why): array => ['pointer' => '/'.$member, 'detail' => $why],
                        array_keys($faults),
                        $faults,
                    ),
                ]);
            }
            $wool->fill(Wool::columns($entry))->save();
            Stash::reweigh();

            return new JsonResponse(self::row($wool, Stash::drawer()), $status);
        });
    }

    private static function sameName(string $name, int $but): bool
    {
        // Capitals beyond ASCII are not known to SQLite; there are few wools, and core knows.
        foreach (Wool::query()->whereKeyNot($but)->pluck('name') as $other) {
            if (is_string($other) && mb_strtolower($other) === mb_strtolower($name)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, mixed> */
    public static function row(Wool $wool, Drawer $drawer): array
    {
        $free = $drawer->freeG($wool->id);

        $members = $wool->members();

        return ['id' => $wool->id, 'revision' => Revision::of($members)] + $members
            + ['freeG' => $free, 'asideG' => max(0.0, $wool->grams_left - $free)];
    }
}
