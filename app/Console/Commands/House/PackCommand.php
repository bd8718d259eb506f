<?php

declare(strict_types=1);

namespace App\Console\Commands\House;

use App\Accounts\CurrentFelter;
use App\Archive\Outgoing;
use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Voice\Message;

final class PackCommand extends Command
{
    use ChoosesFelter, ReadsFiles;

    protected $signature = 'impa:pack
        {out : the file to write, such as everything.zip}
        {--felter= : whose, by address, where felters sign in}';

    protected $description = 'Everything out: figures, pictures, log, stash, sets and hand as one archive';

    public function handle(): int
    {
        $felter = $this->felter();
        if ($felter === null) {
            return 2;
        }
        $path = $this->word($this->argument('out'));
        $out = is_dir(dirname($path)) ? @fopen($path.'.part', 'wb') : false;
        if ($out === false) {
            return $this->refuse([Message::of('console.not-written', file: $path)]);
        }
        $whole = CurrentFelter::being($felter, static function () use ($out): bool {
            foreach ((new Outgoing)->stream() as $bytes) {
                if (@fwrite($out, $bytes) !== strlen($bytes)) {
                    return false;
                }
            }

            return fclose($out);
        });
        if (! $whole || ! rename($path.'.part', $path)) {
            @unlink($path.'.part');

            return $this->refuse([Message::of('console.disk-full', file: $path)]);
        }

        return 0;
    }
}
