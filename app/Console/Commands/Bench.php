<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\AddCandidate;
use App\Actions\AdvanceMarket;
use App\Actions\ChangeSetup;
use App\Actions\PublishPlan;
use App\Delivery\Dispatch;
use App\Enums\DeliveryState;
use App\Enums\DeliverySubject;
use App\Market\BarRepository;
use App\Market\BarStore;
use App\Market\ChartBuilder;
use App\Market\ChartSettings;
use App\Models\Delivery;
use App\Models\Edition;
use App\Models\Instrument;
use App\Models\MailboxMessage;
use App\Models\MarketRun;
use App\Models\Plan;
use App\Models\PublishedSetup;
use App\Models\User;
use App\Planning\CurrentPlan;
use App\Planning\Variant;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Simulator\QuayExchange;

/** Measures what people wait for; bin/bench runs it on a database of its own. */
final class Bench extends Command
{
    private const IMPORTED = 100_000;
    private const READERS = 10_000;

    protected $signature = 'watchpost:bench';

    protected $description = 'Measure the demo data, playing 20 sessions with 20 setups to follow, an import, and charts over two million bars';

    public function handle(): int
    {
        $this->measure('demo data: twelve years of the whole coast, an edition, a draft', fn () => $this->callSilently('db:seed', ['--class' => DemoSeeder::class, '--force' => true]));

        // these need the exchanges to be there
        $current = app(CurrentPlan::class);
        $bars = app(BarRepository::class);
        $author = User::query()->where('email', 'maren@watchpost.test')->firstOrFail();
        // two plans of ten setups with distant stops, so that all of them stay to be followed
        foreach ([0, 1] as $half) {
            Plan::query()->whereNull('published_at')->delete();
            $this->publish($current->of($author), $half, $bars);
        }
        $this->line(Edition::query()->count().' editions; '.PublishedSetup::alive()->count().' setups to follow');
        $run = app(AdvanceMarket::class)->bySessions($author, 20);
        $this->measure('20 sessions played and the setups followed, through the queue', fn () => Artisan::call('queue:work', ['--stop-when-empty' => true, '--sleep' => 0]));
        $run = MarketRun::query()->findOrFail($run->id);
        $this->line("the run is {$run->state->value}, {$run->steps_done} of {$run->steps_total} steps");

        $this->deliver();
        $this->serve();
        $this->import();
        $this->read();

        return self::SUCCESS;
    }

    /** An edition to ten thousand readers, by mail to the stand-in. */
    private function deliver(): void
    {
        $readers = [];
        for ($i = 0; $i < self::READERS; ++$i) {
            $readers[] = ['name' => "Reader {$i}", 'email' => "reader{$i}@watchpost.test", 'password' => '', 'role' => 'subscriber', 'tier' => $i % 3 === 0 ? 'pilot' : 'harbour', 'joined_at' => now()];
        }
        foreach (array_chunk($readers, 500) as $some) {
            DB::table('users')->insert($some);
        }
        $edition = Edition::query()->orderByDesc('number')->firstOrFail();
        $this->measure('an edition handed to 10,000 readers', static fn (): int => app(Dispatch::class)(DeliverySubject::Edition, $edition->id));
        $this->measure('and sent to the stand-in, through the queue', fn () => Artisan::call('queue:work', ['--stop-when-empty' => true, '--sleep' => 0]));
        $this->line(number_format(MailboxMessage::query()->count()).' mails; '.number_format(Delivery::query()->where(['subject' => DeliverySubject::Edition, 'subject_id' => $edition->id, 'state' => DeliveryState::Sent])->count()).' deliveries of this edition sent');
    }

