<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('log_entries', function (Blueprint $table): void {
            // Out of which of the box a broken needle was taken, so that it goes back there where it did not break after all.
            $table->string('needle', 20)->nullable();
        });
    }
};
