<?php

declare(strict_types=1);

namespace Watchpost\Core\Json;

/**
 * The canonical form of a JSON document: keys in order of their UTF-16 code units, no white space, the shortest
 * escapes. The same facts always give the same bytes, so that a fingerprint of them can be checked by anyone.
 *
 * Source: RFC 8785 (JSON Canonicalization Scheme), for documents without fractional numbers: Watchpost writes
 * every decimal as a string, so a float in a document is a fault and is refused.
 */
final class CanonicalJson
{
    private const LARGEST_EXACT_INTEGER = 9007199254740991;

    /**
     * @param mixed $value null, bool, int, string, a list or a map of these
     *
     * @throws \InvalidArgumentException on a float, an integer beyond 2^53 - 1, an object or text that is not UTF-8
     */
    public static function encode(mixed $value): string
    {
        return match (true) {
            $value === null => 'null',
            is_bool($value) => $value ? 'true' : 'false',
            is_int($value) => self::integer($value),
            is_string($value) => self::text($value),
            is_array($value) && array_is_list($value) => '['.implode(',', array_map(self::encode(...), $value)).']',
            is_array($value) => self::map($value),
            default => throw new \InvalidArgumentException('A canonical document holds no '.get_debug_type($value).'.'),
        };
    }

    private static function integer(int $value): string
    {
        if (abs($value) > self::LARGEST_EXACT_INTEGER) {
            throw new \InvalidArgumentException("The integer {$value} is not exact in every JSON reader.");
        }

        return (string) $value;
    }

    private static function text(string $value): string
    {
        try {
            return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_LINE_TERMINATORS);
        } catch (\JsonException $e) {
            throw new \InvalidArgumentException('A text is not valid UTF-8.', 0, $e);
        }
    }

    /** @param array<array-key, mixed> $value */
    private static function map(array $value): string
    {
        $keys = array_map(strval(...), array_keys($value));
        usort($keys, static fn (string $a, string $b): int => strcmp(self::utf16($a), self::utf16($b)));
        $members = array_map(static fn (string $key): string => self::text($key).':'.self::encode($value[$key]), $keys);

        return '{'.implode(',', $members).'}';
    }

    private static function utf16(string $text): string
    {
        return mb_convert_encoding($text, 'UTF-16BE', 'UTF-8');
    }
}