    /** The page of an edition beside one that holds next to nothing. */
    private function serve(): void
    {
        config(['cache.default' => 'file', 'session.driver' => 'array']);
        $kernel = app(Kernel::class);
        $median = static function (string $path) use ($kernel): float {
            $times = [];
            for ($i = 0; $i < 41; ++$i) {
                $start = hrtime(true);
                $kernel->handle(Request::create($path));
                $times[] = (hrtime(true) - $start) / 1e6;
            }
            sort($times);

            return $times[20];
        };
        $trivial = $median('/password');
        $edition = $median('/editions/31');
        $this->line(sprintf('%6.2f ms  the page of an edition of 13 setups, %.2f ms a trivial page: %.2f times', $edition, $trivial, $edition / $trivial));
    }

    /** A file of 100,000 bars: checked, then written in one transaction; and the same file again. */
    private function import(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'watchpost-bench-');
        $file = fopen($path, 'w');
        \assert($file !== false);
        fwrite($file, "symbol,date,open,high,low,close,volume\n");
        $sessions = QuayExchange::calendar()->between('1994-01-03', '1999-12-31');
        for ($i = 0; $i < self::IMPORTED; ++$i) {
            $start = $sessions[intdiv($i, 78)]->open + $i % 78 * 300;
            fwrite($file, 'BRKF.Q,'.gmdate('Y-m-d\TH:i:s\Z', $start).",36.50,36.80,36.20,36.60,1000\n");
        }
        fclose($file);
        foreach (['import of 100,000 bars, checked and written', 'the same file again'] as $what) {
            $this->measure($what, fn () => Artisan::call('watchpost:import', ['file' => $path]));
        }
        unlink($path);
    }

    /** What a person waits for with two million bars in the database. */
    private function read(): void
    {
        $instrument = Instrument::query()->where('symbol', 'BRKF.Q')->firstOrFail();
        $store = app(BarStore::class);
        $this->measure('bars added up to two million', function () use ($store): void {
            /** @var list<int> $others */
            $others = Instrument::query()->where('symbol', '!=', 'BRKF.Q')->pluck('id')->all();
            $sessions = array_slice(QuayExchange::calendar()->between('2001-01-02', '2010-12-31'), 0, 280);
            $missing = 2_000_000 - DB::table('bars')->count();
            DB::transaction(function () use ($store, $others, $sessions, $missing): void {
                foreach ($others as $i => $id) {
                    $bars = [];
                    for ($j = 0, $n = (int) ceil($missing / count($others)); $j < $n; ++$j) {
                        $session = $sessions[intdiv($j, 78) % count($sessions)];
                        $start = $session->open + $j % 78 * 300 + intdiv($j, 78 * count($sessions));
                        $bars[] = new Bar($start, $start + 300, $session->date, 100, 110, 90, 100, 5);
                    }
                    $store->add($id, TimeFrame::FiveMinutes, $bars);
                }
            });
        });
        $this->line(number_format(DB::table('bars')->count()).' bars in the database');
        $charts = app(ChartBuilder::class);
        foreach ([TimeFrame::FiveMinutes, TimeFrame::Day, TimeFrame::Quarter] as $frame) {
            $this->measure("ten charts of 260 bars, {$frame->value}", function () use ($charts, $instrument, $frame): void {
                for ($i = 0; $i < 10; ++$i) {
                    $charts->chart($instrument, 260, ChartSettings::usual(), $frame);
                }
            });
        }
    }

    private function publish(Plan $plan, int $half, BarRepository $bars): void
    {
        foreach (Instrument::query()->where('kind', 'share')->where('symbol', '!=', 'DORY.Q')->orderBy('id')->skip($half * 5)->take(10)->get() as $instrument) {
            $close = $bars->lastClose($instrument) ?? 0;
            $price = static fn (float $share): string => $instrument->grid()->format($instrument->grid()->nearestTick($close * $share));
            $candidate = app(AddCandidate::class)($plan, $instrument);
            app(ChangeSetup::class)(new Variant($candidate), ['trigger' => 'break', 'entry' => $price(1.01), 'stop' => $price(0.6), 'good_for' => 40]);
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
