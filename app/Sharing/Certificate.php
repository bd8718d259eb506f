<?php

declare(strict_types=1);

namespace App\Sharing;

use OpenSSLAsymmetricKey;
use OpenSSLCertificate;
use OpenSSLCertificateSigningRequest;
use RuntimeException;

/**
 * A certificate for this machine's own addresses, by an authority of its own that a tablet may be told to trust. The authority can vouch
 * for nothing but private addresses (RFC 1918, loopback, link-local) and names under .local: whoever steals its key cannot pass for a page
 * of the world (RFC 5280, 4.2.1.10 name constraints).
 */
final class Certificate
{
    /** Browsers take none that holds longer (CA/Browser Forum baseline, from memory). */
    private const DAYS = 397;

    private const AUTHORITY_DAYS = 3650;

    /** It is made anew so many days before it ends. */
    private const EARLY_DAYS = 30;

    public static function path(string $file): string
    {
        return storage_path('share/'.$file);
    }

    /**
     * The certificate for these addresses, made anew where it is for others, or ends soon.
     *
     * @param  list<string>  $hosts  addresses and names
     *
     * @throws RuntimeException if it cannot be made or written
     */
    public static function for(array $hosts): void
    {
        if (self::fits($hosts)) {
            return;
        }
        if (! is_dir(self::path('')) && ! mkdir(self::path(''), 0700, true)) {
            throw new RuntimeException('The folder storage/share cannot be made.');
        }
        [$authority, $authorityKey] = self::authority();
        $names = array_map(static fn (string $h): string => (filter_var($h, FILTER_VALIDATE_IP) !== false ? 'IP:' : 'DNS:').$h, $hosts);
        $key = self::key();
        $certificate = self::signed('Impa on this machine', $key, $authority, $authorityKey, self::DAYS, <<<CONF
            basicConstraints = critical, CA:FALSE
            keyUsage = critical, digitalSignature
            extendedKeyUsage = serverAuth
            subjectAltName = {$names[0]}
            CONF, implode(', ', $names));
        self::write('certificate.pem', self::pem($certificate).self::pem($authority));
        self::writeKey('key.pem', $key);
    }

    /** @return array{OpenSSLCertificate, OpenSSLAsymmetricKey} */
    private static function authority(): array
    {
        $pem = @file_get_contents(self::path('authority.pem'));
        $keyPem = @file_get_contents(self::path('authority-key.pem'));
        $found = $pem === false ? false : openssl_x509_read($pem);
        $foundKey = $keyPem === false ? false : openssl_pkey_get_private($keyPem);
        $ends = $found === false ? [] : openssl_x509_parse($found);
        if ($found !== false && $foundKey !== false && ($ends['validTo_time_t'] ?? 0) > time() + self::DAYS * 86_400) {
            return [$found, $foundKey];
        }
        $key = self::key();
        $certificate = self::signed('Impa, own authority', $key, null, $key, self::AUTHORITY_DAYS, <<<'CONF'
            basicConstraints = critical, CA:TRUE, pathlen:0
            keyUsage = critical, keyCertSign
            subjectKeyIdentifier = hash
            nameConstraints = critical, @only
            [only]
            permitted;IP.0 = 10.0.0.0/255.0.0.0
            permitted;IP.1 = 172.16.0.0/255.240.0.0
            permitted;IP.2 = 192.168.0.0/255.255.0.0
            permitted;IP.3 = 169.254.0.0/255.255.0.0
            permitted;IP.4 = 127.0.0.0/255.0.0.0
            permitted;DNS.0 = .local
            permitted;DNS.1 = localhost
            CONF);
        self::write('authority.pem', self::pem($certificate));
        self::writeKey('authority-key.pem', $key);

        return [$certificate, $key];
    }

    /** @param  list<string>  $hosts */
    private static function fits(array $hosts): bool
    {
        $pem = @file_get_contents(self::path('certificate.pem'));
        $said = $pem === false ? false : openssl_x509_parse($pem);
        if ($said === false || ! is_file(self::path('key.pem')) || ! is_array($said['extensions'] ?? null)) {
            return false;
        }
        $names = is_string($said['extensions']['subjectAltName'] ?? null) ? $said['extensions']['subjectAltName'] : '';
        preg_match_all('/(?:IP Address|DNS):([^, ]+)/', $names, $found);

        return array_diff($hosts, $found[1]) === [] && $said['validTo_time_t'] > time() + self::EARLY_DAYS * 86_400;
    }

    private static function signed(
        string $name,
        OpenSSLAsymmetricKey $key,
        ?OpenSSLCertificate $by,
        OpenSSLAsymmetricKey $byKey,
        int $days,
        string $extensions,
        string $names = '',
    ): OpenSSLCertificate {
        $conf = tempnam(sys_get_temp_dir(), 'impa');
        if ($conf === false) {
            throw new RuntimeException('There is no room for a passing file.');
        }
        $extensions = (string) preg_replace('/^subjectAltName = .*$/m', 'subjectAltName = '.$names, $extensions);
        file_put_contents($conf, "[req]\ndistinguished_name = dn\n[dn]\n[own]\n{$extensions}\n");
        try {
            $options = ['config' => $conf, 'digest_alg' => 'sha256', 'x509_extensions' => 'own'];
            $request = openssl_csr_new(['commonName' => $name], $key, $options);
            $certificate = $request instanceof OpenSSLCertificateSigningRequest
                ? openssl_csr_sign($request, $by, $byKey, $days, $options, random_int(1, PHP_INT_MAX))
                : false;
        } finally {
            unlink($conf);
        }

        return $certificate === false ? throw new RuntimeException('A certificate cannot be made: '.openssl_error_string()) : $certificate;
    }

    private static function key(): OpenSSLAsymmetricKey
    {
        $key = openssl_pkey_new(['private_key_type' => OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1']);

        return $key === false ? throw new RuntimeException('A key cannot be made: '.openssl_error_string()) : $key;
    }

    private static function pem(OpenSSLCertificate $certificate): string
    {
        openssl_x509_export($certificate, $pem);

        return is_string($pem) ? $pem : throw new RuntimeException('A certificate cannot be written down.');
    }

    private static function writeKey(string $file, OpenSSLAsymmetricKey $key): void
    {
        openssl_pkey_export($key, $pem);
        self::write($file, is_string($pem) ? $pem : throw new RuntimeException('A key cannot be written down.'));
    }

    private static function write(string $file, string $pem): void
    {
        $before = umask(0077);
        $written = file_put_contents(self::path($file), $pem);
        umask($before);
        if ($written !== strlen($pem)) {
            throw new RuntimeException("storage/share/{$file} cannot be written.");
        }
    }
}
