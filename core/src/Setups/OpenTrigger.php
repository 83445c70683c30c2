<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/** Filled at the open of a session; with bounds, only if its gap lies within them. */
final readonly class OpenTrigger extends Trigger
{
    public function __construct(public ?BigDecimal $gapMin = null, public ?BigDecimal $gapMax = null, public ?int $worst = null)
    {
    }

    public static function kind(): string
    {
        return 'open';
    }

    public static function read(Node $node, PriceGrid $grid, TimeFrame $base): self
    {
        $keys = $node->object(['kind'], ['gap_min_percent', 'gap_max_percent', 'worst']);

        return new self(
            isset($keys['gap_min_percent']) ? $keys['gap_min_percent']->decimal() : null,
            isset($keys['gap_max_percent']) ? $keys['gap_max_percent']->decimal() : null,
            PriceReader::worst($keys, $grid),
        );
    }

    public function mirrored(): self
    {
        return new self($this->gapMin, $this->gapMax, $this->worst === null ? null : -$this->worst);
    }

    public function times(int $factor): self
    {
        return new self($this->gapMin, $this->gapMax, $this->worst === null ? null : $this->worst * $factor);
    }

    public function worst(): ?int
    {
        return $this->worst;
    }

    public function atOpen(BarOpen $open, TriggerMemory $memory): OpenVerdict
    {
        if ($open->session === null || $open->finer) {
            return OpenVerdict::NotReached;
        }
        if ($this->gapMin === null && $this->gapMax === null) {
            return OpenVerdict::Fills;
        }
        $gap = $open->session->gap();

        return $gap !== null
            && ($this->gapMin === null || $gap->isGreaterThanOrEqualTo($this->gapMin))
            && ($this->gapMax === null || $gap->isLessThanOrEqualTo($this->gapMax)) ? OpenVerdict::Fills : OpenVerdict::NotReached;
    }

    public function paysSlippage(): bool
    {
        return true;
    }

    public function describe(Words $words): string
    {
        $gap = match (true) {
            $this->gapMin === null && $this->gapMax === null => '',
            $this->gapMin === null => " with a gap of at most {$words->percent($this->gapMax)}",
            $this->gapMax === null => " with a gap of {$words->percent($this->gapMin)} or more",
            default => " with a gap of {$words->percent($this->gapMin)} to {$words->percent($this->gapMax)}",
        };

        return $gap === '' ? "at the next session's open" : "at the open of a session{$gap}, in the direction of the trade";
    }

    public function caveats(Words $words): array
    {
        return array_values(array_filter([$words->worst($this->worst)]));
    }
}
