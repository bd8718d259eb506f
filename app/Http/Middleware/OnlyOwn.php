<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Accounts\CurrentFelter;
use App\Models\Felter;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

/** Whatever a route is about is asked of its policy, on every route: a second lock behind the one that finds nobody else's rows. */
final class OnlyOwn
{
    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws ModelNotFoundException if it is another's: who asks is not told that it is there
     */
    public function handle(Request $request, Closure $next): Response
    {
        $gate = Gate::forUser((new Felter)->forceFill(['id' => CurrentFelter::id()]));
        foreach ($request->route()?->parameters() ?? [] as $model) {
            if ($model instanceof Model && ! $gate->allows('use', $model)) {
                throw (new ModelNotFoundException)->setModel($model::class);
            }
        }

        return $next($request);
    }
}
