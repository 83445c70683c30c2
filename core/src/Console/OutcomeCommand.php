<?php

declare(strict_types=1);

namespace Watchpost\Core\Console;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;

/** `watchpost outcome`: the JSON of rules.md in, the outcome as JSON out. */
final class OutcomeCommand
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
            $request = OutcomeReader::read(Node::parse((string) stream_get_contents($in)));
        } catch (InvalidInput $fault) {
            fwrite($err, self::json(['error' => ['path' => $fault->path, 'message' => $fault->getMessage()]]));

            return self::BAD_INPUT;
        }
        fwrite($out, self::json($request->answer(new OutcomeEngine())->toArray()));

        return 0;
    }

    /** @param array<string, mixed> $data */
    private static function json(array $data): string
    {
        return json_encode($data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
    }
}
