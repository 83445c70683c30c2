<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\TimeFrame;

/** So many closes of a time frame in a row. */
final readonly class CloseRule
{
    public function __construct(public TimeFrame $timeFrame, public int $times = 1)
    {
    }

    /**
     * The basis of a stop or cancel: null for by touch.
     *
     * @param array<string, Node> $keys
     *
     * @throws InvalidInput when a close has no time frame, or a touch has one
     */
    public static function ofBasis(array $keys, Node $owner, TimeFrame $base): ?self
    {
        if (! isset($keys['basis']) || $keys['basis']->choice(['touch', 'close']) === 'touch') {
            foreach (['timeframe', 'times'] as $key) {
                if (isset($keys[$key])) {
                    throw $keys[$key]->fail('goes only with the basis close');
                }
            }

            return null;
        }

        return new self(self::timeFrame($keys['timeframe'] ?? $owner->key('timeframe'), $base), self::times($keys));
    }

    /** @throws InvalidInput on an unknown time frame or one finer than that of the bars */
    public static function timeFrame(Node $node, TimeFrame $base): TimeFrame
    {
        $timeFrame = TimeFrame::from($node->choice(array_column(TimeFrame::cases(), 'value')));
        if ($timeFrame->isFinerThan($base)) {
            throw $node->fail("is finer than the bars, which are of {$base->value}");
        }

        return $timeFrame;
    }

    /** @param array<string, Node> $keys */
    public static function times(array $keys): int
    {
        return isset($keys['times']) ? $keys['times']->int(min: 1) : 1;
    }

    /** @return array<string, mixed> */
    public function toRules(): array
    {
        return ['basis' => 'close', 'timeframe' => $this->timeFrame->value] + ($this->times > 1 ? ['times' => $this->times] : []);
    }
}
