<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Contracts\Console\Kernel;
use Symfony\Component\Console\Input\ArgvInput;
use Symfony\Component\Console\Output\ConsoleOutput;
use Symfony\Component\Console\Output\StreamOutput;
use Symfony\Component\Process\Process;

/** A command as somebody types it: what it answers, what it says on standard output and on standard error. */
final class Console
{
    /**
     * In this process, which is quicker by far; as the real one but for the start of PHP.
     *
     * @return array{int, string, string} exit, standard output, standard error
     */
    public static function run(string ...$words): array
    {
        [$out, $err] = [self::memory(), self::memory()];
        $console = new class($out, $err) extends ConsoleOutput
        {
            public function __construct(StreamOutput $out, StreamOutput $err)
            {
                parent::__construct();
                $this->setErrorOutput($err);
                (fn () => $this->stream = $out->getStream())->bindTo($this, StreamOutput::class)();
            }
        };
        $exit = app(Kernel::class)->handle(new ArgvInput(['artisan', ...$words]), $console);

        return [$exit, self::said($out), self::said($err)];
    }

    /**
     * The real command in a process of its own.
     *
     * @return array{int, string, string} exit, standard output, standard error
     */
    public static function process(string ...$words): array
    {
        $process = new Process([PHP_BINARY, 'artisan', ...$words], base_path());
        $process->run();

        return [(int) $process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
    }

    private static function memory(): StreamOutput
    {
        $stream = fopen('php://memory', 'w+b');
        assert($stream !== false);

        return new StreamOutput($stream, decorated: false);
    }

    private static function said(StreamOutput $output): string
    {
        rewind($output->getStream());

        return (string) stream_get_contents($output->getStream());
    }
}
