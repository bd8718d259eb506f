<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Felter;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use Impa\Voice\Message;

/** A link by which a felter chooses a password: the first one, or a new one. Laravel's own broker keeps its hash and its hour. */
final class PasswordLink
{
    public static function address(Felter $felter): string
    {
        return self::with($felter, Password::createToken($felter));
    }

    public static function send(Felter $felter, #[\SensitiveParameter] string $token): void
    {
        $text = Message::of('house.letter.link', name: $felter->name, link: self::with($felter, $token));
        self::letter($felter, Message::of('house.letter.link-subject'), $text);
    }

    /** After a password was chosen: whoever did not do it hears of it. */
    public static function told(Felter $felter): void
    {
        $text = Message::of('house.letter.told', name: $felter->name);
        self::letter($felter, Message::of('house.letter.told-subject'), $text);
    }

    private static function letter(Felter $felter, Message $subject, Message $text): void
    {
        Mail::raw((string) $text, static function ($mail) use ($felter, $subject): void {
            $mail->to((string) $felter->email)->subject((string) $subject);
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
