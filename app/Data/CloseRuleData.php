<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\CloseRule;

/** So many closes of a time frame in a row. */
final readonly class CloseRuleData
{
    public function __construct(public TimeFrame $timeframe, public int $times)
    {
    }

    public static function of(?CloseRule $rule): ?self
    {
        return $rule === null ? null : new self($rule->timeFrame, $rule->times);
    }
}
