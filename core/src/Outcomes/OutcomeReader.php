<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\BarReader;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\SetupReader;

/** Reads the input of `watchpost outcome` (rules.md, Input), and refuses it with the path of the first fault. */
final class OutcomeReader
{
    private const BASE_TIME_FRAMES = ['5m', '30m', '1h', '4h', '1d'];

    /** Parts of rules.md that this version cannot judge yet. */
    private const NOT_YET = ['setups', 'updates', 'others'];

    /** @throws InvalidInput */
    public static function read(Node $node): OutcomeRequest
    {
        $keys = $node->object(
            ['instrument', 'setup', 'timeframe', 'bars', 'as_of'],
            ['costs', 'sessions', 'finer', 'splits', ...self::NOT_YET],
        );
        foreach (self::NOT_YET as $key) {
            if (isset($keys[$key]) && ! $keys[$key]->isEmpty()) {
                throw $keys[$key]->fail('is not supported by this version');
            }
        }
        $grid = self::grid($keys['instrument']);
        $setup = SetupReader::read($keys['setup'], $grid);
        $costs = isset($keys['costs']) ? self::costs($keys['costs']) : Costs::none();
        $timeFrame = TimeFrame::from($keys['timeframe']->choice(self::BASE_TIME_FRAMES));
        $sessions = new SessionBook(isset($keys['sessions']) ? self::sessions($keys['sessions']) : []);
        $bars = (new BarReader($grid, $timeFrame, $sessions))->read($keys['bars']);
        $finer = isset($keys['finer']) ? self::finer($keys['finer'], $grid, $timeFrame, $sessions) : new FinerBarList();

        return new OutcomeRequest($grid, $setup, $costs, $bars, $finer, $sessions, $keys['as_of']->time(), isset($keys['splits']) ? self::splits($keys['splits']) : []);
    }

    private static function grid(Node $node): PriceGrid
    {
        $keys = $node->object(['decimals'], ['symbol', 'tick']);
        if (isset($keys['symbol'])) {
            $keys['symbol']->text();
        }
        $decimals = $keys['decimals']->int(0, PriceGrid::MAX_DECIMALS);
        if (! isset($keys['tick'])) {
            return new PriceGrid($decimals);
        }
        $tick = $keys['tick']->decimal();
        try {
            return PriceGrid::withTick($decimals, $tick);
        } catch (\InvalidArgumentException) {
            throw $keys['tick']->fail("must be above 0 and have at most {$decimals} decimals");
        }
    }

    private static function costs(Node $node): Costs
    {
        $keys = $node->object([], ['slippage_ticks', 'commission_per_unit']);
        $commission = isset($keys['commission_per_unit']) ? $keys['commission_per_unit']->decimal() : BigDecimal::zero();
        if ($commission->isNegative()) {
            throw $keys['commission_per_unit']->fail('must not be below 0');
        }

        return new Costs(isset($keys['slippage_ticks']) ? $keys['slippage_ticks']->int(min: 0) : 0, $commission);
    }

    /** @return list<Session> */
    private static function sessions(Node $node): array
    {
        $sessions = [];
        $before = null;
        foreach ($node->list() as $item) {
            [$date, $open, $close] = $item->tuple(3);
            $session = new Session($date->date(), $open->time(), $close->time());
            if ($session->close <= $session->open) {
                throw $close->fail('the close must be after the open');
            }
            if ($before !== null && ($session->date <= $before->date || $session->open < $before->close)) {
                throw $item->fail('the sessions are out of order or doubled');
            }
            $sessions[] = $before = $session;
        }

        return $sessions;
    }

    /** @return list<Split> */
    private static function splits(Node $node): array
    {
        $splits = [];
        $before = '';
        foreach ($node->list() as $item) {
            $keys = $item->object(['session', 'ratio']);
            $date = $keys['session']->date();
            $ratio = $keys['ratio']->decimal();
            if (! $ratio->isPositive()) {
                throw $keys['ratio']->fail('must be above 0');
            }
            if ($date <= $before) {
                throw $item->fail('the splits are out of order or doubled');
            }
            $before = $date;
            $splits[] = new Split($date, $ratio);
        }

        return $splits;
    }

    private static function finer(Node $node, PriceGrid $grid, TimeFrame $base, SessionBook $sessions): FinerBars
    {
        $keys = $node->object(['timeframe'], ['bars']);
        $timeFrame = TimeFrame::from($keys['timeframe']->choice(self::BASE_TIME_FRAMES));
        if (! $timeFrame->isFinerThan($base)) {
            throw $keys['timeframe']->fail('must be finer than '.$base->value);
        }

        return new FinerBarList(isset($keys['bars']) ? (new BarReader($grid, $timeFrame, $sessions))->read($keys['bars']) : []);
    }
}
