<?php

declare(strict_types=1);

use App\Http\Middleware\ContentSecurity;
use App\Http\Middleware\OnlyThisMachine;
use App\Http\Problem;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Impa\Refusal;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // The app is same-origin, and the CORS package is not on the registry this project reaches.
        $middleware->remove(HandleCors::class);
        // Documents are checked and kept as they were sent: nothing is trimmed or taken for missing on the way in.
        $middleware->remove([TrimStrings::class, ConvertEmptyStringsToNull::class]);
        $middleware->prepend(OnlyThisMachine::class);
        $middleware->append(ContentSecurity::class);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([Refusal::class]);
        $exceptions->render(fn (Throwable $e, Request $request) => $request->is('api/*') ? Problem::for($e) : null);
    })
    ->create();
