<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Outcomes\Outcome;

/**
 * A setup in one line on its R scale: the stop at -1, the planned entry at 0, the targets, price now, and once it is
 * filled the span from its worst to its best price. All in R of the planned entry and risk, two decimals; the span is
 * shifted by what the fill was better or worse than planned. Source: look.md, the R strip.
 */
final readonly class RStrip
{
    /** @param list<string> $targets */
    private function __construct(
        public Side $side,
        public array $targets,
        public ?string $now,
        public ?string $fill,
        public ?string $best,
        public ?string $worst,
        public string $filled,
    ) {
    }

    /**
     * @param list<int> $targets in units
     * @param int|null  $now     the last price, in units
     */
    public static function planned(Side $side, RScale $scale, array $targets, ?int $now): self
    {
        return new self(
            $side,
            array_map(static fn (int $price): string => $scale->at($price), $targets),
            $now === null ? null : $scale->at($now),
            null,
            null,
            null,
            '0',
        );
    }

    /**
     * @param int|null $fill the average fill in units, rounded; null while nothing is filled
     * @param int|null $now  the last price, in units; null once the setup is over
     */
    public static function followed(Setup $setup, Outcome $outcome, ?int $fill, ?int $now): self
    {
        $scale = $setup->rScale($fill ?? $now ?? $setup->stop + $setup->side->sign());
        $fillR = $fill === null ? null : $scale->at($fill);

        return new self(
            $setup->side,
            array_map(static fn (Target $target): string => $scale->at($target->price), $setup->targets),
            $now === null ? null : $scale->at($now),
            $fillR,
            self::shift($fillR, $outcome->mfeR),
            self::shift($fillR, $outcome->maeR),
            $outcome->filledShare,
        );
    }

    private static function shift(?string $base, ?string $by): ?string
    {
        return $base === null || $by === null ? null : number_format((float) $base + (float) $by, 2, '.', '');
    }
}
