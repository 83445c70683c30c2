<?php

declare(strict_types=1);

namespace App\Providers;

use App\Clock\MarketClock;
use App\Clock\StoredMarketClock;
use App\Clock\SystemMarketClock;
use App\Delivery\HttpWebhooks;
use App\Delivery\MailboxTransport;
use App\Delivery\Messages;
use App\Delivery\SinkWebhooks;
use App\Delivery\Webhooks;
use App\Enums\Role;
use App\Feeds\FolderFeed;
use App\Feeds\MarketFeed;
use App\Feeds\SimulatedFeed;
use App\Market\Calendars;
use App\Models\User;
use App\Record\RecordCosts;
use App\Subscribers\Tiers;
use App\Support\ImmediateSqliteConnection;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Simulator\Simulator;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('sqlite', static fn (\Closure|\PDO $pdo, string $database, string $prefix, array $config): ImmediateSqliteConnection => new ImmediateSqliteConnection($pdo, $database, $prefix, $config));
        $this->app->bind(MarketClock::class, config()->string('watchpost.clock') === 'system' ? SystemMarketClock::class : StoredMarketClock::class);
        $this->app->bind(MarketFeed::class, config()->string('watchpost.feed') === 'folder' ? FolderFeed::class : SimulatedFeed::class);
        $this->app->bind(Webhooks::class, config()->string('watchpost.webhooks') === 'http' ? HttpWebhooks::class : SinkWebhooks::class);
        $this->app->singleton(Messages::class);
        $this->app->when(FolderFeed::class)->needs('$folder')->giveConfig('watchpost.feed_folder');
        $this->app->scoped(Calendars::class, static fn (): Calendars => new Calendars(config()->string('watchpost.home_exchange')));
        $this->app->scoped(Tiers::class);
        $this->app->bind(ExchangeCalendar::class, static fn (Application $app): ExchangeCalendar => $app->make(Calendars::class)->home());
        $this->app->singleton(RecordCosts::class, static fn (): RecordCosts => new RecordCosts(
            config()->integer('watchpost.costs.slippage_ticks'),
            config()->string('watchpost.costs.commission_per_unit'),
        ));
        $this->app->singleton(Simulator::class, static fn (): Simulator => new Simulator(config()->string('watchpost.simulator.seed')));
    }

    public function boot(): void
    {
        Mail::extend('mailbox', static fn (): MailboxTransport => new MailboxTransport());
        Model::shouldBeStrict(! $this->app->isProduction());

        Gate::define('plan', static fn (User $user): bool => $user->role !== Role::Subscriber);
        Gate::define('publish', static fn (User $user): bool => $user->role === Role::Author);
        Gate::define('keep-data', static fn (User $user): bool => $user->role !== Role::Subscriber);
        Gate::define('keep-subscribers', static fn (User $user): bool => $user->role === Role::Author);
        Gate::define('play-market', static fn (User $user): bool => $user->role === Role::Author);

        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(10)->by($request->string('email')->lower()->value().'|'.$request->ip()));
    }
}
