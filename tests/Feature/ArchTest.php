<?php

declare(strict_types=1);

arch('controllers ask core and answer; they reckon nothing')
    ->expect('App\Http\Controllers')->classes()->toBeFinal()
    ->and('App\Http\Controllers')->not->toUse(['sqrt', 'hypot', 'M_PI', 'imagecreatetruecolor']);

arch('rows are asked for as one\'s own: nobody reaches into a table past whose it is')
    ->expect('Illuminate\Support\Facades\DB')->toOnlyBeUsedIn(['App\Accounts\Whose', 'App\Store']);
