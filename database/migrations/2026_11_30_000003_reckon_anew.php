<?php

declare(strict_types=1);

use App\Accounts\Whose;
use App\Models\Felter;
use App\Models\Figure;
use Illuminate\Database\Migrations\Migration;
use Impa\Figure\FigureRefused;

return new class extends Migration
{
    public function up(): void
    {
        // What the shelf shows is reckoned by the rules of today, once, whatever older rules it was saved by.
        Whose::being(Felter::OF_THIS_MACHINE, static function (): void {
            foreach (Figure::withTrashed()->lazyById() as $figure) {
                try {
                    $figure->reckonAnew();
                } catch (FigureRefused) {
                    // What can no longer be read keeps its numbers; it is told when it is opened.
                }
            }
        });
    }
};
