<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;

/**
 * Reads bars of the form [start, session date, open, high, low, close, volume] (rules.md, Input).
 */
final readonly class BarReader
{
    public function __construct(private PriceGrid $grid, private TimeFrame $timeFrame, private SessionBook $sessions)
    {
    }

    /**
     * @return list<Bar> in time order
     *
     * @throws InvalidInput on bars out of order or doubled, impossible prices or a negative volume
     */
    public function read(Node $node): array
    {
        $bars = [];
        $before = null;
        foreach ($node->list() as $item) {
            $bar = $this->bar($item);
            if ($before !== null && $bar->start <= $before->start) {
                throw $item->fail($bar->start === $before->start ? 'the bar is doubled' : 'the bars are out of order');
            }
            if ($before !== null && $this->timeFrame === TimeFrame::Day && $bar->session === $before->session) {
                throw $item->fail('a second day bar of the session '.$bar->session);
            }
            $bars[] = $before = $bar;
        }

        return $bars;
    }

    private function bar(Node $item): Bar
    {
        [$start, $session, $open, $high, $low, $close, $volume] = $item->tuple(7);
        $startsAt = $start->time();
        $date = $session->date();
        [$o, $h, $l, $c] = array_map($this->price(...), [$open, $high, $low, $close]);
        if ($h < $l) {
            throw $item->fail('the high is below the low');
        }
        if ($o > $h || $o < $l) {
            throw $open->fail('the open is outside the range of the bar');
        }
        if ($c > $h || $c < $l) {
            throw $close->fail('the close is outside the range of the bar');
        }

        return new Bar($startsAt, $this->sessions->barEnd($this->timeFrame, $startsAt, $date), $date, $o, $h, $l, $c, $volume->int(min: 0));
    }

    private function price(Node $node): int
    {
        $units = $this->grid->units($node->decimal());
        if ($units === null) {
            throw $node->fail("has more than {$this->grid->decimals} decimals, or is too large");
        }
        if ($units <= 0) {
            throw $node->fail('must be above 0');
        }

        return $units;
    }
}
