<?php

declare(strict_types=1);

namespace Impa\Print\Share;

use Impa\Build\Steps\StepKind;
use Impa\Build\Work;
use Impa\Figure\Document\FigureForm;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Flat\FeltSheet;
use Impa\Flat\FlatPlan;
use Impa\Plan\Plan;
use Impa\Plan\TradeWord;
use Impa\Print\Page\Html;
use Impa\Print\Page\Paper;
use Impa\Print\Template\BendingSheet;
use Impa\Print\Template\FaceTemplates;
use Impa\Print\Template\LayerTemplates;
use Impa\Print\Template\SizeCards;
use Impa\Print\Work\WorkSheet;
use Impa\Render\Painter;
use Impa\Render\View;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Message;
use Impa\Wool\Ledger\WoolWords;
use Impa\Wool\Mix;
use JsonException;
use stdClass;

/**
 * A felter's own figure as a pattern to share: cover, materials, sizes, steps with their drawings, cautions, words, and at true size the
 * cards, the face and the wires. As text with pages, and as one document that another Impa takes in.
 */
final class Booklet
{
    private const STYLE = <<<'CSS'
    .cover { text-align: center; padding-top: 12mm } .cover img { width: 120mm; height: 120mm } .cover h1 { font-size: 26pt }
    .cover p { font-size: 12pt } h2 { font-size: 15pt; margin: 8mm 0 2mm } .new { page-break-before: always }
    .sw { display: inline-block; width: 4mm; height: 4mm; border: 0.2mm solid #8a7a66 }
    CSS;

    private const COVER_PX = 900;

    /** By the codes of lang/, print.caution (docs/trade.md, Cautions). */
    private const CAUTIONS = ['needles', 'children', 'count', 'rest', 'no-toy'];

    /** Words of the craft that a booklet uses, by the codes of lang/, words. */
    private const WORDS = ['core', 'cover', 'fluff-end', 'join', 'wisp', 'tops', 'batting', 'firm', 'gauge', 'shallow'];

    /**
     * @param  ?string  $drawing  data URI of her own drawing, where she wants it in
     * @return array{html: string, pages: list<string>} running text with its styles in the head, and pages at true size as SVG in mm
     */
    public static function of(Plan $plan, Credit $credit, Paper $paper, ?string $drawing = null): array
    {
        [$figure, $work] = [$plan->figure, $plan->work()];
        $html = self::cover($plan, $credit, $drawing).self::materials($plan, $work).self::sizes($figure).self::cautions($work)
            .'<h2 class="new">'.Html::text(Message::of('print.booklet.made')).'</h2>'.WorkSheet::table($work).self::words()
            .self::colophon($figure, $credit);
        $pages = $figure->isOfLayers()
            ? LayerTemplates::pages($figure, FlatPlan::of($figure, FeltSheet::usual()), $paper)
            : SizeCards::pages($plan, $paper);
        foreach ($figure->parts as $part) {
            if ($figure->detailsOn($part->key) !== []) {
                array_push($pages, ...FaceTemplates::of($figure, $part)->pages($paper));
            }
        }
        if ($figure->wires !== []) {
            array_push($pages, ...BendingSheet::pages($figure, $figure->wires, $paper));
        }

        return ['html' => Html::sheet(WorkSheet::STYLE.self::STYLE, '', $html), 'pages' => $pages];
    }

    /**
     * The same as one file that another Impa takes in: the figure without its drawing, and whose it is.
     *
     * @return array<string, mixed> an impa-booklet document, version 1
     */
    public static function document(Figure $figure, Credit $credit): array
    {
        return [
            'format' => 'impa-booklet',
            'version' => 1,
            'credit' => $credit->by,
            'licence' => $credit->licence,
            // The drawing stays with her who drew it.
            'figure' => Choices::withoutPictures($figure)->document(),
        ];
    }

    /**
     * The figure of such a file; it keeps whose it is.
     *
     * @throws BookletRefused if it is none
     * @throws FigureRefused if it is too large, or the figure in it has faults
     */
    public static function figure(string $json): Figure
    {
        // Whose it is takes a few hundred letters more than the figure itself.
        if (strlen($json) > FigureForm::MOST_BYTES + 4096) {
            throw FigureRefused::tooLarge(strlen($json));
        }
        try {
            $booklet = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw BookletRefused::noBooklet();
        }
        if (
            ! $booklet instanceof stdClass || ($booklet->format ?? '') !== 'impa-booklet' || ($booklet->version ?? 0) !== 1
            || ! is_string($booklet->credit ?? null) || ! is_string($booklet->licence ?? null)
        ) {
            throw BookletRefused::noBooklet();
        }
        $credit = Credit::of('allowed', $booklet->credit, $booklet->licence);

        return Choices::credited(Figure::fromDocument($booklet->figure ?? null), $credit->by, $credit->licence);
    }

    private static function cover(Plan $plan, Credit $credit, ?string $drawing): string
    {
        $figure = $plan->figure;
        $png = base64_encode(Painter::png($figure, View::Front, self::COVER_PX));
        $minutes = $plan->handsMinutes();

        return sprintf(
            '<div class="cover"><h1>%s</h1><img src="data:image/png;base64,%s"><p>%s</p>'
                .'<p>%s</p><p>%s</p>%s</div>',
            Html::text($figure->name),
            $png,
            Html::text(Message::of(
                'print.booklet.facts',
                tall: Amount::mm($figure->heightMm),
                wool: Amount::g($plan->totalG()),
                hours: intdiv((int) round($minutes), 60),
                minutes: sprintf('%02d', (int) round($minutes) % 60),
            )),
            Html::text(Message::of('print.booklet.design', by: $credit->by)),
            Html::text($credit->licence),
            $drawing === null ? '' : sprintf('<p><img style="width:auto;height:60mm" src="%s"></p>', $drawing),
        );
    }

    private static function materials(Plan $plan, Work $work): string
    {
        $figure = $plan->figure;
        $html = '<h2 class="new">'.Html::text(Message::of('print.booklet.need')).'</h2><table>';
        foreach ($plan->ledger->totals() as $total) {
            $colour = $total['colour'] === null ? null : $figure->colours[$total['colour']];
            $name = WoolWords::name($total['material'], $total['colour'] ?? '', $figure);
            $mix = $colour === null ? null : Mix::of($colour->key, $total['spread']->likelyG, $figure);
            $html .= sprintf(
                '<tr><td>%s</td><td>%s</td><td>%s</td><td class="q">%s</td></tr>',
                $colour === null ? '' : sprintf('<span class="sw" style="background:%s"></span>', $colour->srgb->toHex()),
                Html::text($name.($mix === null ? '' : ': '.$mix->woolsText())),
                Amount::g($total['spread']->likelyG),
                Html::text(Message::of(
                    'print.booklet.spread',
                    low: Amount::g($total['spread']->lowG),
                    high: Amount::g($total['spread']->highG),
                )),
            );
        }
        $gauges = [];
        foreach ($work->steps as $step) {
            if ($step->uses->needle !== null) {
                $gauges[$step->uses->needle->gauge] = true;
            }
        }
        ksort($gauges);

        return $html.'</table><p>'.Html::text(Message::of('print.booklet.tools.all', tools: implode(', ', [
            Message::of('print.booklet.tools.usual', gauges: implode(', ', array_keys($gauges))),
            ...$figure->wires === [] ? [] : [Message::of('print.booklet.tools.wire')],
            ...$work->has(StepKind::Steam) ? [Message::of('print.booklet.tools.steam')] : [],
            ...$work->has(StepKind::Press) ? [Message::of('print.booklet.tools.iron')] : [],
        ]))).'</p>';
    }

    private static function sizes(Figure $figure): string
    {
        $html = '<h2>'.Html::text(Message::of('print.booklet.sizes')).'</h2><table>';
        foreach ($figure->parts as $part) {
            $size = $part->solid->size();
            $html .= sprintf(
                '<tr><td>%s%s</td><td>%s</td><td class="q">%s, %s</td></tr>',
                Html::text($part->name),
                $part->count() > 1 ? Html::text(Message::of('print.two')) : '',
                Lengths::of($size->widthMm, $size->heightMm, $size->depthMm),
                Html::text($figure->colours[$part->colour]->name),
                Html::text(Message::of('material.firmness.'.$part->made->firmness->value)),
            );
        }

        return $html.'</table><p class="q">'.Html::text(Message::of('print.booklet.cards')).'</p>';
    }

    private static function cautions(Work $work): string
    {
        $cautions = [
            ...array_map(static fn (string $caution): Message => Message::of('print.caution.'.$caution), self::CAUTIONS),
            ...$work->has(StepKind::Steam) ? [Message::of('steps.caution.steam')] : [],
        ];

        return '<h2>'.Html::text(Message::of('print.booklet.care')).'</h2><p>'.Html::text(implode(' ', $cautions)).'</p>';
    }

    private static function words(): string
    {
        $html = '<h2 class="new">'.Html::text(Message::of('print.booklet.words')).'</h2><table>';
        foreach (self::WORDS as $code) {
            $word = TradeWord::of($code);
            $html .= sprintf('<tr><td><b>%s</b></td><td>%s</td></tr>', Html::text($word->is), Html::text($word->means));
        }

        return $html.'</table>';
    }

    private static function colophon(Figure $figure, Credit $credit): string
    {
        return sprintf(
            '<p class="q">%s</p>',
            Html::text(Message::of(
                'print.booklet.colophon',
                name: $figure->name,
                by: $credit->by,
                licence: $credit->licence === '' ? '' : $credit->licence.'.',
            )),
        );
    }
}
