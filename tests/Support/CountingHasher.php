<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Support\Facades\Hash;

/** The real hasher, which tells how often it hashed: that is what takes time at the door. */
final class CountingHasher implements Hasher
{
    public int $hashed = 0;

    private function __construct(private readonly Hasher $real)
    {
    }

    public static function instead(): self
    {
        $counting = new self(Hash::driver());
        Hash::swap($counting);

        return $counting;
    }

    /** @return int how often it hashed while something was done */
    public function during(callable $do): int
    {
        $before = $this->hashed;
        $do();

        return $this->hashed - $before;
    }

    public function info($hashedValue): array
    {
        return $this->real->info($hashedValue);
    }

    public function make(#[\SensitiveParameter] $value, array $options = []): string
    {
        $this->hashed++;

        return $this->real->make($value, $options);
    }

    public function check(#[\SensitiveParameter] $value, $hashedValue, array $options = []): bool
    {
        $this->hashed++;

        return $this->real->check($value, $hashedValue, $options);
    }

    public function needsRehash($hashedValue, array $options = []): bool
    {
        return $this->real->needsRehash($hashedValue, $options);
    }

    public function isHashed(string $value): bool
    {
        return $this->info($value)['algoName'] !== 'unknown';
    }

    public function verifyConfiguration(string $value): bool
    {
        return true;
    }
}
