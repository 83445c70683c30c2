<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Watchpost\Core\Market\PriceGrid;

/**
 * A setup read aloud in one sentence of plain English. Generated from the same object that the engine judges, never
 * typed.
 */
final readonly class Sentence
{
    public function __construct(private PriceGrid $grid, private \DateTimeZone $zone)
    {
    }

    public function of(Setup $setup): string
    {
        $parts = [
            ucfirst($setup->side->value).' '.implode(', ', array_map(fn (Leg $leg): string => $leg->trigger->describe($setup->side, $this->grid), $setup->legs)),
            'stop '.$this->price($setup->stop),
            $this->targets($setup),
            $this->goodUntil($setup->entryUntil),
        ];
        if ($setup->cancel !== null) {
            $parts[] = 'not entered any more once price has traded at '.$this->price($setup->cancel->price);
        }
        foreach ($setup->legs as $leg) {
            array_push($parts, ...$leg->trigger->caveats($setup->side, $this->grid));
        }

        return implode('; ', $parts).'.';
    }

    private function targets(Setup $setup): string
    {
        $targets = $setup->targets;
        if ($targets === []) {
            return 'no target';
        }
        $takesAll = $setup->targetsTakeAll();
        $parts = [];
        foreach ($targets as $i => $target) {
            $isLast = $i === count($targets) - 1;
            $what = match (true) {
                $isLast && $takesAll && $i === 0 => 'all off',
                $isLast && $takesAll => 'the rest',
                $i === 0 => $this->share($target->share).' off',
                default => $this->share($target->share),
            };
            $parts[] = $what.' at '.$this->price($target->price);
        }
        if (! $takesAll) {
            $parts[] = 'the rest with the stop';
        }

        return implode(', ', $parts);
    }

    private function goodUntil(int $until): string
    {
        $when = (new \DateTimeImmutable('@'.$until))->setTimezone($this->zone);

        return 'good until '.$when->format('H:i').' on '.$when->format('l j F');
    }

    private function share(BigDecimal $share): string
    {
        return match ((string) $share->stripTrailingZeros()) {
            '0.5' => 'half',
            '0.25' => 'a quarter',
            '0.75' => 'three quarters',
            '0.2' => 'a fifth',
            default => $share->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP).' %',
        };
    }

    private function price(int $units): string
    {
        return $this->grid->format($units);
    }
}
