<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/**
 * A setup while it is being planned: prices may still be missing, but what is there must already fit together.
 */
final readonly class Draft
{
    public const LEG = 'entry';
    public const MOST_TARGETS = 2;

    /**
     * @param int               $within  tolerance of a touch, in units
     * @param list<DraftTarget> $targets
     * @param int               $goodFor sessions for which the entry may wait, the session of the plan being the first
     */
    public function __construct(
        public Side $side,
        public TriggerKind $trigger,
        public ?int $entry,
        public int $within,
        public bool $noChase,
        public ?int $stop,
        public ?int $cancel,
        public array $targets,
        public int $goodFor,
    ) {
    }

    /** A setup of which nothing is known yet; a long, until something says otherwise. */
    public static function blank(int $goodFor): self
    {
        return new self(Side::Long, TriggerKind::Touch, null, 0, false, null, null, [], $goodFor);
    }

    /**
     * The entry put at a price. How it is reached follows from where price stands: a price it would come back to is
     * a touch, one it would go through is a break.
     *
     * @param int $close the last close, in units
     */
    public function withEntry(int $price, int $close): self
    {
        $comesBack = ($close - $price) * $this->side->sign() > 0;

        return $this->replace(['trigger' => $comesBack ? TriggerKind::Touch : TriggerKind::Break, 'entry' => $price]);
    }

    /** The stop put at a price; while there is no entry, its side of the last close decides the side of the trade. */
    public function withStop(int $price, int $close): self
    {
        $side = $this->entry === null && $this->targets === [] ? ($price > $close ? Side::Short : Side::Long) : $this->side;

        return $this->replace(['side' => $side, 'stop' => $price]);
    }

    /** One more target, in its place in the order away from the entry; all take equal shares. */
    public function withTarget(int $price): self
    {
        $prices = [...$this->targetPrices(), $price];
        usort($prices, fn (int $a, int $b): int => ($a - $b) * $this->side->sign());
        $share = (string) BigDecimal::one()->dividedBy(count($prices), 2, RoundingMode::DOWN)->stripTrailingZeros();

        return $this->replace(['targets' => array_map(static fn (int $price): DraftTarget => new DraftTarget($price, $share), $prices)]);
    }

    /** The other side: what lay on the losing side no longer does, so stop, targets and cancel are taken away. */
    public function turned(Side $side): self
    {
        return $side === $this->side ? $this : $this->replace(['side' => $side, 'stop' => null, 'cancel' => null, 'targets' => []]);
    }

    /** @param array<string, mixed> $changes by property */
    public function replace(array $changes): self
    {
        /** @var array{side: Side, trigger: TriggerKind, entry: ?int, within: int, noChase: bool, stop: ?int, cancel: ?int, targets: list<DraftTarget>, goodFor: int} $values */
        $values = array_replace(get_object_vars($this), $changes);

        return new self(...$values);
    }

    /** The price from which planned risk counts: of a touch, with its tolerance. */
    public function plannedEntry(): ?int
    {
        if ($this->entry === null) {
            return null;
        }

        return $this->trigger === TriggerKind::Touch ? $this->entry + $this->side->sign() * $this->within : $this->entry;
    }

    public function isComplete(): bool
    {
        return $this->entry !== null && $this->stop !== null;
    }

    /** @return list<int> in units */
    public function targetPrices(): array
    {
        return array_map(static fn (DraftTarget $target): int => $target->price, $this->targets);
    }

    /** Null until entry and stop are set. */
    public function rScale(): ?RScale
    {
        $entry = $this->plannedEntry();

        return $entry === null || $this->stop === null || $entry === $this->stop ? null : new RScale($entry, $this->stop);
    }

    /**
     * What the rules forbid in what is there so far.
     *
     * @return list<Problem> with the paths entry.price, entry.within, stop.price, cancel.price, targets.N.price,
     *                       targets.N.share, good_for
     */
    public function problems(PriceGrid $grid): array
    {
        return [...$this->gridProblems($grid), ...$this->orderProblems($grid), ...$this->shareProblems()];
    }

    /**
     * The setup in the form of rules.md.
     *
     * @return array<string, mixed>
     *
     * @throws \LogicException while entry or stop is missing
     */
    public function toRules(PriceGrid $grid, int $publishedAt, int $entryUntil): array
    {
        if ($this->entry === null || $this->stop === null) {
            throw new \LogicException('A setup without entry and stop cannot be published.');
        }
        $trigger = ['kind' => $this->trigger->value, 'price' => $grid->format($this->entry)];
        if ($this->trigger === TriggerKind::Touch && $this->within > 0) {
            $trigger['within'] = $grid->format($this->within);
        }
        if ($this->trigger === TriggerKind::Break && $this->noChase) {
            $trigger['no_chase'] = true;
        }
        $rules = [
            'side' => $this->side->value,
            'published_at' => Instant::format($publishedAt),
            'entry_until' => Instant::format($entryUntil),
            'legs' => [['name' => self::LEG, 'share' => '1', 'trigger' => $trigger]],
            'stop' => ['price' => $grid->format($this->stop), 'basis' => 'touch'],
            'targets' => [],
        ];
        foreach ($this->targets as $target) {
            $rules['targets'][] = ['price' => $grid->format($target->price), 'share' => $target->share];
        }
        if ($this->cancel !== null) {
            $rules['cancel'] = ['basis' => 'touch', 'price' => $grid->format($this->cancel)];
        }

        return $rules;
    }

    /**
     * The setup as the engine will read it.
     *
     * @throws InvalidInput when the rules refuse it
     */
    public function toSetup(PriceGrid $grid, int $publishedAt, int $entryUntil): Setup
    {
        return SetupReader::read(Node::of($this->toRules($grid, $publishedAt, $entryUntil), 'setup'), $grid, TimeFrame::Day);
    }

    /** @return list<Problem> */
    private function gridProblems(PriceGrid $grid): array
    {
        $prices = ['entry.price' => $this->entry, 'entry.within' => $this->within, 'stop.price' => $this->stop, 'cancel.price' => $this->cancel];
        foreach ($this->targets as $i => $target) {
            $prices["targets.{$i}.price"] = $target->price;
        }
        $problems = [];
        if (count($this->targets) > self::MOST_TARGETS) {
            $problems[] = new Problem('targets.'.self::MOST_TARGETS.'.price', 'A setup has at most '.self::MOST_TARGETS.' targets.');
        }
        foreach ($prices as $path => $price) {
            if ($price === null) {
                continue;
            }
            if ($price < 0 || ($price === 0 && $path !== 'entry.within')) {
                $problems[] = new Problem($path, $path === 'entry.within' ? 'The tolerance must not be below 0.' : 'A price must be above 0.');
            } elseif (! $grid->onTick($price)) {
                $problems[] = new Problem($path, "{$grid->format($price)} is between two ticks of {$grid->format($grid->tick)}.");
            }
        }
        $planned = $this->plannedEntry();
        if ($planned !== null && $planned <= 0) {
            $problems[] = new Problem('entry.within', 'The tolerance leaves no price above 0 to be filled at.');
        }
        if ($this->goodFor < 1) {
            $problems[] = new Problem('good_for', 'The setup must be good for at least 1 session.');
        }

        return $problems;
    }

    /** @return list<Problem> */
    private function orderProblems(PriceGrid $grid): array
    {
        $entry = $this->plannedEntry();

        return (new PriceOrder($this->side, $grid))->problems($entry === null ? [] : [$entry], $this->stop, $this->targetPrices());
    }

    /** @return list<Problem> */
    private function shareProblems(): array
    {
        $sum = BigDecimal::zero();
        foreach ($this->targets as $i => $target) {
            try {
                $share = BigDecimal::of($target->share);
            } catch (MathException) {
                return [new Problem("targets.{$i}.share", "\"{$target->share}\" is not a share.")];
            }
            if ($share->isNegativeOrZero()) {
                return [new Problem("targets.{$i}.share", 'A share must be above 0.')];
            }
            $sum = $sum->plus($share);
            if ($sum->isGreaterThan(1)) {
                return [new Problem("targets.{$i}.share", 'The shares of the targets add up to '.$sum->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP).' %, more than all.')];
            }
        }

        return [];
    }
}
