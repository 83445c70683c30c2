<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** A turn of price: the extreme of the bars around it. */
final readonly class Swing
{
    /**
     * @param int $index   the bar of the extreme
     * @param int $knownAt the bar on which it became known
     */
    public function __construct(public int $index, public int $knownAt, public float $price, public bool $isHigh)
    {
    }
}
