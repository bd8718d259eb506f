<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Felter;
use Illuminate\Support\Facades\DB;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What a password must be, and how it is chosen. */
final class Passwords
{
    /** OWASP ASVS 4.0.3, 2.1.1 and 2.1.2. */
    private const LEAST = 12;

    private const MOST = 128;

    /**
     * A new password; whoever is signed in as this felter elsewhere is signed out, and links to choose one are worth nothing.
     *
     * @throws HttpException in words, if it is none to be trusted
     */
    public static function choose(Felter $felter, #[\SensitiveParameter] string $password): void
    {
        self::check($felter, $password);
        $felter->forceFill(['password' => $password])->save();
        self::signOutEverywhere($felter);
        PasswordLink::end($felter);
        if ($felter->email !== null) {
            PasswordLink::told($felter);
        }
    }

    /** @throws HttpException in words, if it is none to be trusted */
    public static function check(Felter $felter, #[\SensitiveParameter] string $password): void
    {
        $fault = self::fault($felter, $password);
        if ($fault !== '') {
            throw new HttpException(422, $fault);
        }
    }

    /** On every device: their sessions are gone. */
    public static function signOutEverywhere(Felter $felter): void
    {
        DB::table('sessions')->where('user_id', $felter->id)->delete();
        $felter->setRememberToken(bin2hex(random_bytes(30)));
        $felter->save();
    }

    private static function fault(Felter $felter, #[\SensitiveParameter] string $password): string
    {
        $plain = mb_strtolower($password);
        $length = mb_strlen($password);

        return match (true) {
            $length < self::LEAST => (string) Message::of('house.passwords.a-password-has', least: self::LEAST),
            $length > self::MOST => (string) Message::of('house.passwords.a-password-has-2', most: self::MOST),
            count(array_unique(mb_str_split($plain))) < 5 => (string) Message::of('house.passwords.this-password'),
            self::names($felter, $plain) => (string) Message::of('house.passwords.your-own-name'),
            in_array(
                substr(hash('sha256', $plain), 0, 16),
                self::common(),
                true,
            ) => (string) Message::of('house.passwords.this-password-2'),
            default => '',
        };
    }

    private static function names(Felter $felter, #[\SensitiveParameter] string $plain): bool
    {
        $known = [mb_strtolower($felter->name), (string) strstr((string) $felter->email, '@', true)];

        return array_filter($known, static fn (string $word): bool => mb_strlen($word) > 3 && str_contains($plain, $word)) !== [];
    }

    /** @return list<string> */
    private static function common(): array
    {
        return explode("\n", (string) file_get_contents(__DIR__.'/common-passwords.txt'));
    }
}
