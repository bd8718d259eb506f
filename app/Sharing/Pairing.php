<?php

declare(strict_types=1);

namespace App\Sharing;

use App\Accounts\CurrentFelter;
use App\Models\Device;
use App\Store\Transaction;
use Illuminate\Support\Carbon;
use Impa\Voice\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** How a tablet is let in once: by a code that this machine shows, which holds for minutes and bears few wrong tries. */
final class Pairing
{
    public const COOKIE = 'impa-device';

    /** Letters and digits that are not taken for one another. */
    private const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

    private const LENGTH = 8;

    private const HOLDS_MINUTES = 10;

    /** After so many wrong tries the code is over, whoever tried. */
    private const WRONG_TRIES = 5;

    private const MOST_DEVICES = 20;

    /** A device is noted as seen so often, seconds: not at every request. */
    private const SEEN_EVERY_S = 60;

    /** @return array{code: string, endsAt: string} a new code; the one before is over */
    public static function offer(): array
    {
        $code = '';
        for ($i = 0; $i < self::LENGTH; $i++) {
            $code .= self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
        }
        $ends = now()->addMinutes(self::HOLDS_MINUTES);
        CurrentFelter::rows('pairing_codes')->updateOrInsert(
            CurrentFelter::own(),
            ['code_hash' => self::hash($code), 'wrong' => 0, 'ends_at' => $ends],
        );

        return ['code' => substr($code, 0, 4).'-'.substr($code, 4), 'endsAt' => $ends->toIso8601String()];
    }

    /**
     * Lets a device in.
     *
     * @return string its pass, told this once
     *
     * @throws HttpException in words, if the code is wrong or over
     */
    public static function take(string $code, string $name): string
    {
        $said = strtoupper((string) preg_replace('/[^A-Za-z0-9]/', '', substr($code, 0, 100)));
        $pass = bin2hex(random_bytes(32));
        $why = Transaction::together(static function () use ($said, $name, $pass): string {
            $row = (array) CurrentFelter::rows('pairing_codes')->first();
            $ends = is_string($row['ends_at'] ?? null) ? Carbon::parse($row['ends_at']) : null;
            $wrong = is_numeric($row['wrong'] ?? null) ? (int) $row['wrong'] : 0;
            if ($ends === null || $ends->isPast() || $wrong >= self::WRONG_TRIES) {
                return (string) Message::of('house.refused.no-code');
            }
            if (! hash_equals(is_string($row['code_hash']) ? $row['code_hash'] : '', self::hash($said))) {
                CurrentFelter::rows('pairing_codes')->increment('wrong');

                return (string) Message::of('house.refused.wrong-code');
            }
            if (Device::query()->count() >= self::MOST_DEVICES) {
                return (string) Message::of('house.pairing.twenty-devices-are-paired');
            }
            CurrentFelter::rows('pairing_codes')->delete();
            Device::query()->create([
                'name' => $name,
                'pass_hash' => self::hash($pass),
                'paired_at' => now(),
                'seen_at' => now(),
            ]);

            return '';
        });

        return $why === '' ? $pass : throw new HttpException(422, $why);
    }

    /** The device that shows this pass; none if it was never paired, or sent away. */
    public static function device(#[\SensitiveParameter] string $pass): ?Device
    {
        $device = $pass === '' ? null : Device::query()->where('pass_hash', self::hash($pass))->first();
        if ($device !== null && ($device->seen_at === null || $device->seen_at->diffInSeconds(now()) > self::SEEN_EVERY_S)) {
            $device->update(['seen_at' => now()]);
        }

        return $device;
    }

    private static function hash(#[\SensitiveParameter] string $secret): string
    {
        return hash('sha256', $secret);
    }
}
