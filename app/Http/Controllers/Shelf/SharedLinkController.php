<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shelf;

use App\Accounts\CurrentFelter;
use App\Hand\Profile;
use App\Models\Figure;
use App\Models\SharedLink;
use Closure;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Impa\Colour\Srgb;
use Impa\Figure\Figure as FigureDocument;
use Impa\Plan\Plan;
use Impa\Render\Painter;
use Impa\Render\View as Side;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Voice\Name;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Figures shown by a link: made, listed and ended by who owns them; looked at, and copied, by who has the link. */
final class SharedLinkController
{
    /** One figure has so many at once. */
    private const MOST = 20;

    private const PICTURE_PX = 720;

    public function index(Figure $figure): JsonResponse
    {
        return new JsonResponse(['links' => self::told($figure)]);
    }

    /** The link itself is told this once: nothing but its hash is kept. */
    public function store(Figure $figure): JsonResponse
    {
        if (SharedLink::query()->where('figure_id', $figure->id)->count() >= self::MOST) {
            throw new HttpException(422, (string) Message::of('house.shared-link-controller.this-figure-is-shared'));
        }
        $token = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        SharedLink::query()->create(['figure_id' => $figure->id, 'token_hash' => SharedLink::hashed($token), 'created_at' => now()]);

        return new JsonResponse(['address' => url('/shared/'.$token), 'links' => self::told($figure)], 201);
    }

    public function destroy(Figure $figure, int $link): JsonResponse
    {
        SharedLink::query()->where('figure_id', $figure->id)->whereKey($link)->delete();

        return $this->index($figure);
    }

    public function page(string $token): View
    {
        return self::shown($token, static function (Figure $figure) use ($token): View {
            $plan = Plan::of(FigureDocument::kept($figure->document));

            $summary = Profile::shown($figure);

            return view('shared', [
                'token' => $token,
                'name' => $figure->name,
                'alt' => Message::of('house.shared.alt', name: new Name($figure->name)),
                'is' => Message::of(
                    'house.shared.is',
                    height: Amount::mm($plan->figure->heightMm),
                    parts: count($plan->figure->parts),
                ),
                'takes' => Message::of(
                    'house.shared.takes',
                    wool: Amount::g($summary->totalG),
                    time: Amount::minutes($summary->handsMinutes),
                    steps: count($summary->steps),
                ),
                'take' => Message::of('house.shared.take'),
                'then' => Message::of('house.shared.then'),
            ]);
        });
    }

    public function picture(string $token): Response
    {
        $png = self::shown($token, static fn (Figure $figure): string => Painter::png(
            FigureDocument::kept($figure->document),
            Side::Front,
            self::PICTURE_PX,
            Srgb::hex('#fffef9'),
        ));

        return new Response($png, 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'no-store']);
    }

    /** The figure document, for another Impa; her drawings, log and hand stay with her. */
    public function document(string $token): Response
    {
        return self::shown($token, static fn (Figure $figure): Response => new Response($figure->document, 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="figure.impa.json"',
        ]));
    }

    /**
     * @template T
     *
     * @param  Closure(Figure): T  $show
     * @return T
     *
     * @throws NotFoundHttpException if the link is ended, or never was
     */
    private static function shown(#[\SensitiveParameter] string $token, Closure $show): mixed
    {
        // Whoever has the link is not the one whose figure it is: it is found by the link alone.
        $link = SharedLink::query()->withoutGlobalScope('own')->where('token_hash', SharedLink::hashed($token))->first();
        throw_if($link === null, NotFoundHttpException::class);

        return CurrentFelter::being($link->felter_id, static function () use ($link, $show): mixed {
            $figure = Figure::query()->find($link->figure_id) ?? throw new NotFoundHttpException;
            $link->update(['seen_at' => now()]);

            return $show($figure);
        });
    }

    /** @return list<array{id: int, at: string, seenAt: ?string}> */
    private static function told(Figure $figure): array
    {
        /** @var list<SharedLink> $links */
        $links = SharedLink::query()->where('figure_id', $figure->id)->latest('id')->get()->all();

        return array_map(static fn (SharedLink $link): array => [
            'id' => $link->id,
            'at' => $link->created_at->toIso8601String(),
            'seenAt' => $link->seen_at?->toIso8601String(),
        ], $links);
    }
}
