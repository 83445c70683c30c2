<?php

declare(strict_types=1);

namespace Watchpost\Core\Scanning;

/** One series divided by another, on the dates that both have. */
final readonly class Ratio
{
    public const YEAR = 252;

    /**
     * @param list<string> $dates
     * @param list<float>  $values numerator / denominator
     * @param list<float>  $top    the numerator
     */
    private function __construct(public array $dates, public array $values, private array $top)
    {
    }

    /**
     * Unit: a ratio of prices. Source: computations.md, Indicators (relative strength); edge-cases.md, T63.
     *
     * @param array<string, float> $top    closes by date
     * @param array<string, float> $bottom closes above 0 by date
     */
    public static function of(array $top, array $bottom): self
    {
        $dates = array_keys(array_intersect_key($top, $bottom));
        sort($dates);

        return new self(
            $dates,
            array_map(static fn (string $date): float => $top[$date] / $bottom[$date], $dates),
            array_map(static fn (string $date): float => $top[$date], $dates),
        );
    }

    /**
     * The ratio with its first value brought to 100.
     *
     * @return list<float>
     */
    public function rebased(): array
    {
        $first = $this->values[0] ?? 1.0;

        return array_map(static fn (float $value): float => 100 * $value / $first, $this->values);
    }

    /**
     * Whether the ratio leads price on each date: 1 when it closes above all of the 252 sessions before while the
     * numerator does not, -1 mirrored, else 0; null while there are fewer sessions before.
     *
     * Source: computations.md, Indicators (relative strength: new 52-week extreme before price).
     *
     * @return list<int|null>
     */
    public function leads(int $sessions = self::YEAR): array
    {
        $out = [];
        foreach ($this->values as $i => $value) {
            if ($i < $sessions) {
                $out[] = null;
                continue;
            }
            $ratio = self::extreme($value, array_slice($this->values, $i - $sessions, $sessions));
            $out[] = $ratio !== self::extreme($this->top[$i], array_slice($this->top, $i - $sessions, $sessions)) ? $ratio : 0;
        }

        return $out;
    }

    /** @param list<float> $before */
    private static function extreme(float $value, array $before): int
    {
        return match (true) {
            $before === [] => 0,
            $value > max($before) => 1,
            $value < min($before) => -1,
            default => 0,
        };
    }
}
