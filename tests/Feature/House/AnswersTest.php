<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;
use Tests\Answers;

it('has a format for what every route answers, and a route for every format', function () {
    $routes = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            if (str_starts_with($route->uri(), 'api/')) {
                $routes[] = "{$method} /{$route->uri()}";
            }
        }
    }
    expect(array_keys(Answers::operations()))->toEqualCanonicalizing($routes);
});

it('sees an answer that has another form than its format', function () {
    $form = fn (array $answer): mixed => Answers::hold(
        'GET',
        '/api/needles',
        \Illuminate\Testing\TestResponse::fromBaseResponse(response()->json($answer)),
    );
    $good = ['revision' => 'r', 'gauges' => [36], 'sold' => [36, 38], 'kinds' => ['star'], 'finest' => 36, 'box' => [], 'last' => []];
    $form($good);
    expect(fn () => $form(['finest' => 'fine'] + $good))
        ->toThrow(\PHPUnit\Framework\AssertionFailedError::class, 'another form')
        ->and(fn () => $form($good + ['more' => 1]))
        ->toThrow(\PHPUnit\Framework\AssertionFailedError::class, 'another form');
});
