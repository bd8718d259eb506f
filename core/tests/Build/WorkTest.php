<?php

declare(strict_types=1);

namespace Impa\Tests\Work;

use Impa\Build\Order\Order;
use Impa\Build\Order\Reordering;
use Impa\Build\Schedule\CriticalPath;
use Impa\Build\Steps\DependencyGraph;
use Impa\Build\Steps\Step;
use Impa\Build\Steps\StepKind;
use Impa\Build\Steps\StepOrder;
use Impa\Build\Steps\StepTime;
use Impa\Build\StepsSheet;
use Impa\Build\Technique\TechniqueChange;
use Impa\Build\Technique\TechniqueChoices;
use Impa\Build\Technique\TechniqueRefused;
use Impa\Build\Work;
use Impa\Face\Needles;
use Impa\Figure\Detail;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Member\Subject;
use Impa\Figure\Pull;
use Impa\Figure\Term\FaceSchool;
use Impa\Figure\Term\JoinBy;
use Impa\Figure\Wire;
use Impa\Material\Densities;
use Impa\Material\Firmness;
use Impa\Material\Pace;
use Impa\Material\WireMaterial;
use Impa\Plan\Plan;
use Impa\Plan\StepPicture;
use Impa\Tests\Support\Figures;
use Impa\Tests\Support\Works;
use Impa\Voice\Message;
use Impa\Wool\Ledger\Ledger;

/** @param  list<string>  $after */
function step(string $key, float $minutes = 1.0, array $after = [], float $wait = 0.0, string $colour = ''): Step
{
    return new Step(
        key: $key,
        kind: StepKind::Inspect,
        title: $key,
        text: '',
        time: StepTime::usual(1, $minutes, $wait),
        about: new Subject(colour: $colour),
        order: new StepOrder($after),
    );
}

/** @param  list<Step>  $steps */
function expectToBeFollowable(array $steps): void
{
    $done = [];
    foreach ($steps as $step) {
        expect(array_diff($step->order->after, $done))->toBe([], $step->key);
        $done[] = $step->key;
    }
    expect($done)->toHaveCount(count(array_unique($done)));
}

describe('what must come before what', function () {
    it('is a relation without a circle, however many arrows are tried: as found by search on random graphs', function () {
        mt_srand(5);
        foreach (range(1, 30) as $round) {
            $keys = array_map(static fn (int $i): string => 's'.$i, range(0, 20));
            $needs = new DependencyGraph($keys);
            $next = [];
            $leads = static function (string $from, string $to) use (&$leads, &$next): bool {
                foreach ($next[$from] ?? [] as $step) {
                    if ($step === $to || $leads($step, $to)) {
                        return true;
                    }
                }

                return false;
            };
            foreach (range(1, 60) as $try) {
                [$a, $b] = [$keys[mt_rand(0, 20)], $keys[mt_rand(0, 20)]];
                $could = $a !== $b && ! $leads($b, $a);
                expect($needs->add($a, $b))->toBe($could);
                if ($could) {
                    $next[$a][] = $b;
                }
            }
            foreach ($keys as $a) {
                foreach ($keys as $b) {
                    expect($needs->precedes($a, $b))->toBe($leads($a, $b));
                    $chain = $needs->chain($a, $b);
                    expect($chain !== [])->toBe($needs->precedes($a, $b));
                    if ($chain !== []) {
                        expect([$chain[0][0], end($chain)[1]])->toBe([$a, $b]);
                    }
                }
            }
        }
    });

    it('keeps the reason of an arrow, and gives none where it is plain', function () {
        $needs = new DependencyGraph(['a', 'b', 'c']);
        $needs->add('a', 'b');
        $needs->add('a', 'b', Message::of('build.reordering-refused.it-cannot-be-done'));
        $needs->add('b', 'c');
        expect($needs->because('b'))->toBe(['a' => 'It cannot be done without.'])
            ->and($needs->because('c'))->toBe([])
            ->and($needs->before('c'))->toBe(['b'])
            ->and($needs->chain('a', 'c'))->toBe([['a', 'b', 'It cannot be done without.'], ['b', 'c', null]])
            ->and([$needs->has('a'), $needs->has('z')])->toBe([true, false]);
    });
});

