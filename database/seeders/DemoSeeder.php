<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\ChangeSetup;
use App\Actions\PublishPlan;
use App\Actions\WriteBias;
use App\Clock\MarketClock;
use App\Enums\Role;
use App\Feeds\SimulatedFeed;
use App\Models\Exchange;
use App\Models\Instrument;
use App\Models\Plan;
use App\Models\SetupKind;
use App\Models\Tier;
use App\Models\User;
use App\Planning\CurrentPlan;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\VariantKind;
use Watchpost\Simulator\QuayExchange;

/**
 * The demo: the made-up coast with twelve years of history, its author and readers, editions published on thirty-three
 * evenings into a market that had not moved yet, and the draft of tonight's plan. All of it is made by the same actions that
 * people use; every outcome is the engine's.
 *
 * @phpstan-import-type Changes from ChangeSetup
 */
final class DemoSeeder extends Seeder
{
    public const PASSWORD = 'lantern';
    private const DAY = 86_400;

    private DemoDesk $desk;
    private CurrentPlan $current;

    public function __construct(
        private readonly SimulatedFeed $feed,
        private readonly MarketClock $clock,
    ) {
    }

    public function run(): void
    {
        $evening = (int) strtotime(config()->string('watchpost.demo.evening'));
        $earlier = (int) strtotime(config()->string('watchpost.demo.earlier_evening'));

        // what is published is delivered on its evening, as it was then
        $queue = config('queue.default');
        config(['queue.default' => 'sync']);
        DB::transaction(function () use ($evening, $earlier): void {
            $author = $this->people();
            $this->instruments();
            $begins = DemoArchive::begins($earlier);
            $this->feed->deliverHistory($begins, $this->fineFrom($evening), config()->string('watchpost.simulator.first_date'));
            $this->clock->moveTo($begins);
            // these need the exchanges to be there
            $this->desk = app(DemoDesk::class);
            $this->current = app(CurrentPlan::class);
            $archive = app(DemoArchive::class);
            $archive->before($author, $earlier);
            $archive->follow($earlier);
            $this->earlierEdition($author);
            $archive->updates($author, $earlier + 2 * self::DAY);
            $archive->weekly($author, $earlier + 3 * self::DAY);
            $archive->daily($author, $evening - self::DAY);
            $archive->follow($evening);
            $archive->readers();
            $this->draftOfTonight($author);
        });
        User::query()->where('role', Role::Author)->update(['mails_alerts' => true]);
        config(['queue.default' => $queue]);
    }

    /** The date from which bars of five minutes are kept. */
    private function fineFrom(int $evening): string
    {
        $calendar = QuayExchange::calendar();
        $sessions = $calendar->between(QuayExchange::FIRST_DATE, $calendar->dateOf($evening));

        return $sessions[max(0, count($sessions) - config()->integer('watchpost.simulator.fine_sessions'))]->date;
    }

    private function people(): User
    {
        $author = $this->person('Maren Holloway', 'maren', Role::Author);
        // what happened before tonight was told long ago
        $author->update(['mails_alerts' => false]);
        $this->person('Tobias Fenn', 'tobias', Role::Assistant, worksFor: $author);
        $this->person('Ines Calder', 'ines', Role::Subscriber, 'pilot');
        $this->person('Jonas Wick', 'jonas', Role::Subscriber, 'harbour');
        $this->person('Olin Reed', 'olin', Role::Subscriber, 'pilot')->update(['mails_editions' => false, 'mails_updates' => false, 'webhook_url' => 'https://olin.test/plans', 'webhook_secret' => 'of-the-demo']);
        $this->person('Petra Sund', 'petra', Role::Subscriber, 'harbour')->update(['webhook_url' => 'https://down.petra.test/hook', 'webhook_secret' => 'of-the-demo']);
        $this->person('Edda Marl', 'edda', Role::Subscriber, 'harbour')->update(['mails_updates' => false]);
        // who has no account reads everything a week later
        Tier::query()->where('key', Tier::VISITORS)->update(['opens_after_hours' => 7 * 24]);

        return $author;
    }

    private function person(string $name, string $address, Role $role, ?string $tier = null, ?User $worksFor = null): User
    {
        return User::query()->create([
            'name' => $name,
            'email' => "{$address}@watchpost.test",
            'password' => self::PASSWORD,
            'role' => $role,
            'tier' => $tier,
            'works_for_id' => $worksFor?->id,
            'joined_at' => config()->string('watchpost.demo.earlier_evening'),
        ]);
    }

    private function instruments(): void
    {
        foreach (QuayExchange::exchanges() as $calendar) {
            Exchange::list($calendar);
        }
        foreach (QuayExchange::listings() as $listing) {
            Instrument::list($listing->instrument);
        }
    }

