<?php

declare(strict_types=1);

namespace Watchpost\Core\Json;

use Brick\Math\BigDecimal;
use Watchpost\Core\InvalidInput;

/**
 * A value of a decoded JSON document together with its path. Every reader either returns the value in the
 * type asked for or throws {@see InvalidInput} with that path; nothing is guessed or converted.
 */
final readonly class Node
{
    private function __construct(private mixed $value, public string $path)
    {
    }

    /** @throws InvalidInput when the text is not JSON */
    public static function parse(string $json): self
    {
        try {
            return new self(json_decode($json, false, 64, JSON_THROW_ON_ERROR), '');
        } catch (\JsonException $e) {
            throw new InvalidInput('', 'not valid JSON: '.$e->getMessage());
        }
    }

    /** @param array<string, mixed> $data */
    public static function of(array $data, string $path = ''): self
    {
        return new self(json_decode(json_encode($data, JSON_THROW_ON_ERROR), false, 64, JSON_THROW_ON_ERROR), $path);
    }

    /**
     * An object as it was written, for a reader of its own.
     *
     * @return array<string, mixed>
     *
     * @throws InvalidInput on something else than an object
     */
    public function toArray(): array
    {
        $this->entries();

        /** @var array<string, mixed> */
        return (array) json_decode(json_encode($this->value, JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);
    }

    public function fail(string $message): InvalidInput
    {
        return new InvalidInput($this->path, $message);
    }

    /**
     * @param list<string> $required
     * @param list<string> $optional
     *
     * @return array<string, self> the keys that are present
     *
     * @throws InvalidInput on something else than an object, a missing key or an unknown key
     */
    public function object(array $required, array $optional = []): array
    {
        if (! $this->value instanceof \stdClass) {
            throw $this->fail('must be an object');
        }
        $nodes = $this->entries();
        foreach (array_keys($nodes) as $key) {
            if (! in_array((string) $key, $required, true) && ! in_array((string) $key, $optional, true)) {
                throw new InvalidInput($this->join((string) $key), 'unknown key');
            }
        }
        foreach ($required as $key) {
            if (! isset($nodes[$key])) {
                throw new InvalidInput($this->join($key), 'is required');
            }
        }

        return $nodes;
    }

    /**
     * All values of an object whose keys are names of things.
     *
     * @return array<string, self>
     */
    public function entries(): array
    {
        if ($this->value === []) {
            return [];
        }
        if (! $this->value instanceof \stdClass) {
            throw $this->fail('must be an object');
        }
        $nodes = [];
        foreach (get_object_vars($this->value) as $key => $value) {
            $nodes[(string) $key] = new self($value, $this->join((string) $key));
        }

        return $nodes;
    }

    /** The value of one key of an object, before its other keys are judged (a "kind", say). */
    public function key(string $key): self
    {
        if (! $this->value instanceof \stdClass) {
            throw $this->fail('must be an object');
        }
        if (! property_exists($this->value, $key)) {
            throw new InvalidInput($this->join($key), 'is required');
        }

        return new self($this->value->{$key}, $this->join($key));
    }

    /** @return list<self> */
    public function list(): array
    {
        if (! is_array($this->value)) {
            throw $this->fail('must be a list');
        }
        $nodes = [];
        foreach (array_values($this->value) as $i => $value) {
            $nodes[] = new self($value, $this->join((string) $i));
        }

        return $nodes;
    }

    /** @return list<self> a list of exactly $length values */
    public function tuple(int $length): array
    {
        $nodes = $this->list();
        if (count($nodes) !== $length) {
            throw $this->fail("must have {$length} values");
        }

        return $nodes;
    }

    /** Whether the value is an empty list or object, the neutral default of most keys. */
    public function isEmpty(): bool
    {
        return $this->value === [] || ($this->value instanceof \stdClass && get_object_vars($this->value) === []);
    }

    public function text(): string
    {
        if (! is_string($this->value) || $this->value === '') {
            throw $this->fail('must be a text that is not empty');
        }

        return $this->value;
    }

    public function bool(): bool
    {
        if (! is_bool($this->value)) {
            throw $this->fail('must be true or false');
        }

        return $this->value;
    }

    public function int(int $min = PHP_INT_MIN, int $max = PHP_INT_MAX): int
    {
        if (! is_int($this->value)) {
            throw $this->fail('must be a whole number');
        }
        if ($this->value < $min) {
            throw $this->fail("must be at least {$min}");
        }
        if ($this->value > $max) {
            throw $this->fail("must be at most {$max}");
        }

        return $this->value;
    }

    /** A decimal given as a string of the form -?digits[.digits]. */
    public function decimal(): BigDecimal
    {
        if (! is_string($this->value) || preg_match('/^-?\d+(\.\d+)?$/D', $this->value) !== 1) {
            throw $this->fail('must be a decimal in a string, like "41.20"');
        }

        return BigDecimal::of($this->value);
    }

    /** A number given as a JSON number or as a decimal in a string, for computations that are floats anyway. */
    public function number(): float
    {
        return is_int($this->value) || is_float($this->value) ? (float) $this->value : $this->decimal()->toFloat();
    }

    /** @param list<string> $choices */
    public function choice(array $choices): string
    {
        if (! is_string($this->value) || ! in_array($this->value, $choices, true)) {
            throw $this->fail('must be one of '.implode(', ', $choices));
        }

        return $this->value;
    }

    /** A moment, ISO 8601 in UTC with Z and whole seconds, as Unix seconds. */
    public function time(): int
    {
        if (is_string($this->value) && preg_match('/^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d):(\d\d)Z$/D', $this->value, $m) === 1
            && checkdate((int) $m[2], (int) $m[3], (int) $m[1]) && $m[4] < '24' && $m[5] < '60' && $m[6] < '60') {
            return gmmktime((int) $m[4], (int) $m[5], (int) $m[6], (int) $m[2], (int) $m[3], (int) $m[1]) ?: 0;
        }
        throw $this->fail('must be a time in UTC, like "2026-10-14T18:00:00Z"');
    }

    /** A calendar date, YYYY-MM-DD. */
    public function date(): string
    {
        if (is_string($this->value) && preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $this->value, $m) === 1
            && checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            return $this->value;
        }
        throw $this->fail('must be a date, like "2026-10-14"');
    }

    private function join(string $key): string
    {
        return $this->path === '' ? $key : $this->path.'.'.$key;
    }
}
