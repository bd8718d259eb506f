<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Felter;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;

/** A link by which a felter chooses a password: the first one, or a new one. Laravel's own broker keeps its hash and its hour. */
final class PasswordLink
{
    public static function address(Felter $felter): string
    {
        return self::with($felter, Password::createToken($felter));
    }

    public static function send(Felter $felter, #[\SensitiveParameter] string $token): void
    {
        $text = sprintf(
            "Hello %s,\n\nby this link you choose a password for Impa. It holds for an hour, once:\n\n%s\n\n%s\n",
            $felter->name,
            self::with($felter, $token),
            'If you did not ask for it, leave it: nothing has changed.',
        );
        self::letter($felter, 'Choose a password for Impa', $text);
    }

    /** After a password was chosen: whoever did not do it hears of it. */
    public static function told(Felter $felter): void
    {
        $text = sprintf(
            "Hello %s,\n\nyour password for Impa was just chosen anew, and every device was signed out.\n\n%s\n",
            $felter->name,
            'If that was not you, ask for a link at the door at once, and tell who keeps this Impa.',
        );
        self::letter($felter, 'Your password for Impa was chosen anew', $text);
    }

    private static function letter(Felter $felter, string $subject, string $text): void
    {
        Mail::raw($text, static function ($mail) use ($felter, $subject): void {
            $mail->to((string) $felter->email)->subject($subject);
        });
    }

    /** Whether this is the link that was sent and has not ended. It takes as long for an address that nobody has as for one that is known. */
    public static function holds(?Felter $felter, #[\SensitiveParameter] string $token): bool
    {
        $hours = Carbon::now()->subMinutes(config()->integer('auth.passwords.felters.expire'));
        $hash = $felter === null
            ? null
            : DB::table('password_links')->where('email', $felter->email)->where('created_at', '>', $hours)->value('token');
        if (! is_string($hash)) {
            Hash::make($token);

            return false;
        }

        return Hash::check($token, $hash);
    }

    /** Ends the link; false where it was ended already: of several requests at once one is told that it did. */
    public static function end(Felter $felter): bool
    {
        return DB::table('password_links')->where('email', $felter->email)->delete() === 1;
    }

    /** After the hash: what stands there is sent to no server, and stands in no log. */
    private static function with(Felter $felter, #[\SensitiveParameter] string $token): string
    {
        return url('/password').'#'.http_build_query(['email' => $felter->email, 'token' => $token]);
    }
}