describe('the longest chain', function () {
    it('is that of a textbook: the paper mill of Heizer and Render', function () {
        // Operations Management, chapter on project management; from memory: A to H, fifteen weeks along A, C, E, G, H.
        $steps = [
            step('A', 2), step('B', 3), step('C', 2, ['A']), step('D', 4, ['A', 'B']), step('E', 4, ['C']),
            step('F', 3, ['C']), step('G', 5, ['D', 'E']), step('H', 2, ['F', 'G']),
        ];
        $path = new CriticalPath($steps);
        expect($path->remaining('A'))->toBe(15.0)
            // B has a slack of one week, F of six.
            ->and($path->remaining('B'))->toBe(14.0)
            ->and(2 + 2 + $path->remaining('F'))->toBe(15.0 - 6)
            ->and($path->untilLastStep('A'))->toBe(15.0);
    });

    it('is the longest of all paths, tried one by one on random graphs', function () {
        mt_srand(9);
        foreach (range(1, 40) as $round) {
            $steps = [];
            for ($i = 0; $i < 9; $i++) {
                $after = array_values(array_filter(range(0, max(0, $i - 1)), static fn (int $j): bool => $j < $i && mt_rand(0, 3) === 0));
                $steps[] = step('s'.$i, mt_rand(1, 9), array_map(static fn (int $j): string => 's'.$j, $after), mt_rand(0, 1) * 20);
            }
            $longest = static function (int $i, bool $withLast) use (&$longest, $steps): float {
                $tails = [0.0];
                foreach ($steps as $j => $next) {
                    if (in_array('s'.$i, $next->order->after, true)) {
                        $tails[] = $longest($j, $withLast) + ($withLast ? 0.0 : $steps[$i]->time->waitMinutes);
                    }
                }

                return $steps[$i]->time->minutes + ($withLast ? $steps[$i]->time->waitMinutes : 0.0) + max($tails);
            };
            $path = new CriticalPath($steps);
            foreach (array_keys($steps) as $i) {
                expect($path->remaining('s'.$i))->toBe($longest($i, true))
                    ->and($path->untilLastStep('s'.$i))->toBe($longest($i, false));
            }
        }
    });

    it('counts where something dries on the way, and nowhere else', function () {
        $path = new CriticalPath([step('a', 2), step('b', 3, ['a'], 20), step('c', 4, ['a']), step('d', 1, ['b'])]);
        expect(array_map($path->drying(...), ['a', 'b', 'c', 'd']))->toBe([26.0, 24.0, 0.0, 0.0]);
    });
});

