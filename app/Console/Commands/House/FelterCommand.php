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
            return $this->refuse(['The felter is told by an address such as ada@example.org.']);
        }
        $felter = Felter::byEmail($email);
        if ($do === 'add') {
            return $felter === null ? $this->add($email) : $this->refuse(["{$email} is here already."]);
        }
        if ($felter === null) {
            return $this->refuse(["Nobody here has the address {$email}."]);
        }

        return match ($do) {
            'link' => $this->link($felter),
            'out' => $this->out($felter),
            'remove' => $this->remove($felter),
            default => $this->refuse(['impa:felter does list, add, link, out or remove.']),
        };
    }

    private function told(): int
    {
        foreach (Felter::query()->whereNotNull('email')->orderBy('email')->get() as $felter) {
            $mb = CurrentFelter::being($felter->id, static fn (): float => Picture::taken() / 1e6);
            $yet = $felter->password === null ? '  no password yet' : '';
            $this->line(sprintf('%s  %s  %.1f MB of pictures%s', $felter->email, $felter->name, $mb, $yet));
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
        $this->line('Give this link to '.$felter->name.'; it holds for an hour, once:');
        $this->line(PasswordLink::address($felter));

        return 0;
    }

    private function out(Felter $felter): int
    {
        Passwords::signOutEverywhere($felter);
        $this->line($felter->name.' is signed out everywhere.');

        return 0;
    }

    private function remove(Felter $felter): int
    {
        $asks = "Remove {$felter->name} with every figure, picture and record? There is no way back.";
        if (! $this->option('yes') && ! $this->confirm($asks)) {
            return $this->refuse(['Nothing was removed.']);
        }
        $name = $felter->name;
        AccountDeletion::of($felter);
        $this->line($name.' is gone, and all that was theirs.');

        return 0;
    }
}
