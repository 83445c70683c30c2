<?php

declare(strict_types=1);

namespace App\Actions;

use App\Planning\Variant;
use Illuminate\Validation\ValidationException;

/** Says what the variants of a candidate are called, and whether one filled ends the others. */
final class TieVariants
{
    /** @param array{name?: string, either_or?: bool} $changes */
    public function __invoke(Variant $variant, array $changes): void
    {
        $candidate = $variant->candidate;
        $name = trim($changes['name'] ?? '');
        if (isset($changes['name']) && $name === '') {
            throw ValidationException::withMessages(['name' => 'A variant needs a name; the old one is kept.']);
        }
        if ($candidate->setups->where('position', '!=', $variant->number)->contains('name', $name)) {
            throw ValidationException::withMessages(['name' => "Another variant is called \"{$name}\" already; the old name is kept."]);
        }
        $variant->change("variants of {$candidate->instrument->symbol}", static function () use ($variant, $candidate, $changes, $name): void {
            if (isset($changes['either_or'])) {
                $candidate->update(['either_or' => $changes['either_or']]);
            }
            if ($name !== '') {
                $variant->setup()?->update(['name' => $name]);
            }
        });
    }
}
