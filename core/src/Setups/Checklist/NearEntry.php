<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Watchpost\Core\Json\Node;

/** Price stands within so many usual ranges of the entry. */
final readonly class NearEntry implements Judge
{
    private function __construct(private float $most)
    {
    }

    public static function kinds(): array
    {
        return ['near' => 'entry within, in ATR'];
    }

    public static function read(string $kind, Node $value): self
    {
        return new self($value->decimal()->toFloat());
    }

    public function describe(): string
    {
        return "price is within {$this->most} ATR of the entry";
    }

    public function judge(Evening $evening): Verdict
    {
        $distance = $evening->plan?->distanceToEntry();
        $away = $distance === null ? null : $evening->inRanges(abs($distance));

        return $away === null ? Verdict::unknown('no entry price yet') : Verdict::awaited($away <= $this->most, number_format($away, 1).' ATR');
    }
}
