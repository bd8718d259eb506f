<?php

declare(strict_types=1);

namespace Tests\Feature\Door;

use App\Accounts\Address;
use App\Accounts\CurrentFelter;
use App\Hand\Profile;
use App\Models\Felter;
use App\Models\Figure;
use App\Watching\Counts;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Facades\Route;
use Impa\Figure\Figure as FigureDocument;
use Tests\Support\CountingHasher;

/** What was tried at the door, and must not pass: addresses that two eyes see differently, one link used at once, bodies without end. */
const OLD = 'four balls of grey wool';
const FRESH = 'six skeins of brown yarn';

beforeEach(function () {
    config(['impa.accounts' => true]);
    $this->ada = Felter::query()->create(['name' => 'Ada', 'email' => 'ada@example.org', 'password' => OLD]);
});

/** @return list<string> one address, in ways that a store or a count may take for another */
function spellings(): array
{
    return [
        'ada@example.org', 'ADA@Example.Org', " ada@example.org\n", "ada@example.org\0", "ada@example.org\0a", "ada@example.org\0b",
        "\0ada@example.org", "ada\0@example.org", "ada@example.org\u{200B}", "ada@example.org\u{A0}", "ada@example.org\x7F",
        "ada@exam\tple.org",
    ];
}

it('knows one plain address by every spelling of it, and none by what no address has', function () {
    $plain = array_map(Address::plain(...), spellings());
    expect(array_values(array_unique($plain)))->toBe(['ada@example.org', ''])
        ->and(array_slice($plain, 0, 4))->toBe(['ada@example.org', 'ada@example.org', 'ada@example.org', ''])
        ->and(Address::plain("\xFF@example.org"))->toBe('')->and(Address::plain(str_repeat('a', 250).'@b.org'))->toBe('')
        ->and(Address::plain('ÄDA@example.org'))->toBe('äda@example.org');
});

it('checks five passwords at one address in a quarter of an hour, however it is spelt', function () {
    $hasher = CountingHasher::instead();
    $statuses = [];
    foreach (range(1, 3) as $round) {
        foreach (spellings() as $i => $address) {
            $statuses[] = $this->postJson('/api/session', ['email' => $address, 'password' => "guess {$round} {$i}"])->status();
        }
    }
    $checked = DB::table('felters')->where('id', $this->ada->id)->exists() ? $hasher->hashed : 0;
    // Of what is no address five are reckoned as well, so that nobody learns by the clock that it is none.
    expect(array_count_values($statuses)[422])->toBe(10)->and($checked)->toBe(10);
    $this->postJson('/api/session', ['email' => "ada@example.org\0", 'password' => OLD])->assertStatus(429);
});

it('sends three letters an hour to one address, however it is spelt', function () {
    $sent = 0;
    Mail::shouldReceive('raw')->andReturnUsing(static function () use (&$sent): void {
        $sent++;
    });
    foreach ([1, 2, 3] as $round) {
        foreach (spellings() as $address) {
            $this->postJson('/api/password', ['email' => $address])->assertOk();
        }
    }
    app(\Illuminate\Support\Defer\DeferredCallbackCollection::class)->invoke();
    expect($sent)->toBe(3);
});

it('lets one of six win that use one link at once, and the password is the winner\'s', function () {
    $token = Password::createToken($this->ada);
    $sent = ['email' => 'ada@example.org', 'token' => $token];
    $use = fn (int $i) => $this->putJson('/api/password', $sent + ['password' => FRESH.$i])->status();
    // Each begins when the one before has looked at the link, and has not ended it yet: all six have seen it hold.
    $statuses = [];
    $begun = 1;
    DB::listen(static function ($query) use ($use, &$begun, &$statuses): void {
        if ($begun < 6 && str_starts_with($query->sql, 'select') && str_contains($query->sql, 'password_links')) {
            $mine = $begun++;
            $statuses[$mine] = $use($mine);
        }
    });
    $statuses[0] = $use(0);
    $winner = array_keys($statuses, 200, true);
    expect($statuses)->toHaveCount(6)->and($winner)->toHaveCount(1)->and(array_count_values($statuses)[422])->toBe(5);
    $this->postJson('/api/session', ['email' => 'ada@example.org', 'password' => FRESH.$winner[0]])->assertOk();
});

it('keeps the link where the password is refused', function () {
    $token = Password::createToken($this->ada);
    $sent = ['email' => 'ada@example.org', 'token' => $token];
    $use = fn (string $password) => $this->putJson('/api/password', $sent + ['password' => $password]);
    $use('short')->assertStatus(422)->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'at least 12'));
    $use(FRESH)->assertOk();
    $use(FRESH)->assertStatus(422)->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'used already'));
});

