<?php

declare(strict_types=1);

namespace App\Console\Commands\Check;

use App\Console\Commands\ReadsFiles;
use Illuminate\Console\Command;
use Impa\Hand\Hand;
use Impa\Hand\HandRefused;
use Impa\Hand\HandSheet;
use Impa\Hand\RecordsTable;
use Impa\Material\Firmness;
use Impa\Material\Preparation;
use Impa\Voice\Message;

final class HandCommand extends Command
{
    use ReadsFiles;

    protected $signature = 'impa:hand
        {records : a CSV file: preparation, firmness, cm3, grams, minutes}
        {--preparation= : of the next piece, where not as in the last line}
        {--firmness= : of the next piece, where not as in the last line}
        {--cm3= : of the next piece, where not as in the last line}';

    protected $description = 'What finished pieces teach of a hand, and what the next one will weigh';

    public function handle(): int
    {
        $path = $this->word($this->argument('records'));
        $bytes = $this->bytes($path);
        if ($bytes === null) {
            return 2;
        }
        try {
            $table = RecordsTable::read($bytes);
        } catch (HandRefused $refused) {
            return $this->refuse([$path.': '.$refused->getMessage()]);
        }
        foreach ($table->refused as $bad) {
            $this->tell(sprintf('%s: line %d, %s', $path, $bad['line'], $bad['why']));
        }
        $said = fn (string $option, string $usual): string => $this->word($this->option($option)) ?: $usual;
        $preparation = Preparation::tryFrom($said('preparation', $table->last['preparation']->value));
        $firmness = Firmness::tryFrom($said('firmness', $table->last['firmness']->value));
        $cm3 = $said('cm3', (string) $table->last['cm3']);
        if ($preparation === null) {
            return $this->refuse(['--preparation: '.implode(', ', array_column(Preparation::cases(), 'value')).'.']);
        }
        if ($firmness === null) {
            return $this->refuse(['--firmness: '.implode(', ', array_column(Firmness::cases(), 'value')).'.']);
        }
        if (! is_numeric($cm3) || (float) $cm3 <= 0.0 || (float) $cm3 > 100_000.0) {
            return $this->refuse([Message::of('console.cm3')]);
        }
        $sheet = HandSheet::of(Hand::of($table->observations), $preparation, $firmness, (float) $cm3);

        return $this->give(json_encode($sheet, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n", null);
    }
}
