<?php

declare(strict_types=1);

namespace App\Rehearsing;

use App\Levels\CrossChecks;
use App\Market\BarRepository;
use App\Market\ChartBuilder;
use App\Models\User;
use App\Planning\Variant;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Rehearsal\LevelRule;
use Watchpost\Core\Rehearsal\Rule;
use Watchpost\Core\Setups\RelativeDraft;

/** At which kinds of level a setup's entry stands: those of the cross-check near it, and the last close itself. */
final readonly class LevelChoices
{
    /** An entry stands at a level this near, in ATR: as near as one's own level agrees with a found one. */
    private const NEAR = 0.35;
    private const DAYS = 60;
    /** What says more of a place comes first. */
    private const ORDER = [LevelKind::Zone, LevelKind::Period, LevelKind::Line, LevelKind::Average, LevelKind::Gap, LevelKind::Retracement, LevelKind::Projection, LevelKind::Pivot, LevelKind::Round];

    public function __construct(private CrossChecks $checks, private BarRepository $bars, private ChartBuilder $charts)
    {
    }

    /** @return array<string, Rule> by their words, the last close at the end; none while the setup is not complete */
    public function of(Variant $variant, User $author): array
    {
        $draft = $variant->draft();
        $series = $this->bars->days($variant->candidate->instrument, self::DAYS);
        $range = $this->charts->atr($series);
        $close = $series->lastClose();
        if (! $draft->isComplete() || $range === null || $range <= 0.0 || $close === null) {
            return [];
        }
        $near = [];
        $entry = $draft->entryPrice();
        foreach ($entry === null ? [] : $this->checks->of($variant->candidate->instrument, $author, TimeFrame::Day) as $check) {
            $level = $check->found;
            $edge = $level->nearEdge($close);
            $away = $entry >= $level->low && $entry <= $level->high ? 0.0 : min(abs($entry - $level->low), abs($entry - $level->high)) / $range;
            $at = $check->timeFrame === TimeFrame::Day && $away <= self::NEAR ? LevelRule::of($level) : null;
            if ($at !== null && $edge !== $close) {
                $near[] = [array_search($level->kind, self::ORDER, true), $away, $at, $edge];
            }
        }
        usort($near, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
        $choices = [];
        foreach ([...$near, [0, 0.0, new LevelRule(), $close]] as [, , $at, $edge]) {
            $choices[$at->words()] ??= new Rule(new RelativeDraft($draft, $series->grid, $edge, $range), $at, $close);
        }

        return $choices;
    }
}
