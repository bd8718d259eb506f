<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Impa\Voice\Voice;

abstract class TestCase extends BaseTestCase
{
    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->useStoragePath(self::storage());
        $app->make(Kernel::class)->bootstrap();
        self::onPostgres();

        return $app;
    }

    /** A folder of this process's own: what is served here, or tested beside it, is not seen, and sees nothing. */
    private static function storage(): string
    {
        static $home = null;
        if ($home === null) {
            $home = sys_get_temp_dir().'/impa-tests-'.bin2hex(random_bytes(6));
            foreach (['framework/cache/data', 'framework/views', 'framework/sessions', 'logs', 'pictures'] as $folder) {
                mkdir("{$home}/{$folder}", 0750, true);
            }
            register_shutdown_function(static fn (): bool => (new Filesystem)->deleteDirectory($home));
        }

        return $home;
    }

    /** The same tests on PostgreSQL, where a throwaway server is told by the environment (bin/test store): each process has its own. */
    private static function onPostgres(): void
    {
        if (getenv('IMPA_TEST_STORE') === 'pgsql') {
            config([
                'database.default' => 'pgsql',
                'database.connections.pgsql' => [
                    'host' => '127.0.0.1',
                    'port' => getenv('PGPORT'),
                    'database' => 'impa_'.(getenv('TEST_TOKEN') ?: '1'),
                    'username' => getenv('PGUSER'),
                    'password' => getenv('PGPASSWORD'),
                ] + config()->array('database.connections.pgsql'),
            ]);
        }
    }

    protected function setUp(): void
    {
        parent::setUp();
        // Each test begins as a process does: what another one asked for is forgotten.
        Voice::speak(new Voice);
        $this->withoutVite();
        Storage::fake('pictures');
    }

    /** As ever, and what comes back is held against its format. */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null): TestResponse
    {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        Answers::hold($method, (string) $uri, $response);

        return $response;
    }

    /**
     * Writes as a window that has just read it: what is changed is told under the revision that stands there.
     *
     * @param  array<string, mixed>  $body
     */
    public function putSeen(string $address, array $body = []): TestResponse
    {
        [$at, $member] = match (1) {
            preg_match('~^/api/wools/(\d+)$~', $address, $m) => ['/api/wools', 'wools'],
            preg_match('~^(/api/sets/\d+)/aside$~', $address, $m) => [$m[1], 'asideRevision'],
            preg_match('~^/api/hand/~', $address) => ['/api/hand', 'revision'],
            default => [$address, 'revision'],
        };
        $seen = $this->getJson($at)->json($member);

        return $this->putJson($address, $body + ['revision' => is_array($seen) ? array_column($seen, 'revision', 'id')[$m[1]] : $seen]);
    }

    /** @param  array<string, mixed>  $headers */
    protected function sendFile(string $bytes, array $headers = []): TestResponse
    {
        return $this->call(
            'POST',
            '/api/pictures',
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'] + $headers,
            $bytes,
        );
    }
}
