<?php

declare(strict_types=1);

namespace App\Models;

use App\Accounts\Address;
use App\Accounts\PasswordLink;
use Illuminate\Auth\Authenticatable;
use Illuminate\Auth\Passwords\CanResetPassword;
use Illuminate\Contracts\Auth\Authenticatable as SignsIn;
use Illuminate\Contracts\Auth\CanResetPassword as ChoosesPasswordAnew;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Auth\Access\Authorizable;

/**
 * Somebody whose figures, wools and records these are.
 *
 * @property int $id
 * @property string $name
 * @property ?string $email none for who only sits at this machine
 * @property string $place the page where they were last; empty for none
 * @property ?string $password its hash; none until it was chosen
 */
final class Felter extends Model implements ChoosesPasswordAnew, SignsIn
{
    use Authenticatable;
    use Authorizable;
    use CanResetPassword;

    /** Whoever sits at the machine; the first one, made with the store. */
    public const OF_THIS_MACHINE = 1;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** @var array<string, string> */
    protected $casts = ['password' => 'hashed'];

    public static function byEmail(string $email): ?self
    {
        $plain = Address::plain($email);

        return $plain === '' ? null : self::query()->where('email', $plain)->first();
    }

    public function sendPasswordResetNotification(#[\SensitiveParameter] $token): void
    {
        PasswordLink::send($this, $token);
    }
}
