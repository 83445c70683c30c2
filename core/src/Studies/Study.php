<?php

declare(strict_types=1);

namespace Watchpost\Core\Studies;

use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\TimeFrame;

/**
 * A figure over the finished bars of a time frame, kept up to date bar by bar in constant time. It is told in units of
 * the bars fed; undefined values are null.
 *
 * A state is a list of whole numbers and one of others.
 *
 * @phpstan-type StudyState array{list<int>, list<int|float|null>}
 */
interface Study
{
    /** Two studies with the same name are the same: a run keeps one of them. */
    public function name(): string;

    public function timeFrame(): TimeFrame;

    public function see(FrameBar $closed): void;

    public function value(): ?float;

    /** @return StudyState */
    public function toState(): array;

    /** @param StudyState $state */
    public function restore(array $state): void;
}
