<?php

declare(strict_types=1);

namespace Watchpost\Core\Statistics;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** The mean of values, with the interval in which the true mean lies, by drawing from the values themselves. */
final readonly class Bootstrap
{
    private const DRAWS = 2000;
    private const SEED = 20_261_014;
    private const TAIL = 0.05;

    private function __construct(public int $cases, public float $mean, public float $low, public float $high)
    {
    }

    /**
     * The percentile bootstrap at 90 %: 2,000 samples of the same size drawn with replacement, the 5th and the 95th
     * percentile of their means. Seeded, so that the same values give the same interval.
     *
     * Unit: that of the values. Source: Efron, Bootstrap Methods (1979); computations.md, Statistics.
     *
     * @param list<float> $values
     *
     * @return self|null null without values
     */
    public static function mean(array $values): ?self
    {
        $count = count($values);
        if ($count === 0) {
            return null;
        }
        $random = new Randomizer(new Xoshiro256StarStar(self::SEED));
        $means = [];
        for ($draw = 0; $draw < self::DRAWS; ++$draw) {
            $sum = 0.0;
            for ($i = 0; $i < $count; ++$i) {
                $sum += $values[$random->getInt(0, $count - 1)];
            }
            $means[] = $sum / $count;
        }
        sort($means);
        $tail = (int) round(self::TAIL * self::DRAWS);

        return new self($count, array_sum($values) / $count, $means[$tail], $means[self::DRAWS - 1 - $tail]);
    }
}
