<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Conditions\Condition;
use Watchpost\Core\Setups\Conditions\Conditions;
use Watchpost\Core\Setups\StopMoves\StopMove;
use Watchpost\Core\Setups\StopMoves\StopMoveReader;

/**
 * Reads the `setup` object of rules.md and refuses whatever the rules refuse, with the path of the fault.
 */
final class SetupReader
{
    /**
     * @param TimeFrame $base    that of the bars the setup is judged on
     * @param bool      $grouped whether it is one of several, and may name its group
     *
     * @throws InvalidInput
     */
    public static function read(Node $node, PriceGrid $grid, TimeFrame $base, bool $grouped = false): Setup
    {
        $keys = $node->object(
            ['side', 'published_at', 'entry_until', 'legs', 'stop'],
            ['targets', 'cancel', 'conditions', 'stop_moves', 'time_stop_sessions', 'open_exit', 'last_session', ...($grouped ? ['group'] : [])],
        );
        $side = Side::from($keys['side']->choice(array_column(Side::cases(), 'value')));
        $publishedAt = $keys['published_at']->time();
        $entryUntil = $keys['entry_until']->time();
        if ($entryUntil <= $publishedAt) {
            throw $keys['entry_until']->fail('must be after published_at');
        }
        $legs = self::legs($keys['legs'], $grid, $base);
        [$stop, $stopCloses] = self::stop($keys['stop'], $grid, $base);
        $targets = isset($keys['targets']) ? self::targets($keys['targets'], $grid) : [];

        $setup = new Setup(
            $side,
            $publishedAt,
            $entryUntil,
            $legs,
            $stop,
            $targets,
            isset($keys['cancel']) ? self::cancel($keys['cancel'], $grid, $base) : null,
            $stopCloses,
            isset($keys['conditions']) ? self::conditions($keys['conditions'], $grid, $legs, $base) : [],
            isset($keys['stop_moves']) ? self::stopMoves($keys['stop_moves'], new StopMoveReader($grid, $base, count($targets))) : [],
            isset($keys['time_stop_sessions']) ? $keys['time_stop_sessions']->int(min: 1) : null,
            isset($keys['open_exit']) ? OpenExit::read($keys['open_exit']) : null,
            isset($keys['last_session']) ? $keys['last_session']->date() : null,
            isset($keys['group']) ? $keys['group']->text() : null,
        );
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
            array_values($setup->entryPrices()),
            $setup->stop,
            array_map(static fn (Target $target): int => $target->price, $setup->targets),
        );
        if ($problems !== []) {
            throw new InvalidInput(ltrim($path.'.'.$problems[0]->path, '.'), $problems[0]->message);
        }
    }

    /** @return non-empty-list<Leg> */
    private static function legs(Node $node, PriceGrid $grid, TimeFrame $base): array
    {
        $legs = [];
        $sum = BigDecimal::zero();
        foreach ($node->list() as $leg) {
            $keys = $leg->object(['name', 'share', 'trigger'], ['needs']);
            $name = $keys['name']->text();
            if (isset($legs[$name])) {
                throw $keys['name']->fail("there is a leg \"{$name}\" already");
            }
            $needs = isset($keys['needs']) ? $keys['needs']->text() : null;
            if ($needs !== null && ! isset($legs[$needs])) {
                throw $keys['needs']->fail("no earlier leg is called \"{$needs}\"");
            }
            $share = self::share($keys['share']);
            $sum = $sum->plus($share);
            $legs[$name] = new Leg($name, $share, Triggers::read($keys['trigger'], $grid, $base), $needs);
        }
        if ($legs === []) {
            throw $node->fail('must not be empty');
        }
        if (! $sum->isEqualTo(1)) {
            throw $node->fail('the shares of the legs must add up to 1, not '.$sum);
        }

        return array_values($legs);
    }

    private static function share(Node $node): BigDecimal
    {
        $share = $node->decimal();
        if ($share->isNegativeOrZero()) {
            throw $node->fail('must be above 0');
        }

        return $share;
    }

    /** @return array{int, ?CloseRule} */
    private static function stop(Node $node, PriceGrid $grid, TimeFrame $base): array
    {
        $keys = $node->object(['price'], ['basis', 'timeframe', 'times']);

        return [PriceReader::setupPrice($keys['price'], $grid), CloseRule::ofBasis($keys, $node, $base)];
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

    private static function cancel(Node $node, PriceGrid $grid, TimeFrame $base): Cancel
    {
        $keys = $node->object(['price'], ['basis', 'timeframe', 'times', 'side']);
        $closes = CloseRule::ofBasis($keys, $node, $base);
        $side = isset($keys['side']) ? $keys['side']->choice(array_column(CancelSide::cases(), 'value')) : CancelSide::Stop->value;

        return new Cancel(PriceReader::setupPrice($keys['price'], $grid), CancelSide::from($side), $closes);
    }

    /**
     * @param non-empty-list<Leg> $legs
     *
     * @return list<Condition>
     */
    private static function conditions(Node $node, PriceGrid $grid, array $legs, TimeFrame $base): array
    {
        $conditions = [];
        foreach ($node->list() as $item) {
            $condition = Conditions::read($item, $grid);
            foreach ($legs as $leg) {
                $why = $condition->unknowableFor($leg, $base === TimeFrame::Day);
                if ($why !== null) {
                    throw $item->key('kind')->fail("leg \"{$leg->name}\" cannot know it in time: {$why}");
                }
            }
            $conditions[] = $condition;
        }

        return $conditions;
    }

    /** @return list<StopMove> */
    private static function stopMoves(Node $node, StopMoveReader $reader): array
    {
        return array_map($reader->read(...), $node->list());
    }
}
