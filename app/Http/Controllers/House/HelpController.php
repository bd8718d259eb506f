<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Accounts\CurrentFelter;
use App\Api\Body;
use App\Hand\OwnHand;
use App\Hand\Profile;
use App\Help\Guide;
use App\Help\GuidePage;
use App\Help\Search;
use App\Http\DocumentResponse;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Models\Wool;
use App\Stash\Stash;
use App\Store\Copies;
use Illuminate\Http\Request;
use Impa\Plan\Guidance;
use Impa\Stash\Supply\Need;
use Impa\Stash\Supply\Reserve;
use Impa\Voice\Message;
use Impa\Voice\Voice;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Help where the work is: the pages, what is found in them and beside them, what to do next. */
final class HelpController
{
    public function index(): DocumentResponse
    {
        $pages = Guide::pages(Voice::current()->language);

        return new DocumentResponse(['pages' => array_map(static fn (GuidePage $p): array => $p->document(), $pages)]);
    }

    public function search(Request $request): DocumentResponse
    {
        $asked = $request->query('q');

        return new DocumentResponse(Search::of(is_string($asked) ? mb_substr($asked, 0, 100) : ''));
    }

    /** What to do next with a figure that lies open, kept or not; at a station around the figures, with what there is. */
    public function next(Body $body): DocumentResponse
    {
        $station = $body->text('station');
        if (in_array($station, Guidance::AROUND, true)) {
            return new DocumentResponse(['next' => Guidance::around($station, match ($station) {
                'shelf' => Figure::query()->count(),
                'stash' => Wool::query()->count(),
                'set' => count(FigureSet::query()->find($body->intOr('set', 0) ?? 0)?->rows() ?? []),
                // On a server, copies are the keeper's affair.
                'house' => ! config()->boolean('impa.accounts') && Copies::isDue() ? 0 : 1,
                default => count(OwnHand::hand()->observations),
            })]);
        }
        if (! in_array($station, Guidance::STATIONS, true)) {
            throw new HttpException(422, (string) Message::of(
                'help.no-such-station',
                station: mb_strimwidth($station, 0, 60, '...'),
                known: implode(', ', [...Guidance::STATIONS, ...Guidance::AROUND]),
            ));
        }
        $figure = $body->figure();
        $plan = Profile::plan($figure);
        $kept = Figure::query()->find($body->intOr('figure', 0) ?? 0);
        $steps = $plan->work()->keys();
        $lacking = $station !== 'wool' ? 0 : count(array_filter(
            Profile::supply($figure, Stash::wools($kept->id ?? 0), Reserve::Usual)->needs,
            static fn (Need $n): bool => $n->lackG() > 0.0,
        ));

        return new DocumentResponse([
            'next' => Guidance::of($plan, $station, self::wool($kept), $kept?->done($steps) ?? [], $lacking),
        ]);
    }

    /** @return 'open'|'aside'|'used' */
    private static function wool(?Figure $kept): string
    {
        $has = static fn (string $table): bool => $kept !== null && CurrentFelter::rows($table)->where('figure_id', $kept->id)->exists();

        return $has('wool_uses') ? 'used' : ($has('set_asides') ? 'aside' : 'open');
    }
}
