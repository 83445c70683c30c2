<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Watchpost\Core\Indicators\RelativeVolume;
use Watchpost\Core\Json\Node;

/** The last session traded so many times the volume of the 20 before it. */
final readonly class LeastVolume implements Judge
{
    private const PERIOD = 20;

    private function __construct(private float $least)
    {
    }

    public static function kinds(): array
    {
        return ['volume_min' => 'volume at least, times its average'];
    }

    public static function read(string $kind, Node $value): self
    {
        return new self($value->decimal()->toFloat());
    }

    public function describe(): string
    {
        return "the last session traded at least {$this->least} times its average";
    }

    public function judge(Evening $evening): Verdict
    {
        $values = RelativeVolume::of(array_map(floatval(...), $evening->days->volume), self::PERIOD);
        $now = $values === [] ? null : $values[count($values) - 1];

        return $now === null ? Verdict::unknown('too few sessions') : Verdict::awaited($now >= $this->least, number_format($now, 1).' times');
    }
}
