<?php

declare(strict_types=1);

namespace App\Planning;

use Brick\Math\BigDecimal;
use Watchpost\Core\Sizing\OptionPosition;
use Watchpost\Core\Sizing\OptionRight;
use Watchpost\Core\Sizing\OptionShape;

/**
 * The terms of a position in options as the author typed them: premiums are theirs, nothing here prices an option.
 *
 * @phpstan-type OptionState array{shape: string, right: string, expiry: string, multiplier: string, strikes: list<string>, premiums: list<string>}
 */
final readonly class OptionTerms
{
    /** @param string $expiry a date */
    public function __construct(public OptionPosition $position, public string $expiry)
    {
    }

    /** @return OptionState */
    public function toState(): array
    {
        $text = static fn (BigDecimal $value): string => (string) $value;

        return [
            'shape' => $this->position->shape->value,
            'right' => $this->position->right->value,
            'expiry' => $this->expiry,
            'multiplier' => $text($this->position->multiplier),
            'strikes' => array_map($text, $this->position->strikes),
            'premiums' => array_map($text, $this->position->premiums),
        ];
    }

    /** @param OptionState $state */
    public static function fromState(array $state): self
    {
        return new self(OptionPosition::of(
            OptionShape::from($state['shape']),
            OptionRight::from($state['right']),
            array_map(BigDecimal::of(...), $state['strikes']),
            array_map(BigDecimal::of(...), $state['premiums']),
            BigDecimal::of($state['multiplier']),
        ), $state['expiry']);
    }
}