describe('the order', function () {
    it('can be followed, and ends with the inspection, in any school, for the demo and for random figures', function () {
        foreach (FaceSchool::cases() as $school) {
            $demo = static fn (string $name): array => json_decode(Works::demo($name)->toJson(), true);
            $documents = array_map($demo, ['lanto', 'bobbin', 'sorrel']);
            foreach ([...$documents, ...array_map(static fn (int $seed): array => Figures::covered($seed, 9), range(1, 8))] as $document) {
                $steps = Works::of(Figures::read(['school' => ['face' => $school->value]] + $document))->steps;
                expectToBeFollowable($steps);
                expect(end($steps)->key)->toBe('inspect');
            }
        }
    })->group('dear');

    it('leaves a rest that can be followed when any beginning of it is ticked', function () {
        $steps = Works::of(Works::demo('bobbin'))->steps;
        $keys = array_map(static fn (Step $s): string => $s->key, $steps);
        foreach (array_keys($steps) as $ticked) {
            $done = array_slice($keys, 0, $ticked);
            expect(array_diff($steps[$ticked]->order->after, $done))->toBe([]);
        }
    });

    it('keeps a colour while it can, light before dark', function () {
        $parts = [];
        foreach (['black', 'white', 'teal', 'black', 'white', 'teal'] as $i => $colour) {
            $parts[] = Figures::part('p'.$i, 'ball', 20, 20, 20, 30 * $i, 10, 0, ['colour' => $colour, 'core' => 'none']);
        }
        $colours = [];
        foreach (Works::of(Figures::read(Figures::document($parts)))->steps as $step) {
            if ($step->kind === StepKind::Felt) {
                $colours[] = $step->about->colour;
            }
        }
        expect($colours)->toBe(['white', 'white', 'teal', 'teal', 'black', 'black']);
    });

    it('changes colour no oftener than the best of all orders within one kind of work', function () {
        // Six felted parts of three colours: all 720 orders tried.
        $colours = ['teal', 'black', 'white', 'black', 'teal', 'white'];
        $isChange = static fn (array $row, int $i): bool => $i > 0 && $row[$i] !== $row[$i - 1];
        $changes = static fn (array $row): int => count(array_filter(array_keys($row), static fn (int $i): bool => $isChange($row, $i)));
        $orders = static function (array $left) use (&$orders): array {
            if (count($left) <= 1) {
                return [$left];
            }
            $all = [];
            foreach (array_keys($left) as $i) {
                $rest = $left;
                unset($rest[$i]);
                foreach ($orders(array_values($rest)) as $order) {
                    $all[] = [$left[$i], ...$order];
                }
            }

            return $all;
        };
        $steps = [];
        foreach ($colours as $i => $colour) {
            $steps[] = step('s'.$i, 1.0, [], 0.0, $colour);
        }
        $ordered = array_map(static fn (Step $s): string => $s->about->colour, Order::of($steps, Figures::read(Figures::document([]))));
        expect($changes($ordered))->toBe(min(array_map($changes, $orders($colours))));
    });

    it('begins early what has something drying behind it', function () {
        $steps = [step('a', 9), step('b', 2), step('glue', 3, ['b'], 20), step('c', 1, ['glue'])];
        $ordered = Order::of($steps, Figures::read(Figures::document([])));
        expect(array_map(static fn (Step $s): string => $s->key, $ordered))->toBe(['b', 'glue', 'a', 'c']);
    });

    it('makes a second colour on a flat part before that is joined, and says why', function () {
        $at = array_flip(Works::of(Works::demo('sorrel'))->keys());
        expect($at['detail:inner-ear'])->toBeLessThan($at['join:ear']);
        $steps = array_column(array_map(static fn (Step $s): array => [$s->key, $s], Works::of(Works::demo('sorrel'))->steps), 1, 0);
        expect($steps['join:ear']->order->because)->toBe(['detail:inner-ear' => 'A second colour goes on the ear while it is still flat.']);
    });

    it('puts what is held onto the hand before the arm goes on, and beads on before the hat that hides their stitches', function () {
        $figure = Figures::read(Figures::document(
            [
                Figures::part('body', 'ball', 50, 60, 50, 0, 30),
                Figures::part('head', 'ball', 50, 46, 48, 0, 80, 0, ['join' => ['to' => 'body']]),
                Figures::part('hat', 'cone', 30, 30, 30, 0, 112, 0, ['join' => ['to' => 'head']]),
                Figures::part('arm', 'sausage', 12, 40, 12, 34, 40, 0, ['join' => ['to' => 'body']]),
                Figures::part('lamp', 'ball', 14, 14, 14, 36, 18, 10, ['join' => ['to' => 'arm'], 'group' => 'lamp']),
            ],
            [['key' => 'eye', 'on' => 'head', 'kind' => 'bead', 'widthMm' => 4, 'xMm' => 9, 'mirror' => true, 'colour' => 'black']],
        ));
        $steps = array_column(array_map(static fn (Step $s): array => [$s->key, $s], Works::of($figure)->steps), 1, 0);
        expect($steps['join:arm']->order->because['hide:lamp'])->toContain('onto the arm before that goes on')
            ->and($steps['join:hat']->order->because['detail:eye'])->toContain('hidden under the hat');
    });

    it('puts what is held on before what holds it goes on, at every level: lamp, hand, arm, body', function () {
        $figure = Figures::read(Figures::document([
            Figures::part('body', 'ball', 50, 60, 50, 0, 30),
            Figures::part('arm', 'sausage', 12, 40, 12, 34, 40, 0, ['join' => ['to' => 'body']]),
            Figures::part('hand', 'ball', 14, 14, 14, 36, 20, 0, ['join' => ['to' => 'arm']]),
            Figures::part('finger', 'sausage', 5, 14, 5, 42, 16, 0, ['join' => ['to' => 'hand']]),
            Figures::part('lamp', 'ball', 14, 14, 14, 36, 10, 10, ['join' => ['to' => 'hand'], 'group' => 'lamp']),
        ]));
        $work = Works::of($figure);
        $at = array_flip($work->keys());
        $steps = array_column(array_map(static fn (Step $s): array => [$s->key, $s], $work->steps), 1, 0);
        expect($at['hide:lamp'])->toBeLessThan($at['join:hand'])
            ->and($at['hide:hand'])->toBeLessThan($at['join:arm'])
            ->and($steps['join:hand']->order->because['hide:lamp'])->toBe('What is held goes onto the hand before that goes on.')
            ->and($steps['join:arm']->order->because['hide:hand'])->toBe('What is held goes onto the arm before that goes on.');
    });

    it('lets a bead wait for what it lies on, and not for the whole face', function () {
        $figure = Figures::read(Figures::document(
            [
                Figures::part('body', 'ball', 60, 60, 60, 0, 30),
                Figures::part('head', 'ball', 40, 40, 40, 0, 75, 0, ['join' => ['to' => 'body']]),
            ],
            [
                ['key' => 'belly', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 20, 'heightMm' => 20, 'yMm' => -6, 'colour' => 'white'],
                ['key' => 'star', 'on' => 'body', 'kind' => 'disc', 'widthMm' => 6, 'xMm' => -20, 'yMm' => 8, 'colour' => 'black'],
                ['key' => 'button', 'on' => 'body', 'kind' => 'bead', 'widthMm' => 4, 'yMm' => -6, 'colour' => 'black', 'layer' => 2],
            ],
        ));
        $steps = array_column(array_map(static fn (Step $s): array => [$s->key, $s], Works::of($figure)->steps), 1, 0);
        expect($steps['detail:button']->order->after)->toContain('detail:belly')->not->toContain('detail:star')
            ->and($steps['join:head']->order->because['detail:button'])->toContain('hidden under the head');
    });
});

