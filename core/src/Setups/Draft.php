<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Conditions\Condition;
use Watchpost\Core\Setups\Conditions\Conditions;
use Watchpost\Core\Setups\StopMoves\StopMove;
use Watchpost\Core\Setups\StopMoves\StopMoveReader;

/**
 * A setup while it is being planned: prices may still be missing, but what is there must already fit together.
 *
 * @phpstan-import-type DraftLegState from DraftLeg
 *
 * @phpstan-type CloseState array{timeframe: string, times: int}
 * @phpstan-type DraftState array{
 *     side: string, legs: non-empty-list<DraftLegState>, stop: ?int, stop_closes: CloseState|null, cancel: ?int, cancel_side: string,
 *     cancel_closes: CloseState|null, targets: list<array{price: int, share: string}>, conditions: list<array<string, mixed>>,
 *     stop_moves: list<array<string, array<string, mixed>>>, time_stop: ?int, open_exit: array{session: int, gap_min_percent?: string}|null, good_for: int
 * }
 */
final readonly class Draft
{
    /** The name of the only leg, or the first. */
    public const LEG = 'entry';
    public const MOST_LEGS = 4;
    public const MOST_TARGETS = 5;

    /**
     * @param non-empty-list<DraftLeg>                       $legs
     * @param list<DraftTarget>                              $targets
     * @param int                                            $goodFor     sessions for which the entry may wait, the session of the plan being the first
     * @param CloseRule|null                                 $stopCloses  null for a stop by touch
     * @param list<array<string, mixed>>                     $conditions  in the form of rules.md
     * @param list<array<string, array<string, mixed>>>      $stopMoves   likewise
     * @param array{session: int, gap_min_percent?: string}|null $openExit likewise
     */
    public function __construct(
        public Side $side,
        public array $legs,
        public ?int $stop,
        public array $targets,
        public int $goodFor,
        public ?int $cancel = null,
        public ?CloseRule $stopCloses = null,
        public CancelSide $cancelSide = CancelSide::Stop,
        public ?CloseRule $cancelCloses = null,
        public array $conditions = [],
        public array $stopMoves = [],
        public ?int $timeStop = null,
        public ?array $openExit = null,
    ) {
    }

    /** A setup of which nothing is known yet; a long, until something says otherwise. */
    public static function blank(int $goodFor): self
    {
        return new self(Side::Long, [new DraftLeg()], null, [], $goodFor);
    }

    public function entry(): DraftLeg
    {
        return $this->legs[0];
    }

    /**
     * The entry put at a price. How it is reached follows from where price stands: a price it would come back to is
     * a touch, one it would go through is a break; a kind that fits as well is kept.
     *
     * @param int $close the last close, in units
     */
    public function withEntry(int $price, int $close): self
    {
        $offered = TriggerKind::offered(($close - $price) * $this->side->sign() > 0);
        $entry = $this->entry();
        $kind = $entry->price !== null && in_array($entry->kind, $offered, true) ? $entry->kind : $offered[0];

        return $this->withLeg(0, $entry->replace(['kind' => $kind, 'price' => $price]));
    }

    public function withLeg(int $index, DraftLeg $leg): self
    {
        $legs = $this->legs;
        $legs[$index] = $leg;

        return $this->replace(['legs' => array_values($legs)]);
    }

    /** The stop put at a price; while there is no entry, its side of the last close decides the side of the trade. */
    public function withStop(int $price, int $close): self
    {
        $side = $this->entry()->price === null && $this->targets === [] ? ($price > $close ? Side::Short : Side::Long) : $this->side;

        return $this->replace(['side' => $side, 'stop' => $price]);
    }

    /** One more target, in its place in the order away from the entry; all take equal shares, the last what is left. */
    public function withTarget(int $price): self
    {
        $prices = [...$this->targetPrices(), $price];
        usort($prices, fn (int $a, int $b): int => ($a - $b) * $this->side->sign());
        $share = BigDecimal::one()->dividedBy(count($prices), 2, RoundingMode::DOWN);
        $last = BigDecimal::one()->minus($share->multipliedBy(count($prices) - 1));

        return $this->replace(['targets' => array_map(
            static fn (int $price, int $i): DraftTarget => new DraftTarget($price, (string) ($i === count($prices) - 1 ? $last : $share)->stripTrailingZeros()),
            $prices,
            array_keys($prices),
        )]);
    }

    /** The other side: what lay on the losing side no longer does, so stop, targets, moves and cancel are taken away. */
    public function turned(Side $side): self
    {
        return $side === $this->side ? $this : $this->replace(['side' => $side, 'stop' => null, 'cancel' => null, 'targets' => [], 'stopMoves' => []]);
    }

    /** @param array<string, mixed> $changes by property */
    public function replace(array $changes): self
    {
        /** @var array{side: Side, legs: non-empty-list<DraftLeg>, stop: ?int, targets: list<DraftTarget>, goodFor: int, cancel: ?int, stopCloses: ?CloseRule, cancelSide: CancelSide, cancelCloses: ?CloseRule, conditions: list<array<string, mixed>>, stopMoves: list<array<string, array<string, mixed>>>, timeStop: ?int, openExit: array{session: int, gap_min_percent?: string}|null} $values */
        $values = array_replace(get_object_vars($this), $changes);

        return new self(...$values);
    }

    /** The same setup on the scale of which one old unit is so many new ones. */
    public function afterSplit(PriceGrid $grid, float $ratio): self
    {
        return $this->moved(
            $grid,
            $grid,
            static fn (int $price): int => $grid->afterSplit($price, $ratio),
            static fn (int $units): int => (int) round($units / $ratio / $grid->tick) * $grid->tick,
        );
    }

    /**
     * The same setup with other prices; what is counted, timed or told in percent stays as it is.
     *
     * @param PriceGrid            $from     of its prices
     * @param PriceGrid            $to       of the new ones
     * @param callable(int): int   $price    a price in units of the one, in units of the other
     * @param callable(int): int   $distance likewise of a tolerance or an excess
     */
    public function moved(PriceGrid $from, PriceGrid $to, callable $price, callable $distance): self
    {
        $maybe = static fn (?int $units): ?int => $units === null ? null : $price($units);

        return $this->replace([
            'legs' => array_map(static fn (DraftLeg $leg): DraftLeg => $leg->replace([
                'price' => $maybe($leg->price),
                'worst' => $maybe($leg->worst),
                'within' => $distance($leg->within),
                'beyond' => $distance($leg->beyond),
            ]), $this->legs),
            'stop' => $maybe($this->stop),
            'cancel' => $maybe($this->cancel),
            'targets' => array_map(static fn (DraftTarget $target): DraftTarget => new DraftTarget($price($target->price), $target->share), $this->targets),
            'stopMoves' => array_map(static function (array $move) use ($from, $to, $price): array {
                $at = ($move['to']['kind'] ?? '') === 'price' ? $move['to']['price'] ?? null : null;
                $units = is_string($at) ? $from->units($at) : null;
                if ($units !== null) {
                    $move['to']['price'] = $to->format($price($units));
                }

                return $move;
            }, $this->stopMoves),
        ]);
    }

    /** @return DraftState as plain data, prices in units */
    public function toState(): array
    {
        $closes = static fn (?CloseRule $rule): ?array => $rule === null ? null : ['timeframe' => $rule->timeFrame->value, 'times' => $rule->times];

        return [
            'side' => $this->side->value,
            'legs' => array_map(static fn (DraftLeg $leg): array => $leg->toState(), $this->legs),
            'stop' => $this->stop,
            'stop_closes' => $closes($this->stopCloses),
            'cancel' => $this->cancel,
            'cancel_side' => $this->cancelSide->value,
            'cancel_closes' => $closes($this->cancelCloses),
            'targets' => array_map(static fn (DraftTarget $target): array => ['price' => $target->price, 'share' => $target->share], $this->targets),
            'conditions' => $this->conditions,
            'stop_moves' => $this->stopMoves,
            'time_stop' => $this->timeStop,
            'open_exit' => $this->openExit,
            'good_for' => $this->goodFor,
        ];
    }

    /** @param DraftState $state */
    public static function fromState(array $state): self
    {
        $closes = static fn (?array $kept): ?CloseRule => $kept === null ? null : new CloseRule(TimeFrame::from($kept['timeframe']), $kept['times']);

        return new self(
            Side::from($state['side']),
            array_map(DraftLeg::fromState(...), $state['legs']),
            $state['stop'],
            array_map(static fn (array $target): DraftTarget => new DraftTarget($target['price'], $target['share']), $state['targets']),
            $state['good_for'],
            $state['cancel'],
            $closes($state['stop_closes']),
            CancelSide::from($state['cancel_side']),
            $closes($state['cancel_closes']),
            $state['conditions'],
            $state['stop_moves'],
            $state['time_stop'],
            $state['open_exit'],
        );
    }

    /** The price at which the first leg stands; null while it has none, or takes an open as it comes. */
    public function entryPrice(): ?int
    {
        return $this->entry()->kind->hasPrice() ? $this->entry()->price : null;
    }

    /** The price of the first leg from which planned risk counts: with its tolerance. */
    public function plannedEntry(): ?int
    {
        return $this->entry()->plannedPrice($this->side);
    }

    public function isComplete(): bool
    {
        return $this->missing() === [];
    }

    /** @return list<string> what must still be set: "entry", "stop" */
    public function missing(): array
    {
        $complete = array_filter($this->legs, static fn (DraftLeg $leg): bool => ! $leg->isComplete()) === [];

        return [...($complete ? [] : ['entry']), ...($this->stop === null ? ['stop'] : [])];
    }

    /** @return list<int> in units */
    public function targetPrices(): array
    {
        return array_map(static fn (DraftTarget $target): int => $target->price, $this->targets);
    }

    /**
     * Null until entry and stop are set.
     *
     * @param int|null $open the price taken for an entry at an open, which has none of its own
     */
    public function rScale(?int $open = null): ?RScale
    {
        $entries = [];
        foreach ($this->legs as $leg) {
            $price = $leg->plannedPrice($this->side) ?? ($leg->kind->hasPrice() ? null : $open);
            $share = ShareText::read($leg->share);
            if ($price !== null && $share !== null) {
                $entries[] = [$price, $share];
            }
        }
        if ($entries === [] || $this->stop === null) {
            return null;
        }
        try {
            return RScale::between($entries, $this->stop);
        } catch (\InvalidArgumentException) {
            return null; // entry and stop are the same
        }
    }

    /**
     * What the rules forbid in what is there so far.
     *
     * @return list<Problem> with the paths entry.price, entry.within, stop.price, cancel.price, targets.N.price,
     *                       targets.N.share, good_for, legs.N.*, conditions.N.*, stop_moves.N.*, open_exit.*
     */
    public function problems(PriceGrid $grid): array
    {
        $problems = [...$this->gridProblems($grid), ...$this->orderProblems($grid), ...$this->shareProblems(), ...$this->partProblems($grid)];
        if ($problems !== [] || ! $this->isComplete()) {
            return $problems;
        }
        try {
            $this->toSetup($grid, 0, 1);
        } catch (InvalidInput $fault) {
            return [new Problem($this->fieldOf($fault->path), ucfirst($fault->getMessage()).'.')];
        }

        return [];
    }

    /**
     * The conditions as they will be judged.
     *
     * @return list<Condition>
     *
     * @throws InvalidInput with the path conditions.N.*
     */
    public function readConditions(PriceGrid $grid): array
    {
        return array_map(static fn (array $rules, int $i): Condition => Conditions::read(Node::of($rules, "conditions.{$i}"), $grid), $this->conditions, array_keys($this->conditions));
    }

    /**
     * The moves of the stop as they will be judged.
     *
     * @return list<StopMove>
     *
     * @throws InvalidInput with the path stop_moves.N.*
     */
    public function readStopMoves(PriceGrid $grid): array
    {
        $reader = new StopMoveReader($grid, TimeFrame::FiveMinutes, count($this->targets));

        return array_map(static fn (array $rules, int $i): StopMove => $reader->read(Node::of($rules, "stop_moves.{$i}")), $this->stopMoves, array_keys($this->stopMoves));
    }

    /**
     * The setup in the form of rules.md.
     *
     * @param string|null $lastSession date of the instrument's last session, if it has one
     *
     * @return array<string, mixed>
     *
     * @throws \LogicException while entry or stop is missing
     */
    public function toRules(PriceGrid $grid, int $publishedAt, int $entryUntil, ?string $lastSession = null): array
    {
        if ($this->stop === null || ! $this->isComplete()) {
            throw new \LogicException('A setup without entry and stop cannot be published.');
        }
        $rules = [
            'side' => $this->side->value,
            'published_at' => Instant::format($publishedAt),
            'entry_until' => Instant::format($entryUntil),
            'legs' => array_map(static fn (DraftLeg $leg): array => $leg->toRules($grid), $this->legs),
            'stop' => ['price' => $grid->format($this->stop)] + ($this->stopCloses?->toRules() ?? ['basis' => 'touch']),
            'targets' => array_map(static fn (DraftTarget $target): array => ['price' => $grid->format($target->price), 'share' => $target->share], $this->targets),
        ];
        if ($this->cancel !== null) {
            $rules['cancel'] = ($this->cancelCloses?->toRules() ?? ['basis' => 'touch'])
                + ['price' => $grid->format($this->cancel)]
                + ($this->cancelSide === CancelSide::Target ? ['side' => $this->cancelSide->value] : []);
        }

        return $rules + array_filter([
            'conditions' => $this->conditions,
            'stop_moves' => $this->stopMoves,
            'time_stop_sessions' => $this->timeStop,
            'open_exit' => $this->openExit,
            'last_session' => $lastSession,
        ], static fn (mixed $part): bool => $part !== null && $part !== []);
    }

    /**
     * The setup as the engine will read it.
     *
     * @throws InvalidInput when the rules refuse it
     */
    public function toSetup(PriceGrid $grid, int $publishedAt, int $entryUntil, ?string $lastSession = null, TimeFrame $base = TimeFrame::FiveMinutes): Setup
    {
        return SetupReader::read(Node::of($this->toRules($grid, $publishedAt, $entryUntil, $lastSession), 'setup'), $grid, $base);
    }

    /** A path of the rules as the field of the draft: the first leg is the entry. */
    private function fieldOf(string $path): string
    {
        $field = preg_replace(['/^setup\./', '/^legs\.(\d+)\.trigger\./'], ['', 'legs.$1.'], $path) ?? $path;

        return str_starts_with($field, 'legs.0.') ? 'entry.'.substr($field, 7) : $field;
    }

    /** @return list<Problem> */
    private function gridProblems(PriceGrid $grid): array
    {
        $prices = ['stop.price' => $this->stop, 'cancel.price' => $this->cancel];
        $problems = [];
        foreach ($this->legs as $i => $leg) {
            $field = $i === 0 ? 'entry' : "legs.{$i}";
            $prices["{$field}.price"] = $leg->price;
            $prices["{$field}.worst"] = $leg->worst;
            foreach (['within' => $leg->within, 'beyond' => $leg->beyond] as $name => $distance) {
                if ($distance < 0) {
                    $problems[] = new Problem("{$field}.{$name}", 'The '.($name === 'within' ? 'tolerance' : 'distance').' must not be below 0.');
                } elseif (! $grid->onTick($distance)) {
                    $problems[] = new Problem("{$field}.{$name}", $this->offTick($grid, $distance));
                }
            }
            if (($leg->plannedPrice($this->side) ?? 1) <= 0) {
                $problems[] = new Problem("{$field}.within", 'The tolerance leaves no price above 0 to be filled at.');
            }
        }
        foreach ($this->targets as $i => $target) {
            $prices["targets.{$i}.price"] = $target->price;
        }
        foreach (array_filter($prices, static fn (?int $price): bool => $price !== null) as $path => $price) {
            if ($price <= 0) {
                $problems[] = new Problem($path, 'A price must be above 0.');
            } elseif (! $grid->onTick($price)) {
                $problems[] = new Problem($path, $this->offTick($grid, $price));
            }
        }
        if (count($this->targets) > self::MOST_TARGETS) {
            $problems[] = new Problem('targets.'.self::MOST_TARGETS.'.price', 'A setup has at most '.self::MOST_TARGETS.' targets.');
        }
        if (count($this->legs) > self::MOST_LEGS) {
            $problems[] = new Problem('legs.'.self::MOST_LEGS.'.price', 'An entry has at most '.self::MOST_LEGS.' parts.');
        }
        if ($this->goodFor < 1) {
            $problems[] = new Problem('good_for', 'The setup must be good for at least 1 session.');
        }

        return $problems;
    }

    private function offTick(PriceGrid $grid, int $units): string
    {
        return "{$grid->format($units)} is between two ticks of {$grid->format($grid->tick)}.";
    }

    /** @return list<Problem> */
    private function orderProblems(PriceGrid $grid): array
    {
        $entries = array_filter(array_map(fn (DraftLeg $leg): ?int => $leg->plannedPrice($this->side), $this->legs), static fn (?int $price): bool => $price !== null);

        return (new PriceOrder($this->side, $grid))->problems(array_values($entries), $this->stop, $this->targetPrices());
    }

    /** @return list<Problem> */
    private function partProblems(PriceGrid $grid): array
    {
        try {
            $this->readConditions($grid);
            $this->readStopMoves($grid);
            if ($this->openExit !== null) {
                OpenExit::read(Node::of($this->openExit, 'open_exit'));
            }
        } catch (InvalidInput $fault) {
            return [new Problem($fault->path, ucfirst($fault->getMessage()).'.')];
        }

        return $this->timeStop !== null && $this->timeStop < 1 ? [new Problem('time_stop', 'It must be at least 1 session.')] : [];
    }

    /** @return list<Problem> */
    private function shareProblems(): array
    {
        $sum = BigDecimal::zero();
        foreach ($this->targets as $i => $target) {
            $share = ShareText::read($target->share);
            if ($share === null) {
                return [new Problem("targets.{$i}.share", "\"{$target->share}\" is not a share above 0.")];
            }
            $sum = $sum->plus($share);
            if ($sum->isGreaterThan(1)) {
                return [new Problem("targets.{$i}.share", 'The shares of the targets add up to '.$sum->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP).' %, more than all.')];
            }
        }
        $sum = BigDecimal::zero();
        $names = [];
        foreach ($this->legs as $i => $leg) {
            $share = ShareText::read($leg->share);
            if ($share === null) {
                return [new Problem("legs.{$i}.share", "\"{$leg->share}\" is not a share above 0.")];
            }
            if (isset($names[$leg->name])) {
                return [new Problem("legs.{$i}.name", "There is a part \"{$leg->name}\" already.")];
            }
            $names[$leg->name] = true;
            $sum = $sum->plus($share);
        }

        return $sum->isEqualTo(1) ? [] : [new Problem('legs.'.(count($this->legs) - 1).'.share', 'The parts of the entry add up to '.$sum->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP).' %, and must be all.')];
    }
}
