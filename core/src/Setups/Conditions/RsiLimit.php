<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Brick\Math\BigDecimal;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Words;
use Watchpost\Core\Studies\RelativeStrength;
use Watchpost\Core\Studies\Study;

/** The RSI of finished sessions is at most or at least so much, bounds included; the same for both sides. */
final readonly class RsiLimit implements Condition
{
    use Known;

    private const MILLION = 1_000_000;

    private Study $study;

    public function __construct(private string $kind, private int $period, private BigDecimal $value)
    {
        $this->study = new RelativeStrength(TimeFrame::Day, $this->period);
    }

    public static function kinds(): array
    {
        return ['rsi_max', 'rsi_min'];
    }

    public static function read(string $kind, Node $node, PriceGrid $grid): self
    {
        $keys = $node->object(['kind', 'period', 'value']);

        return new self($kind, $keys['period']->int(min: 1), $keys['value']->decimal());
    }

    public function kind(): string
    {
        return $this->kind;
    }

    public function holds(Moment $moment): bool
    {
        $strength = $moment->study($this->study);
        if ($strength === null) {
            return false;
        }
        // a short is judged on mirrored prices, where rises are falls
        $millionths = BigDecimal::of((int) round(($moment->sign() > 0 ? $strength : 100.0 - $strength) * self::MILLION));
        $compared = $millionths->compareTo($this->value->multipliedBy(self::MILLION));

        return $this->kind === 'rsi_max' ? $compared <= 0 : $compared >= 0;
    }

    public function studies(): array
    {
        return [$this->study];
    }

    public function describe(Words $words): string
    {
        return "only with an RSI of {$this->period} sessions at {$words->number($this->value)} or ".($this->kind === 'rsi_max' ? 'below' : 'above');
    }
}
