<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Market\PriceGrid;

/** A second way to trade the same idea: what a new variant begins with, to be refined from there. */
enum VariantKind: string
{
    case Patient = 'patient';
    case Longer = 'longer';
    case OtherSide = 'other_side';
    case Copy = 'copy';

    /** Conditions that speak of one side of the market say nothing for the other. */
    private const OF_ONE_SIDE = ['average_above', 'average_below', 'rsi_max', 'rsi_min', 'index_above', 'index_below'];

    public function label(Side $side): string
    {
        return match ($this) {
            self::Patient => 'More patient: deeper, or on the retest',
            self::Longer => 'Longer hold: targets twice as far',
            self::OtherSide => "The other side: {$side->opposite()->value} from its stop",
            self::Copy => 'A copy, to be changed',
        };
    }

    /** @return array{string, string} what the variant it is made from is called from then on, and the new one */
    public function names(Side $side): array
    {
        return match ($this) {
            self::Patient => ['nearer', 'patient'],
            self::Longer => ['shorter hold', 'longer hold'],
            self::OtherSide => [$side->value, $side->opposite()->value],
            self::Copy => ['first', 'second'],
        };
    }

    /** Whether one filled ends the other, unless the author says otherwise: holding longer is something else one may do. */
    public function isEitherOr(): bool
    {
        return $this !== self::Longer;
    }

    /**
     * The variant of a complete draft.
     *
     * @param int $close the last close, in units, from which an entry at an open is counted
     *
     * @throws \LogicException when entry or stop is missing
     */
    public function of(Draft $draft, PriceGrid $grid, int $close): Draft
    {
        if ($draft->stop === null || ! $draft->isComplete()) {
            throw new \LogicException('A setup without entry and stop has no variants.');
        }

        return match ($this) {
            self::Patient => self::patient($draft, $draft->stop, $grid, $close),
            self::Longer => self::longer($draft, $close),
            self::OtherSide => self::otherSide($draft, $draft->stop, $close),
            self::Copy => $draft,
        };
    }

    /** What goes through a level waits for its retest; all else waits half the way to the stop deeper. */
    private static function patient(Draft $draft, int $stop, PriceGrid $grid, int $close): Draft
    {
        return $draft->replace(['legs' => array_map(static function (DraftLeg $leg) use ($stop, $grid, $close): DraftLeg {
            if (in_array($leg->kind, [TriggerKind::Break, TriggerKind::CloseBeyond], true)) {
                return $leg->replace(['kind' => TriggerKind::Retest, 'noChase' => false, 'worst' => null]);
            }
            $from = $leg->price ?? $close;
            $half = $grid->nearestTick(($from + $stop) / 2);

            return $leg->replace([
                'price' => $half,
                'within' => 0,
                'worst' => null,
                'kind' => $leg->kind->hasPrice() ? $leg->kind : TriggerKind::Touch,
            ]);
        }, $draft->legs)]);
    }

    /** Targets twice as far, twice the sessions. */
    private static function longer(Draft $draft, int $close): Draft
    {
        $entry = $draft->plannedEntry() ?? $close;

        return $draft->replace([
            'targets' => self::beyond($entry, $draft->side, array_map(static fn (DraftTarget $target): DraftTarget => new DraftTarget($entry + 2 * ($target->price - $entry), $target->share), $draft->targets)),
            'timeStop' => $draft->timeStop === null ? null : 2 * $draft->timeStop,
        ]);
    }

    /** Where the one is wrong the other begins: entry and stop change places, the targets lie as far away on the other side. */
    private static function otherSide(Draft $draft, int $stop, int $close): Draft
    {
        $side = $draft->side->opposite();
        $entry = $draft->entry();
        $from = $entry->price ?? $close;
        $through = in_array($entry->kind, [TriggerKind::Break, TriggerKind::CloseBeyond, TriggerKind::Retest], true) ? $entry->kind : TriggerKind::Break;

        return $draft->replace([
            'side' => $side,
            'legs' => [$entry->replace(['kind' => $through, 'price' => $stop, 'within' => 0, 'worst' => null, 'name' => Draft::LEG, 'share' => '1', 'needs' => null])],
            'stop' => $from,
            'cancel' => null,
            'cancelCloses' => null,
            'targets' => self::beyond($stop, $side, array_map(static fn (DraftTarget $target): DraftTarget => new DraftTarget($stop - ($target->price - $from), $target->share), $draft->targets)),
            'conditions' => array_values(array_filter($draft->conditions, static fn (array $condition): bool => ! in_array($condition['kind'] ?? '', self::OF_ONE_SIDE, true))),
            'stopMoves' => array_values(array_filter($draft->stopMoves, static fn (array $move): bool => ($move['to']['kind'] ?? '') !== 'price')),
        ]);
    }

    /**
     * @param list<DraftTarget> $targets
     *
     * @return list<DraftTarget> those that are prices, beyond the entry
     */
    private static function beyond(int $entry, Side $side, array $targets): array
    {
        return array_values(array_filter($targets, static fn (DraftTarget $target): bool => $target->price > 0 && ($target->price - $entry) * $side->sign() > 0));
    }
}
