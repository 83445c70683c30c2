<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Watchpost\Core\Json\Node;

/** All targets together bring so many R. */
final readonly class LeastReward implements Judge
{
    private function __construct(private BigDecimal $least)
    {
    }

    public static function kinds(): array
    {
        return ['reward_min' => 'reward at least, in R'];
    }

    public static function read(string $kind, Node $value): self
    {
        return new self($value->decimal());
    }

    public function describe(): string
    {
        return "all targets together bring at least {$this->least} R";
    }

    public function judge(Evening $evening): Verdict
    {
        $reward = $evening->plan?->blendedR();

        return $reward === null ? Verdict::unknown('no target yet') : Verdict::planned($reward->isGreaterThanOrEqualTo($this->least), $reward->toScale(2, RoundingMode::HALF_UP).' R');
    }
}
