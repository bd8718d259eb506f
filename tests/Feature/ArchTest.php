<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

arch('controllers ask core and answer; they reckon nothing')
    ->expect('App\Http\Controllers')->classes()->toBeFinal()
    ->and('App\Http\Controllers')->not->toUse(['sqrt', 'hypot', 'M_PI', 'imagecreatetruecolor']);

it('asks for rows as one\'s own: nobody reaches into a table past whose it is', function () {
    $past = [];
    $files = (new Finder)->files()->in([app_path(), base_path('database/seeders')])->notPath('#^(Accounts|Store)/#')->name('*.php');
    foreach ($files as $file) {
        if (preg_match('/\bDB::|withoutGlobalScope/', $file->getContents()) === 1) {
            $past[] = $file->getRelativePathname();
        }
    }
    // Whether a picture's file is anybody else's; and a link, which is found by who is nobody.
    expect($past)->toEqualCanonicalizing(['Models/Picture.php', 'Http/Controllers/SharedLinkController.php']);
});
