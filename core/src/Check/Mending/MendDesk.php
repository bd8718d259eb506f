<?php

declare(strict_types=1);

namespace Impa\Check\Mending;

use Impa\Balance\Balance;
use Impa\Balance\Cure;
use Impa\Balance\Cures;
use Impa\Check\CheckRefused;
use Impa\Face\DetailGround;
use Impa\Figure\Detail;
use Impa\Figure\Part;
use Impa\Figure\Term\Side;
use Impa\Material\Densities;
use Impa\Surface\Surface;
use Impa\Surface\TapeMark;
use Impa\Voice\Amount;
use Impa\Voice\Lengths;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Opening;
use Impa\Voice\Said;
use Impa\Wool\Grams;
use Impa\Wool\Ledger\Coverings;
use Impa\Wool\Ledger\Ledger;

/**
 * What helps, reckoned from this figure: how much wool, which needle, in what order, what not to do, how long (docs/trade.md, What goes
 * wrong). Immutable.
 */
final readonly class MendDesk
{
    /** How thick a layer is that covers a lump or foreign fibres; that hides a core; that closes a ground (common practice), mm. */
    private const THIN_MM = 0.6;

    private const HIDES_MM = 1.2;

    private const CLOSES_MM = 1.0;

    /** A wisp over a seam is so broad and thick, mm. */
    private const SEAM_MM = [6.0, 0.5];

    private function __construct(private Ledger $ledger, private Part $part, private ?Detail $detail)
    {
    }

    /**
     * @param  string  $key  of the part or the detail; empty for the whole figure
     * @param  array<string, float>  $answers  to what the sign asks, by name; the usual where one is missing
     * @return non-empty-list<Remedy>
     *
     * @throws CheckRefused if there is no such part or detail, or an answer is out of range
     */
    public static function remedies(Ledger $ledger, Sign $sign, string $key, array $answers): array
    {
        $figure = $ledger->figure;
        $detail = $sign->about() === 'detail' ? $figure->details[$key] ?? throw CheckRefused::noDetail($key) : null;
        $key = match ($sign->about()) {
            'detail' => $detail->on ?? '',
            'figure' => (string) array_key_first($figure->parts),
            default => $key,
        };
        $desk = new self($ledger, $figure->parts[$key] ?? throw CheckRefused::noPart($key), $detail);
        $asked = [];
        foreach ($sign->asks() as $ask) {
            $value = $answers[$ask['name']] ?? $ask['usual'];
            if (is_nan($value) || abs($value) > $ask['most'] || ($sign !== Sign::WrongPlace && $value <= 0.0)) {
                throw CheckRefused::noAnswer($ask['label'], $ask['most'], $ask['unit']);
            }
            $asked[$ask['name']] = $value;
        }

        return $desk->of($sign, $asked);
    }

    /**
     * @param  array<string, float>  $a
     * @return non-empty-list<Remedy>
     */
    private function of(Sign $sign, array $a): array
    {
        return match ($sign) {
            Sign::Dent => $this->dent($a['across'], $a['deep']),
            Sign::Lumps => [$this->layer(Message::of('check.mend-desk.tease-it-apart'), $a['across'], self::THIN_MM, [
                Message::of('check.mend-desk.pull-the-lump-apart'),
                Message::of('check.mend-desk.lay-the-wisp-over'),
                Message::of('check.mend-desk.fix-its-rim-first'),
            ], Message::of('check.mend-desk.do-not-stab-harder'))],
            Sign::CoreShows => $this->coreShows($a['across']),
            Sign::Soft => [$this->plain(Message::of('check.mend-desk.firm-it'), [
                Message::of('check.mend-desk.stab-the-soft-side'),
                Message::of('check.mend-desk.turn-it-often'),
            ], Message::of('check.mend-desk.do-not-stay'), 5.0, 38, 'middling-straight'), $this->layer(
                Message::of('check.mend-desk.lay-more-on-where'),
                $a['across'],
                2 * self::HIDES_MM,
                [Message::of('check.mend-desk.lay-the-wool-over'), Message::of('check.mend-desk.stab-it-in-from')],
                Message::of('check.mend-desk.do-not-lay'),
            )],
            Sign::Wobbles => $this->wobbles(),
            Sign::SeamShows => [$this->seam(Message::of('check.mend-desk.hide-it-anew'), [
                Message::of('check.mend-desk.lay-the-wisp-across'),
                Message::of('check.mend-desk.stab-it-in-shallow'),
            ])],
            Sign::Foreign => $this->foreign($a['across']),
            Sign::Fuzz => [$this->plain(Message::of('check.mend-desk.needle-trim-press'), [
                Message::of('check.mend-desk.go-over'),
                Message::of('check.mend-desk.trim-what-still-stands'),
                Message::of('check.mend-desk.roll-it-in-warm'),
            ], Message::of('check.mend-desk.do-not-pull'), 6.0, 42)],
            Sign::Twin => $this->twin($a['more']),
            Sign::Through => $this->through($a['across']),
            Sign::TooBig => $this->size($a['off'], true),
            Sign::TooSmall => $this->size($a['off'], false),
            Sign::Lopsided => $this->lopsided($a['short']),
            Sign::WrongPlace => [$this->again($a['up'], $a['right'])],
            Sign::CameOff => [$this->plain(Message::of('check.mend-desk.put-it-back'), [
                Message::of('check.mend-desk.prick-its-place-again'),
                Message::of('check.mend-desk.fix-it'),
            ], Message::of('check.mend-desk.small-parts-come-off'), 5.0)],
            Sign::Tips => $this->tips(),
            Sign::NeedleBroke => [$this->plain(Message::of('check.mend-desk.find-the-tip'), [
                Message::of('check.mend-desk.stop-and-look'),
                Message::of('check.mend-desk.feel-along-the-last'),
                Message::of('check.mend-desk.push-the-tip-out'),
            ], Message::of('check.mend-desk.do-not-go'), 10.0, 0)],
            Sign::WireShows => [$this->plain(Message::of('check.mend-desk.turn-it'), [
                Message::of('check.mend-desk.bend-the-end-back'),
                Message::of('check.mend-desk.wind-a-strand-round'),
            ], Message::of('check.mend-desk.do-not-stab-onto'), 6.0)],
        };
    }

    /** @return non-empty-list<Remedy> */
    private function foreign(float $across): array
    {
        return [
            $this->plain(Message::of('check.mend-desk.pick-them-out'), [
                Message::of('check.mend-desk.draw-the-fibres-out'),
                Message::of('check.mend-desk.smooth-the-place'),
            ], Message::of('check.mend-desk.do-not-stab-them'), 4.0),
            $this->layer(Message::of('check.mend-desk.cover-them'), $across, self::THIN_MM, [
                Message::of('check.mend-desk.lay-the-wisp-over-2'),
                Message::of('check.mend-desk.fix-it-with-shallow'),
            ], Message::of('check.mend-desk.do-not-use')),
        ];
    }

    /**
     * @param  float  $more  grams by which one is heavier
     * @return non-empty-list<Remedy>
     */
    private function twin(float $more): array
    {
        return Coverings::isCut($this->part) ? [$this->plain(Message::of('check.mend-desk.trim-the-larger-one'), [
            Message::of('check.mend-desk.lay-both-on-each'),
            Message::of('check.mend-desk.firm-its-new-edge'),
        ], Message::of('check.mend-desk.do-not-cut-both'), 3.0)] : [
            $this->plain(Message::of('check.mend-desk.felt-the-larger-one'), [
                Message::of('check.mend-desk.firm-the-larger-one'),
            ], Message::of('check.mend-desk.do-not-make'), 6.0, 38, 'middling-straight'),
            $this->plain(Message::of('check.mend-desk.pull-a-little-off'), [
                Message::of('check.mend-desk.tease-off-the-end', g: Amount::g($more / 2)),
                Message::of('check.mend-desk.firm-the-place-again'),
            ], Message::of('check.mend-desk.do-not-cut'), 4.0),
        ];
    }

    /** @return non-empty-list<Remedy> */
    private function through(float $across): array
    {
        return [
            $this->plain(Message::of('check.mend-desk.trim-the-back'), [
                Message::of('check.mend-desk.trim-what-comes-out'),
                Message::of('check.mend-desk.go-on-with-slanting'),
            ], Message::of('check.mend-desk.do-not-stab-straight'), 3.0),
            $this->layer(Message::of('check.mend-desk.cover-the-back'), $across, self::THIN_MM, [
                Message::of('check.mend-desk.lay-a-wisp'),
                Message::of('check.mend-desk.fix-it-with-stabs'),
            ], Message::of('check.mend-desk.do-not-stab-through')),
        ];
    }

    /** @return non-empty-list<Remedy> */
    private function dent(float $across, float $deep): array
    {
        // CRC: a spherical cap of radius a and height h has pi h (3 a^2 + h^2) / 6.
        $mm3 = M_PI * $deep * (3 * ($across / 2) ** 2 + $deep ** 2) / 6;
        $mg = $this->mg($mm3);

        return [
            new Remedy(Message::of('check.mend-desk.fill-it'), [
                Message::of('check.mend-desk.tease-out', g: Amount::g($mg / 1000), across: Lengths::of($across, $deep)),
                Message::of('check.mend-desk.lay-it-over'),
                Message::of('check.mend-desk.fix-the-edges-first'),
            ], Message::of('check.mend-desk.do-not-stab-into'), 5.0, $mg, $this->part->colour),
            $this->plain(Message::of('check.mend-desk.stab-round'), [
                Message::of('check.mend-desk.stab-the-rim'),
                Message::of('check.mend-desk.smooth-the-place-2'),
            ], Message::of('check.mend-desk.do-not-stab-into'), 4.0, 38, 'middling-slanting'),
        ];
    }

    /** @return non-empty-list<Remedy> */
    private function coreShows(float $across): array
    {
        return [
            $this->layer(Message::of('check.mend-desk.a-second-thin-layer'), $across, self::HIDES_MM, [
                Message::of('check.mend-desk.tease-the-colour-into'),
                Message::of('check.mend-desk.lay-it-over-2'),
            ], Message::of('check.mend-desk.do-not-stab-harder-2')),
            $this->plain(Message::of('check.mend-desk.work-the-cover'), [
                Message::of('check.mend-desk.draw-fibres'),
                Message::of('check.mend-desk.fix-them-with-slanting'),
            ], Message::of('check.mend-desk.only-where-a-little'), 4.0),
        ];
    }

    /** @return non-empty-list<Remedy> */
    private function wobbles(): array
    {
        $steps = [
            Message::of('check.mend-desk.hold-it-straight'),
            Message::of('check.mend-desk.tug-where-it-gives'),
        ];

        return $this->part->isJoined()
            ? [$this->seam(
                Message::of('check.mend-desk.more-fluff-all-round'),
                $steps,
            ), $this->plain(Message::of('check.mend-desk.sew-it'), [
                Message::of('check.mend-desk.sew-through-both'),
            ], Message::of('check.mend-desk.do-not-pull-2'), 6.0, 0)]
            : [$this->plain(Message::of('check.mend-desk.firm-its-base'), [
                Message::of('check.mend-desk.stab-its-base-flat'),
            ], Message::of('check.mend-desk.do-not-lean'), 4.0, 36)];
    }

    /** @param  list<Message>  $steps */
    private function seam(Message $way, array $steps): Remedy
    {
        // About as long as the piece is round.
        $long = M_PI * $this->part->thickMm();
        $mg = $this->mg($long * self::SEAM_MM[0] * self::SEAM_MM[1]);

        $dont = Message::of('check.mend-desk.do-not-stab-from');

        return new Remedy($way, $steps, $dont, 6.0, $mg, $this->part->colour, 38, 'deep-shallow');
    }

    /** @return non-empty-list<Remedy> */
    private function size(float $off, bool $isTooBig): array
    {
        $ways = [$this->plain($isTooBig ? Message::of('check.mend-desk.draw-it') : Message::of('check.mend-desk.spread-it'), [
            $isTooBig
                ? Message::of('check.mend-desk.stab-along-its-rim')
                : Message::of('check.mend-desk.stab-along-its-rim-2'),
            Message::of('check.mend-desk.measure-each-side', mm: Amount::mm($off / 2)),
        ], Message::of('check.mend-desk.do-not-work-one'), 3.0, 42, 'very-shallow-slanting')];
        $around = $this->detail === null ? 0.0 : 2 * sqrt(M_PI * max(0.1, $this->detail->drawn->areaMm2()));
        $mg = 1000 * Densities::WISP_MG_PER_MM2 / 1000 * $around * $off / 2;
        $ways[] = $isTooBig
            ? new Remedy(Message::of('check.mend-desk.cover-its-rim'), [
                Message::of('check.mend-desk.lay-a-thin-ring'),
                Message::of('check.mend-desk.fix-it-from-outside'),
            ], Message::of('check.mend-desk.do-not-cover-all'), 4.0, $mg, $this->ground(), 42, 'very-shallow')
            : new Remedy(Message::of('check.mend-desk.add-to'), [
                Message::of('check.mend-desk.lay-a-wisp-2'),
                Message::of('check.mend-desk.fix-the-rim-first'),
            ], Message::of('check.mend-desk.take-less-than-you'), 4.0, $mg, $this->detail->colour ?? '', 42, 'very-shallow');

        return $ways;
    }

    /** @return non-empty-list<Remedy> */
    private function lopsided(float $short): array
    {
        $wide = max(0.6, $this->detail->drawn->widthMm ?? 1.0);
        $mg = Densities::WISP_MG_PER_MM2 * $wide * $short;

        return [
            new Remedy(Message::of('check.mend-desk.a-wisp'), [
                Message::of('check.mend-desk.twist-a-strand', g: Amount::g($mg / 1000), short: Amount::mm($short)),
                Message::of('check.mend-desk.fix-its-tip-first'),
            ], Message::of('check.mend-desk.do-not-pull-3'), 4.0, $mg, $this->detail->colour ?? '', 42, 'very-shallow'),
            $this->plain(Message::of('check.mend-desk.lift-and-lay-again'), [
                Message::of('check.mend-desk.lift-the-line'),
                Message::of('check.mend-desk.prick-its-marks-anew'),
            ], Message::of('check.mend-desk.do-not-lift-more'), 6.0, 42, 'very-shallow'),
        ];
    }

    private function again(float $up, float $right): Remedy
    {
        $detail = $this->detail;
        $surface = Surface::of($this->part->placements()[0], $detail->lie->side ?? Side::Front);
        [$x, $y] = $detail?->middle() ?? [0.0, 0.0];
        $down = TapeMark::downMm($surface, $y);
        $across = TapeMark::acrossMm($surface, $x, $y);
        $mg = $this->mg(($detail?->drawn->areaMm2() ?? 0.0) * self::CLOSES_MM);

        return new Remedy(Message::of('check.mend-desk.lift-it-out-close'), [
            Message::of('check.mend-desk.it-sits', up: self::beside($up, $right)),
            Message::of('check.mend-desk.lift-it-out'),
            Message::of('check.mend-desk.close-the-ground', g: Amount::g($mg / 1000)),
            is_nan($down) || is_nan($across)
                ? Message::of('check.mend-desk.mark-it-again')
                : Message::of('check.mend-desk.mark-it-again-down', down: Amount::mm($down), mm: Amount::mm(abs($across))),
            Message::of('check.mend-desk.look-in-a-mirror'),
        ], Message::of('check.mend-desk.do-not-push'), 8.0, $mg, $this->ground(), 42, 'very-shallow');
    }

    /** Key of the colour that shows where the detail is drawn in or lifted out: of what it lies on, a belly patch as well as the part. */
    private function ground(): string
    {
        return $this->detail === null ? $this->part->colour : DetailGround::colour($this->ledger->figure, $this->detail);
    }

    /** How a thing lies that should be so much higher and farther right. */
    private static function beside(float $up, float $right): Said
    {
        $words = [];
        if (abs($up) >= 0.05) {
            $words[] = Message::of('check.beside.'.($up > 0.0 ? 'below' : 'above'), by: Amount::mm(abs($up)));
        }
        if (abs($right) >= 0.05) {
            $words[] = Message::of('check.beside.'.($right > 0.0 ? 'left' : 'right'), by: Amount::mm(abs($right)));
        }

        return $words === [] ? Message::of('check.beside.none') : new Listed($words);
    }

    /** @return non-empty-list<Remedy> */
    private function tips(): array
    {
        $balance = Balance::of($this->ledger);
        $cures = array_map(
            fn (Cure $cure): Remedy => new Remedy(
                Message::of('balance.way.'.$cure->kind),
                [Message::of('check.mend-desk.cure', cure: new Opening($cure->text)), Message::of('check.mend-desk.set-it-down-again')],
                Message::of('check.mend-desk.do-not-press'),
                5.0,
                gauge: 36,
                stabs: 'deep-straight',
            ),
            Cures::of($balance),
        );
        if ($cures === [] && $balance->isTouchy()) {
            return [$this->plain(
                Message::of('check.mend-desk.give-it-a-wider'),
                [Message::of('balance.cures.none')],
                Message::of('check.mend-desk.do-not-weight'),
                10.0,
                36,
                'deep-straight',
            )];
        }

        return $cures === [] ? [$this->plain(Message::of('check.mend-desk.it-should-stand'), [
            Message::of('check.mend-desk.by-its-plan'),
        ], Message::of('check.mend-desk.do-not-weight-2'), 4.0, 36, 'deep-straight')] : array_values($cures);
    }

    /** @param  list<Message>  $steps */
    private function layer(Message $way, float $acrossMm, float $thickMm, array $steps, Message $dont): Remedy
    {
        $mg = $this->mg(M_PI / 4 * $acrossMm ** 2 * $thickMm);

        $first = Message::of('check.mend-desk.tease-out-2', g: Amount::g($mg / 1000));

        return new Remedy($way, [$first, ...$steps], $dont, 5.0, $mg, $this->part->colour);
    }

    /** @param  list<Message>  $steps */
    private function plain(
        Message $way,
        array $steps,
        Message $dont,
        float $minutes,
        int $gauge = 40,
        string $stabs = 'shallow-slanting',
    ): Remedy {
        return new Remedy($way, $steps, $dont, $minutes, gauge: $gauge, stabs: $stabs);
    }

    /** Wool that fills so much of a part, felted as that is. */
    private function mg(float $mm3): float
    {
        return $mm3 * $this->ledger->densities->feltGPerCm3($this->part->made->firmness);
    }
}
