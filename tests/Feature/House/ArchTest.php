<?php

declare(strict_types=1);

use App\Models\Concerns\Owned;
use App\Models\Felter;
use Illuminate\Database\Eloquent\Model;
use Symfony\Component\Finder\Finder;

arch('controllers ask core and answer; they reckon nothing')
    ->expect('App\Http\Controllers')->classes()->toBeFinal()
    ->and('App\Http\Controllers')->not->toUse(['sqrt', 'hypot', 'M_PI', 'imagecreatetruecolor']);

arch('requests stand on top: nothing below them knows them')
    ->expect('App\Http')->toOnlyBeUsedIn(['App\Http', 'App\Providers']);

it('asks for rows as one\'s own: nobody reaches into a table past whose it is, and nothing is changed in bulk past it', function () {
    $past = [];
    $files = (new Finder)->files()->in([app_path(), base_path('database/seeders')])->notPath('#^(Accounts|Store)/#')->name('*.php');
    // The last ones go straight to a table, whatever a model says of whose its rows are.
    $words = '/\bDB::|withoutGlobalScope|newModelQuery|->(getQuery|truncate|upsert|insertOrIgnore|insertUsing|updateFrom)\(/';
    foreach ($files as $file) {
        if (preg_match($words, $file->getContents()) === 1) {
            $past[] = $file->getRelativePathname();
        }
    }
    // Whether a picture's file is anybody else's; and a link, which is found by who is nobody.
    expect($past)->toEqualCanonicalizing(['Models/Picture.php', 'Http/Controllers/Shelf/SharedLinkController.php']);
});

it('asks in one place what the felter\'s hand, needles and stash make of an estimate; only the console reckons by the house', function () {
    $past = [];
    foreach ((new Finder)->files()->in(app_path())->notPath('#^Console/#')->name('*.php') as $file) {
        $words = '/hand\(\)->(densities|pace)|Needle::gauges|(Pace|Densities)::house|Needles::(of|usual)|withYarns/';
        if (preg_match($words, $file->getContents()) === 1) {
            $past[] = $file->getRelativePathname();
        }
    }
    expect($past)->toBe(['Hand/Profile.php']);
});

it('has migrations that run no code of the app or of core: what changes tomorrow may not change what they did', function () {
    $live = [];
    foreach ((new Finder)->files()->in(database_path('migrations'))->name('*.php') as $file) {
        if (preg_match('/\b(App|Impa)\\\\/', $file->getContents()) === 1) {
            $live[] = $file->getFilename();
        }
    }
    expect($live)->toBe([]);
});

it('has every model but the felter say whose its rows are', function () {
    $models = [];
    foreach ((new Finder)->files()->in(app_path('Models'))->name('*.php') as $file) {
        $models[] = 'App\\Models\\'.strtr(substr($file->getRelativePathname(), 0, -4), '/', '\\');
    }
    $models = array_filter($models, static fn (string $class): bool => is_subclass_of($class, Model::class));
    $ownerless = array_filter($models, static fn (string $class): bool => ! in_array(Owned::class, class_uses_recursive($class), true));
    expect(array_values($ownerless))->toBe([Felter::class])->and(count($models))->toBeGreaterThan(15);
});

it('says nothing to a felter in one language alone: its sentences are in lang/, the console\'s and the doctor\'s too', function () {
    // What only who keeps the machine reads, of certificates and of who may ask; an archive's own page, which goes to whoever it reaches.
    $keepers = '#^(Sharing/Certificate|Archive/Outgoing|Http/Middleware/OnlyThisMachine)#';
    $found = [];
    foreach ((new Finder)->files()->in(app_path())->name('*.php') as $file) {
        if (preg_match($keepers, $file->getRelativePathname()) === 1) {
            continue;
        }
        $thrown = '';
        foreach (PhpToken::tokenize($file->getContents()) as $token) {
            $thrown = match (true) {
                $token->is(T_NEW) => '?',
                $thrown === '?' && $token->is([T_STRING, T_NAME_FULLY_QUALIFIED]) => $token->text,
                // What --help says of a command.
                $token->text === '$description' || $token->text === '$signature' => 'help',
                $token->text === ';' => '',
                default => $thrown,
            };
            // A programmer reads what is thrown as a mistake of the code's; everybody reads an HttpException.
            if (in_array($thrown, ['LogicException', 'RuntimeException', 'help'], true)) {
                continue;
            }
            $isQuoted = $token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE]);
            if ($isQuoted && preg_match('/^[\'"](--[a-z]+|[A-Z])[^\'"]* [a-z]+ [^\'"]*[.:]/', $token->text) === 1) {
                $found[] = $file->getRelativePathname().': '.$token->text;
            }
        }
    }
    expect($found)->toBe([]);
});
