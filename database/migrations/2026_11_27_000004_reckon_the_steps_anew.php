<?php

declare(strict_types=1);

use App\Models\Figure;
use Illuminate\Database\Migrations\Migration;
use Impa\Figure\FigureRefused;
use Impa\Hand\Hand;

return new class extends Migration
{
    public function up(): void
    {
        // What is known of the felter's hand is kept only later on.
        app()->instance(Hand::class, Hand::of([]));
        // A figure has more steps than it had: those that were not known when it was saved could not be ticked.
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
