<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Json\Node;

/** The last close is above, or below, an average of sessions; strictly, and the same for both sides. */
final readonly class AverageCheck implements Judge
{
    private const MOST = 500;

    private function __construct(private string $kind, private int $period)
    {
    }

    public static function kinds(): array
    {
        return [
            'sma_above' => 'close above the SMA of',
            'sma_below' => 'close below the SMA of',
            'ema_above' => 'close above the EMA of',
            'ema_below' => 'close below the EMA of',
        ];
    }

    public static function read(string $kind, Node $value): self
    {
        $period = $value->decimal();
        if ($period->hasNonZeroFractionalPart() || $period->isLessThan(1) || $period->isGreaterThan(self::MOST)) {
            throw $value->fail('an average takes 1 to '.self::MOST.' sessions');
        }

        return new self($kind, $period->toInt());
    }

    public function describe(): string
    {
        return 'the close is '.($this->isAbove() ? 'above' : 'below').' '.$this->name();
    }

    public function judge(Evening $evening): Verdict
    {
        $closes = $evening->days->closes();
        $values = str_starts_with($this->kind, 'sma') ? Sma::of($closes, $this->period) : Ema::of($closes, $this->period);
        $average = $values === [] ? null : $values[count($values) - 1];
        if ($average === null || $closes === []) {
            return Verdict::unknown('too few sessions');
        }
        $close = $closes[count($closes) - 1];

        return Verdict::awaited($this->isAbove() ? $close > $average : $close < $average, number_format($average, $evening->days->grid->decimals, '.', ''));
    }

    private function isAbove(): bool
    {
        return str_ends_with($this->kind, 'above');
    }

    private function name(): string
    {
        return strtoupper(substr($this->kind, 0, 3))." {$this->period}";
    }
}
