<?php

declare(strict_types=1);

use Impa\Armature\ArmatureSheet;
use Impa\Armature\Gauge;
use Impa\Armature\WireAdvice;
use Impa\Balance\Balance;
use Impa\Balance\Footprint;
use Impa\Build\Order\Obstacle;
use Impa\Build\Order\Reach;
use Impa\Build\Steps\NeedleChoice;
use Impa\Check\Finish\SmallParts;
use Impa\Check\Mending\MendDesk;
use Impa\Face\Advice\Crispness;
use Impa\Figure\FigureReader;
use Impa\Figure\FlatWork;
use Impa\Figure\Placing\Seat;
use Impa\Figure\Wire;
use Impa\Flat\EyeHoles;
use Impa\Flat\FlatPlan;
use Impa\Flat\Ribbon;
use Impa\Flat\Stitching;
use Impa\Material\Beginners;
use Impa\Material\CoreMaterial;
use Impa\Material\Covering;
use Impa\Material\CoveringWay;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\HandModel;
use Impa\Material\Pace;
use Impa\Material\WireMaterial;
use Impa\Plan\Notes;
use Impa\Stash\Supply\Reserve;
use Impa\Wool\Inside\CoverAdvice;
use Impa\Wool\Inside\Insides;
use Impa\Wool\Ledger\Coverings;
use Impa\Wool\Portion\Portions;
use Impa\Wool\Spread;

/*
 * Writes the numbers that pages tell into them, as the code has them: what stands between "<!-- numbers: NAME -->" and "<!-- /numbers -->".
 *   php bin/numbers.php            writes the pages anew
 *   php bin/numbers.php --check    names the pages that say something else than the code, and exits with 1 where there are any
 * Another folder of pages may be named, for the test of this itself.
 * What a number is and where it comes from is written here, beside it; the number itself never is.
 */

require __DIR__.'/../vendor/autoload.php';

/** A number as it is read: no noughts behind. */
function n(float $number): string
{
    return rtrim(rtrim(number_format($number, 4, '.', ''), '0'), '.');
}

/** A share as a percentage. */
function pc(float $share): string
{
    return n(round(100 * $share, 1)).' %';
}

/** Words with numbers in them. */
function say(string $format, float ...$numbers): string
{
    return vsprintf($format, array_map(n(...), $numbers));
}

/** @param  array<array-key, float>  $numbers */
function several(array $numbers): string
{
    return implode(', ', array_map(n(...), $numbers));
}

/**
 * What a class or an object keeps to itself: a constant, or a property.
 *
 * @param  class-string|object  $of
 */
function of(string|object $of, string $name): mixed
{
    return is_object($of) ? (new ReflectionProperty($of, $name))->getValue($of) : (new ReflectionClass($of))->getConstant($name);
}

/**
 * Several of them, one after the other.
 *
 * @param  class-string|object  $of
 */
function these(string|object $of, string ...$names): string
{
    return several(array_map(static fn (string $name): float => of($of, $name), $names));
}

/**
 * A table of what, how much, and from where.
 *
 * @param  list<array{string, string, string}>  $rows
 */
function table(array $rows): string
{
    $lines = array_map(static fn (array $row): string => '| '.implode(' | ', $row).' |', $rows);

    return implode("\n", ['| | value | from |', '|---|---|---|', ...$lines]);
}

/** @return array{float, float, float} spread between hands, between groups of one, and from piece to piece */
function sigmas(HandModel $hand): array
{
    return [sqrt(of($hand, 'covariance')[0][0]), of($hand, 'groupSigma'), $hand->scatter];
}

$house = Densities::house();
$firm = implode(', ', array_column(Firmness::cases(), 'value'));

