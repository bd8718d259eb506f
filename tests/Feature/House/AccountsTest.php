<?php

declare(strict_types=1);

use App\Accounts\CurrentFelter;
use App\Accounts\PasswordLink;
use App\Models\Felter;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Models\Picture;
use App\Models\Swatch;
use App\Models\Wool;
use App\Watching\Workers;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\Process\Process;

const GOOD_PASSWORD = 'four balls of grey wool';

function hosted(): void
{
    config(['impa.accounts' => true]);
}

function felter(string $email = 'ada@example.org', string $name = 'Ada'): Felter
{
    return Felter::query()->create(['name' => $name, 'email' => $email, 'password' => GOOD_PASSWORD]);
}

function signIn(string $email = 'ada@example.org', string $password = GOOD_PASSWORD)
{
    return test()->postJson('/api/session', ['email' => $email, 'password' => $password]);
}

/** @return list<OneRoute> */
function ownRoutes(): array
{
    $open = ['sign-in', 'password', 'pair', 'impa-authority.crt', 'api/session', 'api/password', 'api/pair', 'health', 'metrics'];

    return array_values(array_filter(
        iterator_to_array(Route::getRoutes()),
        static fn (OneRoute $route): bool => ! in_array($route->uri(), $open, true) && ! str_starts_with($route->uri(), 'shared/'),
    ));
}

/** @param  array<string, int|string>  $with */
function addressOf(OneRoute $route, array $with): string
{
    return '/'.ltrim(
        (string) preg_replace_callback(
            '/\{(\w+)(:\w+)?\??\}/',
            static fn (array $m): string => (string) ($with[$m[1]] ?? 'none'),
            $route->uri(),
        ),
        '/',
    );
}

it('answers nothing on any route to who has not signed in, and a page with the door', function () {
    hosted();
    expect(count(ownRoutes()))->toBeGreaterThan(120);
    foreach (ownRoutes() as $route) {
        $address = addressOf($route, [
            'figure' => 1, 'picture' => 1, 'wool' => 1, 'swatch' => 1, 'set' => 1, 'link' => 1, 'photo' => 1, 'revision' => 1,
            'station' => 'wool', 'device' => 1, 'hash' => str_repeat('a', 64), 'uuid' => 'aaaaaaaa-1', 'entry' => 'aaaaaaaa-1',
            'record' => 'part:1', 'step' => 'portion', 'kind' => 'tips', 'breakdown' => '018f0000-0000-7000-8000-000000000000',
        ]);
        $answer = $this->json($route->methods()[0], $address);
        if (str_starts_with($route->uri(), 'api/')) {
            expect($answer->status())->toBe(401, $address);
        } else {
            expect([$answer->status(), $answer->headers->get('Location')])->toBe([302, '/sign-in?'.http_build_query(['to' => $address])]);
        }
    }
});

