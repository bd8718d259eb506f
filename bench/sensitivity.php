<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/*
 * What the thresholds of seeing do: each constant of numbers in a folder of core/src/Seeing is made a fifth smaller, then a
 * fifth larger, and the characters of known parts (bench/structure.php, flat and inked) are seen again. Prints by how many hundredths
 * the parts found, well found and seen, and the details, become more or fewer, and how many documents change at all; those that change
 * none are listed last.
 *
 *   php bench/sensitivity.php FOLDER [--count=12] [--seed=1] [--of=CONSTANT]
 *
 * FOLDER is one of Seeing's, such as Fitting. Seeds up to 1000 are for tuning. A run is as long as twice the folder's constants times
 * the drawings; two go at once. A number that changes nothing here may be there for photos, sprites or paper: bench/breakdown says so.
 */

require __DIR__.'/../vendor/autoload.php';

$folder = $argv[1] ?? '';
$options = [];
foreach (array_slice($argv, 2) as $word) {
    preg_match('/^--(count|seed|of)=(.+)$/', $word, $m) === 1 && $options[$m[1]] = $m[2];
}
$files = glob(dirname(__DIR__)."/core/src/Seeing/{$folder}/*.php") ?: [];
if ($folder === '' || $files === []) {
    $folders = array_map(basename(...), glob(dirname(__DIR__).'/core/src/Seeing/*', GLOB_ONLYDIR) ?: []);
    fwrite(STDERR, 'One of '.implode(', ', $folders).".\n");
    exit(2);
}
$home = sys_get_temp_dir().'/impa-sensitivity-'.getmypid();
mkdir($home);

/** Every constant of numbers alone (one, a square, a list): its file, its name, what it is, where that stands in the code. */
$numbers = [];
foreach ($files as $file) {
    $code = (string) file_get_contents($file);
    $constant = '/^    (?:private|public) const (\w+) = ([\d_.,\s*\[\]-]*\d[\d_.,\s*\[\]-]*)(?=;)/m';
    preg_match_all($constant, $code, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
    foreach ($found as [, [$name], [$number, $at]]) {
        if (! isset($options['of']) || $options['of'] === $name) {
            $numbers[] = ['file' => $file, 'name' => $name, 'is' => $number, 'at' => $at, 'code' => $code];
        }
    }
}

/** Sees the drawings with one file in another's place. */
$begin = static function (?string $file, string $code, string $name) use ($home, $options): array {
    $prepend = "$home/$name.php";
    $other = "$home/$name-code.php";
    file_put_contents($other, $code);
    // Before anybody asks for the class: the autoloader then has it already.
    $root = dirname(__DIR__);
    file_put_contents($prepend, $file === null ? '<?php' : "<?php require '$root/vendor/autoload.php'; require '$other';");
    $runs = [];
    foreach ([[], ['--inked']] as $how) {
        $run = new Process([
            PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M',
            '-d', "auto_prepend_file=$prepend", __DIR__.'/structure.php', '--sums', '--count='.($options['count'] ?? 12),
            '--seed='.($options['seed'] ?? 1), "--sheet=$home", ...$how,
        ], timeout: 900);
        $run->start();
        $runs[] = $run;
    }

    return $runs;
};

/**
 * Shares of parts found, well found and seen, and of details, in hundredths, and each document's digest; nothing where a drawing could
 * not be seen at all.
 *
 * @param  list<Process>  $runs
 * @return ?array{list<float>, list<string>}
 */
$end = static function (array $runs): ?array {
    $sums = $digests = [];
    foreach ($runs as $run) {
        $run->wait();
        $told = json_decode($run->getOutput(), true) ?? [];
        array_push($digests, ...$told['digests'] ?? []);
        unset($told['digests']);
        foreach ($told as $field => $count) {
            $sums[$field] = ($sums[$field] ?? 0) + $count;
        }
        if (! $run->isSuccessful()) {
            return null;
        }
    }

    $shares = array_map(static fn (string $of, string $all): float => 100 * $sums[$of] / max(1, $sums[$all]), [
        'whole', 'well', 'seen', 'hits',
    ], ['parts', 'parts', 'parts', 'details']);

    return [$shares, $digests];
};

[$usual, $documents] = $end($begin(null, '<?php', 'usual')) ?? exit(1);
printf("as it is: parts %.1f, well %.1f, seen %.1f, details %.1f of 100\n", ...$usual);
$idle = [];
foreach ($numbers as $i => ['file' => $file, 'name' => $name, 'is' => $is, 'at' => $at, 'code' => $code]) {
    $told = [];
    foreach ([0.8, 1.2] as $k => $factor) {
        // A power stays what it is; a whole number becomes another by one at the least.
        $to = preg_replace_callback('/(?<!\*\* )(?<![\d.])\d[\d_]*(\.\d+)?/', static function (array $m) use ($factor): string {
            $value = (float) str_replace('_', '', $m[0]);

            return match (true) {
                isset($m[1]) => sprintf('%.6F', $value * $factor),
                $factor > 1 => (string) (int) max($value + 1, round($value * $factor)),
                default => (string) (int) min($value - 1, round($value * $factor)),
            };
        }, $is) ?? $is;
        $now = $end($begin($file, substr_replace($code, $to, $at, strlen($is)), "n$i-$k"));
        if ($now === null) {
            $told[] = 'breaks';

            continue;
        }
        $changed = count(array_diff_assoc($now[1], $documents));
        $told[] = $changed === 0 ? '' : implode(' ', array_map(
            static fn (float $a, float $b): string => abs($a - $b) < 0.05 ? '   .' : sprintf('%+4.1f', $a - $b),
            $now[0],
            $usual,
        )).sprintf(' (%d of %d)', $changed, count($documents));
    }
    $line = sprintf('%-18s %-20s %8s', basename($file, '.php'), $name, preg_replace('/\s+/', ' ', $is));
    $told === ['', ''] ? $idle[] = $line : printf("%s   less: %s   more: %s\n", $line, ...$told);
}
echo "\nnothing changes with:\n", implode("\n", $idle), "\n";
array_map(unlink(...), glob("$home/*") ?: []);
rmdir($home);
