<?php

declare(strict_types=1);

use App\Models\Figure;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;
use Impa\Figure\FigureRefused;
use Impa\Hand\Hand;

return new class extends Migration
{
    public function up(): void
    {
        // What is known of the felter's hand is kept only later on.
        app()->instance(Hand::class, Hand::of([]));
        Schema::table('figures', function (Blueprint $table): void {
            // Which steps the plan has: a mark that is none of them counts for nothing on the shelf.
            $table->text('step_keys')->default('[]');
        });
        // The weight on the shelf was reckoned without what is laid on, wound round or cut out.
        foreach (Figure::withTrashed()->lazyById() as $figure) {
            try {
                $figure->reckonAnew();
            } catch (FigureRefused) {
                // What can no longer be read keeps its numbers; it is told when it is opened.
            }
        }
        app()->forgetInstance(Hand::class);
    }
};
