<?php

declare(strict_types=1);

namespace Watchpost\Core\Rehearsal;

use Watchpost\Core\Levels\FoundLevel;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\SessionBook;

/** The past of one instrument by days, evening by evening: nothing of an evening depends on a bar after it. */
final class Past
{
    /** @var list<float|null> the usual range at each bar, in units */
    private readonly array $range;

    /** @var list<Bar> with their ends */
    public readonly array $bars;

    /** @var list<FoundLevel> */
    private array $found = [];
    private int $foundAt = -1;
    private ?LevelRule $foundBy = null;

    /** @param Series $series day bars in one scale of units */
    public function __construct(public readonly string $symbol, public readonly Series $series, public readonly SessionBook $sessions)
    {
        $this->range = $series->count() === 0 ? [] : (new LevelInput($series))->atr;
        $this->bars = array_map(
            static fn (Bar $bar): Bar => new Bar($bar->start, $sessions->of($bar->session, $bar->start)->close, $bar->session, $bar->open, $bar->high, $bar->low, $bar->close, $bar->volume),
            $series->bars(),
        );
    }

    public function rangeOn(int $evening): ?float
    {
        $range = $this->range[$evening] ?? null;

        return $range === null || $range <= 0.0 ? null : $range;
    }

    /**
     * The nearest level of the kind on the side of the close where the rule has it, within its reach: its edge that
     * price comes to first.
     *
     * @return int|null in units; null when there was none
     */
    public function levelOn(int $evening, Rule $rule): ?int
    {
        $close = $this->series->close[$evening];
        $range = $this->rangeOn($evening);
        if ($rule->at->kind === null || $range === null) {
            // at the close itself: as far from it as the setup's own evening had it
            return $range === null ? null : $close;
        }
        $best = null;
        foreach ($this->levels($evening, $rule->at) as $level) {
            $edge = $level->nearEdge($close);
            $away = abs($edge - $close) / $range;
            if (($edge <=> $close) === $rule->side() && $away <= $rule->reach() && ($best === null || abs($edge - $close) < abs($best - $close))) {
                $best = $edge;
            }
        }

        return $best;
    }

    /** @return list<FoundLevel> of the kind, as they were known on an evening, or a few before */
    private function levels(int $evening, LevelRule $rule): array
    {
        if ($this->foundBy !== $rule || $evening < $this->foundAt || $evening >= $this->foundAt + $rule->lasts()) {
            $from = max(0, $evening + 1 - $rule->window());
            $input = new LevelInput($this->series->slice($from, $evening + 1 - $from));
            $this->found = array_values(array_filter($rule->finder()?->find($input) ?? [], $rule->matches(...)));
            $this->foundAt = $evening;
            $this->foundBy = $rule;
        }

        return $this->found;
    }
}