it('keeps everything of one felter from another, on every route that names something', function () {
    $ada = felter();
    [$figure, $things] = CurrentFelter::being($ada->id, static function (): array {
        $picture = Picture::keep(demoPicture());
        $figure = Figure::query()->findOrFail(lay());
        $figure->update(['picture_id' => $picture->id]);
        $wool = Wool::query()->create(['name' => 'Moss', 'hex' => '#446622', 'preparation' => 'batting', 'grams_left' => 20]);
        $swatch = Swatch::query()->create(['shares' => [$wool->id => 1.0], 'hex' => '#446622', 'created_at' => now()]);
        $set = FigureSet::query()->create(['name' => 'Choir', 'members' => '[]']);

        return [
            $figure,
            ['figure' => $figure->id, 'picture' => $picture->id, 'wool' => $wool->id, 'swatch' => $swatch->id, 'set' => $set->id],
        ];
    });
    hosted();
    $this->actingAs(felter('bo@example.org', 'Bo'));
    $before = DB::table('figures')->where('id', $figure->id)->first();
    $asked = 0;
    foreach (ownRoutes() as $route) {
        if (preg_match('/\{(figure|picture|wool|swatch|set)\}/', $route->uri()) !== 1) {
            continue;
        }
        $address = addressOf(
            $route,
            $things + [
                'station' => 'wool',
                'uuid' => 'aaaaaaaa-1',
                'entry' => 'aaaaaaaa-1',
                'step' => 'portion',
                'kind' => 'tips',
                'link' => 1,
                'photo' => 1,
                'revision' => 1,
            ],
        );
        $body = [
            'document' => demoFigure(),
            'revision' => 1,
            'name' => 'Mine',
            'members' => [],
            'grams' => 1,
            'hex' => '#ffffff',
            'preparation' => 'batting',
            'gramsLeft' => 1,
        ];
        expect($this->json($route->methods()[0], $address, $body)->status())->toBe(404, $route->methods()[0].' '.$address);
        $asked++;
    }
    expect($asked)->toBeGreaterThan(35)->and(DB::table('figures')->where('id', $figure->id)->first())->toEqual($before)
        ->and(
            CurrentFelter::being(
                $ada->id,
                static fn (): array => [
                    Picture::query()->count(),
                    Wool::query()->count(),
                    Swatch::query()->count(),
                    FigureSet::query()->count(),
                ],
            ),
        )
        ->toBe([1, 1, 1, 1]);
    // Nor by a hash, or by a number in a body.
    $this->get('/api/pictures/by-hash/'.Picture::query()->withoutGlobalScopes()->value('hash'))->assertNotFound();
    $this->postJson('/api/breakdown', ['picture' => $things['picture'], 'heightMm' => 90])->assertNotFound();
    $this->postJson('/api/figures', ['document' => demoFigure(), 'picture' => $things['picture']])->assertStatus(422);
    $this->postJson(
        '/api/set/plan',
        ['name' => 'x', 'members' => [['figure' => $figure->id, 'name' => '', 'count' => 1]]],
    )->assertStatus(422);
    $this->postJson('/api/swatches', ['percent' => [$things['wool'] => 50, 999 => 50], 'hex' => '#123456'])->assertStatus(422);
    $this->getJson('/api/figures')->assertJsonPath('count', 0);
    $this->getJson('/api/wools')->assertJsonPath('wools', []);
});

it('says of every table of somebody\'s whose each row is', function () {
    $shared = ['felters', 'migrations', 'sessions', 'password_links', 'jobs', 'failed_jobs'];
    $tables = array_diff(array_column(Schema::getTables(), 'name'), $shared, ['sqlite_sequence']);
    expect($tables)->not->toBeEmpty();
    foreach ($tables as $table) {
        expect(Schema::hasColumn($table, 'felter_id'))->toBeTrue($table);
    }
    // After a day's work nothing is nobody's.
    Artisan::call('db:seed', ['--force' => true]);
    foreach (CurrentFelter::TABLES as $table) {
        expect(DB::table($table)->where('felter_id', '!=', Felter::OF_THIS_MACHINE)->count())->toBe(0, $table);
    }
})->group('dear');

it('lets two felters have the same needle, the same piece, the same picture, and start over each for themselves', function () {
    hosted();
    foreach ([felter(), felter('bo@example.org', 'Bo')] as $felter) {
        $this->actingAs($felter);
        $this->putSeen('/api/needles', ['box' => [['gauge' => 38, 'kind' => 'triangle', 'left' => 2]]])->assertOk();
        $this->sendFile(demoPicture())->assertCreated();
        $this->postJson(
            '/api/hand',
            [
                'uuid' => 'the-same-one',
                'kind' => 'ball',
                'firmness' => 'firm',
                'what' => 'ball',
                'widthMm' => 30,
                'heightMm' => 30,
                'depthMm' => 30,
                'grams' => 2.5,
                'sure' => true,
            ],
        )
            ->assertOk()->assertJsonPath('kept', true);
    }
    $this->postJson('/api/hand/over', ['back' => false])->assertOk();
    $since = static fn (Felter $felter): bool => test()->actingAs($felter)->getJson('/api/hand')->json('since') !== null;
    expect($since(Felter::byEmail('bo@example.org')))->toBeTrue()->and($since(Felter::byEmail('ada@example.org')))->toBeFalse();
});

