<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');

function demoPicture(string $name = 'bobbin'): string
{
    return (string) file_get_contents(base_path("demo/{$name}.png"));
}

/** @return array<string, mixed> */
function demoFigure(string $name = 'bobbin'): array
{
    return json_decode((string) file_get_contents(base_path("demo/{$name}.impa.json")), true);
}
