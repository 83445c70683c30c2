<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;

/** A parameter of an indicator: a count of bars, or a multiple. */
final readonly class Parameter
{
    private const MOST_BARS = 10_000;

    private function __construct(public string $name, public int|float $default)
    {
    }

    /** A whole number of bars, at least 1. */
    public static function bars(string $name, int $default): self
    {
        return new self($name, $default);
    }

    /** A factor, at least 0. */
    public static function multiple(string $name, float $default): self
    {
        return new self($name, $default);
    }

    /** @throws InvalidInput when the value does not fit */
    public function read(Node $node): int|float
    {
        if (is_int($this->default)) {
            return $node->int(1, self::MOST_BARS);
        }
        $value = $node->number();
        if ($value < 0.0) {
            throw $node->fail('must not be below 0');
        }

        return $value;
    }

    /** @return array{name: string, type: string, default: int|float} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'type' => is_int($this->default) ? 'bars' : 'multiple', 'default' => $this->default];
    }
}
