<?php

declare(strict_types=1);

namespace Impa\Voice;

use NumberFormatter;

/**
 * Writes quantities, with as many digits as a hand can use: what a needle, a tape, a pocket scale can show. Nothing else writes them;
 * the screens' own writer (resources/app/state/units.ts) is held to the same table, formats/quantities.json. Nothing that is written is
 * reckoned with.
 */
final class Writer
{
    /** NIST SP 811, exact. */
    public const MM_PER_INCH = 25.4;

    public const G_PER_OUNCE = 28.349523125;

    private const INCHES_PER_YARD = 36;

    /** Tapes show sixteenths; what is shorter than a quarter inch is told in hundredths. */
    private const SIXTEENTHS = 16;

    private const LEAST_FRACTION_IN = 0.25;

    /** Kitchen scales show no less, oz: grams are told as well. */
    private const LEAST_OZ = 0.1;

    /** Of what is put into a sum. */
    private const FIGURES = 4;

    /** Less is taken with two fingers, g (house choice). */
    private const PINCH_G = 0.005;

    private function __construct(private readonly Language $language, private readonly Units $units, private readonly string $currency = '')
    {
    }

    public static function of(Voice $voice): self
    {
        return new self($voice->language, $voice->units, $voice->currency);
    }

    public function write(Amount $amount): string
    {
        if ($amount->isClose) {
            return $this->closely($amount->measure, $amount->is);
        }
        $is = $amount->is;
        $isMetric = $this->units === Units::Metric;

        return match ($amount->measure) {
            Measure::Length => match (true) {
                ! $isMetric => $this->imperialLength($is / self::MM_PER_INCH),
                $amount->isExact => $this->short($is, 2).' mm',
                default => $this->metricLength($is),
            },
            Measure::Mass => $isMetric || abs($is) < self::PINCH_G ? $this->grams($is) : $this->ounces($is),
            Measure::Time => $this->time($is),
            Measure::Angle => $this->number(round($is), 0).'°',
            Measure::Share => $this->share($is),
            Measure::Area => $isMetric ? $this->figures($is).' cm²' : $this->figures($is / (self::MM_PER_INCH / 10) ** 2).' in²',
            Measure::Volume => $isMetric ? $this->figures($is).' cm³' : $this->figures($is / (self::MM_PER_INCH / 10) ** 3).' in³',
            Measure::Density => $isMetric
                ? $this->figures($is).' g/cm³'
                : $this->figures($is * (self::MM_PER_INCH / 10) ** 3 / self::G_PER_OUNCE).' oz/in³',
            Measure::Number => $this->short($is, 2),
            Measure::Money => $this->money($is),
        };
    }

    /**
     * Shares of a whole as percentages that add up to it: the largest remainders are rounded up.
     *
     * @param  list<float>  $shares  0.5 for half
     * @return list<int>
     */
    public static function percentages(array $shares): array
    {
        $exact = array_map(static fn (float $share): float => 100 * $share, $shares);
        $whole = array_map(static fn (float $percent): int => (int) floor($percent + 1e-9), $exact);
        $rests = array_map(static fn (float $percent, int $down): float => $percent - $down, $exact, $whole);
        arsort($rests);
        $missing = (int) round(array_sum($exact)) - array_sum($whole);
        foreach (array_slice(array_keys($rests), 0, max(0, $missing)) as $i) {
            $whole[$i]++;
        }

        return array_values($whole);
    }

    /** One of so many equal pieces of a weight, as closely as it takes for them to add up to what the whole is written as. */
    public function piece(float $wholeG, int $pieces): string
    {
        $each = $wholeG / $pieces;
        if ($this->units === Units::Imperial && $each < self::LEAST_OZ * self::G_PER_OUNCE) {
            return $this->ouncesAlone($each).' ('.$this->inUnits(Units::Metric)->piece($wholeG, $pieces).')';
        }
        $whole = $this->write(Amount::g($wholeG));
        [$unit, $perUnit, $digits] = match (true) {
            $this->units === Units::Imperial => ['oz', self::G_PER_OUNCE, 2],
            $each < 0.095 => ['mg', 0.001, 0],
            default => ['g', 1.0, 1],
        };
        for ($more = 0; $more < 4; $more++) {
            $shown = round($each / $perUnit, $digits + $more);
            if ($this->write(Amount::g($shown * $perUnit * $pieces)) === $whole) {
                return $this->number($shown, $digits + $more).' '.$unit;
            }
        }

        return $this->write(Amount::g($each));
    }

    /** Four figures that count, in one unit: what is multiplied by what can be followed. */
    private function closely(Measure $measure, float $is): string
    {
        $perInch = self::MM_PER_INCH;
        [$unit, $per] = $this->units === Units::Metric
            ? match ($measure) {
                Measure::Length => [' mm', 1.0],
                Measure::Mass => [' g', 1.0],
                Measure::Area => [' cm²', 1.0],
                Measure::Volume => [' cm³', 1.0],
                Measure::Density => [' g/cm³', 1.0],
                default => [$this->unitless($measure), 1.0],
            }
            : match ($measure) {
                Measure::Length => [' in', $perInch],
                Measure::Mass => [' oz', self::G_PER_OUNCE],
                Measure::Area => [' in²', ($perInch / 10) ** 2],
                Measure::Volume => [' in³', ($perInch / 10) ** 3],
                Measure::Density => [' oz/in³', self::G_PER_OUNCE / ($perInch / 10) ** 3],
                default => [$this->unitless($measure), 1.0],
            };
        $value = ($measure === Measure::Share ? 100.0 : 1.0) * $is / $per;
        $digits = $value === 0.0 ? 0 : max(0, self::FIGURES - 1 - (int) floor(log10(abs($value))));

        return $this->short($value, $digits).$unit;
    }

