<?php

declare(strict_types=1);

namespace Watchpost\Core\Console;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Verification\BarFile;
use Watchpost\Core\Verification\Finding;
use Watchpost\Core\Verification\Verifier;

/** `watchpost verify edition.json --bars bars.csv`: recomputes an edition's seal, chain and outcomes, and says where they differ. */
final class VerifyCommand
{
    private const DIFFERS = 1;
    private const BAD_INPUT = 2;

    /**
     * @param list<string> $arguments after the name of the command
     * @param resource     $out
     * @param resource     $err
     *
     * @return int the exit code: 0 when all is as claimed, 1 when something differs, 2 when a file cannot be read
     */
    public function run(array $arguments, $out, $err): int
    {
        try {
            [$edition, $bars, $previous] = self::files($arguments);
            $stream = self::open($bars, 'bars');
            $findings = (new Verifier())->verify(self::json($edition, 'edition'), BarFile::read($stream), $previous === null ? null : self::json($previous, 'previous'));
        } catch (InvalidInput $fault) {
            fwrite($err, json_encode(['error' => ['path' => $fault->path, 'message' => $fault->getMessage()]], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES)."\n");

            return self::BAD_INPUT;
        }
        $differing = array_filter($findings, static fn (Finding $finding): bool => ! $finding->isAsClaimed);
        foreach ($findings as $finding) {
            fwrite($out, $finding->line()."\n");
        }
        fwrite($out, $differing === [] ? "All of it is as claimed.\n" : count($differing).' of '.count($findings)." differ from what is claimed.\n");

        return $differing === [] ? 0 : self::DIFFERS;
    }

    /**
     * @param list<string> $arguments
     *
     * @return array{string, string, string|null} the edition, its bars, the edition before
     *
     * @throws InvalidInput
     */
    private static function files(array $arguments): array
    {
        $edition = $bars = $previous = null;
        while ($arguments !== []) {
            $argument = array_shift($arguments);
            match (true) {
                $argument === '--bars' => $bars = array_shift($arguments),
                $argument === '--previous' => $previous = array_shift($arguments),
                $edition === null && ! str_starts_with($argument, '--') => $edition = $argument,
                default => throw new InvalidInput('arguments', "\"{$argument}\" is not known"),
            };
        }
        if ($edition === null || $bars === null) {
            throw new InvalidInput('arguments', 'name the edition, and its bars after --bars');
        }

        return [$edition, $bars, $previous];
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private static function json(string $file, string $path): array
    {
        $decoded = json_decode((string) stream_get_contents(self::open($file, $path)), true, 64);
        if (! is_array($decoded) || ($decoded !== [] && array_is_list($decoded))) {
            throw new InvalidInput($path, "{$file} is not valid JSON, or holds no object");
        }

        /** @var array<string, mixed> */
        return $decoded;
    }

    /**
     * @return resource
     *
     * @throws InvalidInput
     */
    private static function open(string $file, string $path)
    {
        $stream = is_file($file) ? fopen($file, 'r') : false;

        return $stream === false ? throw new InvalidInput($path, "{$file} cannot be read") : $stream;
    }
}
