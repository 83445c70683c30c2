<?php

declare(strict_types=1);

namespace App\Rehearsing;

use App\Levels\CrossChecks;
use App\Market\BarRepository;
use App\Market\ChartBuilder;
use App\Models\Instrument;
use App\Models\User;
use App\Planning\Variant;
use Watchpost\Core\Levels\Agreement;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Rehearsal\LevelRule;
use Watchpost\Core\Rehearsal\Rule;
use Watchpost\Core\Setups\RelativeDraft;

/** At which kinds of level a setup's entry stands: those of the cross-check near it, and the last close itself. */
final readonly class LevelChoices
{
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
        $entry = $draft->entryPrice();
        $near = $entry === null ? [] : $this->near($variant->candidate->instrument, $author, $entry, $close, $range);
        $choices = [];
        foreach ([...$near, [new LevelRule(), $close]] as [$at, $edge]) {
            $choices[$at->words()] ??= new Rule(new RelativeDraft($draft, $series->grid, $edge, $range), $at, $close);
        }

        return $choices;
    }

    /** @return list<array{LevelRule, int}> the kinds of level at an entry with the price of each, what says most of the place first */
    private function near(Instrument $instrument, User $author, int $entry, int $close, float $range): array
    {
        $near = [];
        foreach ($this->checks->of($instrument, $author, TimeFrame::Day) as $check) {
            $level = $check->found;
            $edge = $level->nearEdge($close);
            // as near as one's own level must be to agree with a found one
            $at = $check->timeFrame === TimeFrame::Day && Agreement::between([$entry, $entry], [$level->low, $level->high], $range) ? LevelRule::of($level) : null;
            if ($at !== null && $edge !== $close) {
                $near[] = [[array_search($level->kind, self::ORDER, true), max(0, $level->low - $entry, $entry - $level->high)], $at, $edge];
            }
        }
        usort($near, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(static fn (array $one): array => [$one[1], $one[2]], $near);
    }
}
