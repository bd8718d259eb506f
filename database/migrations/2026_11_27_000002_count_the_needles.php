<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A box: so many of each gauge and kind. Those that were only known to be there are one each.
        Schema::table('needles', function (Blueprint $table): void {
            $table->dropUnique(['gauge']);
            $table->string('kind', 20)->default('triangle');
            $table->unsignedSmallInteger('left')->default(1);
            $table->unique(['gauge', 'kind']);
        });
    }
};
