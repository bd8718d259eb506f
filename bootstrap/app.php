<?php

declare(strict_types=1);

use App\Api\Problem;
use App\Console\Kernel;
use App\Http\Middleware\BoundedBody;
use App\Http\Middleware\ContentSecurity;
use App\Http\Middleware\KnownFelter;
use App\Http\Middleware\OnlyOwn;
use App\Http\Middleware\OnlyThisMachine;
use App\Http\Middleware\Speaks;
use App\Http\Middleware\TellingRequests;
use App\Sharing\Pairing;
use Illuminate\Contracts\Console\Kernel as ConsoleKernel;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Log;
use Impa\Refusal;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // The app is same-origin, and the CORS package is not on the registry this project reaches.
        $middleware->remove(HandleCors::class);
        // Documents are checked and kept as they were sent: nothing is trimmed or taken for missing on the way in.
        $middleware->remove([TrimStrings::class, ConvertEmptyStringsToNull::class]);
        // It is long and random by itself, and is looked at before anything else is.
        $middleware->encryptCookies(except: [Pairing::COOKIE]);
        $middleware->prepend([OnlyThisMachine::class, Speaks::class, BoundedBody::class]);
        $middleware->append([ContentSecurity::class, TellingRequests::class]);
        // Whose it is must be known before anything is looked for; whether it is theirs, right after.
        $middleware->prependToPriorityList(SubstituteBindings::class, KnownFelter::class);
        $middleware->appendToPriorityList(SubstituteBindings::class, OnlyOwn::class);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([Refusal::class]);
        // A failed query is told without what it was about: its values are somebody's.
        $exceptions->report(function (QueryException $e): void {
            Log::error('A query failed.', ['code' => $e->getCode(), 'sql' => $e->getSql(), 'why' => $e->getPrevious()?->getCode()]);
        })->stop();
        $exceptions->render(fn (Throwable $e, Request $request) => $request->is('api/*') ? Problem::for($e) : null);
    })
    ->create();
$app->singleton(ConsoleKernel::class, Kernel::class);

return $app;
