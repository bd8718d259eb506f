<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Hand\Profile;
use App\Models\Figure;
use App\Models\FigureSet;
use App\Models\Picture;
use App\Models\Wool;
use App\Stash\Stash;
use App\Store\Transaction;
use Illuminate\Database\Seeder;
use Impa\Figure\Figure as FigureDocument;
use Impa\Sets\Colourways;
use Impa\Stash\Supply\Reserve;

/** The demo: four made-up figures in the round, a mask in layers, a small stash, and what their felter weighed and timed. Lays out only what is not there. */
final class DemoSeeder extends Seeder
{
    private const FIGURES = ['dusk', 'wick', 'lanto', 'sorrel', 'bobbin'];

    public function run(): void
    {
        // Where felters have accounts, nobody's would it be.
        if (config()->boolean('impa.accounts') || Figure::withTrashed()->where('is_demo', true)->exists()) {
            return;
        }
        Transaction::together($this->lay(...));
    }

    private function lay(): void
    {
        $figures = [];
        foreach (self::FIGURES as $name) {
            $file = base_path("demo/{$name}.png");
            $picture = is_file($file) ? Picture::keep((string) file_get_contents($file)) : null;
            $document = FigureDocument::fromJson((string) file_get_contents(base_path("demo/{$name}.impa.json")));
            $figure = Figure::lay($document, Profile::summary($document), $picture?->id, isDemo: true);
            $figures[$name] = $figure;
            if ($name === 'bobbin') {
                foreach (['portion', 'core:head', 'core:body'] as $step) {
                    $figure->marks()->create(['step' => $step, 'created_at' => now()]);
                }
            }
        }
        /** @var list<array<string, mixed>> $stash */
        $stash = json_decode((string) file_get_contents(base_path('demo/stash.json')), true);
        foreach ($stash as $wool) {
            Wool::query()->create($wool + ['is_demo' => true]);
        }
        DemoRecords::lay(collect($figures));
        self::choir($figures['bobbin']);
        // Bobbin is in work: its wool is set aside.
        foreach (Figure::query()->where('is_demo', true)->where('name', 'like', 'Bobbin%')->get() as $figure) {
            Stash::setAside($figure, Reserve::Usual);
        }
    }

    /** Seven of Bobbin round the circle of hues. */
    private static function choir(Figure $figure): void
    {
        $document = FigureDocument::fromJson($figure->document);
        $members = [];
        foreach (Colourways::turned($document, [$document->parts['head']->colour], 7) as $i => $way) {
            $members[] = ['figure' => $figure->id, 'name' => 'Voice '.($i + 1), 'count' => 1, 'colours' => $way];
        }
        FigureSet::query()->create(['name' => 'The night choir', 'members' => json_encode($members), 'is_demo' => true]);
    }
}