it('keeps a picture\'s file while it is anybody\'s', function () {
    hosted();
    [$ada, $bo] = [felter(), felter('bo@example.org', 'Bo')];
    foreach ([$ada, $bo] as $felter) {
        CurrentFelter::being(
            $felter->id,
            static fn () => Picture::keep(demoPicture())->forceFill(['updated_at' => now()->subDays(3)])->saveQuietly(),
        );
    }
    CurrentFelter::being($ada->id, static fn () => Picture::sweep());
    expect(CurrentFelter::being($ada->id, static fn (): int => Picture::query()->count()))->toBe(0)
        ->and(CurrentFelter::being($bo->id, static fn (): string => Picture::query()->firstOrFail()->bytes()))->toBe(demoPicture());
    CurrentFelter::being($bo->id, static fn () => Picture::sweep());
    expect(Storage::disk('pictures')->allFiles())->toBe([]);
});

it('keeps no more pictures than each felter has room for, and says so', function () {
    config(['impa.pictures_mb' => 1]);
    $this->sendFile(demoPicture())->assertCreated();
    Picture::query()->update(['bytes' => 999_990]);
    $answer = $this->sendFile(demoPicture('lanto'))->assertStatus(413);
    expect($answer->json('detail'))->toContain('1 MB of the 1 MB')->and(Picture::query()->count())->toBe(1);
    // The same one again takes no more room.
    $this->sendFile(demoPicture())->assertCreated();
});

describe('the door', function () {
    beforeEach(fn () => hosted());

    it('lets a felter in by address and password, with a session of its own', function () {
        felter();
        $this->get('/sign-in')->assertOk();
        $before = session()->getId();
        signIn(' ADA@example.org ')->assertOk()->assertJsonPath('felter.name', 'Ada');
        expect(session()->getId())->not->toBe($before);
        $this->getJson('/api/figures')->assertOk();
        $this->deleteJson('/api/session')->assertOk()->assertJsonPath('felter', null);
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/figures')->assertStatus(401);
    });

    it('says the same of a wrong password and of an address it does not know', function () {
        felter();
        $wrong = signIn('ada@example.org', 'not it at all')->assertStatus(422)->json('detail');
        expect(signIn('nobody@example.org', 'not it at all')->assertStatus(422)->json('detail'))->toBe($wrong);
    });

    it('is shut for a quarter of an hour after five wrong tries at an address, and for the right password too', function () {
        felter();
        felter('bo@example.org', 'Bo');
        foreach (range(1, 5) as $_) {
            signIn('ada@example.org', 'not it at all')->assertStatus(422);
        }
        expect(signIn()->assertStatus(429)->json('detail'))->toContain('15 minutes');
        // Others come in, from elsewhere as from here.
        signIn('bo@example.org')->assertOk();
        $this->travel(16)->minutes();
        signIn()->assertOk();
    });

    it('is shut for a place that tries many addresses', function () {
        foreach (range(1, 30) as $i) {
            signIn("a{$i}@example.org", 'not it at all')->assertStatus(422);
        }
        felter();
        signIn()->assertStatus(429);
    });

    it('is shut for such a place also where one of them is its own, between the others', function () {
        felter();
        foreach (range(1, 30) as $i) {
            signIn("a{$i}@example.org", 'not it at all')->assertStatus(422);
            $i === 15 && signIn()->assertOk();
        }
        signIn()->assertStatus(429);
    });

    it('lets a whole club in from one place', function () {
        felter();
        foreach (range(1, 40) as $_) {
            signIn()->assertOk();
        }
    });

    it('lets nobody in whose password was never chosen', function () {
        Felter::query()->create(['name' => 'Cy', 'email' => 'cy@example.org']);
        signIn('cy@example.org', '')->assertStatus(422);
    });

    it('is not there where there are no accounts', function () {
        config(['impa.accounts' => false]);
        signIn()->assertNotFound();
        $this->postJson('/api/password', ['email' => 'ada@example.org'])->assertNotFound();
        $this->getJson('/api/session')->assertOk()->assertExactJson(['accounts' => false, 'felter' => null]);
    });
});

