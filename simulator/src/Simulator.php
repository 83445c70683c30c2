<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Session;

/**
 * Plays the made-up market, session by session. What a session brings depends on the seed, the listing, the state
 * the session before left, and the session itself: never on when or how often it is asked for.
 */
final class Simulator
{
    private const STEPS_PER_BAR = 3;
    private const STEPS_OF_A_DAY = 16;
    private const EXTENDED_TRADE_SHARE = 0.2;

    private readonly Tide $tide;
    private readonly Drives $drives;

    /** @var array<string, Barriers> */
    private array $barriers = [];

    public readonly Diary $diary;

    public function __construct(private readonly string $seed)
    {
        $this->diary = new Diary($seed);
        $this->tide = new Tide($seed);
        $this->drives = new Drives($this->tide, $this->diary);
    }

    /** Before the first session of a listing. */
    public function begin(Listing $listing, string $date): ListingState
    {
        $dice = new Dice($this->seed, $listing->root(), 'begin');
        $price = $this->drives->home($listing, $date) * exp(4 * $listing->dailyMove * $dice->normal());

        return new ListingState($price, $listing->nature === Nature::Gauge ? 0.0 : $price, 1.0, Phase::drawn($dice), 5 + (int) (20 * $dice->uniform()));
    }

    /**
     * @param int|null     $barSeconds length of the bars to be made, 300 for five minutes; null for the session as one
     * @param Session|null $extended   the hours around the session in which prices are made too
     */
    public function play(Listing $listing, ListingState $state, Session $session, ?int $barSeconds = 300, ?Session $extended = null): PlayedSession
    {
        $dice = new Dice($this->seed, $listing->root(), $session->date);
        $count = $barSeconds === null ? 1 : max(1, intdiv($session->close - $session->open, $barSeconds));
        $steps = $barSeconds === null ? self::STEPS_OF_A_DAY : self::STEPS_PER_BAR;
        $heat = max(0.5, min(2.2, 0.85 * $state->heat + 0.15 + 0.12 * $dice->normal()));
        $now = $this->phase($listing, new ListingState($state->price, $state->middle, $heat, $state->phase, $state->phaseLeft), $dice, $session->date);
        $drive = $this->drives->of($listing, $now, $session, $count * $steps, $dice);
        $walk = $this->walk($listing, $state->price * exp($drive->gap), $drive, $session->date, $count * $steps, $dice);
        $crowd = $heat * (0.75 + 14 * abs($drive->gap) + 6 * abs(log(end($walk) / $walk[0]))) * exp(0.28 * $dice->normal());
        $bars = $this->bars($listing, $session, $barSeconds ?? $session->close - $session->open, $walk, $steps, $crowd, $drive, $dice);
        $after = new ListingState(
            end($walk),
            $listing->nature === Nature::Gauge ? $this->drives->memory($state, $session->date) : $now->middle,
            $heat,
            $now->phase,
            $now->phaseLeft,
        );

        return new PlayedSession($bars, $extended === null || $barSeconds === null ? [] : $this->extendedBars($listing, $state, $session, $extended, $barSeconds, $walk), $after);
    }

    /** Lets go of what was kept to play many listings through the same sessions. */
    public function rest(): void
    {
        $this->tide->forget();
    }

    /** The phase of this session: the one before, or when its time is over a new one about the present price. */
    private function phase(Listing $listing, ListingState $state, Dice $dice, string $date): ListingState
    {
        $prescribed = $listing->prescribed($date);
        if ($prescribed !== null) {
            $begins = $state->phase !== $prescribed || $state->phaseLeft < 1_000;

            return new ListingState($state->price, $begins ? $state->price : $state->middle, $state->heat, $prescribed, 1_000_000);
        }
        if ($state->phaseLeft > 1) {
            return new ListingState($state->price, $state->middle, $state->heat, $state->phase, $state->phaseLeft - 1);
        }
        $middle = $listing->nature === Nature::Gauge ? $state->middle : $state->price;

        return new ListingState($state->price, $middle, $state->heat, Phase::drawn($dice), 8 + (int) (32 * $dice->uniform()));
    }

    /**
     * Prices from open to close, in currency.
     *
     * @return non-empty-list<float> one more than the steps
     */
    private function walk(Listing $listing, float $open, Drive $drive, string $date, int $steps, Dice $dice): array
    {
        $x = log($open);
        $walk = [$open];
        $barriers = $drive->turns ? $this->barriersOf($listing) : null;
        $k = $barriers?->below($x) ?? 0;
        $low = $barriers?->at($k) ?? -INF;
        $high = $barriers?->at($k + 1) ?? INF;
        $size = $drive->noise / sqrt($steps);
        for ($i = 0; $i < $steps; ++$i) {
            $place = 2 * $i / $steps - 1;
            $x += $drive->drift / $steps + ($drive->common[$i] ?? 0.0) + $size * sqrt(0.7 + 0.75 * $place * $place) * $dice->normal();
            if ($barriers !== null && ($x < $low || $x >= $high)) {
                $met = $x < $low ? $k : $k + 1;
                if ($barriers->holds($met, $date)) {
                    $edge = $x < $low ? $low : $high;
                    $x = $edge - 0.6 * ($x - $edge) - ($x <=> $edge) * 0.05 * $size;
                } else {
                    $k = $barriers->below($x);
                    $low = $barriers->at($k);
                    $high = $barriers->at($k + 1);
                }
            }
            $walk[] = exp($x);
        }

        return $walk;
    }

