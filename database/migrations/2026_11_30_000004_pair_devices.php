<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Tablets beside the mat: what each shows as its pass is kept by its hash alone.
        Schema::create('devices', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('felter_id')->index();
            $table->string('name', 60);
            $table->string('pass_hash', 64)->unique();
            $table->timestamp('paired_at');
            $table->timestamp('seen_at')->nullable();
        });

        // The one code by which a device may be paired now, and how often it was tried wrongly.
        Schema::create('pairing_codes', function (Blueprint $table): void {
            $table->unsignedBigInteger('felter_id')->primary();
            $table->string('code_hash', 64);
            $table->unsignedInteger('wrong')->default(0);
            $table->timestamp('ends_at');
        });

        // Where the felter was last, so that another device goes on there.
        Schema::table('felters', function (Blueprint $table): void {
            $table->string('place', 200)->default('');
        });
    }
};
