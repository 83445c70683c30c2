<?php

declare(strict_types=1);

namespace App\Providers;

use App\Clock\MarketClock;
use App\Clock\StoredMarketClock;
use App\Enums\Role;
use App\Feeds\MarketFeed;
use App\Feeds\SimulatedFeed;
use App\Models\User;
use App\Record\RecordCosts;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Simulator\QuayExchange;
use Watchpost\Simulator\Simulator;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(MarketClock::class, StoredMarketClock::class);
        $this->app->bind(MarketFeed::class, SimulatedFeed::class);
        $this->app->singleton(ExchangeCalendar::class, static fn (): ExchangeCalendar => QuayExchange::calendar());
        $this->app->singleton(RecordCosts::class, static fn (): RecordCosts => new RecordCosts(
            config()->integer('watchpost.costs.slippage_ticks'),
            config()->string('watchpost.costs.commission_per_unit'),
        ));
        $this->app->singleton(Simulator::class, static fn (): Simulator => new Simulator(config()->string('watchpost.simulator.seed')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());

        Gate::define('plan', static fn (User $user): bool => $user->role !== Role::Subscriber);
        Gate::define('publish', static fn (User $user): bool => $user->role === Role::Author);
        Gate::define('play-market', static fn (User $user): bool => $user->role === Role::Author);

        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(10)->by($request->string('email')->lower()->value().'|'.$request->ip()));
    }
}
