<?php

declare(strict_types=1);

namespace App\Market;

use App\Enums\PaneKind;

/** A pane below the price that an author wants to see. */
final readonly class PaneSetting
{
    /**
     * @param array<string, int> $parameters every one of the kind
     * @param string|null        $symbol     of the other instrument of a ratio
     */
    public function __construct(public PaneKind $kind, public array $parameters, public ?string $symbol = null)
    {
    }

    /** How many bars before the first one shown it needs, until a smoothed value no longer depends on where it began. */
    public function lead(): int
    {
        return 5 * max(array_diff_key($this->parameters, ['low' => 0, 'high' => 0]) ?: [0]);
    }
}
