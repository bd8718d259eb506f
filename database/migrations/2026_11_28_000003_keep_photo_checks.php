<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Photos of a figure as it gets on, each with what was found on it then.
        Schema::create('photo_checks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('figure_id')->constrained()->cascadeOnDelete();
            $table->foreignId('picture_id')->constrained()->cascadeOnDelete();
            $table->string('view', 20);
            $table->longText('found');
            $table->bigInteger('at');
            $table->index(['figure_id', 'at']);
        });
    }
};
