<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Market\PriceGrid;

/** A level found by the program, with its evidence. Prices in units. */
final readonly class FoundLevel
{
    private const OVER = ['filled', 'broken'];

    /**
     * @param int                                                    $low     lower edge, at most the price
     * @param int                                                    $high    upper edge, at least the price
     * @param float                                                  $score   comparable within a kind
     * @param string                                                 $origin  why it is there
     * @param list<Touch>                                            $touches in order of time
     * @param array<string, string|float|int|bool|null|list<string>> $details what else is known, by name
     */
    public function __construct(
        public LevelKind $kind,
        public int $low,
        public int $price,
        public int $high,
        public Grade $grade,
        public float $score,
        public string $origin,
        public array $touches = [],
        public array $details = [],
    ) {
    }

    /** A level that is a single price. */
    public static function at(LevelKind $kind, int $price, Grade $grade, float $score, string $origin): self
    {
        return new self($kind, $price, $price, $price, $grade, $score, $origin);
    }

    /** Whether it no longer counts: a gap that is filled, a line that is broken. */
    public function isOver(): bool
    {
        return in_array($this->details['state'] ?? '', self::OVER, true);
    }

    /** The edge that price comes to first, in units; its price itself while price stands in it. */
    public function nearEdge(int $close): int
    {
        return match (true) {
            $this->high < $close => $this->high,
            $this->low > $close => $this->low,
            default => $this->price,
        };
    }

    /** Whether price stands in it, or near it: its nearer edge within so many usual ranges of the last close. */
    public function isWithin(float $reach, LevelInput $input): bool
    {
        return ($this->low <= $input->close && $this->high >= $input->close) || min($input->away($this->low), $input->away($this->high)) <= $reach;
    }

    /** @return array<string, mixed> */
    public function toArray(PriceGrid $grid, int $close): array
    {
        return [
            'kind' => $this->kind->value,
            'low' => $grid->format($this->low),
            'price' => $grid->format($this->price),
            'high' => $grid->format($this->high),
            'grade' => $this->grade->value,
            'role' => Role::of($this->low, $this->high, $close)->value,
            'score' => round($this->score, 4),
            'origin' => $this->origin,
            'touches' => array_map(static fn (Touch $touch): array => ['session' => $touch->session, 'price' => $grid->format($touch->price), 'kind' => $touch->kind->value], $this->touches),
            ...$this->details,
        ];
    }
}
