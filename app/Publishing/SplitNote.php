<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Clock\TimeLabel;
use App\Market\Splits;
use App\Models\Instrument;
use Brick\Math\BigRational;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Setups\Target;

/** What splits since publication make of published prices: these stay as they were published, and are told as they are now. */
final readonly class SplitNote
{
    private const TODAY = '9999-12-31';

    public function __construct(private Splits $splits, private TimeLabel $times)
    {
    }

    /** New units for a unit as published. */
    public function ratio(Instrument $instrument, int $publishedAt): BigRational
    {
        return Split::between($this->splits->since($instrument, $publishedAt), '', self::TODAY);
    }

    /** New units for a unit of a session. */
    public function ratioSince(Instrument $instrument, string $session): BigRational
    {
        return Split::between($this->splits->of($instrument), $session, self::TODAY);
    }

    /** "Split 3 for 1 on Monday 12 October 2026: entry 172.40 is 57.47 now, ..."; null without a split. */
    public function of(Instrument $instrument, int $publishedAt, PriceGrid $grid, ?Setup $setup): ?string
    {
        $splits = $this->splits->since($instrument, $publishedAt);
        if ($splits === []) {
            return null;
        }
        $ratio = Split::between($splits, '', self::TODAY);
        $now = static fn (string $name, int $price): string => "{$name} {$grid->format($price)} is {$grid->formatExact(BigRational::of($price)->dividedBy($ratio))} now";
        $words = implode('; ', array_map(fn (Split $split): string => "Split {$split->label()} on {$this->times->date($split->session)}", $splits));
        if ($setup === null) {
            return "{$words}. The prices are those of the evening of publication; on the chart they are drawn as they are now.";
        }

        return $words.': '.implode(', ', [
            ...array_map(static fn (int $price): string => $now('entry', $price), array_values($setup->entryPrices())),
            $now('stop', $setup->stop),
            ...array_map(static fn (Target $target, int $i): string => $now('target '.($i + 1), $target->price), $setup->targets, array_keys($setup->targets)),
        ]).'. R does not change.';
    }
}
