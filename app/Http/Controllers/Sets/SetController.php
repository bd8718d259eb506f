<?php

declare(strict_types=1);

namespace App\Http\Controllers\Sets;

use App\Api\Body;
use App\Hand\Profile;
use App\Http\Revision;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Printing\Pdf;
use App\Shop\Mood;
use App\Shop\Purchase;
use App\Shop\SimulatedShop;
use App\Stash\Stash;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Impa\Colour\Srgb;
use Impa\Figure\Figure as FigureDocument;
use Impa\Print\Work\ShoppingSheet;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Sets\Colourways;
use Impa\Sets\FigureSet as SetOfFigures;
use Impa\Sets\SetPlan;
use Impa\Sets\SetSupply;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Sets: several figures of the shelf planned as one. */
final class SetController
{
    private const PICTURE_PX = 240;

    public function index(): JsonResponse
    {
        /** @var list<FigureSet> $sets */
        $sets = FigureSet::query()->latest('updated_at')->limit(100)->get()->all();

        return new JsonResponse(['sets' => array_map(self::told(...), $sets)]);
    }

    public function show(FigureSet $set): JsonResponse
    {
        return new JsonResponse(self::told($set));
    }

    public function store(Body $body): JsonResponse
    {
        $planned = self::sent($body);
        $set = FigureSet::query()->create(['name' => $planned->name, 'members' => self::json($body)]);

        return new JsonResponse(self::told($set->refresh()), 201);
    }

    /** A stale one is told, and changes nothing. */
    public function update(Body $body, FigureSet $set): JsonResponse
    {
        $planned = self::sent($body);
        $row = ['name' => $planned->name, 'members' => self::json($body), 'revision' => $set->revision + 1, 'updated_at' => now()];
        $written = Transaction::together(
            static fn (): int => FigureSet::query()->whereKey($set->id)->where('revision', $body->int('revision'))->toBase()->update($row),
        );

        return $written === 1
            ? new JsonResponse(self::told($set->refresh()))
            : throw new HttpException(409, (string) Message::of('house.set-controller.this-set-was-changed'));
    }

    public function destroy(FigureSet $set): JsonResponse
    {
        $set->delete();

        return $this->index();
    }

    /** What is free of its wool is set aside for it, so that no other figure counts on it. */
    public function aside(Body $body, FigureSet $set): JsonResponse
    {
        Transaction::together(static function () use ($body, $set): void {
            Revision::expect($body, (string) Message::of('house.set-controller.what-this-set-has'), Stash::asideForSet($set->id));
            $supply = SetSupply::of(
                FigureSet::planned($set->name, $set->rows()),
                Stash::wools(Stash::ofSet($set->id)),
                Stash::swatches(),
                $body->reserve(),
                Profile::densities(),
            );
            Stash::setAsideForSet($set->id, $supply->wanted());
        });

        return new JsonResponse(self::told($set));
    }

    public function release(FigureSet $set): JsonResponse
    {
        Stash::releaseSet($set->id);

        return new JsonResponse(self::told($set));
    }

    /** The set as it is sent, planned as one. */
    public function plan(Body $body): JsonResponse
    {
        return new JsonResponse(self::planned($body)->document());
    }

    /** One shopping list over all of it, from the stand-in for a shop. */
    public function shopping(Body $body): JsonResponse|Response
    {
        $plan = self::planned($body);
        $names = $plan->supply->names;
        $drawn = array_combine(array_keys($names), array_map(Srgb::hex(...), array_keys($names)));
        $purchase = Purchase::of(new SimulatedShop(Mood::Open), $plan->supply->needs, $drawn, $names);
        if ($body->text('as', 'json') === 'json') {
            return new JsonResponse($purchase->document());
        }

        return new Response(Pdf::of(ShoppingSheet::of($plan->set->name, $purchase->list, $purchase->sending), $body->paper()), 200, [
            'Content-Type' => 'application/pdf',
        ]);
    }

    /** Its work laid into sittings. */
    public function sittings(Body $body): JsonResponse
    {
        return new JsonResponse(['sittings' => self::planned($body)->batch->sittings($body->floatOr('minutes', 90.0))]);
    }

    /** Colours for several of one figure: by a rule, or by what the stash has. */
    public function colourways(Body $body): JsonResponse
    {
        $figure = FigureDocument::fromJson(self::figure($body)->document);
        $keys = $body->texts('colours');
        $count = $body->int('count');
        $ways = match ($body->text('by', 'hue')) {
            'hue' => Colourways::turned($figure, $keys, $count),
            'swap' => Colourways::swapped($figure, $keys),
            'stash' => Colourways::fromStash($figure, $keys[0] ?? '', $count, Stash::wools(), Profile::densities()),
            default => throw new HttpException(422, (string) Message::of('house.set-controller.colourways-go-by-hue')),
        };

        return new JsonResponse(['colourways' => array_map(static fn (array $way): object => (object) $way, $ways)]);
    }

    /** One of its members, drawn in its own colours. */
    public function picture(Body $body): Response
    {
        $set = FigureSet::planned((string) Message::of('house.set-controller.a-picture'), [$body->object('member')]);
        $png = Painter::png($set->members[0]->figure, View::Front, self::PICTURE_PX, Srgb::hex('#fffef9'));

        return new Response($png, 200, ['Content-Type' => 'image/png']);
    }

    private static function figure(Body $body): Figure
    {
        return Figure::query()->find($body->int('figure')) ?? throw new HttpException(
            422,
            (string) Message::of('house.set-controller.this-figure-is-not'),
        );
    }

    private static function sent(Body $body): SetOfFigures
    {
        return FigureSet::planned($body->text('name'), $body->objects('members'));
    }

    private static function planned(Body $body): SetPlan
    {
        return SetPlan::of(
            self::sent($body),
            Stash::wools(Stash::ofSet($body->intOr('id', 0) ?? 0)),
            Stash::swatches(),
            $body->reserve(),
            Profile::densities(),
            Profile::pace(),
            Profile::needles(),
        );
    }

    private static function json(Body $body): string
    {
        return json_encode($body->objects('members'), JSON_THROW_ON_ERROR);
    }

    /** @return array<string, mixed> */
    private static function told(FigureSet $set): array
    {
        $aside = Stash::asideForSet($set->id);

        return [
            'id' => $set->id,
            'name' => $set->name,
            'revision' => $set->revision,
            'members' => $set->rows(),
            'asideG' => array_sum($aside),
            'asideRevision' => Revision::of($aside),
        ];
    }
}