describe('a password', function () {
    beforeEach(fn () => hosted());

    it('is chosen by a letter\'s link, once, and not after an hour', function () {
        $ada = felter();
        $this->postJson('/api/password', ['email' => 'Ada@Example.org'])->assertOk();
        $link = PasswordLink::address($ada);
        parse_str((string) parse_url($link, PHP_URL_FRAGMENT), $said);
        $new = 'five felted owls on one shelf';
        $this->putJson(
            '/api/password',
            ['email' => 'ada@example.org', 'token' => 'x'.$said['token'], 'password' => $new],
        )->assertStatus(422);
        $this->putJson('/api/password', $said + ['password' => $new])->assertOk();
        // Whoever did not do it hears of it.
        $letters = app('mailer')->getSymfonyTransport()->messages();
        expect($letters->last()->getOriginalMessage()->getSubject())->toContain('chosen anew');
        $this->putJson('/api/password', $said + ['password' => $new.'s'])->assertStatus(422);
        signIn('ada@example.org', $new)->assertOk();
        parse_str((string) parse_url(PasswordLink::address($ada), PHP_URL_FRAGMENT), $late);
        $this->travel(61)->minutes();
        $this->putJson('/api/password', $late + ['password' => $new])->assertStatus(422);
    });

    it('goes out in a letter to who is known, and the answer tells nobody whether they are', function () {
        felter();
        $known = $this->postJson('/api/password', ['email' => 'ada@example.org'])->assertOk()->json('told');
        $letters = app('mailer')->getSymfonyTransport()->messages();
        expect($letters)->toHaveCount(1)
            ->and($letters[0]->getOriginalMessage()->getTextBody())->toContain('http', '/password#', 'It holds for an hour');
        expect($this->postJson('/api/password', ['email' => 'nobody@example.org'])->assertOk()->json('told'))->toBe($known);
        foreach (range(1, 5) as $_) {
            $this->postJson('/api/password', ['email' => 'ada@example.org'])->assertOk();
        }
        expect(app('mailer')->getSymfonyTransport()->messages())->toHaveCount(3);
    });

    it('is refused in words where it would be guessed', function (string $password, string $why) {
        $this->actingAs(felter('marguerite@example.org'));
        $this->putJson(
            '/api/password/own',
            ['old' => GOOD_PASSWORD, 'password' => $password],
        )->assertStatus(422)->assertJsonPath('detail', fn (string $d): bool => str_contains($d, $why));
    })->with([
        ['wool wool 1', 'at least 12'],
        [str_repeat('felt', 33), 'at most 128'],
        ['aaaaaaaaaaaaaaa', 'over and over'],
        ['aaaaaaaabbbbbbbb', 'Take several'],
        ['all for marguerite', 'Your own name'],
        ['1qaz2wsx3edc', 'on every list'],
        ['Administrator', 'on every list'],
    ]);

    it('is kept as Argon2id, and is nowhere in what is told', function () {
        $ada = felter();
        expect(password_get_info((string) $ada->password)['algoName'])->toBe('argon2id')->and($ada->toJson())->not->toContain('argon2');
        $cost = require config_path('hashing.php');
        expect($cost['driver'])->toBe('argon2id');
    });

    it('is changed by who knows the old one, and signs the other devices out', function () {
        $ada = felter();
        DB::table('sessions')->insert(['id' => 'tablet', 'user_id' => $ada->id, 'payload' => '', 'last_activity' => time()]);
        $this->actingAs($ada);
        $this->putJson('/api/password/own', ['old' => 'wrong', 'password' => 'some other good words'])->assertStatus(422);
        expect(DB::table('sessions')->count())->toBe(1);
        $this->putJson('/api/password/own', ['old' => GOOD_PASSWORD, 'password' => 'some other good words'])->assertOk();
        expect(DB::table('sessions')->where('id', 'tablet')->exists())->toBeFalse()
            ->and(Hash::check('some other good words', (string) $ada->refresh()->password))->toBeTrue();
        foreach (range(1, 5) as $_) {
            $status = $this->putJson('/api/password/own', ['old' => 'wrong', 'password' => 'some other good words'])->status();
        }
        expect($status)->toBe(429);
    });
});

