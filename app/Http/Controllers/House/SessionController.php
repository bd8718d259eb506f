<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Accounts\Address;
use App\Accounts\Passwords;
use App\Api\Body;
use App\Models\Felter;
use App\Models\Picture;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Signing in and out, where felters have accounts. */
final class SessionController
{
    /** Wrong tries at one address within fifteen minutes, and from one place at any. */
    private const TRIES = 5;

    private const TRIES_OF_PLACE = 30;

    private const FOR_SECONDS = 900;

    public function show(): JsonResponse
    {
        $felter = Auth::user();

        return new JsonResponse([
            'accounts' => config()->boolean('impa.accounts'),
            'felter' => $felter instanceof Felter ? [
                'name' => $felter->name,
                'email' => $felter->email,
                'picturesMb' => Picture::taken() / 1e6,
                'mostMb' => config()->integer('impa.pictures_mb'),
            ] : null,
        ]);
    }

    public function store(Body $body, Request $request): JsonResponse
    {
        self::onlyWithAccounts();
        [$email, $password] = [Address::plain($body->anyText('email')), $body->anyText('password')];
        $keys = [Address::key('sign-in', $email) => self::TRIES, 'sign-in-from:'.$request->ip() => self::TRIES_OF_PLACE];
        foreach ($keys as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                throw new HttpException(
                    429,
                    (string) Message::of(
                        'house.session-controller.too-many-wrong-tries',
                        minutes: (int) ceil(RateLimiter::availableIn($key) / 60),
                    ),
                );
            }
        }
        foreach (array_keys($keys) as $key) {
            RateLimiter::hit($key, self::FOR_SECONDS);
        }
        $felter = Felter::byEmail($email);
        if ($felter?->password === null) {
            // Reckoned for nobody as well: how long it takes does not tell whether the address is known.
            Hash::make(mb_substr($password, 0, 1000));
        }
        if ($felter?->password === null || ! Hash::check(mb_substr($password, 0, 1000), $felter->password)) {
            throw new HttpException(422, (string) Message::of('house.session-controller.wrong-email-or-password'));
        }
        // One that fits makes good for itself, not for what was tried at other addresses from the same place.
        [$address, $place] = array_keys($keys);
        RateLimiter::clear($address);
        RateLimiter::decrement($place, self::FOR_SECONDS);
        Auth::login($felter);
        $request->session()->regenerate();

        return $this->show();
    }

    /** Here alone, or on every device. */
    public function destroy(Request $request): JsonResponse
    {
        $felter = Auth::user();
        if ($request->boolean('everywhere') && $felter instanceof Felter) {
            Passwords::signOutEverywhere($felter);
        }
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        // What the browser keeps of her pages goes too. Not its storage: in it waits what she, or another felter, did without the network.
        return $this->show()->header('Clear-Site-Data', '"cache"');
    }

    public static function onlyWithAccounts(): void
    {
        if (! config()->boolean('impa.accounts')) {
            throw new HttpException(404, (string) Message::of('house.session-controller.nobody-signs-in-here'));
        }
    }
}
