<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;

/**
 * A line of a checklist that the program judges. A new kind is one class, added to {@see Judges::CLASSES}.
 */
interface Judge
{
    /** @return array<string, string> what each kind asks, by its word in JSON, for a list to choose from: "reward at least, in R" */
    public static function kinds(): array;

    /** @throws InvalidInput when the value does not fit */
    public static function read(string $kind, Node $value): self;

    /** "a reward of at least 2 R" */
    public function describe(): string;

    public function judge(Evening $evening): Verdict;
}