    /**
     * @param non-empty-list<float> $walk
     * @param int                   $steps of a bar
     * @param float                 $crowd how many trade in this session, 1 being usual
     *
     * @return list<Bar>
     */
    private function bars(Listing $listing, Session $session, int $barSeconds, array $walk, int $steps, float $crowd, Drive $drive, Dice $dice): array
    {
        $price = $this->pricer($listing, $session->date);
        $count = intdiv(count($walk) - 1, $steps);
        $halt = $this->diary->halt($listing->root(), $session);
        $size = max(1e-9, hypot($drive->noise, $listing->beta * 0.007) * sqrt($steps / (count($walk) - 1)) * (1.6 - 1.05 / sqrt($steps)));
        $bars = [];
        for ($i = 0; $i < $count; ++$i) {
            $start = $session->open + $i * $barSeconds;
            $busy = $count === 1 ? 0.95 : 0.7 + 0.75 * (2 * $i / ($count - 1) - 1) ** 2; // busier near the open and the close
            $chance = $dice->normal();
            $isHalted = $halt !== null && $start >= $halt[0] && $start < $halt[1];
            if ($isHalted || ($listing->tradeShare < 1.0 && $count > 1 && $dice->uniform() > $listing->tradeShare)) {
                continue;
            }
            $part = array_slice($walk, $i * $steps, $steps + 1);
            $units = array_map($price, $part);
            [$open, $close] = $this->quoted($listing, [$units[0], $units[$steps]], $dice);
            $high = max($open, $close, ...$units);
            $low = min($open, $close, ...$units);
            $range = (max(0.0, ...$part) - min(INF, ...$part)) / $part[0] / $size;
            $volume = $listing->volume * $crowd * $this->diary->unitsAhead($listing->root(), $session->date) ** -1 / $count * $busy * (0.55 + 0.45 * $range) * exp(0.35 * $chance);
            $bars[] = new Bar($start, min($start + $barSeconds, $session->close), $session->date, $open, $high, $low, $close, max($listing->volume === 0 ? 0 : 1, (int) round($volume)));
        }

        return $bars;
    }

    /**
     * A few small trades before the open and after the close.
     *
     * @param non-empty-list<float> $walk
     *
     * @return list<Bar>
     */
    private function extendedBars(Listing $listing, ListingState $before, Session $session, Session $extended, int $barSeconds, array $walk): array
    {
        $dice = new Dice($this->seed, $listing->root(), $session->date, 'extended');
        $price = $this->pricer($listing, $session->date);
        $after = $this->diary->afterClose($listing->root(), $session->date);
        $bars = [];
        for ($start = $extended->open; $start < $extended->close; $start += $barSeconds) {
            if (($start >= $session->open && $start < $session->close) || $dice->uniform() > self::EXTENDED_TRADE_SHARE) {
                continue;
            }
            $way = ($start - $extended->open) / max(1, $session->open - $extended->open);
            $middle = $start < $session->open ? $before->price * ($walk[0] / $before->price) ** $way : end($walk) * exp($after);
            $at = $price($middle * exp(0.15 * $listing->dailyMove * $dice->normal()));
            $to = $price($middle * exp(0.15 * $listing->dailyMove * $dice->normal()));
            $bars[] = new Bar($start, $start + $barSeconds, $session->date, $at, max($at, $to), min($at, $to), $to, max(1, (int) ($listing->volume / 900 * exp($dice->normal()))));
        }

        return $bars;
    }

    /**
     * Open and close as a wide spread lets them be: on the bid or on the ask.
     *
     * @param array{int, int} $prices
     *
     * @return array{int, int}
     */
    private function quoted(Listing $listing, array $prices, Dice $dice): array
    {
        if ($listing->spread === 0.0) {
            return $prices;
        }
        $grid = $listing->instrument->grid;

        return array_map(static fn (int $units): int => max($grid->tick, $grid->nearestTick($units * (1 + $listing->spread / 2 * ($dice->uniform() < 0.5 ? -1 : 1)))), $prices);
    }

    /** @return \Closure(float): int from the price of today's units to the tick it is made at on a date */
    private function pricer(Listing $listing, string $date): \Closure
    {
        $grid = $listing->instrument->grid;
        $scale = 10 ** $grid->decimals * $this->diary->unitsAhead($listing->root(), $date) * $this->carry($listing, $date);

        return static fn (float $price): int => max($grid->tick, $grid->nearestTick($price * $scale));
    }

    /** A contract stands above the goods by the carry until its end; the series by that of the contract in front. */
    private function carry(Listing $listing, string $date): float
    {
        if ($listing->carry === 0.0) {
            return 1.0;
        }
        $end = $listing->instrument->contract->lastSession ?? Contracts::inFront($date)->lastSession;

        return exp($listing->carry * max(0, strtotime($end.' UTC') - strtotime($date.' UTC')) / (365 * 86_400));
    }

    private function barriersOf(Listing $listing): Barriers
    {
        return $this->barriers[$listing->root()] ??= new Barriers($this->seed, $listing->root(), log($listing->price), $listing->dailyMove);
    }
}
