<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\BarReader;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Setups\SetupReader;
use Watchpost\Core\Setups\UpdateReader;

/** Reads the input of `watchpost outcome` (rules.md, Input), and refuses it with the path of the first fault. */
final class OutcomeReader
{
    private const BASE_TIME_FRAMES = ['5m', '30m', '1h', '4h', '1d'];

    /** @throws InvalidInput */
    public static function read(Node $node): OutcomeRequest
    {
        $keys = $node->object(
            ['instrument', isset($node->entries()['setups']) ? 'setups' : 'setup', 'timeframe', 'bars', 'as_of'],
            ['setup', 'costs', 'sessions', 'finer', 'splits', 'updates', 'others'],
        );
        $grid = self::grid($keys['instrument']);
        $base = TimeFrame::from($keys['timeframe']->choice(self::BASE_TIME_FRAMES));
        $setups = self::setups($keys, $grid, $base);
        $sessions = new SessionBook(isset($keys['sessions']) ? self::sessions($keys['sessions']) : []);

        return new OutcomeRequest(
            $grid,
            $base,
            $setups,
            isset($keys['costs']) ? self::costs($keys['costs']) : new Costs(),
            (new BarReader($grid, $base, $sessions))->read($keys['bars']),
            isset($keys['finer']) ? self::finer($keys['finer'], $grid, $base, $sessions) : new FinerBarList(),
            $sessions,
            $keys['as_of']->time(),
            isset($keys['splits']) ? self::splits($keys['splits']) : [],
            isset($keys['updates']) ? UpdateReader::read($keys['updates'], $grid) : [],
            isset($keys['others']) ? self::others($keys['others'], $base, $keys['sessions'] ?? null) : new OtherBarList(),
            isset($keys['setups']),
        );
    }

    /**
     * @param array<string, Node> $keys
     *
     * @return non-empty-list<Setup>
     */
    private static function setups(array $keys, PriceGrid $grid, TimeFrame $base): array
    {
        if (! isset($keys['setups'])) {
            return [SetupReader::read($keys['setup'], $grid, $base)];
        }
        if (isset($keys['setup'])) {
            throw $keys['setups']->fail('goes instead of setup, not beside it');
        }
        $setups = array_map(static fn (Node $one): Setup => SetupReader::read($one, $grid, $base, grouped: true), $keys['setups']->list());
        if ($setups === []) {
            throw $keys['setups']->fail('must not be empty');
        }

        return $setups;
    }

    /** Bars of other symbols: of the same time frame, with decimals of their own. */
    private static function others(Node $node, TimeFrame $base, ?Node $sessions): OtherBars
    {
        $grid = new PriceGrid(PriceGrid::MAX_DECIMALS);
        $closes = [];
        foreach ($node->entries() as $symbol => $other) {
            $book = new SessionBook($sessions === null ? [] : self::sessions($sessions));
            $closes[$symbol] = array_map(
                static fn (Bar $bar): array => [$bar->end, BigDecimal::ofUnscaledValue($bar->close, PriceGrid::MAX_DECIMALS)],
                (new BarReader($grid, $base, $book))->read($other->object(['bars'])['bars']),
            );
        }

        return new OtherBarList($closes);
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
