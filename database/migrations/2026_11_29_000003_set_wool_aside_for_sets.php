<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What a set of figures has set aside of a wool.
        Schema::create('set_wools', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('figure_set_id')->constrained()->cascadeOnDelete();
            $table->foreignId('wool_id')->constrained('wools')->cascadeOnDelete();
            $table->float('grams');
            $table->unique(['figure_set_id', 'wool_id']);
        });
    }
};
