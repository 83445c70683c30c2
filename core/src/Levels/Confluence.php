<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** Levels of different origins that lie together. */
final class Confluence
{
    private const NEAR = 0.35;

    /**
     * Levels of at least two kinds, each within 0.35 ATR of the lowest one, joined to one zone that lists its members;
     * price = their middle. Major when three kinds agree or one of them is major. A level belongs to one such zone.
     *
     * Unit: units of the grid; score = number of kinds. Source: computations.md, Levels 10.
     *
     * @param list<FoundLevel> $levels
     *
     * @return list<FoundLevel> by price
     */
    public static function of(array $levels, LevelInput $input): array
    {
        usort($levels, static fn (FoundLevel $a, FoundLevel $b): int => [$a->price, $a->kind->value] <=> [$b->price, $b->kind->value]);
        $joined = [];
        $members = [];
        foreach ($levels as $level) {
            if ($members !== [] && $level->price - $members[0]->price > self::NEAR * $input->range) {
                $joined[] = self::join($members, $input);
                $members = [];
            }
            $members[] = $level;
        }
        if ($members !== []) {
            $joined[] = self::join($members, $input);
        }

        return array_values(array_filter($joined));
    }

    /** @param non-empty-list<FoundLevel> $members by price */
    private static function join(array $members, LevelInput $input): ?FoundLevel
    {
        $kinds = array_unique(array_map(static fn (FoundLevel $one): string => $one->kind->value, $members));
        if (count($kinds) < 2) {
            return null;
        }
        $low = $members[0]->price;
        $high = $members[count($members) - 1]->price;
        $isMajor = count($kinds) > 2 || array_filter($members, static fn (FoundLevel $one): bool => $one->grade === Grade::Major) !== [];

        return new FoundLevel(
            LevelKind::Confluence,
            $low,
            max($low, min($high, $input->tick(($low + $high) / 2))),
            $high,
            $isMajor ? Grade::Major : Grade::Minor,
            (float) count($kinds),
            count($members).' levels of '.count($kinds).' kinds',
            [],
            ['members' => array_values(array_map(static fn (FoundLevel $one): string => $one->origin, $members))],
        );
    }
}
