<?php

declare(strict_types=1);

namespace App\Data;

final readonly class PaneLineData
{
    /**
     * @param list<float|null> $values
     * @param bool             $bars   drawn as bars from zero, else as a line
     */
    public function __construct(public string $name, public array $values, public bool $bars)
    {
    }

    /** The line without its first values. */
    public function from(int $skip): self
    {
        return new self($this->name, array_slice($this->values, $skip), $this->bars);
    }
}
