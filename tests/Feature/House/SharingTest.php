<?php

declare(strict_types=1);

use App\Models\Device;
use App\Sharing\Certificate;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

/** As it is asked on this machine itself. */
const HERE = 'http://127.0.0.1:8765';

/** As a device on the network asks, by the way in. */
function fromTablet(string $method, string $address, array $body = [], string $pass = '')
{
    return test()->withCredentials()->withUnencryptedCookies(['impa-device' => $pass])->json(
        $method,
        'http://192.168.1.5:8766'.$address,
        $body,
        ['X-Impa-Through' => 'share'],
    );
}

/** @return array{string, mixed} a pass, and the answer that gave it */
function paired(string $name = 'Kitchen tablet'): array
{
    $code = test()->postJson(HERE.'/api/devices/code')->assertCreated()->json('code');
    $answer = fromTablet('POST', '/api/pair', ['code' => $code, 'name' => $name])->assertCreated();

    return [$answer->getCookie('impa-device', false)->getValue(), $answer];
}

beforeEach(fn () => config(['impa.share' => 'https://192.168.1.5:8766', 'impa.share_hosts' => '192.168.1.5,table.local']));

it('answers nothing on any route to a device that is not paired, but the page to pair it', function () {
    $open = ['pair', 'api/pair', 'impa-authority.crt'];
    $asked = 0;
    foreach (Route::getRoutes() as $route) {
        if (in_array($route->uri(), $open, true)) {
            continue;
        }
        $answer = fromTablet($route->methods()[0], '/'.preg_replace('/\{[^}]+\}/', '1', $route->uri()));
        $isApi = str_starts_with($route->uri(), 'api/');
        $to = $answer->headers->get('Location');
        expect([$answer->status(), $to])->toBe($isApi ? [401, null] : [302, '/pair'], $route->uri());
        $asked++;
    }
    expect($asked)->toBeGreaterThan(130);
    fromTablet('GET', '/pair')->assertOk();
});

it('pairs a tablet by the code, once; from then on it is answered as this machine is', function () {
    [$pass, $answer] = paired();
    $cookie = $answer->getCookie('impa-device', false);
    expect([$cookie->isHttpOnly(), $cookie->isSecure(), $cookie->getSameSite()])->toBe([true, true, 'strict'])
        ->and(json_encode(DB::table('devices')->get()))->not->toContain($pass);
    fromTablet('GET', '/api/figures', pass: $pass)->assertOk();
    fromTablet('GET', '/', pass: $pass)->assertOk()->assertSee('name="away"', false);
    fromTablet('GET', '/api/figures', pass: strrev($pass))->assertStatus(401);
    $this->getJson(HERE.'/api/devices')->assertOk()->assertJsonPath('devices.0.name', 'Kitchen tablet');
});

it('takes a code of small letters and without its line, and no code twice', function () {
    $code = (string) $this->postJson(HERE.'/api/devices/code')->json('code');
    fromTablet('POST', '/api/pair', ['code' => strtolower(str_replace('-', ' ', $code)), 'name' => ''])->assertCreated();
    fromTablet('POST', '/api/pair', ['code' => $code, 'name' => ''])->assertStatus(422);
    expect(Device::query()->pluck('name')->all())->toBe(['A tablet']);
});

it('lets nobody in who tries a thousand codes, and the right one neither after five wrong ones', function () {
    $code = $this->postJson(HERE.'/api/devices/code')->json('code');
    foreach (range(1, 1000) as $i) {
        $last = fromTablet('POST', '/api/pair', ['code' => sprintf('AAAA-%04d', $i), 'name' => 'x'])->assertStatus(422);
    }
    expect($last->json('detail'))->toContain('no code to pair by');
    fromTablet('POST', '/api/pair', ['code' => $code, 'name' => 'x'])->assertStatus(422);
    expect(Device::query()->count())->toBe(0);
})->group('dear');

it('ends a code after ten minutes, and when another one is asked for', function () {
    $first = $this->postJson(HERE.'/api/devices/code')->json('code');
    $second = $this->postJson(HERE.'/api/devices/code')->json('code');
    fromTablet('POST', '/api/pair', ['code' => $first, 'name' => 'x'])->assertStatus(422);
    $this->travel(11)->minutes();
    fromTablet('POST', '/api/pair', ['code' => $second, 'name' => 'x'])->assertStatus(422);
});

