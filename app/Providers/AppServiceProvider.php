<?php

declare(strict_types=1);

namespace App\Providers;

use App\Accounts\OwnPolicy;
use App\Api\Body;
use App\Console\Speaking;
use App\Hand\OwnHand;
use App\Models\BreakdownJob;
use App\Models\Device;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Models\Picture;
use App\Models\Swatch;
use App\Models\Wool;
use App\Store\Migrated;
use App\Store\PatientPostgres;
use App\Watching\Workers;
use Illuminate\Console\Events\CommandStarting;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Impa\Hand\Hand;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(Hand::class, static fn (): Hand => Hand::of(OwnHand::observations()));
        $this->app->bind('db.connector.pgsql', PatientPostgres::class);
        $this->app->bind(Body::class, static fn (Application $app): Body => Body::of($app->make(Request::class)));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        // From wherever the page came, as the content policy wants it.
        Vite::createAssetPathsUsing(static fn (string $path): string => '/'.$path);
        if (($hot = Config::string('impa.hot', '')) !== '') {
            Vite::useHotFile(base_path($hot));
        }
        Queue::looping(Workers::mark(...));
        Event::listen(CommandStarting::class, Speaking::class);
        Event::listen(MigrationsEnded::class, Migrated::reckon(...));
        $owned = [BreakdownJob::class, Device::class, Figure::class, FigureSet::class, Picture::class, Swatch::class, Wool::class];
        foreach ($owned as $own) {
            Gate::policy($own, OwnPolicy::class);
        }
    }
}
