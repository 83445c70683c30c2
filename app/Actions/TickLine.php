<?php

declare(strict_types=1);

namespace App\Actions;

use App\Planning\Variant;
use Illuminate\Validation\ValidationException;

/** Ticks a line of the checklist that only a person can judge, or takes the tick away. */
final class TickLine
{
    public function __invoke(Variant $variant, string $line, bool $isTicked): void
    {
        $setup = $variant->setup() ?? throw ValidationException::withMessages(['ticked' => 'There is no setup whose line could be ticked.']);
        $others = array_values(array_diff($setup->ticked, [$line]));
        $variant->change("a line of the checklist of {$variant->candidate->instrument->symbol}", static fn () => $setup->update(['ticked' => $isTicked ? [...$others, $line] : $others]));
    }
}
