<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\AskForSymbol;
use App\Actions\BeginPlan;
use App\Actions\CarryOver;
use App\Actions\FollowSetup;
use App\Actions\PostUpdate;
use App\Actions\PublishPlan;
use App\Actions\ReviewSetup;
use App\Actions\WriteBias;
use App\Enums\PlanKind;
use App\Enums\ReasonJudgement;
use App\Enums\Relation;
use App\Enums\ResultJudgement;
use App\Jobs\EvaluateSetup;
use App\Market\MarketAdvance;
use App\Models\Instrument;
use App\Models\Plan;
use App\Models\PublishedSetup;
use App\Models\SetupKind;
use App\Models\Tier;
use App\Models\User;
use App\Planning\CurrentPlan;
use Illuminate\Support\Collection;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\UpdateKind;
use Watchpost\Simulator\QuayExchange;

/**
 * The editions of the demo beside the one that shows everything: thirty evenings before it, a weekly plan and a daily one
 * after it. Each is published into a market that has not moved yet; nothing of what came of them is typed.
 */
final readonly class DemoArchive
{
    private const EVENINGS = 30;
    /** Hours after the close at which the author publishes. */
    private const HOURS_AFTER = 3;
    private const MEAN = 20;

    private const STANCES = [
        'The index holds its range; strength is bought on pullbacks.',
        'Fewer new highs than last week: near targets, and half off early.',
        'Utilities lead, machines lag; long against short in small size.',
        'A session of waiting: what does not come to its price is left alone.',
        'Breadth is back above its middle; breaks may run again.',
        'Auctions tomorrow: nothing is held over the close without room.',
    ];

    public function __construct(private DemoDesk $desk, private MarketAdvance $market, private CurrentPlan $current)
    {
    }

    /** @return int the moment of the first of its evenings */
    public static function begins(int $until): int
    {
        return self::evening(self::sessions($until)[0]);
    }

    /** The evenings before a moment, from the one on which the market stands now. */
    public function before(User $author, int $until): void
    {
        foreach (self::sessions($until) as $n => $session) {
            $this->market->to(self::evening($session));
            $plan = $this->current->of($author);
            (new WriteBias())($plan, self::STANCES[$n % count(self::STANCES)]);
            $symbols = $this->symbols($n, 2 + $n % 2);
            foreach ($symbols as $i => $symbol) {
                $this->setup($plan, $symbol, ($n + $i) % 3 === 0 ? 'break' : 'touch', $n);
            }
            if ($n === 0) {
                $this->kinds($author, $plan, $symbols);
            }
            $this->desk->write($plan, "{$symbols[0]} comes first: {{$symbols[0]} setup}. At {{$symbols[0]} stop} the idea is wrong, which is {{$symbols[0]} risk} a unit.");
            app(PublishPlan::class)($plan);
        }
    }

    /** What the author told of the edition before, some evenings later. */
    public function updates(User $author, int $moment): void
    {
        $this->follow($moment);
        $last = PublishedSetup::query()->with(['edition', 'instrument', 'outcome'])->orderByDesc('id')->get()->unique('instrument_id');
        $open = $last->first(static fn (PublishedSetup $one): bool => $one->outcome?->status === OutcomeStatus::Open && $one->readers !== 'pilot');
        $waiting = $last->first(static fn (PublishedSetup $one): bool => $one->outcome?->status === OutcomeStatus::Waiting);
        if ($open !== null) {
            app(PostUpdate::class)($open, $author, UpdateKind::Exit, share: '50', text: 'Half of it into strength; the rest keeps its stop.');
            (new ReviewSetup())($open, ReasonJudgement::Held, null, 'The level was met on the first visit.');
        }
        if ($waiting !== null) {
            app(PostUpdate::class)($waiting, $author, UpdateKind::Note, text: 'Still waiting for its price. Nothing is chased.');
        }
    }

    /** The plan of a week, twenty setups in groups. */
    public function weekly(User $author, int $moment): void
    {
        $this->follow($moment);
        $plan = app(BeginPlan::class)($author, PlanKind::Weekly);
        (new WriteBias())($plan, 'A week inside the range: pullbacks first, breaks only with room above them.');
        foreach ($this->symbols(7, 20) as $i => $symbol) {
            $this->setup($plan, $symbol, $i % 4 === 3 ? 'break' : 'touch', $i, goodFor: 5);
        }
        $this->desk->write($plan, "The record so far: {record closed} closed, {record realised}; {record not triggered} never triggered, and nothing of that is a loss or a gain.\n\nThe groups that lead are at the top of the list.");
        app(PublishPlan::class)($plan);
    }

    /** A plan of six, and one that still stands. */
    public function daily(User $author, int $moment): void
    {
        $this->follow($moment);
        $plan = $this->current->of($author);
        (new WriteBias())($plan, 'Two days before Lamplighters\' Day volume thins out: near stops, near targets.');
        $still = PublishedSetup::query()->with(['edition', 'instrument', 'outcome'])->whereHas('edition', static fn ($edition) => $edition->where('kind', PlanKind::Weekly))->get()
            ->first(static fn (PublishedSetup $one): bool => $one->outcome?->status === OutcomeStatus::Waiting);
        foreach ($this->symbols(13, 8) as $i => $symbol) {
            if ($symbol !== $still?->instrument->symbol && $plan->candidates()->count() < 6) {
                $this->setup($plan, $symbol, $i % 3 === 2 ? 'break' : 'touch', $i);
            }
        }
        if ($still !== null) {
            app(CarryOver::class)($plan, $still, Relation::Still);
        }
        app(PublishPlan::class)($plan);
        $ended = PublishedSetup::query()->with('outcome')->get()->filter(static fn (PublishedSetup $one): bool => $one->outcome?->status === OutcomeStatus::Closed)->last();
        if ($ended instanceof PublishedSetup) {
            (new ReviewSetup())($ended, ReasonJudgement::Partly, ResultJudgement::Lucky, 'It was the index that moved, not the level.');
        }
    }

    /** What some of the readers follow and ask for. */
    public function readers(): void
    {
        $one = static fn (string $name): User => User::query()->where('email', "{$name}@watchpost.test")->firstOrFail();
        foreach (PublishedSetup::alive()->where('readers', Tier::VISITORS)->orderByDesc('id')->limit(12)->get()->nth(4) as $published) {
            (new FollowSetup())($one('jonas'), $published, true);
        }
        $ask = app(AskForSymbol::class);
        $ask($one('edda'), 'THIM.Q', 'Is the gap above 60 still open?');
        $ask($one('olin'), 'BUOY.Q', '');
        $ask($one('ines'), 'BUOY.Q', 'The port figures are out on Friday.');
    }

    /** Lets the market move on, and everything published be judged. */
    public function follow(int $moment): void
    {
        $this->market->to($moment);
        foreach (PublishedSetup::alive()->with(['edition', 'instrument'])->get() as $published) {
            dispatch_sync(new EvaluateSetup($published->id));
        }
    }

    /** With the trend: a pullback to a price below, or a break of one above; out after eight sessions. */
    private function setup(Plan $plan, string $symbol, string $kind, int $n, int $goodFor = 4): void
    {
        $series = $this->desk->series($symbol);
        $closes = array_slice($series->close, -self::MEAN);
        $side = ($series->lastClose() ?? 0) >= array_sum($closes) / max(1, count($closes)) ? Side::Long : Side::Short;
        $away = $side->sign() * ($kind === 'break' ? 0.35 : -0.25 - 0.1 * ($n % 4));
        $this->desk->planned($plan, $symbol, $side, $kind, $away, 1.0 + 0.1 * ($n % 5), $goodFor, more: static fn (callable $price): array => [
            'legs' => [['kind' => $kind, 'price' => $price($away)]],
            'time_stop' => 8,
        ], marked: false);
        $known = SetupKind::query()->where('name', $kind === 'break' ? 'Break of a range' : 'Pullback to support')->first();
        if ($known !== null) {
            $this->desk->ofKind($plan, $symbol, $known);
        }
    }

    /** @param list<string> $symbols with a setup each */
    private function kinds(User $author, Plan $plan, array $symbols): void
    {
        $this->desk->kind($author, 'Pullback to support', $plan, $symbols[1], [['reward_min', '1.5'], ['stop_min', '0.8'], ['sma_above', '200'], ['no_earnings', '0'], [SetupKind::OWN, 'The level is seen on the week chart too']]);
        $this->desk->kind($author, 'Break of a range', $plan, $symbols[0], [['reward_min', '2'], ['volume_min', '1'], [SetupKind::OWN, 'Room above: no major level within 2 ATR']]);
    }

    /** @return list<string> so many shares, others on every evening */
    private function symbols(int $n, int $count): array
    {
        /** @var Collection<int, string> $shares */
        $shares = Instrument::query()->where('kind', InstrumentKind::Share)->whereNotIn('symbol', ['DORY.Q'])->orderBy('id')->pluck('symbol');

        return array_map(static fn (int $i): string => (string) $shares[($n * 5 + $i * 3) % count($shares)], range(0, $count - 1));
    }

    /** @return non-empty-list<Session> the last ones before the day of a moment */
    private static function sessions(int $until): array
    {
        $calendar = QuayExchange::calendar();
        $sessions = array_slice($calendar->between(QuayExchange::FIRST_DATE, $calendar->dateOf($until - 86_400)), -self::EVENINGS);

        return $sessions === [] ? throw new \LogicException('The exchange was never open.') : $sessions;
    }

    private static function evening(Session $session): int
    {
        return $session->close + self::HOURS_AFTER * 3_600;
    }
}
