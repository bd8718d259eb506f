<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Several figures of the shelf planned as one; a member says which, how many, in what colours and how high.
        Schema::create('figure_sets', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->longText('members');
            $table->integer('revision')->default(1);
            $table->boolean('is_demo')->default(false);
            $table->timestamps();
        });
    }
};
