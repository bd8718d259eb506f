<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('figures', function (Blueprint $table): void {
            // Version of the reckoning that the numbers of the shelf are by; 0: not known.
            $table->integer('reckoning')->default(0);
        });
    }
};
