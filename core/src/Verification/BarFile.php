<?php

declare(strict_types=1);

namespace Watchpost\Core\Verification;

use Watchpost\Core\InvalidInput;

/** Bars of several symbols in one CSV file, as an edition's bars are downloaded. */
final readonly class BarFile
{
    public const COLUMNS = ['symbol', 'start', 'session', 'open', 'high', 'low', 'close', 'volume'];

    /** @param array<string, list<array{string, string, string, string, string, string, int}>> $bySymbol rows in the form of rules.md */
    private function __construct(private array $bySymbol)
    {
    }

    /**
     * @param resource $stream
     *
     * @throws InvalidInput with the path bars.N, N the line of the file
     */
    public static function read($stream): self
    {
        $rows = [];
        $line = 0;
        while (($cells = fgetcsv($stream, null, ',', '"', '')) !== false) {
            ++$line;
            if ($line === 1) {
                if ($cells !== self::COLUMNS) {
                    throw new InvalidInput('bars.1', 'the columns must be '.implode(',', self::COLUMNS));
                }
                continue;
            }
            if ($cells === [null]) {
                continue;
            }
            if (count($cells) !== count(self::COLUMNS) || preg_match('/^\d{1,18}$/D', (string) $cells[7]) !== 1) {
                throw new InvalidInput("bars.{$line}", 'a line must have '.count(self::COLUMNS).' cells, and a whole number for the volume');
            }
            [$symbol, $start, $session, $open, $high, $low, $close, $volume] = array_map(strval(...), $cells);
            $rows[$symbol][] = [$start, $session, $open, $high, $low, $close, (int) $volume];
        }
        if ($line === 0) {
            throw new InvalidInput('bars', 'the file is empty');
        }

        return new self($rows);
    }

    /** @return list<array{string, string, string, string, string, string, int}> those of a symbol that start at or after a moment, in the form of rules.md */
    public function of(string $symbol, string $from): array
    {
        return array_values(array_filter($this->bySymbol[$symbol] ?? [], static fn (array $row): bool => $row[0] >= $from));
    }
}
