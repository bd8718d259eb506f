<?php

declare(strict_types=1);

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Support\Facades\Vite;

it('answers only this machine, under names it knows', function () {
    $this->get('/')->assertOk();
    $this->call('GET', 'http://elsewhere.example/api/figures')->assertStatus(421);
    $this->call('GET', 'http://127.0.0.1/api/figures', [], [], [], ['REMOTE_ADDR' => '192.168.1.9'])->assertStatus(421);
    $this->call('GET', 'http://127.0.0.1/api/figures', [], [], [], ['REMOTE_ADDR' => '::1'])->assertOk();
});

it('allows no inline script and no frame', function () {
    $policy = (string) $this->get('/')->headers->get('Content-Security-Policy');
    expect($policy)
        ->toContain("script-src 'self'")
        ->not->toContain('unsafe-inline')
        ->not->toContain('unsafe-eval')
        ->toContain("frame-ancestors 'none'");
    expect($this->get('/')->getContent())->not->toMatch('/<script(?![^>]*src=)[^>]*>/');
});

it('takes scripts from where screens are written only where bin/dev says so', function () {
    $hot = tempnam(sys_get_temp_dir(), 'hot');
    file_put_contents($hot, 'http://127.0.0.1:5173');
    try {
        $this->withVite();
        Vite::useHotFile($hot);
        expect($this->get('/')->headers->get('Content-Security-Policy'))->not->toContain('5173');
        config(['impa.hot' => $hot]);
        expect($this->get('/')->headers->get('Content-Security-Policy'))
            ->toContain("script-src 'self' http://127.0.0.1:5173 ws://127.0.0.1:5173;")
            ->not->toContain('unsafe');
    } finally {
        unlink($hot);
    }
});

it('refuses to change anything without the token', function () {
    // The framework skips the check under test; here it is asked for.
    $middleware = new class(app(), app('encrypter')) extends ValidateCsrfToken
    {
        protected function runningUnitTests(): bool
        {
            return false;
        }
    };
    app()->instance(ValidateCsrfToken::class, $middleware);
    $this->postJson('/api/figures', ['document' => demoFigure()])
        ->assertStatus(419)
        ->assertHeader('Content-Type', 'application/problem+json')
        ->assertJsonPath('title', 'The page is too old');
    $this->getJson('/api/figures')->assertJsonPath('count', 0);
    $this->deleteJson('/api/bin')->assertStatus(419);
});

it('shows a plain page with a way back where there is nothing', function (string $path) {
    $page = $this->get($path)->assertNotFound()->assertSee('Back to the shelf');
    expect($page->getContent())->toContain('href="/"')->not->toContain('Stack trace');
})->with(['/figures/99', '/figures/99/wool', '/figures/1/kitchen', '/nowhere']);
