<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;

/**
 * Reads the `setup` object of rules.md and refuses whatever the rules refuse, with the path of the fault.
 */
final class SetupReader
{
    /** Parts of rules.md that this version cannot judge yet; a setup that uses one is refused, never half judged. */
    private const NOT_YET = ['conditions', 'stop_moves', 'time_stop_sessions', 'open_exit', 'last_session'];

    /** @throws InvalidInput */
    public static function read(Node $node, PriceGrid $grid): Setup
    {
        $keys = $node->object(
            ['side', 'published_at', 'entry_until', 'legs', 'stop'],
            ['targets', 'cancel', ...self::NOT_YET],
        );
        foreach (self::NOT_YET as $key) {
            if (isset($keys[$key]) && ! $keys[$key]->isEmpty()) {
                throw $keys[$key]->fail('is not supported by this version');
            }
        }
        $side = Side::from($keys['side']->choice(array_column(Side::cases(), 'value')));
        $publishedAt = $keys['published_at']->time();
        $entryUntil = $keys['entry_until']->time();
        if ($entryUntil <= $publishedAt) {
            throw $keys['entry_until']->fail('must be after published_at');
        }
        $legs = self::legs($keys['legs'], $grid);
        $stop = self::stop($keys['stop'], $grid);
        $targets = isset($keys['targets']) ? self::targets($keys['targets'], $grid) : [];
        $cancel = isset($keys['cancel']) ? self::cancel($keys['cancel'], $grid) : null;

        $setup = new Setup($side, $publishedAt, $entryUntil, $legs, $stop, $targets, $cancel);
        foreach ($setup->entryPrices() as $i => $price) {
            if ($price <= 0) {
                throw $keys['legs']->list()[$i]->key('trigger')->key('within')->fail('leaves no price above 0 to be filled at');
            }
        }
        self::checkOrder($setup, $grid, $node->path);

        return $setup;
    }

    private static function checkOrder(Setup $setup, PriceGrid $grid, string $path): void
    {
        $problems = (new PriceOrder($setup->side, $grid))->problems(
            $setup->entryPrices(),
            $setup->stop,
            array_map(static fn (Target $target): int => $target->price, $setup->targets),
        );
        if ($problems !== []) {
            throw new InvalidInput(ltrim($path.'.'.$problems[0]->path, '.'), $problems[0]->message);
        }
    }

    /** @return non-empty-list<Leg> */
    private static function legs(Node $node, PriceGrid $grid): array
    {
        $legs = [];
        $sum = BigDecimal::zero();
        foreach ($node->list() as $leg) {
            $keys = $leg->object(['name', 'share', 'trigger']);
            $name = $keys['name']->text();
            $share = self::share($keys['share']);
            $sum = $sum->plus($share);
            $legs[] = new Leg($name, $share, Triggers::read($keys['trigger'], $grid));
        }
        if ($legs === []) {
            throw $node->fail('must not be empty');
        }
        if (count($legs) > 1) {
            throw $node->list()[1]->fail('more than one leg is not supported by this version');
        }
        if (! $sum->isEqualTo(1)) {
            throw $node->fail('the shares of the legs must add up to 1, not '.$sum);
        }

        return $legs;
    }

    private static function share(Node $node): BigDecimal
    {
        $share = $node->decimal();
        if ($share->isNegativeOrZero()) {
            throw $node->fail('must be above 0');
        }

        return $share;
    }

    private static function stop(Node $node, PriceGrid $grid): int
    {
        $keys = $node->object(['price'], ['basis', 'timeframe', 'times']);
        self::touchBasis($keys);

        return PriceReader::setupPrice($keys['price'], $grid);
    }

    /** @return list<Target> */
    private static function targets(Node $node, PriceGrid $grid): array
    {
        $targets = [];
        $sum = BigDecimal::zero();
        foreach ($node->list() as $target) {
            $keys = $target->object(['price', 'share']);
            $price = PriceReader::setupPrice($keys['price'], $grid);
            $share = self::share($keys['share']);
            $sum = $sum->plus($share);
            $targets[] = new Target($price, $share);
        }
        if ($sum->isGreaterThan(1)) {
            throw $node->fail('the shares of the targets add up to '.$sum.', more than 1');
        }

        return $targets;
    }

    private static function cancel(Node $node, PriceGrid $grid): Cancel
    {
        $keys = $node->object(['price'], ['basis', 'timeframe', 'times', 'side']);
        self::touchBasis($keys);
        $side = isset($keys['side']) ? $keys['side']->choice(array_column(CancelSide::cases(), 'value')) : CancelSide::Stop->value;

        return new Cancel(PriceReader::setupPrice($keys['price'], $grid), CancelSide::from($side));
    }

    /** @param array<string, Node> $keys */
    private static function touchBasis(array $keys): void
    {
        if (isset($keys['basis']) && $keys['basis']->choice(['touch', 'close']) === 'close') {
            throw $keys['basis']->fail('a close is not supported by this version');
        }
        foreach (['timeframe', 'times'] as $key) {
            if (isset($keys[$key])) {
                throw $keys[$key]->fail('goes only with the basis close');
            }
        }
    }
}
