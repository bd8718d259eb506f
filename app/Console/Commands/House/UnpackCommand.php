<?php

declare(strict_types=1);

namespace App\Console\Commands\House;

use App\Accounts\CurrentFelter;
use App\Archive\ArchiveRefused;
use App\Archive\Conflict;
use App\Archive\Incoming;
use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Voice\Message;

final class UnpackCommand extends Command
{
    use ChoosesFelter, ReadsFiles;

    protected $signature = 'impa:unpack
        {archive : what impa:pack wrote}
        {--conflict=keep : what is here and otherwise: keep, replace or both}
        {--dry : only tell what would be taken in}
        {--felter= : whose, by address, where felters sign in}';

    protected $description = 'Everything in: takes an archive in, all of it or nothing';

    public function handle(): int
    {
        $conflict = Conflict::tryFrom($this->word($this->option('conflict')));
        if ($conflict === null) {
            return $this->refuse([Message::of('console.conflict')]);
        }
        $felter = $this->felter();
        if ($felter === null) {
            return 2;
        }
        $path = $this->word($this->argument('archive'));
        if (! is_file($path) || ! is_readable($path)) {
            return $this->refuse([Message::of('console.not-read', file: $path)]);
        }
        try {
            return CurrentFelter::being($felter, fn (): int => $this->take(Incoming::of($path), $conflict));
        } catch (ArchiveRefused $refused) {
            return $this->refuse([$refused->getMessage()]);
        }
    }

    private function take(Incoming $incoming, Conflict $conflict): int
    {
        if ($this->option('dry') === true) {
            $preview = $incoming->preview();
            foreach ($preview['figures'] as $figure) {
                $this->line(rtrim(sprintf('%-9s %s %s', $figure['state'], $figure['name'], $figure['why'])));
            }
            foreach (['wools', 'sets'] as $what) {
                [$new, $same, $other] = array_values($preview[$what]);
                $this->line((string) Message::of("console.preview.$what", new: $new, same: $same, conflict: $other));
            }

            return 0;
        }
        [$taken, $same, $kept, $unreadable] = array_values($incoming->take($conflict));
        $this->line((string) Message::of('console.taken', taken: $taken, same: $same, kept: $kept, unreadable: $unreadable));

        return 0;
    }
}
