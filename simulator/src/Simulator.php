<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Session;

/**
 * Plays the made-up market, session by session. What a session brings depends on the seed, the listing, the state
 * the session before left, and the session itself: never on when or how often it is asked for.
 */
final readonly class Simulator
{
    private const MARKET_MOVE = 0.008;
    private const STEPS_PER_BAR = 3;
    private const GAP_SHARE = 0.35;
    private const JUMP_CHANCE = 0.02;

    public function __construct(private string $seed)
    {
    }

    public function begin(Listing $listing): ListingState
    {
        $dice = new Dice($this->seed, $listing->instrument->symbol, 'begin');

        return new ListingState($listing->firstPrice, $listing->firstPrice, 1.0, Phase::drawn($dice), 5 + (int) (20 * $dice->uniform()));
    }

    /** @param int $barSeconds length of the bars to be made, 300 for five minutes */
    public function play(Listing $listing, ListingState $state, Session $session, int $barSeconds = 300): PlayedSession
    {
        $dice = new Dice($this->seed, $listing->instrument->symbol, $session->date);
        $phase = $this->phase($state, $dice);
        $heat = max(0.5, min(2.2, 0.85 * $state->heat + 0.15 + 0.12 * $dice->normal()));
        $move = $listing->dailyMove * $phase->phase->breadth() * $heat;

        $price = $state->price * exp($this->gap($dice, $move));
        $drift = $phase->phase->drift() * $move
            + $listing->beta * $this->marketMove($session)
            - $phase->phase->pull() * log($price / $phase->middle);

        $crowd = $heat * (0.75 + 18 * abs($price / $state->price - 1) + 9 * abs($drift)) * exp(0.28 * $dice->normal());
        $bars = $this->bars($listing, $session, $barSeconds, $price, $drift, $move, $crowd, $dice);
        $last = $bars[count($bars) - 1];

        return new PlayedSession($bars, new ListingState(
            $listing->instrument->grid->toFloat($last->close),
            $phase->middle,
            $heat,
            $phase->phase,
            $phase->phaseLeft,
        ));
    }

    /** The phase of this session: the one before, or when its time is over a new one about the present price. */
    private function phase(ListingState $state, Dice $dice): ListingState
    {
        $left = $state->phaseLeft - 1;
        if ($left > 0) {
            return new ListingState($state->price, $state->middle, $state->heat, $state->phase, $left);
        }

        return new ListingState($state->price, $state->price, $state->heat, Phase::drawn($dice), 8 + (int) (32 * $dice->uniform()));
    }

    private function gap(Dice $dice, float $move): float
    {
        $gap = self::GAP_SHARE * $move * $dice->normal();

        return $dice->uniform() < self::JUMP_CHANCE ? $gap + $move * ($dice->uniform() < 0.5 ? -2.5 : 2.5) : $gap;
    }

    private function marketMove(Session $session): float
    {
        return self::MARKET_MOVE * (new Dice($this->seed, 'market', $session->date))->normal() + 0.0002;
    }

    /**
     * @param float $crowd how many trade in this session, 1 being usual
     *
     * @return non-empty-list<Bar>
     */
    private function bars(Listing $listing, Session $session, int $barSeconds, float $price, float $drift, float $move, float $crowd, Dice $dice): array
    {
        $grid = $listing->instrument->grid;
        $scale = 10 ** $grid->decimals;
        $tick = static fn (float $price): int => max($grid->tick, $grid->nearestTick($price * $scale));
        $count = max(1, intdiv($session->close - $session->open, $barSeconds));
        $step = $move / sqrt($count * self::STEPS_PER_BAR);
        $bars = [];
        $i = 0;
        do {
            $place = $count === 1 ? 0.0 : 2 * $i / ($count - 1) - 1;
            $busy = 0.7 + 0.75 * $place * $place; // busier near the open and the close
            $open = $high = $low = $close = $tick($price);
            for ($j = 0; $j < self::STEPS_PER_BAR; ++$j) {
                $price *= exp($drift / ($count * self::STEPS_PER_BAR) + $step * sqrt($busy) * $dice->normal());
                $close = $tick($price);
                $high = max($high, $close);
                $low = min($low, $close);
            }
            $range = ($high - $low) / $scale / $price / max($step, 1e-9);
            $start = $session->open + $i * $barSeconds;
            $bars[] = new Bar(
                $start,
                min($start + $barSeconds, $session->close),
                $session->date,
                $open,
                $high,
                $low,
                $close,
                (int) round($listing->volume * $crowd / $count * $busy * (0.55 + 0.25 * $range) * exp(0.35 * $dice->normal())),
            );
        } while (++$i < $count);

        return $bars;
    }
}
