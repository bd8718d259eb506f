<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Accounts\Address;
use App\Accounts\PasswordLink;
use App\Accounts\Passwords;
use App\Api\Body;
use App\Models\Felter;
use App\Store\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Facades\RateLimiter;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** How a felter chooses a password: by a link, or knowing the old one. */
final class PasswordController
{
    /** Letters to one address within an hour. */
    private const LETTERS = 3;

    /** Wrong old passwords within a quarter of an hour. */
    private const TRIES = 5;

    /** Sends a link. The answer is the same whether the address is known or not. */
    public function store(Body $body): JsonResponse
    {
        SessionController::onlyWithAccounts();
        $email = Address::plain($body->anyText('email'));
        $key = Address::key('letter', $email);
        $felter = Felter::byEmail($email);
        if ($felter !== null && ! RateLimiter::tooManyAttempts($key, self::LETTERS)) {
            RateLimiter::hit($key, 3600);
            defer(static fn () => PasswordLink::send($felter, Password::createToken($felter)));
        }

        return new JsonResponse([
            'told' => (string) Message::of('house.password-controller.if-this-address'),
        ]);
    }

    /** Chooses one by such a link. */
    public function update(Body $body): JsonResponse
    {
        SessionController::onlyWithAccounts();
        $felter = Felter::byEmail($body->anyText('email'));
        $isGood = PasswordLink::holds($felter, mb_substr($body->anyText('token'), 0, 1000));
        if ($felter === null || ! $isGood) {
            throw self::over();
        }
        // A password that is refused leaves the link as it is; of several that use it at once one wins.
        Passwords::check($felter, $body->anyText('password'));
        Transaction::together(static function () use ($felter, $body): void {
            if (! PasswordLink::end($felter)) {
                throw self::over();
            }
            Passwords::choose($felter, $body->anyText('password'));
        });

        return new JsonResponse(['told' => (string) Message::of('house.password-controller.the-password-is-chosen')]);
    }

    /** Chooses another one; every other device is signed out. */
    public function change(Body $body, Request $request): JsonResponse
    {
        SessionController::onlyWithAccounts();
        $felter = Auth::user();
        $key = 'old-password:'.Auth::id();
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw new HttpException(429, (string) Message::of('house.password-controller.too-many-wrong-tries'));
        }
        RateLimiter::hit($key, 900);
        if (! $felter instanceof Felter || ! Hash::check(mb_substr($body->anyText('old'), 0, 1000), (string) $felter->password)) {
            throw new HttpException(422, (string) Message::of('house.password-controller.the-old-password'));
        }
        Passwords::choose($felter, $body->anyText('password'));
        $request->session()->regenerate();

        return new JsonResponse(['told' => (string) Message::of('house.password-controller.the-password-is-changed')]);
    }

    private static function over(): HttpException
    {
        return new HttpException(422, (string) Message::of('house.password-controller.this-link-is-over'));
    }
}
