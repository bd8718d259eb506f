<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Impa\Figure\Document\Fault;
use Impa\Figure\Document\FigureRefused;
use Impa\Figure\Figure;
use Impa\Voice\Message;

/** What the console commands share: files in, files out, and refusals one line each on standard error, exit 2. */
trait ReadsFiles
{
    private function word(mixed $given): string
    {
        return is_string($given) ? $given : '';
    }

    /** The file's bytes; null, and told, where it cannot be read. */
    private function bytes(string $path): ?string
    {
        $bytes = is_file($path) && is_readable($path) ? file_get_contents($path) : false;
        if ($bytes === false) {
            $this->refuse([Message::of('console.not-read', file: $path)]);

            return null;
        }

        return $bytes;
    }

    /** The figure in a file; null, and every fault told, where it has faults. */
    private function figure(string $path): ?Figure
    {
        $bytes = $this->bytes($path);
        if ($bytes === null) {
            return null;
        }
        try {
            return Figure::fromJson($bytes);
        } catch (FigureRefused $refused) {
            $this->refuse(array_map(static fn (Fault $f): string => $f->line(), $refused->faults));

            return null;
        }
    }

    /** Writes to the file, or to standard output where none is named. */
    private function give(string $bytes, mixed $out): int
    {
        if (! is_string($out) || $out === '') {
            $this->output->write($bytes, false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);

            return 0;
        }
        if (! is_dir(dirname($out)) || @file_put_contents($out, $bytes) === false) {
            return $this->refuse([Message::of('console.not-written', file: $out)]);
        }

        return 0;
    }

    /** @param  list<string|Message>  $lines */
    private function refuse(array $lines): int
    {
        foreach ($lines as $line) {
            $this->tell((string) $line);
        }

        return 2;
    }

    private function tell(string $line): void
    {
        $this->output->getErrorStyle()->writeln($line, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
    }
}
