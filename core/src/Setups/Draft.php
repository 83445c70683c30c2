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

/**
 * A setup while it is being planned: prices may still be missing, but what is there must already fit together.
 */
final readonly class Draft
{
    public const LEG = 'entry';

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
            if ($target->price !== null) {
                $rules['targets'][] = ['price' => $grid->format($target->price), 'share' => $target->share];
            }
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
        return SetupReader::read(Node::of($this->toRules($grid, $publishedAt, $entryUntil), 'setup'), $grid);
    }

    /** @return list<Problem> */
    private function gridProblems(PriceGrid $grid): array
    {
        $prices = ['entry.price' => $this->entry, 'entry.within' => $this->within, 'stop.price' => $this->stop, 'cancel.price' => $this->cancel];
        foreach ($this->targets as $i => $target) {
            $prices["targets.{$i}.price"] = $target->price;
        }
        $problems = [];
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
        if ($this->goodFor < 1) {
            $problems[] = new Problem('good_for', 'The setup must be good for at least 1 session.');
        }

        return $problems;
    }

    /** @return list<Problem> */
    private function orderProblems(PriceGrid $grid): array
    {
        $entry = $this->plannedEntry();
        $targets = [];
        foreach ($this->targets as $i => $target) {
            if ($target->price !== null) {
                $targets[$i] = $target->price;
            }
        }

        return (new PriceOrder($this->side, $grid))->problems($entry === null ? [] : [$entry], $this->stop, $targets);
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