/** What pages ask for by name. */
$numbers = [
    'spread' => static function () use ($house): string {
        $one = $house->hand->sigmaOfSum([['springy', 5.0]]);
        $twenty = $house->hand->sigmaOfSum(array_fill(0, 20, ['springy', 5.0]));
        $wide = static fn (float $sigma): float => Spread::around(1.0, $sigma)->highG;
        $rows = [
            '| | one piece | 20 equal pieces of one firmness, in sum |',
            '|---|---|---|',
            vsprintf(
                '| spread of ln weight, one sigma: %s between hands, %s between firmnesses of one hand, %s from piece to piece | %s | %s |',
                array_map(pc(...), [...sigmas($house->hand), $one, $twenty]),
            ),
            sprintf(
                '| low and high: four times in five it weighs between likely divided by this and times this | %.3f | %.3f |',
                $wide($one),
                $wide($twenty),
            ),
        ];
        foreach (Reserve::cases() as $reserve) {
            $rows[] = sprintf(
                '| at hand for *%s*, %s: likely times | %.3f | %.3f |',
                $reserve->title(),
                $reserve->odds(),
                $reserve->g(1.0, $one),
                $reserve->g(1.0, $twenty),
            );
        }

        return implode("\n", $rows);
    },
    'coverings' => static function (): string {
        $of = Covering::of(...);
        [$loops, $tufts, $locks] = [$of(CoveringWay::Loops), $of(CoveringWay::Tufts), $of(CoveringWay::Locks)];
        $curls = $of(CoveringWay::Curls);
        $wrap = $of(CoveringWay::Wrap);

        return implode("\n", [
            '| way | reckoned as (house priors where the part says nothing) |',
            '|---|---|',
            say(
                '| loops | per cm2 (%s) x (2 x height (%s mm) + pitch) of yarn, at the g/m of the yarn it is matched with, or %s |',
                $loops->perCm2,
                $loops->lengthMm,
                of(Densities::class, 'YARN_G_PER_M'),
            ),
            say(
                '| tufts, locks, curls | per cm2 (%s; %s; %s) x mg each (%s; %s; %s) |',
                $tufts->perCm2,
                $locks->perCm2,
                $curls->perCm2,
                $tufts->mgEach,
                $locks->mgEach,
                $curls->mgEach,
            ),
            say(
                '| hair from tops | lays %s mm wide along the parting, in rows a hair\'s length apart, each twice its length '.
                    'from fold to end |',
                $of(CoveringWay::Hair)->ribbonMm,
            ),
            say(
                '| sheet with film fibres, pre-felt | a flat piece: its outline as it is cut, as thick as it is, no rim rounded, '.
                    'and nothing inside; round anything else: its surface, as thick as the cover; %s %% more for cutting, at %s g/cm3; '.
                    '%s mg of film fibres per cm2 |',
                100 * Densities::CUT_WASTE,
                Densities::SHEET,
                1000 * Densities::FILM_G_PER_CM2,
            ),
            say(
                '| ribbon round a wire | a helix that climbs by what the overlap (%s %%) leaves of the ribbon (%s mm), %s mm of '.
                    'fold-back at both ends |',
                100 * $wrap->overlap,
                $wrap->ribbonMm,
                WireMaterial::FOLD_BACK_MM,
            ),
            say('| plait | three strands, each %s times its length, and nothing inside |', Coverings::PLAIT_TAKE_UP),
        ]);
    },
    'insides' => static fn (): string => say(
        'Advice, with its amount: solid below %s mm; a wire in a limb thinner than an eighth of its length; stuffing above %s cm3 '.
            "where the part carries nothing;\nscrap of like colour where the colour differs from undyed wool by more than %s; ".
            "else core wool. Foam is looked for from %s mm on.\n".
            'The **cover** should be %s mm for like on like, up to %s mm at a CIEDE2000 of %s between '.
            'inside and colour. Pale over dark wants %s mm more (house choice).',
        CoreMaterial::SOLID_BELOW_MM,
        of(Insides::class, 'LARGE_CM3'),
        of(Insides::class, 'SHOWS'),
        of(Insides::class, 'FOAM_FROM_MM'),
        of(CoverAdvice::class, 'LEAST_MM'),
        of(CoverAdvice::class, 'LEAST_MM') + of(CoverAdvice::class, 'MORE_MM'),
        of(CoverAdvice::class, 'AT'),
        of(CoverAdvice::class, 'PALE_OVER_DARK_MM'),
    ),
    'portions' => static fn (): string => table([
        [
            'loose wool before felting',
            say('2 to 3 times the bulk of the felted part; Impa takes %s', Densities::LOOSE),
            'CP',
        ],
        [
            'first tight ball of a core, a wrap; from so thick a core on',
            these(Portions::class, 'FIRST_MM', 'WRAP_MM').' mm; '.these(Portions::class, 'LAYERED_FROM_MM').' mm',
            'CP',
        ],
        [
            'a fluff end; over so much of the thinner of the two parts',
            say(
                '%s mm, at most a quarter of the part, %s g/cm3; %s',
                of(Portions::class, 'FLUFF_MM'),
                of(Portions::class, 'FLUFF_G_PER_CM3'),
                of(Portions::class, 'CONTACT'),
            ),
            'CP, house',
        ],
        ['a plait of three', say('%s times its length of each strand', Coverings::PLAIT_TAKE_UP), 'CP'],
        ['fold-back at both ends of a wrapped wire', say('%s mm each', WireMaterial::FOLD_BACK_MM), 'CP'],
        ['a part thinner than this cannot be felted well', these(Notes::class, 'THINNEST_MM').' mm', 'CP'],
        ['a usual needle works', say('%s mm deep from each side', NeedleChoice::DEEPEST_MM), 'CP'],
        [
            'felted onto, not in: with its middle and so much within; wrapped, a dome, a cup, hair, locks or curls with so much',
            pc(of(Seat::class, 'MUCH')).'; '.pc(of(Seat::class, 'LITTLE')),
            'house',
        ],
        ['cover where a part says nothing', say('%s mm', FigureReader::COVER_MM), 'house'],
        ['smallest clean spot, line, spark', these(Crispness::class, 'SPOT_MM', 'LINE_MM', 'SPARK_MM').' mm', 'house'],
    ]),
    'densities' => static fn (): string => table([
        [
            'felt: '.$firm,
            several(array_map($house->feltGPerCm3(...), Firmness::cases())).' g/cm3',
            'house, consistent with Sums; pressed felt is 0.18 (soft grades) to 0.34 (F-1): SAE J314 / ASTM D2475, from memory',
        ],
        [
            'wool fibre, the ceiling',
            say('%s g/cm3', Densities::FIBRE_G_PER_CM3),
            'Morton and Hearle, Physical Properties of Textile Fibres, from memory',
        ],
        [
            'stuffing; foam',
            say('%s x the felt\'s; %s g/cm3', of(Densities::class, 'STUFFING_SHARE'), of(Densities::class, 'FOAM')),
            'house',
        ],
        [
            'waste: cover, inside, what is cut from a sheet',
            implode(', ', array_map(pc(...), [$house->coverWaste, $house->insideWaste, Densities::CUT_WASTE])),
            'house',
        ],
        [
            'a wisp',
            say('%s mg on a mm2: 1.5 mm x 0.2 g/cm3 x 1.5 for what is driven in', Densities::WISP_MG_PER_MM2),
            'house',
        ],
        [
            'yarn for loops; ribbon and lays of tops',
            say(
                '%s g/m; %s g/m per mm of width; a yarn that was weighed replaces its own',
                of(Densities::class, 'YARN_G_PER_M'),
                Densities::RIBBON_G_PER_M_PER_MM,
            ),
            'house',
        ],
        ['sheet and pre-felt; film fibres', say('%s g/cm3; %s mg/cm2', Densities::SHEET, 1000 * Densities::FILM_G_PER_CM2), 'house'],
    ]),
    'minutes' => static fn (): string => table([
        [
            'bulk of so many grams',
            say(
                '%s x grams^%s; a felted piece in all at least %s',
                of(Pace::class, 'BULK'),
                of(Pace::class, 'POWER'),
                of(Pace::class, 'LEAST'),
            ),
            'house',
        ],
        ['times that, by firmness: '.$firm, several(of(Pace::class, 'EFFORT')), 'house'],
        [
            'three needles in one holder',
            say(
                '%s times as fast; from %s g on, %s mm broad',
                of(Pace::class, 'HOLDER'),
                of(Pace::class, 'HOLDER_FROM_G'),
                of(Pace::class, 'HOLDER_BROAD_MM'),
            ),
            'CP',
        ],
        ['surface, and where a face goes, per cm2', these(Pace::class, 'SURFACE_PER_CM2', 'FACE_PER_CM2'), 'house'],
        ['mix a colour, divide the portions, put a foam core in', these(Pace::class, 'MIX', 'PORTION', 'FOAM'), 'house'],
        [
            'wire: bend it, lead it through; weight in the base; a flat base',
            these(Pace::class, 'WIRE', 'THREAD', 'WEIGHT', 'FLATTEN'),
            'house',
        ],
        ['compare a pair, mark a face, cut a slit, put a loop in', these(Pace::class, 'COMPARE', 'MARK', 'SLIT', 'LOOP'), 'house'],
        [
            'join, hide the seam, press with steam, steam to shape, trim, last look',
            these(Pace::class, 'JOIN', 'HIDE', 'PRESS', 'STEAM', 'TRIM', 'INSPECT'),
            'house',
        ],
        [
            'spot, line, spark; what is sewn or glued on; its drying',
            these(Pace::class, 'SPOT', 'LINE', 'SPARK').'; '.these(Pace::class, 'FIXED').'; '.these(Pace::class, 'DRYING'),
            'house',
        ],
        [
            'one loop, tuft, lock, lay of hair, a metre of ribbon, of strands; a cut sheet',
            several(of(Pace::class, 'EACH')).'; '.these(Pace::class, 'CUT'),
            'house',
        ],
        [
            'a template pinned on; a mm of its rim cut; a stitch; an opening; a tie',
            say(
                '%s; 1/%s; %s; %s; %s',
                of(Pace::class, 'PIN_ON'),
                of(Pace::class, 'RIM_MM'),
                of(Pace::class, 'STITCH'),
                of(Pace::class, 'OPEN'),
                of(Pace::class, 'RIBBON'),
            ),
            'house',
        ],
        ['a rest', say('%s after each %s', Pace::REST, Pace::REST_AFTER), 'HSE INDG36 (short and often)'],
    ]),
    'beginners' => static fn (): string => table([
        [
            'they take far too much wool',
            say('%s times the plan\'s at the median, scatter of ln %s', Beginners::GRAMS, Beginners::GRAMS_SIGMA),
            'CP, house',
        ],
        [
            'they take longer',
            say('%s times at the median, scatter of ln %s', Beginners::MINUTES, Beginners::MINUTES_SIGMA),
            'CP, house',
        ],
        ['needles that one breaks at a sitting; a used hand', say('%s; %s', Beginners::BREAKS, Beginners::USED_BREAKS), 'house'],
    ]),
    'hands' => static function () use ($house): string {
        $line = static fn (string $what, string $group, HandModel $hand): array => [
            "a hand's $what from another's, ln",
            say("%s; of one $group within a hand %s; from one to the next %s", ...sigmas($hand)),
            'house',
        ];

        return table([
            $line('density', 'firmness', $house->hand),
            $line('minutes', 'kind of step', Pace::handPrior()),
            $line('waste', 'kind, cover or inside,', Densities::wastePrior()),
        ]);
    },
    'small-parts' => static fn (): string => table([
        [
            'small-parts cylinder',
            say('%s mm wide, %s to %s mm deep, its floor slanted', SmallParts::WIDE_MM, SmallParts::SHALLOW_MM, SmallParts::DEEP_MM),
            '16 CFR 1501.4; EN 71-1 (from memory)',
        ],
        [
            'a layer that hides a lump, a core, closes a ground',
            these(MendDesk::class, 'THIN_MM', 'HIDES_MM', 'CLOSES_MM').' mm',
            'CP',
        ],
    ]),
    'needle' => static fn (): string => say(
        'A needle is %s mm long, fingers hold it from %s mm up and are %s mm thick there; it may lean %s degrees from the way the skin '.
            'looks. House.',
        Obstacle::NEEDLE_MM,
        Obstacle::FINGERS_FROM_MM,
        Obstacle::FINGERS_MM,
        Reach::CONE_DEG,
    ),
    'flat' => static fn (): string => table([
        ['a layer goes on beneath its neighbours', say('%s mm', FlatWork::OVERLAP_MM), 'CP'],
        ['a strip that scissors cut cleanly; narrower is told', these(FlatPlan::class, 'NARROW_MM').' mm wide', 'CP'],
        ['batting draws in, of its length', pc(FlatWork::SHRINK['batting']), 'house'],
        [
            'a stitch, as long as deep; a needleful, what of it is lost',
            say('%s mm; %s mm, %s mm', FlatWork::STITCH_MM, Stitching::NEEDLEFUL_MM, Stitching::TAIL_MM),
            'CP',
        ],
        ['felt round a hole', say('twice its width, %s mm at least', Ribbon::LEAST_RIM_MM), 'CP'],
        ['a knot or a bow\'s fold takes of a ribbon', say('%s mm', Ribbon::KNOT_MM), 'CP'],
        ['two ends of a cord lie over each other', say('%s mm', FlatPlan::CORD_JOIN_MM), 'CP'],
        [
            'middles of two eye holes; of most adults',
            say('%s mm; %s to %s mm', EyeHoles::APART_MM, ...EyeHoles::RANGE_MM),
            'common practice of opticians, from memory',
        ],
    ]),
    'wires' => static function (): string {
        $each = static fn (string $what): string => several(array_map(
            static fn (WireMaterial $material): float => $material->{$what}(),
            [WireMaterial::Steel, WireMaterial::Copper, WireMaterial::Aluminium],
        ));

        return table([
            ['a limb wants a wire', 'thinner than an eighth of its length, or to be posed', 'CP'],
            ['both free ends turned back', say('%s mm each', WireMaterial::FOLD_BACK_MM), 'CP'],
            ['a doubled wire is twisted', say('once in %s mm', 1 / Wire::TWISTS_PER_MM), 'house'],
            ['gauge', say('d = %s mm x %s^((36 - n) / 39)', of(Gauge::class, 'THIN_MM'), of(Gauge::class, 'STEP')), 'ASTM B258'],
            ['Young\'s modulus: steel, copper, aluminium', $each('youngGPa').' GPa', 'CRC Handbook, from memory'],
            ['yield of soft wire: the same', $each('yieldMPa').' MPa', 'handbooks, from memory; it differs with the temper'],
            ['density: the same', $each('gPerCm3').' g/cm3', 'handbooks'],
            [
                'a limb hangs that sinks by more than',
                pc(of(WireAdvice::class, 'SAG_SHARE')).' of its length, '.these(WireAdvice::class, 'UNSEEN_MM').' mm at least',
                'house',
            ],
            ['it stays as bent below', these(WireAdvice::class, 'SAFE_SHARE').' of the yield', 'house'],
            ['sold so long', say('%s mm', ArmatureSheet::SOLD_MM), 'CP'],
            [
                'bead of glass; ready-made eye',
                these(Balance::class, 'GLASS_G_PER_CM3', 'PLASTIC_G_PER_CM3').' g/cm3',
                'handbooks, from memory',
            ],
        ]);
    },
    'standing' => static fn (): string => table([
        ['a figure falls; is touchy', say('below %s degrees; below %s', Balance::FALLS_DEG, Balance::TOUCHY_DEG), 'house'],
        ['a felted foot gives way under its own weight', say('%s mm', Footprint::FLATTENING_MM), 'house'],
    ]),
];

