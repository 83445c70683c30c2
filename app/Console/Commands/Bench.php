<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\AddCandidate;
use App\Actions\AdvanceMarket;
use App\Actions\ChangeSetup;
use App\Actions\PublishPlan;
use App\Market\BarRepository;
use App\Models\Edition;
use App\Models\Instrument;
use App\Models\MarketRun;
use App\Models\Outcome;
use App\Models\Plan;
use App\Models\User;
use App\Planning\CurrentPlan;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;

/** Measures what people wait for; bin/bench runs it on a database of its own. */
final class Bench extends Command
{
    protected $signature = 'watchpost:bench';

    protected $description = 'Measure the demo data, and playing 20 sessions with 20 setups to follow';

    public function handle(CurrentPlan $current, BarRepository $bars): int
    {
        $this->measure('demo data: two years of the whole exchange, an edition, a draft', fn () => $this->callSilently('db:seed', ['--class' => DemoSeeder::class, '--force' => true]));

        $author = User::query()->where('email', 'maren@watchpost.test')->firstOrFail();
        // two plans of ten setups with distant stops, so that all of them stay to be followed
        foreach ([0, 1] as $half) {
            Plan::query()->whereNull('published_at')->delete();
            $this->publish($current->of($author), $half, $bars);
        }
        $this->line(Edition::query()->count().' editions; '.Outcome::query()->where('is_over', false)->count().' setups to follow');
        $run = app(AdvanceMarket::class)->bySessions($author, 20);
        $this->measure('20 sessions played and the setups followed, through the queue', fn () => Artisan::call('queue:work', ['--stop-when-empty' => true, '--sleep' => 0]));
        $run = MarketRun::query()->findOrFail($run->id);
        $this->line("the run is {$run->state->value}, {$run->steps_done} of {$run->steps_total} steps");

        return self::SUCCESS;
    }

    private function publish(Plan $plan, int $half, BarRepository $bars): void
    {
        foreach (Instrument::query()->where('kind', '!=', 'index')->orderBy('id')->skip($half * 5)->take(10)->get() as $instrument) {
            $close = $bars->lastClose($instrument) ?? 0;
            $price = static fn (float $share): string => $instrument->grid()->format($instrument->grid()->nearestTick($close * $share));
            $candidate = app(AddCandidate::class)($plan, $instrument);
            app(ChangeSetup::class)($candidate, ['trigger' => 'break', 'entry' => $price(1.01), 'stop' => $price(0.6), 'good_for' => 40]);
        }
        app(PublishPlan::class)($plan);
    }

    private function measure(string $what, callable $work): void
    {
        $start = hrtime(true);
        $work();
        $this->line(sprintf('%6.2f s  %s (peak memory %d MB)', (hrtime(true) - $start) / 1e9, $what, memory_get_peak_usage() >> 20));
    }
}
