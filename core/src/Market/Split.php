<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/** From a session on, one old unit is so many new ones. */
final readonly class Split
{
    /**
     * @param string     $session date of the first session on the new scale
     * @param BigDecimal $ratio   new units for one old one, above 0
     */
    public function __construct(public string $session, public BigDecimal $ratio)
    {
        if (! $ratio->isPositive()) {
            throw new \InvalidArgumentException('the ratio of a split must be above 0');
        }
    }

    /** @param string $ratio a decimal above 0 */
    public static function of(string $session, string $ratio): self
    {
        return new self($session, BigDecimal::of($ratio));
    }

    /** "3 for 1", "1 for 10", "3 for 2" */
    public function label(): string
    {
        $ratio = $this->ratio->toBigRational()->simplified();

        return $ratio->getNumerator().' for '.$ratio->getDenominator();
    }

    /**
     * New units for one unit of a date, on the scale of a later date.
     *
     * @param list<self> $splits
     */
    public static function between(array $splits, string $from, string $to): BigRational
    {
        $ratio = BigRational::one();
        foreach ($splits as $split) {
            if ($split->session > $from && $split->session <= $to) {
                $ratio = $ratio->multipliedBy($split->ratio);
            }
        }

        return $ratio->simplified();
    }

    /**
     * Bars brought to the scale of their last date: prices divided, volume multiplied, both rounded to whole units half
     * up.
     *
     * @param list<Bar>  $bars   in time order
     * @param list<self> $splits
     *
     * @return list<Bar>
     */
    public static function adjust(array $bars, array $splits, string $scaleOf): array
    {
        foreach ($splits as $split) {
            if ($split->session > $scaleOf) {
                continue;
            }
            $ratio = $split->ratio->toFloat();
            foreach ($bars as $i => $bar) {
                if ($bar->session >= $split->session) {
                    break;
                }
                $bars[$i] = $bar->dividedBy($ratio);
            }
        }

        return array_values($bars);
    }
}
