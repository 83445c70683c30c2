<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Market\PriceGrid;

/**
 * The defaults of a kind of setup, relative to levels and usual ranges: the entry stands at a level, a target at the n-th
 * level beyond it or so many usual ranges away, the stop behind structure or so many usual ranges away.
 *
 * @phpstan-import-type RelativeState from RelativeDraft
 *
 * @phpstan-type TemplateState array{setup: RelativeState, stop_at: string|null, targets_at: list<?int>}
 */
final readonly class Template
{
    /** A target stands at a level this near, in ATR. */
    private const NEAR = 0.1;

    /**
     * @param StopPlace|null $stopAt    null: as many usual ranges away as the setup's
     * @param list<?int>     $targetsAt of each target the number of the level beyond the entry, from 1; null likewise
     */
    public function __construct(public RelativeDraft $setup, public ?StopPlace $stopAt, public array $targetsAt)
    {
    }

    /**
     * What a setup would be on another level.
     *
     * @param list<int>      $levels prices of the author's levels, in units
     * @param StopPlace|null $stopAt behind which structure its stop lies
     */
    public static function of(RelativeDraft $setup, array $levels, ?StopPlace $stopAt): self
    {
        $draft = $setup->draft;
        $beyond = self::beyond($draft->plannedEntry() ?? $setup->level, $draft->side, $levels);
        $targetsAt = array_map(static function (DraftTarget $target) use ($beyond, $setup): ?int {
            foreach ($beyond as $n => $level) {
                if (abs($level - $target->price) <= self::NEAR * $setup->range) {
                    return $n + 1;
                }
            }

            return null;
        }, $draft->targets);

        return new self($setup, $stopAt, $targetsAt);
    }

    /**
     * A setup of this kind at a level. A target whose level is missing, or that would not lie in order, is put as many
     * usual ranges away as the kind's own.
     *
     * @param int       $level  where the entry stands, in units
     * @param float     $range  the usual range, in units
     * @param list<int> $levels prices of the author's levels, in units
     */
    public function put(PriceGrid $grid, int $level, float $range, Side $side, array $levels): Draft
    {
        $draft = $this->setup->put($grid, $level, $range, $side);
        $entry = $draft->plannedEntry() ?? $level;
        $beyond = self::beyond($entry, $side, $levels);
        $targets = [];
        foreach ($draft->targets as $i => $target) {
            $at = $this->targetsAt[$i] ?? null;
            $price = $at === null ? $target->price : $beyond[$at - 1] ?? $target->price;
            $targets[] = new DraftTarget($grid->nearestTick($price), $target->share);
        }
        $last = $entry;
        foreach ($targets as $target) {
            if (($target->price - $last) * $side->sign() <= 0) {
                return $draft;
            }
            $last = $target->price;
        }

        return $draft->replace(['targets' => $targets]);
    }

    /** @return TemplateState */
    public function toState(): array
    {
        return ['setup' => $this->setup->toState(), 'stop_at' => $this->stopAt?->value, 'targets_at' => $this->targetsAt];
    }

    /** @param TemplateState $state */
    public static function fromState(array $state): self
    {
        return new self(RelativeDraft::fromState($state['setup']), StopPlace::tryFrom((string) $state['stop_at']), $state['targets_at']);
    }

    /**
     * @param list<int> $levels
     *
     * @return list<int> those on the winning side of the entry, the nearest first
     */
    private static function beyond(int $entry, Side $side, array $levels): array
    {
        $beyond = array_values(array_unique(array_filter($levels, static fn (int $level): bool => ($level - $entry) * $side->sign() > 0)));
        usort($beyond, static fn (int $a, int $b): int => ($a - $b) * $side->sign());

        return $beyond;
    }
}