describe('what the felter pulls forward or puts off', function () {
    it('moves, with what it needs, and the rest still can be followed', function () {
        $plain = Works::of(Works::demo('bobbin'));
        $keys = $plain->keys();
        mt_srand(3);
        foreach (range(1, 60) as $round) {
            [$step, $past] = [$keys[mt_rand(0, count($keys) - 1)], $keys[mt_rand(0, count($keys) - 1)]];
            $pull = new Pull($step, $past, mt_rand(0, 1) === 1);
            $moved = Reordering::applied($plain->steps, $plain->needs, [$pull]);
            expectToBeFollowable($moved);
            $at = array_flip(array_map(static fn (Step $s): string => $s->key, $moved));
            if ($step !== $past && Reordering::hinders($plain->needs, $pull) === []) {
                expect($at[$step] < $at[$past])->toBe($pull->isForward);
            } else {
                expect(array_keys($at))->toBe($keys);
            }
        }
    });

    it('is read from the document', function () {
        $document = json_decode(Works::demo('bobbin')->toJson(), true);
        $document['work'] = ['pulled' => [['step' => 'join:arm', 'before' => 'detail:belly'], ['step' => 'gone', 'after' => 'trim']]];
        $at = array_flip(Works::of(Figures::read($document))->keys());
        expect($at['join:arm'])->toBeLessThan($at['detail:belly']);
    });

    it('says what keeps two steps in order, step by step', function () {
        $chain = Reordering::hinders(Works::of(Works::demo('bobbin'))->needs, new Pull('detail:pupil', 'core:head', true));
        expect(array_column($chain, 0)[0])->toBe('core:head')->and(end($chain)[1])->toBe('detail:pupil');
    });
});

