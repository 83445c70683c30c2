<?php

declare(strict_types=1);

namespace App\Planning;

use Illuminate\Validation\ValidationException;
use Watchpost\Core\Levels\PriceDoubt;
use Watchpost\Core\Market\PriceGrid;

/** Reads prices as a person typed them. */
final readonly class PriceInput
{
    /** Beside the refusal of a price in doubt: what was probably meant, and how to say that it was not. */
    public const DOUBT = 'doubt';
    public const SURE = 'sure';

    /**
     * @param int|null $last the last close, against which a slip of the decimal point shows; null: not asked
     * @param bool     $sure whether the person was asked and means it
     */
    public function __construct(private PriceGrid $grid, private ?int $last = null, private bool $sure = false)
    {
    }

    /** @throws ValidationException at the field, when it is no price of the instrument, or when it is in doubt */
    public function price(string $text, string $field): int
    {
        $units = $this->units($text, $field);
        $doubt = $this->sure ? null : $this->doubt($units);
        if ($doubt !== null) {
            throw ValidationException::withMessages([$field => $this->doubted($units, $doubt), self::DOUBT => $this->grid->format($doubt->probable)]);
        }

        return $units;
    }

    /** What speaks against a price, in words; null when it lies near enough to the last close. */
    public function question(int $units): ?string
    {
        $doubt = $this->doubt($units);

        return $doubt === null ? null : $this->doubted($units, $doubt);
    }

    private function doubt(int $units): ?PriceDoubt
    {
        return $this->last === null ? null : PriceDoubt::of($units, $this->last, $this->grid->tick);
    }

    private function doubted(int $units, PriceDoubt $doubt): string
    {
        $way = $doubt->isTooHigh ? number_format($doubt->factor).' times' : 'a '.[10 => 'tenth', 100 => 'hundredth', 1_000 => 'thousandth'][$doubt->factor].' of';

        return "{$this->grid->format($units)} is about {$way} the last close, {$this->grid->format((int) $this->last)}. Was {$this->grid->format($doubt->probable)} meant?";
    }

    /**
     * A price or a distance.
     *
     * @throws ValidationException at the field, when it does not lie on the tick, above 0
     */
    public function units(string $text, string $field): int
    {
        $text = trim($text);
        $grid = $this->grid;
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
