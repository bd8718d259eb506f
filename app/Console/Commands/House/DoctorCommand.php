<?php

declare(strict_types=1);

namespace App\Console\Commands\House;

use App\Store\Doctor;
use Illuminate\Console\Command;
use Impa\Voice\Message;

final class DoctorCommand extends Command
{
    protected $signature = 'impa:doctor
        {--mend : mend what can be mended without losing anything}';

    protected $description = 'Look the store over, and say what is wrong with it';

    /** @return int 0 where nothing is wrong any more, 1 where something is */
    public function handle(): int
    {
        $found = Doctor::look($this->option('mend') === true);
        foreach ($found as $one) {
            $mended = Message::of('console.mended', what: $one['what'], done: $one['mended']);
            $this->line($one['mended'] === '' ? $one['what'] : (string) $mended);
        }
        if ($found === []) {
            $this->line((string) Message::of('console.nothing-wrong'));
        }

        return array_filter($found, static fn (array $one): bool => $one['mended'] === '') === [] ? 0 : 1;
    }
}
