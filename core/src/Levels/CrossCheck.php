<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/**
 * The levels the program finds by itself, to be laid beside the author's own. Everything is computed from the bars
 * given: asked for an earlier evening with the bars of that evening, it answers what could have been known then.
 */
final readonly class CrossCheck
{
    public const REACH = 8.0;
    public const MOST_ZONES = 12;

    /**
     * @param list<LevelKind>|null     $kinds     null for all
     * @param float|null               $reach     how far from price, in ATR; null: zones within 8 ATR, others at any distance
     * @param int                      $mostZones zones at most, those with the best score
     * @param list<array{string, int}> $averages  "sma" or "ema", and the period
     */
    public function __construct(
        private ?array $kinds = null,
        private ?float $reach = null,
        private int $mostZones = self::MOST_ZONES,
        private array $averages = [['ema', 10], ['sma', 20], ['sma', 50], ['sma', 200]],
        private bool $logarithmic = false,
    ) {
    }

    /** @return list<FoundLevel> the highest first */
    public function of(LevelInput $input): array
    {
        $levels = [];
        foreach ($this->finders() as $finder) {
            $found = $finder->find($input);
            $reach = $this->reach ?? ($finder instanceof ZoneFinder ? self::REACH : INF);
            $near = array_values(array_filter($found, static fn (FoundLevel $level): bool => $level->isWithin($reach, $input)));
            array_push($levels, ...($finder instanceof ZoneFinder ? array_slice($near, 0, $this->mostZones) : $near));
        }
        $alive = array_values(array_filter($levels, static fn (FoundLevel $level): bool => ! $level->isOver()));
        $levels = [...$levels, ...Confluence::of($alive, $input)];
        $levels = array_values(array_filter($levels, fn (FoundLevel $level): bool => $this->kinds === null || in_array($level->kind, $this->kinds, true)));
        usort($levels, static fn (FoundLevel $a, FoundLevel $b): int => [$b->price, $b->score, $a->kind->value] <=> [$a->price, $a->score, $b->kind->value]);

        return $levels;
    }

    /** @return list<LevelFinder> those whose levels are asked for; all, where they are to be joined */
    private function finders(): array
    {
        $kinds = $this->kinds;
        $all = [
            new ZoneFinder(),
            new PeriodMarkFinder(),
            new GapFinder(),
            new PivotFinder(),
            new SwingRatioFinder(),
            new LineFinder($this->logarithmic),
            new MovingFinder($this->averages),
            new RoundFinder(),
            new RangeEdgeFinder(),
        ];

        return $kinds === null || in_array(LevelKind::Confluence, $kinds, true) ? $all : array_values(array_filter(
            $all,
            static fn (LevelFinder $finder): bool => array_uintersect($finder->kinds(), $kinds, static fn (LevelKind $a, LevelKind $b): int => $a->value <=> $b->value) !== [],
        ));
    }
}
