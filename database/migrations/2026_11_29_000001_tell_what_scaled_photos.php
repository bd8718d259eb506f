<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        // What was found on photos says what told its scale, not only whether something did; and left against right.
        foreach (DB::table('photo_checks')->orderBy('id')->cursor() as $row) {
            $found = json_decode((string) $row->found, true, flags: JSON_THROW_ON_ERROR);
            if (is_array($found) && isset($found['measured'])) {
                $found += ['scaledBy' => $found['measured'] === true ? 'sheet' : 'figure', 'symmetry' => []];
                unset($found['measured']);
                DB::table('photo_checks')->where('id', $row->id)->update(['found' => json_encode($found, JSON_THROW_ON_ERROR)]);
            }
        }
    }
};
