<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/**
 * One staged part of an entry while it is planned: what its trigger may be told, whatever its kind; what a kind does not
 * know is left out when it is sealed. Prices and distances in units.
 *
 * @phpstan-type DraftLegState array{
 *     name: string, share: string, kind: string, price: ?int, within: int, no_chase: bool, timeframe: string, times: int,
 *     next_open: bool, beyond: int, bars: int, worst: ?int, gap_min: ?string, gap_max: ?string, needs: ?string
 * }
 */
final readonly class DraftLeg
{
    public function __construct(
        public TriggerKind $kind = TriggerKind::Touch,
        public ?int $price = null,
        public int $within = 0,
        public bool $noChase = false,
        public string $name = Draft::LEG,
        public string $share = '1',
        public ?string $needs = null,
        public TimeFrame $timeFrame = TimeFrame::Day,
        public int $times = 1,
        public bool $atNextOpen = false,
        public int $beyond = 0,
        public int $bars = 1,
        public ?int $worst = null,
        public ?string $gapMin = null,
        public ?string $gapMax = null,
    ) {
    }

    /** @param array<string, mixed> $changes by property */
    public function replace(array $changes): self
    {
        /** @var array{kind: TriggerKind, price: ?int, within: int, noChase: bool, name: string, share: string, needs: ?string, timeFrame: TimeFrame, times: int, atNextOpen: bool, beyond: int, bars: int, worst: ?int, gapMin: ?string, gapMax: ?string} $values */
        $values = array_replace(get_object_vars($this), $changes);

        return new self(...$values);
    }

    /** Whether all is there that its kind waits for. */
    public function isComplete(): bool
    {
        return $this->price !== null || ! $this->kind->hasPrice();
    }

    /** The price from which planned risk counts: with its tolerance; null while there is none. */
    public function plannedPrice(Side $side): ?int
    {
        if ($this->price === null || ! $this->kind->hasPrice()) {
            return null;
        }

        return $this->kind->hasTolerance() ? $this->price + $side->sign() * $this->within : $this->price;
    }

    /**
     * The leg in the form of rules.md.
     *
     * @return array<string, mixed>
     */
    public function toRules(PriceGrid $grid): array
    {
        $price = $this->price === null ? [] : ['price' => $grid->format($this->price)];
        $within = $this->within > 0 ? ['within' => $grid->format($this->within)] : [];
        $worst = $this->worst === null ? [] : ['worst' => $grid->format($this->worst)];
        $frame = ['timeframe' => $this->timeFrame->value];
        $trigger = match ($this->kind) {
            TriggerKind::Touch => $price + $within,
            TriggerKind::Break => $price + ($this->noChase ? ['no_chase' => true] : []) + $worst,
            TriggerKind::CloseBeyond => $price + $frame + ['fill' => $this->atNextOpen ? 'next_open' : 'close'] + ($this->times > 1 ? ['times' => $this->times] : []) + $worst,
            TriggerKind::Retest => $price + $frame + $within,
            TriggerKind::Overshoot => $price + ['beyond' => $grid->format($this->beyond)] + $frame + ($this->bars > 1 ? ['bars' => $this->bars] : []),
            TriggerKind::Open => array_filter(['gap_min_percent' => $this->gapMin, 'gap_max_percent' => $this->gapMax], static fn (?string $value): bool => $value !== null) + $worst,
            TriggerKind::Market => $worst,
        };

        return ['name' => $this->name, 'share' => $this->share]
            + ($this->needs === null ? [] : ['needs' => $this->needs])
            + ['trigger' => ['kind' => $this->kind->value] + $trigger];
    }

    /** @return DraftLegState */
    public function toState(): array
    {
        return [
            'name' => $this->name,
            'share' => $this->share,
            'kind' => $this->kind->value,
            'price' => $this->price,
            'within' => $this->within,
            'no_chase' => $this->noChase,
            'timeframe' => $this->timeFrame->value,
            'times' => $this->times,
            'next_open' => $this->atNextOpen,
            'beyond' => $this->beyond,
            'bars' => $this->bars,
            'worst' => $this->worst,
            'gap_min' => $this->gapMin,
            'gap_max' => $this->gapMax,
            'needs' => $this->needs,
        ];
    }

    /** @param DraftLegState $state */
    public static function fromState(array $state): self
    {
        return new self(
            TriggerKind::from($state['kind']),
            $state['price'],
            $state['within'],
            $state['no_chase'],
            $state['name'],
            $state['share'],
            $state['needs'],
            TimeFrame::from($state['timeframe']),
            $state['times'],
            $state['next_open'],
            $state['beyond'],
            $state['bars'],
            $state['worst'],
            $state['gap_min'],
            $state['gap_max'],
        );
    }
}
