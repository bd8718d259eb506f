<?php

declare(strict_types=1);

namespace App\Sharing;

use Illuminate\Http\Request;

/** The way in from the same network: bin/share.mjs ends TLS, and says of each request that it came through it. */
final class Share
{
    /** Set by the way in and by nobody else: it takes away what a device sends under this name. */
    private const HEADER = 'X-Impa-Through';

    public static function through(Request $request): bool
    {
        return $request->headers->has(self::HEADER);
    }

    /** Where devices find it, as https://192.168.1.5:8766; empty where nothing is shared. */
    public static function address(): string
    {
        return config()->string('impa.share');
    }

    /** @return list<string> names under which it is asked from outside, without the port */
    public static function hosts(): array
    {
        return array_values(array_filter(explode(',', config()->string('impa.share_hosts'))));
    }

    /** SHA-256 of the certificate, as browsers show it; empty where there is none. */
    public static function fingerprint(): string
    {
        $pem = @file_get_contents(Certificate::path('certificate.pem'));
        $hash = $pem === false ? false : openssl_x509_fingerprint($pem, 'sha256');

        return $hash === false ? '' : strtoupper(implode(':', str_split($hash, 2)));
    }
}
