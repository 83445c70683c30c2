<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;

/**
 * What happened to a position held within one bar, as far as it decides which of the bar's prices were seen while in
 * the trade (rules.md, Result: mfe_r and mae_r; fine print 42).
 *
 * @phpstan-import-type BarState from Bar
 */
final class BarTrace
{
    public bool $returned = false;
    /** Filled at the close: nothing else of the bar counts. */
    public bool $closeOnly = false;
    public ?int $outAtOpen = null;
    public ?int $stoppedAt = null;
    public ?int $finalTargetAt = null;

    public function __construct(public readonly Bar $bar)
    {
    }

    /** @return array{?int, int} the best and the worst price that count; no best for a bar that was stopped */
    public function seen(): array
    {
        return match (true) {
            $this->outAtOpen !== null => [$this->outAtOpen, $this->outAtOpen],
            $this->stoppedAt !== null => [null, $this->stoppedAt],
            $this->finalTargetAt !== null => [$this->finalTargetAt, $this->bar->low],
            $this->closeOnly => [$this->bar->close, $this->bar->close],
            $this->returned => [$this->bar->close, $this->bar->low],
            default => [$this->bar->high, $this->bar->low],
        };
    }

    public function showTo(Excursion $excursion): void
    {
        [$best, $worst] = $this->seen();
        $excursion->see($best, $worst);
    }

    /** @return array{BarState, bool, bool, ?int, ?int, ?int} */
    public function toState(): array
    {
        return [$this->bar->toState(), $this->returned, $this->closeOnly, $this->outAtOpen, $this->stoppedAt, $this->finalTargetAt];
    }

    /** @param array{BarState, bool, bool, ?int, ?int, ?int} $state */
    public static function fromState(array $state): self
    {
        $trace = new self(Bar::fromState($state[0]));
        [, $trace->returned, $trace->closeOnly, $trace->outAtOpen, $trace->stoppedAt, $trace->finalTargetAt] = $state;

        return $trace;
    }
}
