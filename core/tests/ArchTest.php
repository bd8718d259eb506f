<?php

declare(strict_types=1);

arch('core names no framework, table or screen')
    ->expect('Impa')
    ->not->toUse(['Illuminate', 'Laravel', 'App', 'Database', 'Symfony', 'PDO', 'request', 'response', 'config', 'env', 'app', 'view']);

arch('core is strict and final')
    ->expect('Impa')->toUseStrictTypes()
    ->and('Impa')->classes()->toBeFinal()->ignoring(['Impa\Shape\Stack', 'Impa\Tests']);

arch('nothing is left over from looking for faults')
    ->expect(['dd', 'dump', 'var_dump', 'print_r', 'ray'])->not->toBeUsed();
