<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Clock\MarketClock;
use App\Enums\RunState;
use App\Market\MarketAdvance;
use App\Models\MarketRun;
use App\Models\PublishedSetup;
use Illuminate\Bus\Batch;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Bus;
use Watchpost\Core\Market\ExchangeCalendar;

/**
 * Plays the market forward, session by session, then has every setup that is still alive evaluated. It can be
 * cancelled between two sessions; what was played by then is evaluated.
 */
final class PlayMarket implements ShouldQueue
{
    use Queueable;

    public int $timeout = 300;
    public int $tries = 1;

    public function __construct(public readonly int $runId)
    {
    }

    public function handle(MarketAdvance $market, MarketClock $clock, ExchangeCalendar $calendar): void
    {
        $run = MarketRun::query()->findOrFail($this->runId);
        $moments = $this->moments($run, $clock, $calendar);
        $alive = $this->stillAlive();
        // begun only while it is queued: a cancel that came first stands, and a second worker leaves it alone
        $begun = MarketRun::query()->whereKey($run->id)->where('state', RunState::Queued)
            ->update(['state' => RunState::Running, 'steps_total' => count($moments) + count($alive)]);
        if ($begun === 0) {
            return;
        }
        foreach ($moments as $moment) {
            if ($run->refresh()->state === RunState::Cancelled) {
                break;
            }
            $market->to($moment);
            $run->increment('steps_done');
        }
        $this->evaluate($run, $alive);
    }

    public function failed(?\Throwable $e): void
    {
        MarketRun::query()->whereKey($this->runId)->update([
            'state' => RunState::Failed,
            'message' => $e?->getMessage() ?? 'stopped before its end',
        ]);
    }

    /** @return list<int> the closes on the way, and the end */
    private function moments(MarketRun $run, MarketClock $clock, ExchangeCalendar $calendar): array
    {
        $now = $clock->moment();
        $moments = [];
        foreach ($calendar->between($calendar->dateOf($now), $calendar->dateOf($run->until)) as $session) {
            if ($session->close > $now && $session->close < $run->until) {
                $moments[] = $session->close;
            }
        }

        return [...$moments, $run->until];
    }

    /** @return list<int> the published setups to follow, of those that are judged together the first */
    private function stillAlive(): array
    {
        return array_values(PublishedSetup::alive()
            ->orderBy('id')
            ->get()
            ->unique(static fn (PublishedSetup $setup): string => $setup->group === null ? "setup {$setup->id}" : "group {$setup->edition_id} {$setup->group}")
            ->map(static fn (PublishedSetup $setup): int => $setup->id)
            ->all());
    }

    /** @param list<int> $publishedSetupIds */
    private function evaluate(MarketRun $run, array $publishedSetupIds): void
    {
        $runId = $run->id;
        if ($publishedSetupIds === []) {
            self::finish($runId);

            return;
        }
        Bus::batch(array_map(static fn (int $id): EvaluateSetup => new EvaluateSetup($id), $publishedSetupIds))
            ->allowFailures()
            ->progress(static fn (Batch $batch) => MarketRun::query()->whereKey($runId)->increment('steps_done'))
            ->finally(static fn (Batch $batch) => self::finish($runId, $batch->failedJobs))
            ->dispatch();
    }

    private static function finish(int $runId, int $failed = 0): void
    {
        MarketRun::query()->whereKey($runId)->where('state', RunState::Running)->update($failed === 0
            ? ['state' => RunState::Done]
            : ['state' => RunState::Failed, 'message' => "{$failed} setups could not be evaluated; the others are up to date."]);
    }
}
