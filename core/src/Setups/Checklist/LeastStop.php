<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Watchpost\Core\Json\Node;

/** The stop is so many usual ranges away from the entry. */
final readonly class LeastStop implements Judge
{
    private function __construct(private float $least)
    {
    }

    public static function kinds(): array
    {
        return ['stop_min' => 'stop at least, in ATR'];
    }

    public static function read(string $kind, Node $value): self
    {
        return new self($value->decimal()->toFloat());
    }

    public function describe(): string
    {
        return "the stop is at least {$this->least} ATR away";
    }

    public function judge(Evening $evening): Verdict
    {
        $away = $evening->plan === null ? null : $evening->inRanges($evening->plan->risk()->toFloat());

        return $away === null ? Verdict::unknown('no stop yet') : Verdict::planned($away >= $this->least, number_format($away, 1).' ATR');
    }
}
