<?php

declare(strict_types=1);

namespace App\Console\Commands\House;

use App\Console\Commands\ReadsFiles;
use App\Sharing\Certificate;
use App\Sharing\Share;
use Illuminate\Console\Command;
use Impa\Voice\Message;
use RuntimeException;

/** What bin/demo --share asks for before it opens the way in: the certificate for this machine's addresses. */
final class ShareCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:share {hosts* : addresses and names of this machine}';

    protected $description = 'Make the certificate for this machine\'s addresses, and print its fingerprint';

    public function handle(): int
    {
        $hosts = array_values(array_filter((array) $this->argument('hosts'), is_string(...)));
        foreach ($hosts as $host) {
            if (preg_match('/^[A-Za-z0-9.-]{1,253}$/D', $host) !== 1) {
                return $this->refuse([Message::of('console.share', host: $host)]);
            }
        }
        try {
            Certificate::for($hosts);
        } catch (RuntimeException $e) {
            return $this->refuse([$e->getMessage()]);
        }
        $this->line(Share::fingerprint());

        return 0;
    }
}
