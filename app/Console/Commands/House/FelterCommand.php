<?php

declare(strict_types=1);

namespace App\Console\Commands\House;

use App\Accounts\Address;
use App\Accounts\CurrentFelter;
use App\Accounts\PasswordLink;
use App\Accounts\Passwords;
use App\Console\Commands\ReadsFiles;
use App\Models\Felter;
use App\Models\Picture;
use App\Store\AccountDeletion;
use Illuminate\Console\Command;
use Impa\Voice\Message;

/** Who may sign in: for whoever keeps the server. Nobody signs themselves up. */
final class FelterCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:felter
        {do : list, add, link, out or remove}
        {email? : of the felter}
        {--name= : how they are called, for add}
        {--yes : remove without asking}';

    protected $description = 'Who may sign in: list, add, link (to choose a password), out (everywhere), remove (with all that is theirs)';

    public function handle(): int
    {
        $do = $this->word($this->argument('do'));
        $email = Address::plain($this->word($this->argument('email') ?? ''));
        if ($do === 'list') {
            return $this->told();
        }
        if ($email === '') {
            return $this->refuse([Message::of('console.felter.address')]);
        }
        $felter = Felter::byEmail($email);
        if ($do === 'add') {
            return $felter === null ? $this->add($email) : $this->refuse([Message::of('console.felter.here', email: $email)]);
        }
        if ($felter === null) {
            return $this->refuse([Message::of('console.felter.nobody', email: $email)]);
        }

        return match ($do) {
            'link' => $this->link($felter),
            'out' => $this->out($felter),
            'remove' => $this->remove($felter),
            default => $this->refuse([Message::of('console.felter.does')]),
        };
    }

    private function told(): int
    {
        foreach (Felter::query()->whereNotNull('email')->orderBy('email')->get() as $felter) {
            $mb = CurrentFelter::being($felter->id, static fn (): float => Picture::taken() / 1e6);
            $row = Message::of('console.felter.row', email: (string) $felter->email, name: $felter->name, mb: sprintf('%.1f', $mb));
            $this->line($row.($felter->password === null ? '  '.Message::of('console.felter.no-password') : ''));
        }

        return 0;
    }

    private function add(string $email): int
    {
        $name = mb_substr(trim($this->word($this->option('name'))), 0, 120);
        // The first one takes over what was made before there were accounts.
        /** @var Felter $felter */
        $felter = Felter::query()->whereNull('email')->find(Felter::OF_THIS_MACHINE) ?? new Felter;
        $felter->fill(['email' => $email, 'name' => $name === '' ? (string) strstr($email, '@', true) : $name])->save();

        return $this->link($felter);
    }

    private function link(Felter $felter): int
    {
        $this->line((string) Message::of('console.felter.link', name: $felter->name));
        $this->line(PasswordLink::address($felter));

        return 0;
    }

    private function out(Felter $felter): int
    {
        Passwords::signOutEverywhere($felter);
        $this->line((string) Message::of('console.felter.out', name: $felter->name));

        return 0;
    }

    private function remove(Felter $felter): int
    {
        $asks = (string) Message::of('console.felter.remove', name: $felter->name);
        if (! $this->option('yes') && ! $this->confirm($asks)) {
            return $this->refuse([Message::of('console.felter.kept')]);
        }
        $name = $felter->name;
        AccountDeletion::of($felter);
        $this->line((string) Message::of('console.felter.gone', name: $name));

        return 0;
    }
}