describe('Schools', function () {
    $told = static function (Figure $figure, string $question, string $value): array {
        $chosen = TechniqueChoices::chosen($figure, $question, $value);

        return [$chosen, TechniqueChange::text(TechniqueChoices::option($question, $value), Works::of($figure), Works::of($chosen))];
    };
    $now = static fn (Figure $figure): array => array_column(TechniqueChoices::of($figure), 'now', 'question');

    it('say what a change moved, and why', function () use ($told) {
        [$late, $text] = $told(Works::demo('bobbin'), 'face', 'limbs-first');
        expect($text)->toStartWith('Limbs first: The face is placed on the finished body. ')->toContain('steps changed places')
            ->and($told($late, 'face', 'limbs-first')[1])->toEndWith('The order stays as it was.');
    });

    it('say which steps are new and which are gone', function () use ($told) {
        [$slit, $text] = $told(Works::demo('bobbin'), 'join', 'slit');
        expect($text)->toMatch('/\d+ steps are new, first of them "Cut a slit/')
            ->and($told($slit, 'join', 'fluff')[1])->toMatch('/\d+ steps are gone, first of them "Cut a slit/')
            ->and($told(Works::demo('sorrel'), 'join', 'slit')[1])->toContain('"Cut a slit in body for head" is new.')
            ->and($told(Works::demo('sorrel'), 'inside', 'none')[1])->toMatch('/steps are gone, first of them "Core/');
    });

    it('are followed by the whole figure once they are chosen', function () use ($told, $now) {
        foreach (['bobbin', 'wick'] as $name) {
            foreach (TechniqueChoices::of(Works::demo($name)) as $question) {
                if ($question['question'] === 'eyes' && $question['now'] === '') {
                    continue;
                }
                foreach ($question['options'] as $option) {
                    [$chosen] = $told(Works::demo($name), $question['question'], $option['value']);
                    expect($now($chosen)[$question['question']])->toBe($option['value'])
                        ->and($option['reason'])->not->toBe('');
                }
            }
        }
    });

    it('leave a part that is joined in a third way alone, and details that only lie about an eye', function () use ($told) {
        $document = Figures::document([
            Figures::part('body', 'ball', 50, 50, 50, 0, 25),
            Figures::part('head', 'ball', 40, 40, 40, 0, 65, 0, ['join' => ['to' => 'body', 'by' => 'neck']]),
        ]);
        $eye = ['on' => 'head', 'kind' => 'disc', 'widthMm' => 4, 'heightMm' => 4, 'xMm' => 8, 'yMm' => 0, 'colour' => 'black'];
        $document['details'] = [
            ['key' => 'e', 'name' => 'Eye', 'mirror' => true] + $eye,
            ['key' => 'w', 'name' => 'Eye white', 'mirror' => true, 'layer' => 0] + $eye,
            ['key' => 'b', 'name' => 'Eyebrow'] + $eye,
        ];
        $figure = Figures::read($document);
        $methods = static fn (Figure $f): array => array_map(static fn (Detail $d): string => $d->method->value, $f->details);
        expect($told($figure, 'join', 'slit')[0]->parts['head']->join->by)->toBe(JoinBy::Neck)
            ->and($methods($told($figure, 'eyes', 'bead')[0]))->toBe(['e' => 'bead', 'w' => 'felt', 'b' => 'felt']);
    });

    it('know an eye by what it is, whatever it is called', function () use ($told) {
        $document = Figures::document([Figures::part('head', 'ball', 40, 40, 40, 0, 20)]);
        $one = ['on' => 'head', 'kind' => 'disc', 'widthMm' => 4, 'heightMm' => 4, 'xMm' => 8, 'yMm' => 0, 'colour' => 'black'];
        $document['details'] = [
            ['key' => 'a', 'name' => 'Auge', 'role' => 'eye'] + $one,
            ['key' => 'p', 'name' => 'Pupille', 'role' => 'pupil'] + $one,
            ['key' => 'b', 'name' => 'Button, like an eye', 'role' => 'other'] + $one,
            ['key' => 'w', 'name' => 'Eye', 'role' => 'eye-white'] + $one,
        ];
        $beads = $told(Figures::read($document), 'eyes', 'bead')[0];
        expect(array_map(static fn (Detail $d): string => $d->method->value, $beads->details))
            ->toBe(['a' => 'bead', 'p' => 'bead', 'b' => 'felt', 'w' => 'felt']);
    });

    it('take the limbs\' wires away or make them of another material, and leave whiskers as they are', function () use ($told, $now) {
        $wick = Works::demo('wick');
        $whisker = new Wire('whisker', 'Whisker', WireMaterial::Copper, 0.5, [[0.0, 90.0, 20.0], [30.0, 95.0, 30.0]]);
        $figure = Choices::wired($wick, [...array_values($wick->wires), $whisker]);
        $none = $told($figure, 'skeleton', 'none')[0];
        $steel = $told($none, 'skeleton', 'steel')[0];
        expect(array_keys($none->wires))->toBe(['handle', 'whisker'])
            ->and($now($none)['skeleton'])->toBe('none')
            ->and(count($steel->wires))->toBeGreaterThan(2)
            ->and($steel->wires['whisker']->material)->toBe(WireMaterial::Copper)
            ->and($told($figure, 'skeleton', 'pipe-cleaner')[0]->wires['arms']->gaugeMm)->toBe(0.5);
    });

    it('bend thin plates dry instead of in steam, asked only where there are some', function () use ($told, $now) {
        [$dry, $text] = $told(Works::demo('sorrel'), 'plates', 'dry');
        $kinds = static fn (Figure $figure): array => array_count_values(array_map(
            static fn (Step $s): string => $s->kind->value,
            Works::of($figure)->steps,
        ));
        $bent = array_filter(Works::of($dry)->steps, static fn (Step $s): bool => str_contains((string) $s->text, 'inside of the bend'));
        $steamed = $kinds(Works::demo('sorrel'));
        expect($steamed['steam'])->toBeGreaterThan(0)
            ->and($kinds($dry))->toEqual(array_diff_key($steamed, ['steam' => 0]))
            ->and(count($bent))->toBe($steamed['steam'])
            ->and($text)->toContain('No kettle')
            ->and($now($dry)['plates'])->toBe('dry')
            ->and($now(Works::demo('sorrel'))['plates'])->toBe('steam')
            ->and(isset($now(Works::demo('bobbin'))['plates']))->toBeFalse()
            ->and($kinds($told($dry, 'plates', 'steam')[0]))->toEqual($steamed);
    });

    it('refuse a question or an answer that there is not', function () {
        $wick = Works::demo('wick');
        expect(static fn () => TechniqueChoices::chosen($wick, 'luck', 'none'))
            ->toThrow(TechniqueRefused::class, '"luck" is none of face, inside')
            ->and(static fn () => TechniqueChoices::chosen($wick, 'inside', 'sand'))
            ->toThrow(TechniqueRefused::class, '"sand" is none of core-wool')
            ->and(static fn () => TechniqueChoices::chosen(Works::demo('sorrel'), 'skeleton', 'steel'))
            ->toThrow(TechniqueRefused::class, 'No part of this figure is long enough');
    });
});

