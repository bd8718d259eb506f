<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Records that the doctor could not read, as they stood: nothing is thrown away that somebody may still make sense of.
        Schema::create('unreadable_records', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('felter_id')->index();
            $table->string('table', 60);
            $table->longText('row');
            $table->timestamp('created_at');
        });
    }
};
