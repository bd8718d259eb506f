<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

return new class extends Migration
{
    /** What was somebody's when this was written; tables that came later say so by themselves. */
    private const THEIRS = [
        'pictures', 'figures', 'figure_revisions', 'step_marks', 'wools', 'set_asides', 'wool_uses', 'weighings', 'swatches',
        'needles', 'bouts', 'log_entries', 'finished_parts', 'finished_steps', 'hand_marks', 'photo_checks', 'figure_sets', 'set_wools',
    ];

    public function up(): void
    {
        Schema::create('felters', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('email', 254)->nullable()->unique();
            $table->string('password')->nullable();
            $table->rememberToken();
            $table->timestamps();
        });
        // Whoever sits at the machine has the first number.
        DB::table('felters')->insert(['name' => 'This machine', 'created_at' => now(), 'updated_at' => now()]);

        // What was taken out of what is learned had the record's name for its key; two felters may have the same.
        Schema::rename('hand_marks', 'hand_marks_before');
        Schema::create('hand_marks', function (Blueprint $table): void {
            $table->id();
            $table->string('record', 200);
            $table->bigInteger('at');
        });
        DB::table('hand_marks')->insertUsing(['record', 'at'], DB::table('hand_marks_before')->select('record', 'at'));
        Schema::drop('hand_marks_before');

        foreach (self::THEIRS as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->unsignedBigInteger('felter_id')->default(0)->index();
            });
            // What there is up to now is theirs who sits at the machine. What does not say whose it is is nobody's from now on.
            DB::table($name)->update(['felter_id' => 1]);
        }
        // The old column was never used.
        Schema::table('figures', function (Blueprint $table): void {
            $table->dropIndex(['owner']);
            $table->dropColumn('owner');
            $table->index(['felter_id', 'deleted_at', 'updated_at']);
        });
        Schema::table('pictures', function (Blueprint $table): void {
            $table->dropUnique(['hash']);
            $table->unique(['felter_id', 'hash']);
            $table->unsignedBigInteger('bytes')->default(0);
        });
        Schema::table('needles', function (Blueprint $table): void {
            $table->dropUnique(['gauge', 'kind']);
            $table->unique(['felter_id', 'gauge', 'kind']);
        });
        Schema::table('finished_parts', function (Blueprint $table): void {
            $table->dropUnique(['uuid']);
            $table->unique(['felter_id', 'uuid']);
        });
        Schema::table('hand_marks', function (Blueprint $table): void {
            $table->unique(['felter_id', 'record']);
        });

        foreach (DB::table('pictures')->orderBy('id')->pluck('hash', 'id') as $id => $hash) {
            $bytes = is_string($hash) && Storage::disk('pictures')->exists($hash) ? Storage::disk('pictures')->size($hash) : 0;
            DB::table('pictures')->where('id', $id)->update(['bytes' => $bytes]);
        }

        // By what it is known in other stores, wherever it is carried.
        foreach (['figures', 'wools', 'figure_sets'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->uuid('uuid')->nullable();
            });
            foreach (DB::table($name)->orderBy('id')->pluck('id') as $id) {
                DB::table($name)->where('id', $id)->update(['uuid' => (string) Str::uuid()]);
            }
            Schema::table($name, function (Blueprint $table): void {
                $table->unique(['felter_id', 'uuid']);
            });
        }
    }
};
