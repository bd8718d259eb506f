<?php

declare(strict_types=1);

namespace App\Console\Commands\House;

use App\Models\Felter;
use Impa\Voice\Message;

/** Commands that are about one felter's things: who sits at the machine, or, where felters have accounts, whose address is given. */
trait ChoosesFelter
{
    /** Whose it is; null, and told, where nobody has the address of --felter, or it is missing where there are accounts. */
    private function felter(): ?int
    {
        $email = $this->word($this->option('felter'));
        if ($email === '' && config()->boolean('impa.accounts')) {
            $this->refuse([Message::of('console.felter.whose')]);

            return null;
        }
        $felter = $email === '' ? Felter::OF_THIS_MACHINE : Felter::byEmail($email)?->id;
        if ($felter === null) {
            $this->refuse([Message::of('console.felter.nobody', email: $email)]);
        }

        return $felter;
    }
}
