<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;

/**
 * What happened to the position within one bar, as far as it decides which of the bar's prices were seen while in
 * the trade (rules.md, Result: mfe_r and mae_r; fine print 42).
 */
final class BarTrace
{
    public bool $held = false;
    public bool $returned = false;
    public ?int $outAtOpen = null;
    public ?int $stoppedAt = null;
    public ?int $finalTargetAt = null;

    public function measure(Bar $bar, Excursion $excursion): void
    {
        if (! $this->held) {
            return;
        }
        match (true) {
            $this->outAtOpen !== null => $excursion->see($this->outAtOpen, $this->outAtOpen),
            $this->stoppedAt !== null => $excursion->see(null, $this->stoppedAt),
            $this->finalTargetAt !== null => $excursion->see($this->finalTargetAt, $bar->low),
            $this->returned => $excursion->see($bar->close, $bar->low),
            default => $excursion->see($bar->high, $bar->low),
        };
    }
}