it('signs a felter out everywhere: every session of theirs is gone, nobody else\'s', function () {
    hosted();
    [$ada, $bo] = [felter(), felter('bo@example.org', 'Bo')];
    foreach ([[1, $ada], [2, $ada], [3, $bo]] as [$id, $felter]) {
        DB::table('sessions')->insert(['id' => "session-{$id}", 'user_id' => $felter->id, 'payload' => '', 'last_activity' => time()]);
    }
    $this->actingAs($ada)->deleteJson('/api/session', ['everywhere' => true])->assertOk();
    expect(DB::table('sessions')->pluck('id')->all())->toBe(['session-3']);
});

describe('a figure shared by a link', function () {
    it('is shown to whoever has it, without a door, until the link is ended', function () {
        hosted();
        $this->actingAs(felter());
        $id = lay();
        $made = $this->postJson("/api/figures/{$id}/links")->assertCreated();
        $address = (string) parse_url($made->json('address'), PHP_URL_PATH);
        $this->app['auth']->forgetGuards();
        $this->get($address)->assertOk()->assertSee('Bobbin')->assertSee('110 mm high')->assertDontSee('Ada');
        // In the language and the units of whoever looks.
        $this->get($address, ['Accept-Language' => 'de'])->assertSee('lang="de"', false)->assertSee('110 mm hoch');
        $inches = (string) $this->get($address, ['Accept-Language' => 'en-u-ms-ussystem'])->assertSee('4 5/16 in high')->getContent();
        expect(preg_match('/\d m?[gm]\b/', $inches))->toBe(0);
        expect($this->get($address.'/picture.png')->assertOk()->getContent())->toStartWith("\x89PNG")
            ->and(json_decode((string) $this->get($address.'/figure.impa.json')->assertOk()->getContent(), true))->toBe(demoFigure());
        $this->actingAs(Felter::byEmail('ada@example.org'));
        $link = $this->getJson("/api/figures/{$id}/links")->assertOk()->json('links.0');
        expect($link['seenAt'])->not->toBeNull();
        $this->deleteJson("/api/figures/{$id}/links/{$link['id']}")->assertOk()->assertJsonPath('links', []);
        $this->app['auth']->forgetGuards();
        foreach (['', '/picture.png', '/figure.impa.json'] as $what) {
            $this->get($address.$what)->assertNotFound();
        }
    });

    it('keeps the hash of the link alone, and shows nothing of a figure in the bin', function () {
        $id = lay();
        $address = (string) parse_url($this->postJson("/api/figures/{$id}/links")->json('address'), PHP_URL_PATH);
        expect(json_encode(DB::table('shared_links')->get()))->not->toContain(basename($address));
        $this->deleteJson("/api/figures/{$id}")->assertNoContent();
        $this->get($address)->assertNotFound();
        $this->get('/shared/'.str_repeat('A', 32))->assertNotFound();
    });

    it('has 20 links at most', function () {
        $id = lay();
        foreach (range(1, 20) as $_) {
            $this->postJson("/api/figures/{$id}/links")->assertCreated();
        }
        $this->postJson("/api/figures/{$id}/links")->assertStatus(422);
    });
});

