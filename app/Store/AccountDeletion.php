<?php

declare(strict_types=1);

namespace App\Store;

use App\Accounts\CurrentFelter;
use App\Accounts\Passwords;
use App\Models\Felter;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** A felter leaves: every row and every picture of theirs goes, all at once. */
final class AccountDeletion
{
    public static function of(Felter $felter): void
    {
        $hashes = DB::table('pictures')->where('felter_id', $felter->id)->pluck('hash')->all();
        Transaction::together(static function () use ($felter): void {
            Passwords::signOutEverywhere($felter);
            // What refers to others goes before them.
            $others = ['shared_links', 'breakdowns', 'devices', 'pairing_codes', 'unreadable_records'];
            foreach (array_reverse([...CurrentFelter::TABLES, ...$others]) as $table) {
                DB::table($table)->where('felter_id', $felter->id)->delete();
            }
            DB::table('password_links')->where('email', $felter->email)->delete();
            if ($felter->id === Felter::OF_THIS_MACHINE) {
                $felter->forceFill(['name' => 'This machine', 'email' => null, 'password' => null])->save();
            } else {
                $felter->delete();
            }
        });
        foreach (array_filter($hashes, is_string(...)) as $hash) {
            if (DB::table('pictures')->where('hash', $hash)->doesntExist()) {
                Storage::disk('pictures')->delete($hash);
            }
        }
    }
}
