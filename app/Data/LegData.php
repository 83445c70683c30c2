<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\TriggerKind;

/** A part of an entry while it is planned. */
final readonly class LegData
{
    public function __construct(
        public string $name,
        public string $share,
        public TriggerKind $kind,
        public ?string $price,
        public string $within,
        public bool $noChase,
        public TimeFrame $timeframe,
        public int $times,
        public bool $nextOpen,
        public string $beyond,
        public int $bars,
        public ?string $worst,
        public ?string $gapMin,
        public ?string $gapMax,
        public ?string $needs,
    ) {
    }

    public static function of(DraftLeg $leg, PriceGrid $grid): self
    {
        return new self(
            $leg->name,
            $leg->share,
            $leg->kind,
            $leg->price === null ? null : $grid->format($leg->price),
            $grid->format($leg->within),
            $leg->noChase,
            $leg->timeFrame,
            $leg->times,
            $leg->atNextOpen,
            $grid->format($leg->beyond),
            $leg->bars,
            $leg->worst === null ? null : $grid->format($leg->worst),
            $leg->gapMin,
            $leg->gapMax,
            $leg->needs,
        );
    }
}
