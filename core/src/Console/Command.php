<?php

declare(strict_types=1);

namespace Watchpost\Core\Console;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;

/** JSON in, JSON out: what the commands of `watchpost` have in common. */
abstract class Command
{
    private const BAD_INPUT = 2;

    /**
     * @param resource $in
     * @param resource $out
     * @param resource $err
     *
     * @return int the exit code: 0, or 2 on bad input with nothing written to $out
     */
    public function run($in, $out, $err): int
    {
        try {
            $answer = $this->answer(Node::parse((string) stream_get_contents($in)));
        } catch (InvalidInput $fault) {
            self::write($err, ['error' => ['path' => $fault->path, 'message' => $fault->getMessage()]]);

            return self::BAD_INPUT;
        }
        self::write($out, $answer);

        return 0;
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    abstract protected function answer(Node $input): array;

    /**
     * @param resource             $stream
     * @param array<string, mixed> $data
     */
    protected static function write($stream, array $data): void
    {
        fwrite($stream, json_encode($data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n");
    }
}
