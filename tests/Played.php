<?php

declare(strict_types=1);

namespace Tests;

use App\Clock\MarketClock;
use App\Market\BarStore;
use App\Models\PublishedSetup;
use App\Record\SetupEvaluator;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\TimeFrame;

/** Bars made for a case, in the world of {@see World}: those of OAKL.Q on the morning after the evening. */
trait Played
{
    private ?int $basis = null;
    private int $played = 0;

    /**
     * Lets these bars of five minutes come to pass, after those before, and has everything published evaluated.
     *
     * @param list<array{float, float, float, float}> $bars open, high, low, close, in shares of the last close of the evening
     */
    protected function play(array $bars, string $until = '2024-11-21T12:00:00Z'): void
    {
        $instrument = $this->instrument('OAKL.Q');
        $this->basis ??= (int) str_replace('.', '', $this->price('OAKL.Q', 0));
        $open = (int) strtotime('2024-11-21T09:30:00Z') + 300 * $this->played;
        $this->played += count($bars);
        $at = fn (float $share): int => (int) round($share * (int) $this->basis);
        app(BarStore::class)->add($instrument->id, TimeFrame::FiveMinutes, array_map(static fn (array $bar, int $i): Bar => new Bar(
            $open + 300 * $i,
            $open + 300 * ($i + 1),
            '2024-11-21',
            $at($bar[0]),
            $at($bar[1]),
            $at($bar[2]),
            $at($bar[3]),
            100,
        ), $bars, array_keys($bars)));
        app(MarketClock::class)->moveTo((int) strtotime($until));
        foreach (PublishedSetup::query()->with(['edition', 'instrument'])->get() as $published) {
            app(SetupEvaluator::class)->evaluate($published);
        }
    }

    /** A share of the last close of the evening, as a price. */
    protected function at(float $share): string
    {
        $grid = $this->instrument('OAKL.Q')->grid();

        return $grid->format($grid->nearestTick($share * (int) $this->basis));
    }
}