/** Lines of running text no longer than a page's; rows of tables as they are. */
function wrapped(string $text): string
{
    $lines = array_map(
        static fn (string $line): string => str_starts_with($line, '|') ? $line : wordwrap($line, 120),
        explode("\n", $text),
    );

    return implode("\n", $lines);
}

$numbers += require __DIR__.'/thresholds.php';

$check = in_array('--check', $argv, true);
$folder = array_values(array_diff(array_slice($argv, 1), ['--check']))[0] ?? __DIR__.'/../docs';
$told = $stale = [];
foreach (glob("$folder/*.md") ?: [] as $page) {
    $text = (string) file_get_contents($page);
    $anew = (string) preg_replace_callback(
        '~(<!-- numbers: ([\w-]+) -->\n).*?(\n<!-- /numbers -->)~s',
        static function (array $at) use ($numbers, $page, &$told): string {
            $told[] = $at[2];
            if (! isset($numbers[$at[2]])) {
                fwrite(STDERR, basename($page)." asks for numbers of a name that there is not: {$at[2]}.\n");
                exit(1);
            }

            return $at[1].wrapped($numbers[$at[2]]()).$at[3];
        },
        $text,
    );
    if ($anew !== $text) {
        $stale[] = basename($page);
        $check || file_put_contents($page, $anew);
    }
}
$nowhere = array_diff(array_keys($numbers), $told);
if ($nowhere !== []) {
    fwrite(STDERR, 'No page tells: '.implode(', ', $nowhere).".\n");
    exit(1);
}
if ($check && $stale !== []) {
    fwrite(STDERR, 'Other numbers than the code\'s stand on '.implode(', ', $stale).". Run php bin/numbers.php to write them anew.\n");
    exit(1);
}