it('builds whatever can be drawn: keys of digits, every join, side, method and pose, wires of no length, weights in the base', function () {
    $joins = ['fluff', 'slit', 'neck', 'wrap', 'sandwich', 'sew', 'glue', 'wire'];
    foreach (range(1, 8) as $seed) {
        $document = Figures::covered($seed, 8);
        $key = static fn (string $was): string => (string) ((int) substr($was, 1) + 1);
        foreach ($document['parts'] as $i => &$part) {
            $part['key'] = $key($part['key']);
            if (isset($part['join'])) {
                $part['join'] = ['to' => $key($part['join']['to']), 'by' => $joins[($seed + $i) % 8]];
            }
            $part += $i % 4 === 3 ? ['group' => 'g'] : [];
        }
        unset($part);
        foreach ($document['details'] as $i => &$detail) {
            $detail['key'] = (string) $i;
            $detail['on'] = $key($detail['on']);
            $detail['method'] = ['felt', 'bead', 'ready-made', 'stitch', 'paint', 'pin'][($seed + $i) % 6];
            $detail['side'] = ['front', 'back', 'left', 'right', 'top', 'under'][($seed + $i) % 6];
        }
        unset($detail);
        $figure = Figures::read([
            'pose' => ['stand', 'sit', 'lie', 'hang'][$seed % 4],
            'base' => ['flattenMm' => 2.5, 'weights' => [['g' => 5, 'atMm' => [0, 4, 0]]]],
            'wires' => [['key' => '7', 'pointsMm' => [[0, 0, 0], [0, 0, 0]], 'doubled' => true, 'mirror' => true]],
        ] + $document);
        $work = Works::of($figure);
        expectToBeFollowable($work->steps);
        foreach ($work->steps as $i => $step) {
            if ($i % 3 === $seed % 3) {
                $svg = StepPicture::of($work, $step);
                expect($svg)->not->toContain('NAN')->not->toContain('INF')->and(simplexml_load_string($svg))->not->toBeFalse();
            }
        }
        expect(json_encode(StepsSheet::of($work)))->toBeJson();
    }
})->group('dear');