it('reckons as long at a link for an address that nobody has as for one that is known', function () {
    Felter::query()->create(['name' => 'Bo', 'email' => 'bo@example.org', 'password' => OLD]);
    Password::createToken($this->ada);
    $hasher = CountingHasher::instead();
    $try = fn (string $email): int => $hasher->during(
        fn () => $this->putJson('/api/password', ['email' => $email, 'token' => 'guessed', 'password' => FRESH])->assertStatus(422),
    );
    // Known and with a link that holds, known and with none, not known, and none at all.
    expect(array_map($try, ['ada@example.org', 'bo@example.org', 'cy@example.org', "\0"]))->toBe([1, 1, 1, 1]);
    $this->travel(2)->hours();
    expect($try('ada@example.org'))->toBe(1);
});

it('refuses by its length what is larger than anything that is sent there, on every route but the archive\'s', function () {
    $sized = fn (string $method, string $address, int $bytes) => $this->call($method, $address, [], [], [], [
        'HTTP_CONTENT_LENGTH' => (string) $bytes, 'HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json',
    ]);
    $archives = ['api/archive', 'api/archive/preview'];
    $asked = 0;
    foreach (Route::getRoutes() as $route) {
        $method = $route->methods()[0];
        if ($method === 'GET' || in_array($route->uri(), $archives, true)) {
            continue;
        }
        $answer = $sized($method, '/'.preg_replace('/\{\w+(:\w+)?\??\}/', '1', $route->uri()), 32_000_001)->assertStatus(413);
        expect($answer->headers->get('Content-Type'))->toBe('application/problem+json');
        $asked++;
    }
    expect($asked)->toBeGreaterThan(90);
    foreach ($archives as $archive) {
        // Not before it is known who sends it.
        $sized('POST', '/'.$archive, 1_900_000_000)->assertStatus(401);
        $this->actingAs($this->ada);
        $sized('POST', '/'.$archive, 2_000_000_001)->assertStatus(413);
        app('auth')->forgetGuards();
    }
});

it('lets nginx take in bodies of two GB at the archive alone, and hand them on unread', function () {
    $conf = (string) file_get_contents(base_path('deploy/etc/nginx.conf'));
    preg_match_all('/^(.*)client_max_body_size (\w+);/m', $conf, $sizes);
    expect($sizes[2])->toBe(['40m', '2g']);
    preg_match('/location ~ (\S+) \{\s+client_max_body_size 2g;\s+fastcgi_request_buffering off;/', $conf, $place);
    $paths = ['/api/archive', '/api/archive/preview', '/api/archive/else', '/api/archives', '/api/pictures'];
    $taken = array_filter($paths, static fn (string $path): bool => preg_match('~'.$place[1].'~', $path) === 1);
    expect($taken)->toBe(['/api/archive', '/api/archive/preview']);
});

it('counts requests by the methods there are, and all others as one', function () {
    expect(Counts::labels('GET', 'api/plan'))->toBe('method="GET",route="api/plan"')
        ->and(Counts::labels('MADE-UP-1', 'none'))->toBe(Counts::labels('X"} 1 evil', 'none'))
        ->and(Counts::labels('get', 'none'))->toBe('method="other",route="none"');
});

it('does nothing for a page of hers once somebody else has signed in in the same browser, until she has again', function () {
    $read = FigureDocument::fromJson((string) json_encode(demoFigure()));
    $id = CurrentFelter::being($this->ada->id, static fn (): int => Figure::lay($read, Profile::summary($read), null)->id);
    $bo = Felter::query()->create(['name' => 'Bo', 'email' => 'bo@example.org', 'password' => OLD]);
    $asAda = ['X-Impa-Felter' => (string) $this->ada->id];
    $tick = fn () => $this->putJson("/api/figures/{$id}/steps/core:head", [], $asAda);
    // Her page is open, with a tick that waits; the session is Bo's: it waits on, and is not refused for good.
    $this->actingAs($bo);
    $tick()->assertStatus(401);
    $this->getJson('/api/figures', $asAda)->assertStatus(401);
    $this->getJson('/api/figures', ['X-Impa-Felter' => (string) $bo->id])->assertOk();
    $this->actingAs($this->ada->fresh());
    $tick()->assertOk()->assertJsonPath('done', ['core:head']);
    $this->get('/')->assertOk()->assertSee('<meta name="felter" content="'.$this->ada->id.'">', false);
});

it('leaves in the browser what waits there when somebody signs out', function () {
    $this->actingAs($this->ada->fresh());
    expect($this->deleteJson('/api/session')->assertOk()->headers->get('Clear-Site-Data'))->toBe('"cache"');
});
