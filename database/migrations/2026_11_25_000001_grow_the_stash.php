<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('wools', function (Blueprint $table): void {
            $table->float('micron')->nullable();
            $table->float('g_per_m')->nullable();
            $table->float('price')->nullable();
            $table->float('pack_g')->nullable();
            $table->string('maker', 200)->default('');
            $table->softDeletes();
            $table->index('name');
        });

        // What a figure has set aside of a wool.
        Schema::create('set_asides', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('figure_id')->constrained()->cascadeOnDelete();
            $table->foreignId('wool_id')->constrained('wools')->cascadeOnDelete();
            $table->float('grams');
            $table->unique(['figure_id', 'wool_id']);
        });

        // What a finished figure took, beside what was planned.
        Schema::create('wool_uses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('figure_id')->constrained()->cascadeOnDelete();
            $table->foreignId('wool_id')->constrained('wools')->cascadeOnDelete();
            $table->float('planned_g');
            $table->float('used_g');
            $table->timestamp('created_at');
            $table->unique(['figure_id', 'wool_id']);
        });

        Schema::create('weighings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('wool_id')->constrained('wools')->cascadeOnDelete();
            $table->float('grams');
            $table->timestamp('created_at');
        });

        // What the felter's own mixes became.
        Schema::create('swatches', function (Blueprint $table): void {
            $table->id();
            $table->json('shares');
            $table->string('hex', 7);
            $table->timestamp('created_at');
        });
    }
};
