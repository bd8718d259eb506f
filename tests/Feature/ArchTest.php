<?php

declare(strict_types=1);

arch('controllers ask core and answer; they reckon nothing')
    ->expect('App\Http\Controllers')->classes()->toBeFinal()
    ->and('App\Http\Controllers')->not->toUse(['sqrt', 'hypot', 'M_PI', 'imagecreatetruecolor']);
