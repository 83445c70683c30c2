<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Market\Series;

/** How a level did: what price made of its first touch after the level was marked. */
final readonly class Reaction
{
    private const AWAY = 1.0;
    private const BEYOND = 0.5;

    /**
     * @param string|null $touchedOn session of the first touch
     * @param string|null $decidedOn session on which it held or broke
     * @param int|null    $turn      from the level to the extreme that price reached from the touch until it was decided,
     *                               in units: above 0 price turned before the level's price, below 0 beyond it
     * @param float|null  $turnInAtr the same in usual ranges at the touch
     */
    private function __construct(
        public ReactionKind $kind,
        public ?string $touchedOn = null,
        public ?string $decidedOn = null,
        public ?int $turn = null,
        public ?float $turnInAtr = null,
    ) {
    }

    /**
     * First touch: the first bar from which price trades at the level, seen from the side of the close before. Held: on a
     * later bar price was away from the level by 1 ATR before a close beyond it by 0.5 ATR; ATR(14) as it stood on the bar
     * before the touch. What a bar did before it came to the level is not known, so the bar of the touch can break the
     * level but not show that it held. Of a zone, the edge price comes to first is the one it turns from, and the far edge
     * the one it must close beyond.
     *
     * Unit: units of the grid. Source: computations.md, How a level did.
     *
     * @param Series           $series as long as the band
     * @param list<float|null> $atr    in units, one for each bar
     * @param int              $from   the first bar after the level was marked
     */
    public static function of(Series $series, Band $band, array $atr, int $from): self
    {
        for ($i = max(1, $from), $n = $series->count(); $i < $n; ++$i) {
            $low = $band->low[$i];
            $high = $band->high[$i];
            if ($low !== null && $high !== null && $series->low[$i] <= $high && $series->high[$i] >= $low) {
                return self::from($series, $band, $i, $atr[$i - 1] ?? null);
            }
        }

        return self::untouched();
    }

    public static function untouched(): self
    {
        return new self(ReactionKind::Untouched);
    }

    private static function from(Series $series, Band $band, int $touch, ?float $range): self
    {
        $side = $band->side($touch - 1, $series->close[$touch - 1]);
        if ($side === null || $side === 0) {
            // price stood within: the open says from where it comes
            $side = $band->side($touch, $series->open[$touch]);
        }
        $near = $side === -1 ? $band->low[$touch] : $band->high[$touch];
        $far = $side === -1 ? $band->high[$touch] : $band->low[$touch];
        $touchedOn = $series->session[$touch];
        if ($range === null || $side === null || $side === 0 || $near === null || $far === null) {
            return new self(ReactionKind::Undecided, $touchedOn);
        }
        $extreme = null;
        for ($i = $touch, $n = $series->count(); $i < $n; ++$i) {
            $away = $side > 0 ? $series->high[$i] - $near : $near - $series->low[$i];
            if ($i > $touch && $away >= self::AWAY * $range) {
                return self::decided(ReactionKind::Held, $series, $touchedOn, $i, $side, $near, $extreme ?? $near, $range);
            }
            $reached = $side > 0 ? $series->low[$i] : $series->high[$i];
            $extreme = $extreme === null ? $reached : ($side > 0 ? min($extreme, $reached) : max($extreme, $reached));
            if ($side * ($far - $series->close[$i]) > self::BEYOND * $range) {
                return self::decided(ReactionKind::Broke, $series, $touchedOn, $i, $side, $near, $extreme, $range);
            }
        }

        return new self(ReactionKind::Undecided, $touchedOn);
    }

    private static function decided(ReactionKind $kind, Series $series, string $touchedOn, int $at, int $side, int|float $near, int|float $extreme, float $range): self
    {
        $turn = $side * ($extreme - $near);

        return new self($kind, $touchedOn, $series->session[$at], (int) round($turn), $turn / $range);
    }
}
