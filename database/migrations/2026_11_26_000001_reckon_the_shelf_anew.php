<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('figures', function (Blueprint $table): void {
            // Which steps the plan has: a mark that is none of them counts for nothing on the shelf.
            $table->text('step_keys')->default('[]');
        });
    }
};
