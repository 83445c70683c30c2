<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Conditions\Condition;
use Watchpost\Core\Setups\StopMoves\StopMove;

/**
 * A setup in plain English, in three lengths: a sentence to be read aloud, one short line, and all that it says line by
 * line. Generated from the same object that the engine judges, never typed.
 */
final readonly class Sentence
{
    public function __construct(private PriceGrid $grid, private \DateTimeZone $zone)
    {
    }

    /** All of the setup in one sentence. */
    public function of(Setup $setup): string
    {
        return ucfirst(implode('; ', $this->parts($setup))).'.';
    }

    /**
     * All of the setup, a line for each thing it says.
     *
     * @return list<string>
     */
    public function lines(Setup $setup): array
    {
        return array_map(static fn (string $part): string => ucfirst($part).'.', $this->parts($setup));
    }

    /** Side, entries, stop and targets: "Long touch 41.20, stop 39.85, targets 44.00 and 46.50" */
    public function short(Setup $setup): string
    {
        $words = $this->words($setup);
        $entries = [];
        foreach ($setup->legs as $i => $leg) {
            $price = $setup->entryPrices()[$i] ?? null;
            $entries[] = str_replace('_', ' ', $leg->trigger::kind()).($price === null ? '' : ' '.$words->price($price));
        }
        $targets = array_map(static fn (Target $target): string => $words->price($target->price), $setup->targets);
        $last = array_pop($targets);

        return ucfirst($setup->side->value).' '.implode(' and ', $entries)
            .", stop {$words->price($setup->stop)}"
            .($last === null ? ', no target' : ($targets === [] ? ", target {$last}" : ', targets '.implode(', ', $targets)." and {$last}"));
    }

    /** @return list<string> each without a full stop; the first begins with the side */
    private function parts(Setup $setup): array
    {
        $words = $this->words($setup);
        $caveats = [];
        foreach ($setup->legs as $leg) {
            array_push($caveats, ...$leg->trigger->caveats($words));
        }

        return [
            $setup->side->value.' '.$this->entries($setup, $words),
            ...array_map(static fn (Condition $condition): string => $condition->describe($words), $setup->conditions),
            ...$caveats,
            $this->stop($setup, $words),
            $this->targets($setup, $words),
            ...array_map(static fn (StopMove $move): string => $move->describe($words), $setup->stopMoves),
            ...array_filter([
                $setup->timeStop === null ? null : "out at the close of the {$words->nth($setup->timeStop)} session held",
                $setup->openExit?->describe($words),
                $setup->lastSession === null ? null : "the last session is {$words->date($setup->lastSession)}, at whose close all is out",
                $setup->cancel?->describe($words),
            ]),
            "good until {$words->moment($setup->entryUntil)}",
        ];
    }

    private function entries(Setup $setup, Words $words): string
    {
        if (count($setup->legs) === 1) {
            return $setup->legs[0]->trigger->describe($words);
        }
        $parts = [];
        foreach ($setup->legs as $leg) {
            $after = $leg->needs === null ? '' : ", once “{$leg->needs}” is in";
            $parts[] = "{$words->share($leg->share)} (“{$leg->name}”) {$leg->trigger->describe($words)}{$after}";
        }

        return implode(', ', $parts);
    }

    private function stop(Setup $setup, Words $words): string
    {
        return $setup->stopCloses === null
            ? "stop {$words->price($setup->stop)}"
            : "stop on {$words->closes($setup->stopCloses)} {$words->below()} {$words->price($setup->stop)}";
    }

    private function targets(Setup $setup, Words $words): string
    {
        $targets = $setup->targets;
        if ($targets === []) {
            return 'no target';
        }
        $takesAll = $setup->targetsTakeAll();
        $parts = [];
        foreach ($targets as $i => $target) {
            $isLast = $i === count($targets) - 1;
            $what = match (true) {
                $isLast && $takesAll && $i === 0 => 'all off',
                $isLast && $takesAll => 'the rest',
                $i === 0 => $words->share($target->share).' off',
                default => $words->share($target->share),
            };
            $parts[] = $what.' at '.$words->price($target->price);
        }
        if (! $takesAll) {
            $parts[] = 'the rest with the stop';
        }

        return implode(', ', $parts);
    }

    private function words(Setup $setup): Words
    {
        return new Words($setup->side, $this->grid, $this->zone);
    }
}
