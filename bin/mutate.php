<?php

declare(strict_types=1);

/*
 * Writes the configuration for mutation testing of one room of core, or of a folder of it: its tests are the files that use it, by import.
 *   php bin/mutate.php ROOM[/FOLDER] > FILE     prints what phpunit.xml says, with those tests alone
 */

$room = $argv[1] ?? '';
$root = dirname(__DIR__);
if (preg_match('#^[A-Z]\w+(/[A-Z]\w+)?$#', $room) !== 1 || ! is_dir("$root/core/src/$room")) {
    fwrite(
        STDERR,
        'The rooms are '.implode(', ', array_map(basename(...), glob("$root/core/src/*", GLOB_ONLYDIR) ?: [])).".\n",
    );
    exit(2);
}
// What takes many seconds, a thousand times over, is left out: tapes by brute force, 300 figures at every door, looking at drawings in
// other rooms, and photos of whole figures.
$slow = ['EveryDocumentTest.php', 'EveryShapeTest.php', 'TapesByBruteForceTest.php'];
$files = [];
foreach (glob("$root/core/tests/{*,*/*}/*Test.php", GLOB_BRACE) ?: [] as $file) {
    $code = (string) file_get_contents($file);
    $looks = (str_contains($code, 'Impa\\Seeing\\') && ! str_starts_with($room, 'Seeing'))
        || (str_contains($code, 'Bench\\BenchCamera') && ! str_starts_with($room, 'Render'));
    if (! $looks && ! in_array(basename($file), $slow, true) && str_contains($code, 'Impa\\'.strtr($room, '/', '\\').'\\')) {
        $files[] = sprintf('<file>%s</file>', $file);
    }
}
$xml = (string) file_get_contents("$root/phpunit.xml");
$xml = (string) preg_replace(
    '~<testsuites>.*</testsuites>~s',
    '<testsuites><testsuite name="room">'.implode('', $files).'</testsuite></testsuites>',
    $xml,
);
$xml = (string) preg_replace(
    '~<source>.*</source>~s',
    "<source><include><directory>$root/core/src/$room</directory></include></source>",
    $xml,
);
// Coverage that is asked for and not there is a warning of the runner's, and would be a mutant that was noticed; PHP's own warnings
// are. Short tests come first: most mutants are noticed by one.
$xml = str_replace('failOnWarning="true"', 'failOnWarning="true" failOnPhpunitWarning="false" executionOrder="duration"', $xml);
echo str_replace(
    ['bootstrap="vendor', 'cacheDirectory=".phpunit'],
    ["bootstrap=\"$root/vendor", "cacheDirectory=\"$root/.phpunit"],
    $xml,
);
