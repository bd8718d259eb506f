<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // The worker that is at it, by its number on this machine: where it was killed, who waits is told.
        Schema::table('breakdowns', function (Blueprint $table): void {
            $table->unsignedInteger('worker_pid')->nullable();
        });
    }
};
