<?php

declare(strict_types=1);

namespace App\Console\Commands\Wool;

use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Figure\Colour;
use Impa\Stash\Supply\Reserve;
use Impa\Stash\Supply\Supply;
use Impa\Voice\Amount;
use Impa\Voice\Message;
use Impa\Wool\Mix;
use Impa\Wool\Portion\PortionWords;

final class WoolCommand extends Command
{
    use ReadsFiles;
    use ReadsStash;

    protected $signature = 'impa:wool
        {figure : an impa-figure file}
        {--stash= : the stash as CSV; without it, nothing is at hand}
        {--reserve=usual : again, usual or never: how bad it is to run out}
        {--json : everything, as the Wool station gets it}
        {--out= : the file to write; standard output without it}';

    protected $description = 'What a figure takes, against a stash: what to weigh, how to divide it, what is lacking';

    public function handle(): int
    {
        $figure = $this->figure($this->word($this->argument('figure')));
        $path = $this->word($this->option('stash'));
        $stash = $path === '' ? [] : $this->stash($path);
        if ($figure === null || $stash === null) {
            return 2;
        }
        $reserve = Reserve::tryFrom($this->word($this->option('reserve')));
        if ($reserve === null) {
            return $this->refuse([Message::of('console.reserve')]);
        }
        $supply = Supply::of($figure, $stash, [], $reserve);
        if ($this->option('json') === true) {
            return $this->give(
                json_encode(
                    $supply->document(),
                    JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                )."\n",
                $this->option('out'),
            );
        }
        $lines = array_map(static fn (Mix $mix): string => (string) $mix->text(), $supply->mixes());
        foreach ($supply->portions() as $portion) {
            $lines[] = sprintf('%s: %s', $figure->parts[$portion->line->for->part]->name, PortionWords::of($portion, $figure));
        }
        $names = array_map(static fn (Colour $c): string => $c->name, $figure->colours);
        foreach ($supply->needs as $need) {
            $lines[] = (string) Message::of(
                'console.need',
                wool: $need->name($names),
                likely: Amount::g($need->spread->likelyG),
                low: Amount::g($need->spread->lowG),
                high: Amount::g($need->spread->highG),
                free: $need->lackG() > 0.0
                    ? Message::of('console.lacking', weight: Amount::g($need->lackG()))
                    : Message::of('console.free', weight: Amount::g($need->wool->freeG ?? 0.0)),
            );
        }

        return $this->give(implode("\n", $lines)."\n", $this->option('out'));
    }
}