it('sends a device away: it is answered no more', function () {
    [$pass] = paired();
    [$other] = paired('Phone');
    $id = $this->getJson(HERE.'/api/devices')->json('devices.0.id');
    $this->deleteJson(HERE."/api/devices/{$id}")->assertOk()->assertJsonCount(1, 'devices');
    fromTablet('GET', '/api/figures', pass: $pass)->assertStatus(401);
    fromTablet('GET', '/api/figures', pass: $other)->assertOk();
});

it('lets no device ask for a code, list the others or send one away', function () {
    [$pass] = paired();
    fromTablet('POST', '/api/devices/code', pass: $pass)->assertStatus(403);
    fromTablet('GET', '/api/devices', pass: $pass)->assertOk()->assertJsonPath('devices', [])->assertJsonPath('isHere', false);
    fromTablet('DELETE', '/api/devices/'.Device::query()->value('id'), pass: $pass)->assertStatus(403);
});

it('is asked by a device under its own names alone', function () {
    [$pass] = paired();
    $this->withCredentials()->withUnencryptedCookies(['impa-device' => $pass])
        ->getJson('http://evil.example/api/figures', ['X-Impa-Through' => 'share'])
        ->assertStatus(421);
    // Its names are no way round the way in.
    $this->getJson('http://192.168.1.5:8766/api/figures')->assertStatus(421);
});

it('gives no code where nothing is shared', function () {
    config(['impa.share' => '']);
    expect($this->postJson(HERE.'/api/devices/code')->assertStatus(422)->json('detail'))->toContain('bin/demo --share');
});

it('makes a certificate for its addresses, again only where they change, by an authority for private ones alone', function () {
    app()->useStoragePath(sys_get_temp_dir().'/impa-share-'.bin2hex(random_bytes(4)));
    expect(Artisan::call('impa:share', ['hosts' => ['192.168.1.5', 'table.local']]))->toBe(0);
    $print = trim(Artisan::output());
    expect($print)->toMatch('/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/');
    $said = openssl_x509_parse((string) file_get_contents(Certificate::path('certificate.pem')));
    $authority = openssl_x509_parse((string) file_get_contents(Certificate::path('authority.pem')));
    expect($said['extensions']['subjectAltName'])->toBe('IP Address:192.168.1.5, DNS:table.local')
        ->and($said['extensions']['basicConstraints'])->toBe('CA:FALSE')
        ->and($authority['extensions']['nameConstraints'])->toContain('Permitted', '192.168.0.0', '.local')
        ->and(fileperms(Certificate::path('authority-key.pem')) & 0777)->toBe(0600)
        ->and(fileperms(Certificate::path('key.pem')) & 0777)->toBe(0600);
    // OpenSSL itself follows the chain, and refuses the authority where it speaks for a page of the world.
    $verify = static fn (string $file): string => trim((string) shell_exec(
        sprintf('openssl verify -CAfile %s %s 2>&1', Certificate::path('authority.pem'), Certificate::path($file)),
    ));
    expect($verify('certificate.pem'))->toEndWith('OK');
    Artisan::call('impa:share', ['hosts' => ['192.168.1.5']]);
    expect(trim(Artisan::output()))->toBe($print);
    Artisan::call('impa:share', ['hosts' => ['192.168.1.6']]);
    expect(trim(Artisan::output()))->not->toBe($print)->and($verify('certificate.pem'))->toEndWith('OK');
    Artisan::call('impa:share', ['hosts' => ['bank.example']]);
    expect($verify('certificate.pem'))->toContain('permitted subtree violation');
    expect(Artisan::call('impa:share', ['hosts' => ['a b']]))->toBe(2);
});

it('goes on where the felter was, on whatever device', function () {
    $id = lay();
    $this->getJson(HERE.'/api/place')->assertExactJson(['page' => '', 'name' => '']);
    $this->putJson(HERE.'/api/place', ['page' => "/figures/{$id}/face?tab=lay"])->assertOk();
    [$pass] = paired();
    fromTablet('GET', '/api/place', pass: $pass)
        ->assertExactJson(['page' => "/figures/{$id}/face?tab=lay", 'name' => 'Bobbin, night watch']);
    $this->deleteJson(HERE."/api/figures/{$id}")->assertNoContent();
    $this->getJson(HERE.'/api/place')->assertExactJson(['page' => '', 'name' => '']);
    foreach (['//evil.example', '/figures/1/build/../..', 'javascript:alert(1)', "/figures/1/build\n", '/bin'] as $page) {
        $this->putJson(HERE.'/api/place', ['page' => $page])->assertStatus(422);
    }
});
