<?php

declare(strict_types=1);

namespace App\Console\Commands\Sets;

use App\Console\Commands\ReadsFiles;
use App\Console\Commands\Wool\ReadsStash;
use Illuminate\Console\Command;
use Impa\Figure\Document\Fault;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Editing\EditRefused;
use Impa\Sets\FigureSet;
use Impa\Sets\SetPlan;
use Impa\Sets\SetRefused;
use Impa\Stash\Supply\Reserve;
use Impa\Voice\Message;

final class SetCommand extends Command
{
    use ReadsFiles;
    use ReadsStash;

    protected $signature = 'impa:set
        {set : an impa-set file}
        {--stash= : the stash as CSV; without it, nothing is at hand}
        {--reserve=usual : again, usual or never: how bad it is to run out}
        {--out= : the file to write; standard output without it}';

    protected $description = 'Several figures planned as one: one ledger, what the stash is enough for, like pieces together';

    public function handle(): int
    {
        $path = $this->word($this->argument('set'));
        $bytes = $this->bytes($path);
        $stashPath = $this->word($this->option('stash'));
        $stash = $stashPath === '' ? [] : $this->stash($stashPath);
        if ($bytes === null || $stash === null) {
            return 2;
        }
        $reserve = Reserve::tryFrom($this->word($this->option('reserve')));
        if ($reserve === null) {
            return $this->refuse([Message::of('console.reserve')]);
        }
        try {
            $plan = SetPlan::of(FigureSet::fromJson($bytes), $stash, [], $reserve);
        } catch (FigureRefused $refused) {
            return $this->refuse(array_map(static fn (Fault $f): string => $path.': '.$f->line(), $refused->faults));
        } catch (SetRefused|EditRefused $refused) {
            return $this->refuse([$path.': '.$refused->getMessage()]);
        }
        $json = json_encode($plan->document(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE);

        return $this->give($json."\n", $this->option('out'));
    }
}
