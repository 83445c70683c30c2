<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\Session;

/** How each nature of listing is moved. */
final readonly class Drives
{
    private const GAP_SHARE = 0.3;
    private const OWN_SHARE = 0.72;
    private const HOME_PULL = 0.004;
    private const YEARLY_GROWTH = 0.045;
    private const PRICED_ON = '2026-10-01';
    private const GAUGE_MEMORY = 0.85;

    public function __construct(private Tide $tide, private Diary $diary)
    {
    }

    /** @param ListingState $state with the phase of this session */
    public function of(Listing $listing, ListingState $state, Session $session, int $steps, Dice $dice): Drive
    {
        $home = self::HOME_PULL * log($this->home($listing, $session->date) / $state->price);

        return match ($listing->nature) {
            Nature::Share, Nature::Goods => $this->share($listing, $state, $session->date, $steps, $dice, $home),
            Nature::Index => $this->index($listing, $session->date, $steps, $dice, $home),
            Nature::Tracker => $this->tracker($listing, $session->date, $steps, $dice),
            Nature::Pair => $this->pair($listing, $session->date, $steps, $dice, $home),
            Nature::Gauge => $this->gauge($state, $session->date, $steps, $dice),
            Nature::Yield => $this->yield($listing, $session->date, $dice, $home),
        };
    }

    /** Where a listing is at home on a date: a slow growth through its price of today. */
    public function home(Listing $listing, string $date): float
    {
        $years = (strtotime($date.' UTC') - strtotime(self::PRICED_ON.' UTC')) / (365.25 * 86_400);
        $grows = $listing->nature === Nature::Share || $listing->nature === Nature::Index || $listing->nature === Nature::Tracker;
        $wave = $listing->nature === Nature::Yield ? exp(0.25 * $this->tide->wave($listing->root(), $date)) : 1.0;

        return $listing->price * $wave * ($grows ? exp(self::YEARLY_GROWTH * $years) : 1.0);
    }

    /** What the gauge remembers of the market after a session. */
    public function memory(ListingState $state, string $date): float
    {
        $market = $this->tide->market($date);

        return self::GAUGE_MEMORY * $state->middle + $market->gap + $market->move;
    }

    private function share(Listing $listing, ListingState $state, string $date, int $steps, Dice $dice, float $home): Drive
    {
        $move = $listing->dailyMove * $state->phase->breadth() * $state->heat;
        $market = $this->tide->market($date);
        $group = $this->tide->group($listing->instrument->group, $date);
        $gap = self::GAP_SHARE * $move * $dice->normal() + $this->diary->jump($listing->root(), $date)
            + $listing->beta * $market->gap + $listing->groupBeta * $group->gap;
        $drift = $home + $state->phase->drift() * $move - $state->phase->pull() * (log($state->price / $state->middle) + $gap);

        return new Drive($gap, $drift, self::OWN_SHARE * $move, $this->sum(
            $this->scaled('market', $market, $date, $steps, $listing->beta),
            $this->scaled($listing->instrument->group, $group, $date, $steps, $listing->groupBeta),
        ), true);
    }

    private function index(Listing $listing, string $date, int $steps, Dice $dice, float $home): Drive
    {
        $market = $this->tide->market($date);

        return new Drive(
            $listing->beta * $market->gap + 0.2 * $listing->dailyMove * $dice->normal(),
            $home,
            $listing->dailyMove,
            $this->scaled('market', $market, $date, $steps, $listing->beta),
            false,
        );
    }

    /** A fund on the whole market, or on a group. */
    private function tracker(Listing $listing, string $date, int $steps, Dice $dice): Drive
    {
        $market = $this->tide->market($date);
        $group = $this->tide->group($listing->instrument->group, $date);
        $multiple = $listing->instrument->fund->multiple ?? 1;
        $times = static fn (float $x): float => log1p($multiple * expm1($x));

        return new Drive(
            $times($listing->beta * $market->gap + $listing->groupBeta * $group->gap) + 0.1 * $listing->dailyMove * $dice->normal(),
            $multiple === 1 ? self::HOME_PULL * 0.05 : 0.0,
            $listing->dailyMove,
            array_map($times, $this->sum(
                $this->scaled('market', $market, $date, $steps, $listing->beta),
                $this->scaled($listing->instrument->group, $group, $date, $steps, $listing->groupBeta),
            )),
            false,
        );
    }

    private function pair(Listing $listing, string $date, int $steps, Dice $dice, float $home): Drive
    {
        [$base, $quote] = explode('/', $listing->instrument->sector);
        $up = $this->tide->currency($base, $date);
        $down = $this->tide->currency($quote, $date);

        return new Drive(
            0.15 * ($up->gap - $down->gap) + 0.05 * $listing->dailyMove * $dice->normal(),
            $home,
            0.3 * $listing->dailyMove,
            $this->sum($this->scaled($base, $up, $date, $steps, 1.0), $this->scaled($quote, $down, $date, $steps, -1.0)),
            true,
        );
    }

    private function gauge(ListingState $state, string $date, int $steps, Dice $dice): Drive
    {
        $market = $this->tide->market($date);
        $target = (6.0 + 9.0 * $this->tide->storm($date)) * exp(-7.0 * $this->memory($state, $date) + 0.03 * $dice->normal());
        $way = 0.6 * log($target / $state->price);
        $gap = 0.3 * $way - 3.0 * $market->gap;

        return new Drive($gap, $way - $gap + 3.5 * $market->move, 0.012, $this->scaled('market', $market, $date, $steps, -3.5), false);
    }

    private function yield(Listing $listing, string $date, Dice $dice, float $home): Drive
    {
        return new Drive(0.3 * $listing->dailyMove * $dice->normal(), 4 * $home, $listing->dailyMove, [], false);
    }

    /** @return list<float> */
    private function scaled(string $name, Factor $factor, string $date, int $steps, float $beta): array
    {
        return $beta === 0.0 ? [] : array_map(static fn (float $step): float => $beta * $step, $this->tide->path($name, $factor, $date, $steps));
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     *
     * @return list<float>
     */
    private function sum(array $a, array $b): array
    {
        return $a === [] || $b === [] ? [...$a, ...$b] : array_map(static fn (float $x, float $y): float => $x + $y, $a, $b);
    }
}
