<?php

declare(strict_types=1);

namespace App\Planning;

use Illuminate\Validation\ValidationException;
use Watchpost\Core\Market\PriceGrid;

/** A price as a person typed it. */
final class PriceInput
{
    /** @throws ValidationException at the field, when it is no price of the instrument */
    public static function units(string $text, PriceGrid $grid, string $field): int
    {
        $text = trim($text);
        if (preg_match('/^\d+(\.\d+)?$/D', $text) !== 1) {
            throw ValidationException::withMessages([$field => "\"{$text}\" is not a price. Write it like {$grid->format(12 * $grid->tick + 10 ** $grid->decimals)}."]);
        }
        $units = $grid->units($text);
        if ($units === null) {
            throw ValidationException::withMessages([$field => "{$text} has more than the {$grid->decimals} decimals of this instrument."]);
        }
        if ($units === 0) {
            throw ValidationException::withMessages([$field => 'A price must be above 0.']);
        }
        if (! $grid->onTick($units)) {
            $near = $grid->format($grid->nearestTick($units));
            throw ValidationException::withMessages([$field => "{$text} is between two ticks of {$grid->format($grid->tick)}; the nearest is {$near}."]);
        }

        return $units;
    }
}