describe('weights in the base', function () {
    $steps = static fn (array $weights): array => array_values(array_filter(
        array_map(
            static fn (Step $step): string => $step->key,
            Works::of(Figures::read([
                'base' => ['weights' => array_map(static fn (array $w): array => $w + ['g' => 5, 'atMm' => [0, 20, 0]], $weights)],
            ] + Figures::document([Figures::part('body', 'ball', 40, 40, 40, 0, 20)])))->steps,
        ),
        static fn (string $key): bool => str_starts_with($key, 'weight:'),
    ));

    it('have each a step by its key, which stays when another one goes', function () use ($steps) {
        expect($steps([['key' => 'low'], ['key' => 'back']]))->toBe(['weight:low', 'weight:back'])
            ->and($steps([['key' => 'back']]))->toBe(['weight:back'])
            // Those without a key go by their place.
            ->and($steps([[], ['key' => 'back'], []]))->toBe(['weight:0', 'weight:back', 'weight:2']);
    });

    it('are refused where two go by one key', function (array $weights, string $at) use ($steps) {
        try {
            $steps($weights);
            $faults = [];
        } catch (FigureRefused $refused) {
            $faults = $refused->faults;
        }
        expect(array_column($faults, 'pointer'))->toBe([$at])->and($faults[0]->text)->toContain('another weight with the key');
    })->with([
        'of one name' => [[['key' => 'low'], ['key' => 'low']], '/base/weights/1/key'],
        'by the place of another' => [[['key' => '1'], []], '/base/weights/1/key'],
    ]);
});

describe('the order of the work', function () {
    /** A hand that felts so much denser, is so much slower at each kind of step, and has these needles. */
    $inHands = static function (Figure $figure, int $seed): Work {
        mt_srand($seed);
        $some = static fn (): float => exp(mt_rand(-1000, 1000) / 1000);
        [$dense, $slow] = [Densities::handPrior(), Pace::handPrior()];
        foreach (Firmness::cases() as $firmness) {
            $dense = $dense->after($firmness->value, log($some()));
        }
        foreach (StepKind::cases() as $kind) {
            $slow = $slow->after($kind->value, 2 * log($some()));
        }
        $gauges = array_values(array_filter(Needles::SOLD, static fn (): bool => mt_rand(0, 1) === 1));
        $densities = Densities::house()->ofHand($dense, Densities::wastePrior())->withYarns(['teal' => 3 * $some(), 'black' => $some()]);
        $pace = Pace::house()->ofHand($slow);

        return Work::of(Ledger::of($figure, $densities), mt_rand(0, 1) === 1 ? $pace : $pace->withMoreNeedles(), Needles::of($gauges));
    };
    $drying = static function (int $seed): array {
        $document = Figures::covered($seed);
        foreach ($document['details'] as $i => &$detail) {
            $detail['method'] = ['felt', 'paint', 'pin', 'stitch'][($seed + $i) % 4];
        }

        return $document;
    };

    it('hangs on the document alone: not on the hand, its pace, the yarns or the needles', function () use ($inHands, $drying) {
        $orders = 0;
        foreach (range(1, 12) as $seed) {
            $figure = Figures::read($drying($seed));
            $house = Works::of($figure)->keys();
            $plan = Plan::of($figure)->work()->keys();
            foreach (range(1, 3) as $hand) {
                $work = $inHands($figure, 100 * $seed + $hand);
                expect($work->keys())->toBe($house, "figure {$seed}, hand {$hand}");
                $own = Plan::of($figure, Needles::of([40]), $work->ledger->densities, $work->pace);
                expect($own->work()->keys())->toBe($plan, "plan {$seed}, hand {$hand}");
                $orders += (int) ($work->minutes() !== Works::of($figure)->minutes());
            }
        }
        // The hands were other hands.
        expect($orders)->toBe(36);
    })->group('dear');

    it('is the same for every demo figure, whoever makes it', function (string $name) use ($inHands) {
        $figure = Works::demo($name);
        foreach (range(1, 10) as $hand) {
            expect($inHands($figure, $hand)->keys())->toBe(Works::of($figure)->keys());
        }
    })->with(['bobbin', 'lanto', 'sorrel', 'wick', 'dusk']);

    it('still follows: nothing comes before what it needs', function () use ($inHands, $drying) {
        foreach (range(41, 60) as $seed) {
            expectToBeFollowable($inHands(Figures::read($drying($seed)), $seed)->steps);
        }
    });
});
