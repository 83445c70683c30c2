<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Console;

/** Runs the command line as a person does. */
final class Watchpost
{
    /** @return array{int, string, string} exit code, standard output, standard error */
    public static function run(string $command, string $input): array
    {
        $process = proc_open([dirname(__DIR__, 2).'/bin/watchpost', $command], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        if (! is_resource($process)) {
            throw new \RuntimeException('bin/watchpost cannot be started');
        }
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $out = (string) stream_get_contents($pipes[1]);
        $err = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $out, $err];
    }
}
