<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Stretches of work, in milliseconds since 1970; of one figure none lies over another.
        Schema::create('bouts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('figure_id')->constrained()->cascadeOnDelete();
            $table->string('step', 160);
            $table->bigInteger('begun_at');
            $table->bigInteger('ended_at');
            $table->index(['figure_id', 'begun_at']);
        });

        // What was noted beside the work; the device names each by itself, so that none is kept twice.
        Schema::create('log_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('figure_id')->constrained()->cascadeOnDelete();
            $table->string('uuid', 64);
            $table->string('kind', 20);
            $table->string('step', 160)->default('');
            $table->text('text')->default('');
            $table->float('grams')->nullable();
            $table->unsignedSmallInteger('gauge')->nullable();
            $table->bigInteger('at');
            $table->unique(['figure_id', 'uuid']);
        });

        Schema::table('figures', function (Blueprint $table): void {
            // The step that lies open, on whatever device: empty for the next one.
            $table->string('present_step', 160)->default('');
        });
    }
};