    private function earlierEdition(User $author): void
    {
        $plan = $this->current->of($author);
        (new WriteBias())($plan, 'The index holds its range; strength is bought on pullbacks, breaks need room above them.');
        // a split takes effect while this one is open
        $this->desk->planned($plan, 'OAKL.Q', Side::Long, 'touch', -0.6, stop: 3.2, goodFor: 10);
        $this->desk->planned($plan, 'TARN.Q', Side::Long, 'touch', -0.3, stop: 3.2, goodFor: 10);
        $this->desk->planned($plan, 'PINE.Q', Side::Short, 'break', -0.5);
        $this->desk->planned($plan, 'KELP.Q', Side::Long, 'touch', -2.6, goodFor: 15);
        $this->desk->planned($plan, 'RAMP.Q', Side::Short, 'overshoot', 0.7, more: static fn (callable $price): array => [
            'legs' => [['kind' => 'overshoot', 'price' => $price(0.7), 'beyond' => '', 'timeframe' => '1d', 'bars' => 2]],
        ]);
        $this->desk->planned($plan, 'SKDO.Q', Side::Long, 'retest', 0.4, goodFor: 10, more: static fn (callable $price): array => [
            'legs' => [['kind' => 'retest', 'price' => $price(0.4), 'timeframe' => '1d']],
            'stop_closes' => ['timeframe' => '1d', 'times' => 1],
        ]);
        $this->desk->planned($plan, 'GRIT.Q', Side::Long, 'break', 0.6, readers: 'pilot', more: static fn (callable $price): array => [
            'legs' => [
                ['name' => 'starter', 'share' => '0.4', 'kind' => 'break', 'price' => $price(0.6)],
                ['name' => 'add', 'share' => '0.6', 'kind' => 'close_beyond', 'price' => $price(0.9), 'timeframe' => '1d', 'needs' => 'starter'],
            ],
            'stop_moves' => [['after' => 'target', 'afterValue' => '1', 'to' => 'atr', 'timeframe' => '1d', 'period' => '14', 'multiple' => '2']],
        ]);
        $this->desk->planned($plan, 'FERN.Q', Side::Long, 'close_beyond', 0.5, goodFor: 10, more: static fn (callable $price): array => [
            'legs' => [['kind' => 'close_beyond', 'price' => $price(0.5), 'timeframe' => '1h', 'times' => 2]],
            'conditions' => [['kind' => 'average_above', 'type' => 'ema', 'period' => '20']],
            'stop_moves' => [['after' => 'r', 'afterValue' => '1', 'to' => 'entry']],
        ]);
        $this->desk->planned($plan, 'SILT.Q', Side::Long, 'open', 0.0, more: static fn (): array => [
            'legs' => [['kind' => 'open', 'gapMin' => '-1', 'gapMax' => '1']],
            'open_exit' => ['session' => 3],
        ]);
        $this->desk->planned($plan, 'BALM.Q', Side::Short, 'market', 0.0, more: static fn (): array => [
            'legs' => [['kind' => 'market']],
            'time_stop' => 8,
        ]);
        $this->desk->planned($plan, 'BRNZ-2612.Q', Side::Short, 'touch', 0.5, readers: 'pilot');
        [$pullback, $break] = array_map(static fn (string $name): SetupKind => SetupKind::of($author)->where('name', $name)->firstOrFail(), ['Pullback to support', 'Break of a range']);
        foreach (['TARN.Q' => $pullback, 'GRIT.Q' => $break, 'OAKL.Q' => $pullback, 'KELP.Q' => $pullback, 'PINE.Q' => $break, 'FERN.Q' => $break] as $symbol => $kind) {
            $this->desk->ofKind($plan, $symbol, $kind);
        }
        $this->desk->inOptions($plan, 'FERN.Q');
        // two patiences, and a plan for both ways out of a range
        $this->desk->variant($plan, 'TARN.Q', VariantKind::Patient);
        $this->desk->variant($plan, 'PINE.Q', VariantKind::OtherSide);
        $this->desk->write($plan, "The range of the last weeks decides: **{TARN.Q entry, nearer}** is where buyers came three times, and below {TARN.Q stop, nearer} they were wrong.\n\nThe record by now: {record closed} closed, {record realised}.");
        $this->desk->passed($plan, 'MOSS.Q', 'Stretched far above its averages; no level near enough for a stop.');
        app(PublishPlan::class)($plan);
    }

    private function draftOfTonight(User $author): void
    {
        $plan = $this->current->of($author);
        (new WriteBias())($plan, 'A quiet tape into Lamplighters\' Day: fewer names, near stops.');
        $this->desk->planned($plan, 'BRKF.Q', Side::Long, 'touch', -0.7);
        $this->desk->ofKind($plan, 'BRKF.Q', SetupKind::of($author)->where('name', 'Pullback to support')->firstOrFail());
        $this->desk->variant($plan, 'BRKF.Q', VariantKind::Patient);
        $this->desk->planned($plan, 'OAKL.Q', Side::Long, 'break', 0.6);
        $this->desk->read($this->desk->candidate($plan, 'GORSE.Q'));
        $this->desk->candidate($plan, 'HEATH.Q');
        $this->desk->passed($plan, 'LANT.Q', 'Swings of a day are wider than any stop worth taking.');
        $plan->changes()->delete();
        $plan->update(['change_position' => 0]);
    }
}
