<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Statistics\Interval;

/** How many levels of a kind held, broke, are undecided or were never touched. */
final readonly class ReactionTally
{
    /** Fewer decided levels than this give no rate. */
    public const FEWEST = 10;

    /**
     * @param Interval|null $rate how often those that are decided held; null with fewer than 10
     * @param float|null    $turn mean distance from the level at which those that held turned, in usual ranges; below 0
     *                            beyond the level
     */
    private function __construct(public int $held, public int $broke, public int $undecided, public int $untouched, public ?Interval $rate, public ?float $turn)
    {
    }

    /**
     * Unit: counts; rate 0 to 1 with its Wilson 90 % interval. Source: computations.md, How a level did and Statistics.
     *
     * @param list<Reaction> $reactions
     */
    public static function of(array $reactions): self
    {
        $of = static fn (ReactionKind $kind): array => array_values(array_filter($reactions, static fn (Reaction $one): bool => $one->kind === $kind));
        $held = $of(ReactionKind::Held);
        $broke = count($of(ReactionKind::Broke));
        $turns = array_values(array_filter(array_map(static fn (Reaction $one): ?float => $one->turnInAtr, $held), is_float(...)));
        $decided = count($held) + $broke;

        return new self(
            count($held),
            $broke,
            count($of(ReactionKind::Undecided)),
            count($of(ReactionKind::Untouched)),
            $decided < self::FEWEST ? null : Interval::wilson(count($held), $decided),
            $turns === [] ? null : array_sum($turns) / count($turns),
        );
    }

    public function all(): int
    {
        return $this->held + $this->broke + $this->undecided + $this->untouched;
    }

    public function decided(): int
    {
        return $this->held + $this->broke;
    }
}
