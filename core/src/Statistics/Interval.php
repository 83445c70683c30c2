<?php

declare(strict_types=1);

namespace Watchpost\Core\Statistics;

/** A share of cases, with the interval in which the true rate lies. */
final readonly class Interval
{
    private const Z_90 = 1.6448536269514722;

    private function __construct(public int $hits, public int $cases, public float $share, public float $low, public float $high)
    {
    }

    /**
     * Wilson's score interval at 90 %: centre (p + z^2/2n) / (1 + z^2/n), half width z sqrt(p(1-p)/n + z^2/4n^2) /
     * (1 + z^2/n), with p = hits / n.
     *
     * Unit: shares, 0 to 1. Source: Wilson, Probable Inference (1927); computations.md, Statistics.
     *
     * @return self|null null without cases
     *
     * @throws \InvalidArgumentException when there are more hits than cases, or fewer than none
     */
    public static function wilson(int $hits, int $cases): ?self
    {
        if ($hits < 0 || $hits > $cases) {
            throw new \InvalidArgumentException('the hits must be 0 to the number of cases');
        }
        if ($cases === 0) {
            return null;
        }
        $p = $hits / $cases;
        $z2 = self::Z_90 ** 2;
        $centre = ($p + $z2 / (2 * $cases)) / (1 + $z2 / $cases);
        $half = self::Z_90 * sqrt($p * (1 - $p) / $cases + $z2 / (4 * $cases ** 2)) / (1 + $z2 / $cases);

        return new self($hits, $cases, $p, max(0.0, $centre - $half), min(1.0, $centre + $half));
    }
}