describe('a break-down that a worker does', function () {
    beforeEach(function () {
        config(['queue.default' => 'database']);
        array_map(unlink(...), glob(storage_path('framework/workers/*')) ?: []);
        $this->picture = $this->sendFile(demoPicture())->json('id');
        $this->ask = ['picture' => $this->picture, 'heightMm' => 90, 'name' => 'Queued'];
    });

    it('queues, tells how far it is, and is what it would be at once', function () {
        $uuid = $this->postJson('/api/breakdown', $this->ask)->assertStatus(202)->json('breakdown');
        $this->getJson("/api/breakdown/{$uuid}")->assertOk()->assertExactJson(['doing' => 'Waiting its turn', 'share' => 0]);
        Artisan::call('queue:work', ['--once' => true]);
        $queued = $this->getJson("/api/breakdown/{$uuid}")->assertOk()->json();
        // Fetched once, it is gone.
        $this->getJson("/api/breakdown/{$uuid}")->assertNotFound();
        config(['queue.default' => 'sync']);
        expect($queued)->toBe($this->postJson('/api/breakdown', $this->ask)->assertOk()->json());
    })->group('dear');

    it('is told as lost once its worker was killed, or where there is none, and lets others through', function () {
        // Says its own number: it may be gone before it is asked.
        $pid = (int) (new Process([PHP_BINARY, '-r', 'echo getmypid();']))->mustRun()->getOutput();
        $ask = fn (): string => $this->postJson('/api/breakdown', $this->ask)->assertStatus(202)->json('breakdown');
        $isBy = static fn (string $uuid, int $pid) => DB::table('breakdowns')->where('uuid', $uuid)->update(['worker_pid' => $pid]);
        $isBy($uuid = $ask(), getmypid());
        $this->getJson("/api/breakdown/{$uuid}")->assertOk()->assertJsonPath('share', 0);
        $isBy($uuid, $pid);
        $this->getJson("/api/breakdown/{$uuid}")->assertStatus(503)
            ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'ended in the middle'));
        $this->getJson("/api/breakdown/{$uuid}")->assertNotFound();
        // Three that were lost hold up nobody.
        foreach (range(1, 3) as $_) {
            $isBy($ask(), $pid);
        }
        $uuid = $ask();
        expect(DB::table('breakdowns')->count())->toBe(1);
        // Nobody is there: within fifteen seconds it is told. Where somebody is, it waits its turn.
        $this->travel(11)->seconds();
        Workers::mark();
        $this->getJson("/api/breakdown/{$uuid}")->assertOk();
        unlink(storage_path('framework/workers/'.getmypid()));
        $this->getJson("/api/breakdown/{$uuid}")->assertStatus(503);
    });

    it('is not well on a server without a worker', function () {
        $this->getJson('/health')->assertStatus(503)->assertJsonPath('checks.worker', false);
        Workers::mark();
        $this->getJson('/health')->assertOk()->assertJsonPath('checks.worker', true);
        unlink(storage_path('framework/workers/'.getmypid()));
    });

    it('is refused at once where it would be refused later, and ends where it is given up', function () {
        $this->postJson('/api/breakdown', ['picture' => 999] + $this->ask)->assertNotFound();
        $this->postJson('/api/breakdown', ['heightMm' => -1] + $this->ask)->assertStatus(422);
        $uuid = $this->postJson('/api/breakdown', $this->ask)->json('breakdown');
        $this->deleteJson("/api/breakdown/{$uuid}")->assertNoContent();
        Artisan::call('queue:work', ['--once' => true]);
        expect(DB::table('jobs')->count() + DB::table('failed_jobs')->count() + DB::table('breakdowns')->count())->toBe(0);
    });

    it('waits with two others at most, and is nobody else\'s', function () {
        hosted();
        $this->actingAs(felter());
        $picture = $this->sendFile(demoPicture())->json('id');
        $uuids = [];
        foreach (range(1, 3) as $_) {
            $uuids[] = $this->postJson('/api/breakdown', ['picture' => $picture] + $this->ask)->assertStatus(202)->json('breakdown');
        }
        $this->postJson('/api/breakdown', ['picture' => $picture] + $this->ask)->assertStatus(429);
        $this->actingAs(felter('bo@example.org', 'Bo'));
        $this->getJson("/api/breakdown/{$uuids[0]}")->assertNotFound();
        $this->deleteJson("/api/breakdown/{$uuids[0]}")->assertNotFound();
    });
});

