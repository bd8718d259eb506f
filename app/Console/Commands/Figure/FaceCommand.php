<?php

declare(strict_types=1);

namespace App\Console\Commands\Figure;

use App\Console\Commands\ReadsFiles;
use App\Printing\PagesPdf;
use Illuminate\Console\Command;
use Impa\Build\Steps\Steps;
use Impa\Face\Advice\Evenness;
use Impa\Face\Advice\FaceAdvice;
use Impa\Face\Advice\Mend;
use Impa\Face\Laying;
use Impa\Face\LayingOrder;
use Impa\Face\Needles;
use Impa\Figure\Figure;
use Impa\Figure\Part;
use Impa\Print\Page\Page;
use Impa\Print\Page\Paper;
use Impa\Print\Template\FaceTemplates;
use Impa\Surface\Surface;
use Impa\Voice\Listed;
use Impa\Voice\Message;
use Impa\Voice\Name;

final class FaceCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:face
        {figure : an impa-figure file}
        {--part= : key of the part; the one with the face where it is not said}
        {--out= : a file for the templates, .pdf or .svg; without it the marks are told}
        {--paper=a4 : a4 or letter}
        {--needles=36,38,40,42 : gauges at hand}';

    protected $description = 'The face of one part: where to prick and how to lay every detail, or its templates at true size';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        if ($figure === null) {
            return 2;
        }
        $key = $this->word($this->option('part'));
        $key = $key === '' ? Steps::facePart($figure) : $key;
        $part = $figure->parts[$key] ?? null;
        $paper = Paper::tryFrom(strtolower($this->word($this->option('paper'))));
        $out = $this->word($this->option('out'));
        if ($part === null || $paper === null) {
            return $this->refuse([
                $part === null ? Message::of('console.no-part', part: $key) : Message::of('console.paper'),
            ]);
        }

        return match ($out === '' ? '' : strtolower(pathinfo($out, PATHINFO_EXTENSION))) {
            '' => $this->read($figure, $part),
            'pdf' => $this->give(PagesPdf::of(FaceTemplates::of($figure, $part)->pages($paper), $paper), $out),
            'svg' => $this->give(Page::below(FaceTemplates::of($figure, $part)->pages($paper), $paper), $out),
            default => $this->refuse([Message::of('console.out.pages')]),
        };
    }

    private function read(Figure $figure, Part $part): int
    {
        $needles = Needles::of(array_map(intval(...), explode(',', $this->word($this->option('needles')))));
        $advice = FaceAdvice::of($figure, $part->key, $needles, Evenness::of($figure, $part->key));
        $details = LayingOrder::of($figure, $figure->detailsOn($part->key));
        if ($details === []) {
            $this->line((string) Message::of('console.bare', part: new Name($part->name)));
        }
        foreach ($details as $i => $detail) {
            $laying = Laying::of($figure, $detail, Surface::of($part->placements()[0], $detail->lie->side), $needles);
            $this->line(sprintf('%d. %s%s', $i + 1, $detail->name, $laying->wool() === null ? '' : ': '.$laying->wool()));
            foreach ($laying->marks as $mark) {
                $this->line('   '.$mark);
            }
            foreach ($advice[$detail->key] ?? [] as $one) {
                $this->line(
                    sprintf(
                        '   ! %s%s',
                        $one->why,
                        $one->mends === []
                            ? ''
                            : ': '.new Listed(array_map(static fn (Mend $m): Message => $m->text, $one->mends), 'or'),
                    ),
                );
            }
        }

        return 0;
    }
}
