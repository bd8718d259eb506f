<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Pieces that were weighed and measured: parts of figures, practice pieces, figures made before.
        Schema::create('finished_parts', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid', 64)->unique();
            $table->foreignId('figure_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('part', 120)->default('');
            $table->boolean('is_twin')->default(false);
            $table->string('what', 200);
            $table->string('firmness', 20);
            $table->double('width_mm');
            $table->double('height_mm');
            $table->double('depth_mm');
            $table->double('cm3');
            $table->double('grams');
            // By the house's numbers at that size: it is learned from the difference; 0 where it teaches nothing.
            $table->double('house_g');
            $table->double('weighed_g')->nullable();
            $table->double('minutes')->nullable();
            $table->double('house_minutes')->nullable();
            $table->bigInteger('at');
            $table->index(['figure_id', 'part']);
        });

        // Steps that are done, by the clock and by the house's numbers.
        Schema::create('finished_steps', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('figure_id')->constrained()->cascadeOnDelete();
            $table->string('step', 160);
            $table->string('kind', 20);
            $table->string('what', 200);
            $table->double('minutes');
            $table->double('house_minutes');
            $table->bigInteger('at');
            $table->unique(['figure_id', 'step']);
        });

        // What the felter took out of what is learned, by the record's own name; "since" holds when she started over.
        Schema::create('hand_marks', function (Blueprint $table): void {
            $table->string('record', 200)->primary();
            $table->bigInteger('at');
        });
    }
};