    private function unitless(Measure $measure): string
    {
        return match ($measure) {
            Measure::Time => ' min',
            Measure::Angle => '°',
            Measure::Share => $this->language === Language::German ? ' %' : '%',
            default => '',
        };
    }

    private function inUnits(Units $units): self
    {
        return new self($this->language, $units, $this->currency);
    }

    private function metricLength(float $mm): string
    {
        return match (true) {
            abs($mm) >= 999.75 => $this->number($mm / 1000, 2).' m',
            abs($mm) >= 99.75 => $this->number($mm, 0).' mm',
            abs($mm) >= 19.95 => $this->short(round(2 * $mm) / 2, 1).' mm',
            default => $this->short($mm, 1).' mm',
        };
    }

    private function imperialLength(float $inches): string
    {
        $sign = $inches < 0.0 ? '-' : '';
        $inches = abs($inches);
        if ($inches >= self::INCHES_PER_YARD) {
            return $sign.$this->number($inches / self::INCHES_PER_YARD, 1).' yd';
        }
        if ($inches < self::LEAST_FRACTION_IN) {
            return ($inches < 0.005 ? '' : $sign).$this->short($inches, 2).' in';
        }
        $sixteenths = (int) round($inches * self::SIXTEENTHS);
        [$whole, $over] = [intdiv($sixteenths, self::SIXTEENTHS), $sixteenths % self::SIXTEENTHS];
        for ($below = self::SIXTEENTHS; $over % 2 === 0 && $over > 0; $below = intdiv($below, 2)) {
            $over = intdiv($over, 2);
        }
        $fraction = $over === 0 ? '' : "$over/$below";

        return $sign.implode(' ', array_filter([$whole === 0 ? '' : (string) $whole, $fraction])).' in';
    }

    private function grams(float $g): string
    {
        return match (true) {
            $g === 0.0 => $this->number(0.0, 0).($this->units === Units::Metric ? ' g' : ' oz'),
            abs($g) < self::PINCH_G => Voice::word($this->language, 'quantities.pinch'),
            abs($g) < 0.095 => $this->number(10 * round(100 * $g), 0).' mg',
            abs($g) < 0.995 => $this->number($g, 2).' g',
            abs($g) < 4.975 => $this->number(round(20 * $g) / 20, 2).' g',
            default => $this->number($g, abs($g) < 999.95 ? 1 : 0).' g',
        };
    }

    private function ounces(float $g): string
    {
        $isShown = abs($g) >= self::LEAST_OZ * self::G_PER_OUNCE;

        return $this->ouncesAlone($g).($isShown ? '' : ' ('.$this->grams($g).')');
    }

    private function ouncesAlone(float $g): string
    {
        $oz = $g / self::G_PER_OUNCE;

        return match (true) {
            abs($oz) < 0.005 => sprintf(Voice::word($this->language, 'quantities.under'), $this->number(0.01, 2).' oz'),
            abs($oz) < 3.495 => $this->number($oz, 2).' oz',
            default => $this->number($oz, 1).' oz',
        };
    }

    private function time(float $minutes): string
    {
        $whole = match (true) {
            $minutes <= 0.0 => 0,
            $minutes < 20.5 => max(1, (int) round($minutes)),
            default => 5 * (int) round($minutes / 5),
        };
        [$hours, $rest] = [intdiv($whole, 60), $whole % 60];

        return implode(' ', array_filter([
            $hours > 0 ? $hours.' h' : '',
            $rest > 0 || $hours === 0 ? $rest.' min' : '',
        ]));
    }

    private function share(float $share): string
    {
        return $this->number(100 * $share, 0).($this->language === Language::German ? ' %' : '%');
    }

    /** Two figures that count, for what nobody measures more closely. */
    private function figures(float $is): string
    {
        $digits = $is === 0.0 ? 0 : 1 - (int) floor(log10(abs($is)) + 1e-9);

        return $this->number(round($is, $digits), max(0, $digits));
    }

    /** To the smallest coin of her currency, as the language writes it; without one, with two digits. */
    private function money(float $is): string
    {
        return $this->currency === ''
            ? $this->number($is, 2)
            : (string) (new NumberFormatter($this->language->value, NumberFormatter::CURRENCY))->formatCurrency($is, $this->currency);
    }

    /** Without noughts at its end. */
    private function short(float $is, int $digits): string
    {
        $rounded = round($is, $digits);

        return $this->number($rounded, (int) strlen(rtrim(substr(strrchr(sprintf("%.{$digits}F", $rounded), '.') ?: '.', 1), '0')));
    }

    private function number(float $is, int $digits): string
    {
        static $formatters = [];
        $formatter = $formatters[$this->language->value][$digits] ??= self::formatter($this->language, $digits);
        $rounded = round($is, $digits);

        return (string) $formatter->format($rounded === 0.0 ? 0.0 : $rounded);
    }

    private static function formatter(Language $language, int $digits): NumberFormatter
    {
        $formatter = new NumberFormatter($language->value, NumberFormatter::DECIMAL);
        $formatter->setAttribute(NumberFormatter::MIN_FRACTION_DIGITS, $digits);
        $formatter->setAttribute(NumberFormatter::MAX_FRACTION_DIGITS, $digits);
        $formatter->setAttribute(NumberFormatter::GROUPING_USED, 0);

        return $formatter;
    }
}
