<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Felter;
use Illuminate\Database\Eloquent\Model;

/** What is one's own may be looked at, changed and thrown away; what is another's may not. */
final class OwnPolicy
{
    public function use(Felter $felter, Model $row): bool
    {
        return $row->getAttribute('felter_id') === $felter->id;
    }
}
