<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('pictures', function (Blueprint $table): void {
            $table->id();
            $table->string('hash', 64)->unique();
            $table->string('media_type', 40);
            $table->unsignedInteger('width_px');
            $table->unsignedInteger('height_px');
            $table->timestamps();
        });

        Schema::create('figures', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->longText('document');
            $table->unsignedInteger('revision')->default(1);
            $table->string('owner', 64)->nullable()->index();
            $table->boolean('is_demo')->default(false);
            $table->foreignId('picture_id')->nullable()->constrained()->nullOnDelete();
            // What a card on the shelf shows, reckoned by core when the document was saved.
            $table->float('total_g');
            $table->float('hands_minutes');
            $table->unsignedInteger('steps');
            $table->timestamps();
            $table->softDeletes();
            $table->index(['deleted_at', 'updated_at']);
        });

        Schema::create('figure_revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('figure_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('revision');
            $table->longText('document');
            $table->timestamp('created_at');
            $table->unique(['figure_id', 'revision']);
        });

        Schema::create('step_marks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('figure_id')->constrained()->cascadeOnDelete();
            $table->string('step', 160);
            $table->timestamp('created_at');
            $table->unique(['figure_id', 'step']);
        });

        Schema::create('wools', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('hex', 7)->nullable();
            $table->string('material', 20)->default('wool');
            $table->string('preparation', 40);
            $table->float('grams_left');
            $table->boolean('is_demo')->default(false);
            $table->timestamps();
        });
    }
};
