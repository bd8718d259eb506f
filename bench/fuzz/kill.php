<?php

declare(strict_types=1);

// Kills the server (SIGKILL) at any moment of so many saves, and looks whether every save that was answered for is there:
//   php bench/fuzz/kill.php [SAVES=500] [PORT=8797]
// The store is one of its own. Loopback only.

chdir(dirname(__DIR__, 2));
$saves = (int) ($argv[1] ?? 500);
$port = (int) ($argv[2] ?? 8797);
$home = sys_get_temp_dir().'/impa-kill-'.getmypid();
mkdir($home, 0700, true);
touch("{$home}/impa.sqlite");
$environment = ['DB_DATABASE' => "{$home}/impa.sqlite", 'APP_KEY' => 'base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE='] + getenv();
foreach (['migrate --force --quiet'] as $words) {
    $made = proc_open("exec php artisan {$words}", [], $pipes, null, $environment);
    proc_close($made) === 0 || exit("The store cannot be made.\n");
}
$start = static function () use ($port, $environment) {
    $server = proc_open(
        [
            'php',
            '-d',
            'opcache.enable_cli=1',
            '-S',
            "127.0.0.1:{$port}",
            '../vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php',
        ],
        [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
        $pipes,
        'public',
        $environment,
    );
    for ($i = 0; $i < 200 && ! @fsockopen('127.0.0.1', $port, $e, $s, 0.1); $i++) {
        usleep(20_000);
    }

    return $server;
};
$jar = tempnam($home, 'jar');
$ask = static function (string $method, string $path, ?array $body = null) use ($port, $jar): array {
    $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($jar), $m) === 1 ? urldecode($m[1]) : '';
    $curl = curl_init("http://127.0.0.1:{$port}{$path}");
    curl_setopt_array($curl, [
        CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar,
        CURLOPT_TIMEOUT => 20,
        CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: {$token}"],
        CURLOPT_POSTFIELDS => $body === null ? null : json_encode($body),
    ]);
    $text = curl_exec($curl);
    $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    curl_close($curl);

    return [$status, is_string($text) ? json_decode($text) : null];
};

$server = $start();
$ask('GET', '/api/session');
$document = json_decode((string) file_get_contents('demo/bobbin.impa.json'));
[, $laid] = $ask('POST', '/api/figures', ['document' => $document]);
$id = $laid->id ?? exit("No figure can be laid.\n");
[$revision, $acknowledged, $kills, $lost] = [1, 0, 0, 0];
$store = static fn (): PDO => new PDO("sqlite:{$home}/impa.sqlite", null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
while ($acknowledged < $saves) {
    $document->name = sprintf('Save %d', $acknowledged + 1);
    // The one who kills waits beside, from nothing to a little longer than a save takes.
    $killer = null;
    if (random_int(0, 3) === 0) {
        $pid = proc_get_status($server)['pid'];
        $killer = proc_open(['sh', '-c', sprintf('sleep %.4f; kill -9 %d', random_int(0, 90) / 1000, $pid)], [], $pipes);
    }
    [$status, $said] = $ask('PUT', "/api/figures/{$id}", ['document' => $document, 'revision' => $revision]);
    if ($status === 200) {
        $acknowledged++;
        $revision = $said->revision;
        $name = $document->name;
    }
    if ($killer !== null) {
        proc_close($killer);
        proc_terminate($server, 9);
        proc_close($server);
        $kills++;
        $row = $store()->query("select name, revision, document from figures where id = {$id}")->fetch(PDO::FETCH_ASSOC);
        $history = (int) $store()->query(
            "select count(*) from figure_revisions where figure_id = {$id} and revision = {$row['revision']}",
        )->fetchColumn();
        $check = $store()->query('pragma integrity_check')->fetchColumn();
        // One that was written, but not answered for, may be there as well.
        $isThere = (int) $row['revision'] >= $revision && (int) $row['revision'] <= $revision + 1;
        if (! $isThere || $history !== 1 || $check !== 'ok' || json_decode($row['document'])->name !== $row['name']) {
            $lost++;
            printf(
                "after kill %d: revision %s where %d was answered for, in its history %d times, %s\n",
                $kills,
                $row['revision'],
                $revision,
                $history,
                $check,
            );
        }
        $revision = (int) $row['revision'];
        $server = $start();
    }
}
proc_terminate($server, 9);
proc_close($server);
printf(
    "%d saves answered for, %d kills, %d lost or damaged, integrity_check %s\n",
    $acknowledged,
    $kills,
    $lost,
    $store()->query('pragma integrity_check')->fetchColumn(),
);
exec('rm -rf '.escapeshellarg($home));
exit($lost === 0 ? 0 : 1);