describe('who keeps the server', function () {
    it('adds a felter, the first of whom takes over what was made before, and removes one with all that is theirs', function () {
        $id = lay();
        hosted();
        expect(Artisan::call('impa:felter', ['do' => 'add', 'email' => 'Ada@example.org', '--name' => 'Ada']))->toBe(0)
            ->and(Artisan::output())->toContain('/password#email=ada%40example.org&token=')
            ->and(Felter::byEmail('ada@example.org')->id)->toBe(Felter::OF_THIS_MACHINE);
        Artisan::call('impa:felter', ['do' => 'add', 'email' => 'bo@example.org']);
        $bo = Felter::byEmail('bo@example.org');
        $this->actingAs($bo)->sendFile(demoPicture())->assertCreated();
        $this->actingAs(Felter::byEmail('ada@example.org'))->getJson("/api/figures/{$id}")->assertOk();
        expect(Artisan::call('impa:felter', ['do' => 'remove', 'email' => 'bo@example.org', '--yes' => true]))->toBe(0)
            ->and(Felter::byEmail('bo@example.org'))->toBeNull()->and(Storage::disk('pictures')->allFiles())->toBe([]);
        Artisan::call('impa:felter', ['do' => 'remove', 'email' => 'ada@example.org', '--yes' => true]);
        foreach (CurrentFelter::TABLES as $table) {
            expect(DB::table($table)->count())->toBe(0, $table);
        }
    });

    it('is refused in words what cannot be done', function (array $words) {
        expect(Artisan::call('impa:felter', $words))->toBe(2);
    })->with([
        [['do' => 'add', 'email' => 'no address']],
        [['do' => 'link', 'email' => 'nobody@example.org']],
        [['do' => 'dance', 'email' => 'nobody@example.org']],
    ]);

    it('sees whether it is well, and counts without anyone\'s data', function () {
        $this->getJson('/health')->assertOk()->assertExactJson(
            ['status' => 'well', 'checks' => ['store' => true, 'disk' => true, 'worker' => true]],
        );
        DB::table('jobs')->insert(
            ['queue' => 'default', 'payload' => '', 'attempts' => 0, 'available_at' => time() - 600, 'created_at' => time() - 600],
        );
        $this->getJson('/health')->assertStatus(503)->assertJsonPath('checks.worker', false);
        lay();
        expect((string) $this->get('/metrics')->assertOk()->getContent())->toContain(
            "# TYPE impa_figures gauge\nimpa_figures 1\n",
            'impa_breakdowns_waiting 1',
        );
        config(['app.only_this_machine' => false]);
        $this->call('GET', '/metrics', server: ['REMOTE_ADDR' => '192.0.2.7'])->assertNotFound();
    });

    it('finds a line for each request in the log, with the route and never what it was about', function () {
        config(['impa.request_log' => true]);
        $id = lay();
        Log::shouldReceive('channel')->with('requests')->andReturnSelf();
        Log::shouldReceive('info')->once()->withArgs(fn (string $what, array $line): bool => $line['route'] === 'api/figures/{figure}'
            && $line['status'] === 200 && array_keys($line) === ['method', 'route', 'status', 'ms', 'in']);
        $this->getJson("/api/figures/{$id}")->assertOk();
    });
});
