<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Watchpost\Core\Indicators\Rsi;
use Watchpost\Core\Json\Node;

/** The RSI of 14 sessions is at most, or at least, so much; bounds included, and the same for both sides. */
final readonly class RsiCheck implements Judge
{
    private const PERIOD = 14;

    private function __construct(private string $kind, private float $value)
    {
    }

    public static function kinds(): array
    {
        return ['rsi_max' => 'RSI(14) at most', 'rsi_min' => 'RSI(14) at least'];
    }

    public static function read(string $kind, Node $value): self
    {
        $limit = $value->decimal()->toFloat();
        if ($limit < 0.0 || $limit > 100.0) {
            throw $value->fail('the RSI lies between 0 and 100');
        }

        return new self($kind, $limit);
    }

    public function describe(): string
    {
        return 'the RSI(14) is '.($this->kind === 'rsi_max' ? 'at most' : 'at least')." {$this->value}";
    }

    public function judge(Evening $evening): Verdict
    {
        $values = Rsi::of($evening->days->closes(), self::PERIOD);
        $now = $values === [] ? null : $values[count($values) - 1];

        return $now === null ? Verdict::unknown('too few sessions') : Verdict::awaited($this->kind === 'rsi_max' ? $now <= $this->value : $now >= $this->value, number_format($now, 1));
    }
}
