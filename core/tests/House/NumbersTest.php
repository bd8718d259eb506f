<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/** @return array{int, string} exit code of `php bin/numbers.php` on a folder of pages, and what it complains of */
function numbersIn(string $folder, string ...$how): array
{
    $run = new Process([PHP_BINARY, dirname(__DIR__, 3).'/bin/numbers.php', ...$how, $folder]);
    $run->run();

    return [(int) $run->getExitCode(), $run->getErrorOutput()];
}

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/impa-pages-'.bin2hex(random_bytes(6));
    mkdir($this->folder);
    foreach (glob(dirname(__DIR__, 3).'/docs/*.md') ?: [] as $page) {
        copy($page, $this->folder.'/'.basename($page));
    }
});

afterEach(function () {
    array_map(unlink(...), glob($this->folder.'/*') ?: []);
    rmdir($this->folder);
});

it('finds the page that says another number than the code, and writes it as it was', function () {
    expect(numbersIn($this->folder, '--check'))->toBe([0, '']);
    [$trade, $wool] = ['trade.'.'md', 'wool.'.'md'];
    $page = "$this->folder/$trade";
    $true = (string) file_get_contents($page);
    file_put_contents($page, str_replace('| 0.08, 0.11, 0.15, 0.18, 0.22 g/cm3 |', '| 0.08, 0.11, 0.15, 0.19, 0.22 g/cm3 |', $true));
    [$code, $words] = numbersIn($this->folder, '--check');
    expect($code)->toBe(1)->and($words)->toContain($trade)->not->toContain($wool);
    expect(numbersIn($this->folder)[0])->toBe(0)->and(file_get_contents($page))->toBe($true);
});

it('says which numbers no page tells, and which a page asks for that there are not', function () {
    $wool = 'wool.'.'md';
    $page = "$this->folder/$wool";
    $true = (string) file_get_contents($page);
    file_put_contents($page, str_replace('<!-- numbers: spread -->', '<!-- of old: spread -->', $true));
    expect(numbersIn($this->folder, '--check'))->toBe([1, "No page tells: spread.\n"]);
    file_put_contents($page, str_replace('<!-- numbers: spread -->', '<!-- numbers: width -->', $true));
    expect(numbersIn($this->folder, '--check'))->toBe([1, "$wool asks for numbers of a name that there is not: width.\n"]);
});
