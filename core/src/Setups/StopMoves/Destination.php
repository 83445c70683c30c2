<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Words;
use Watchpost\Core\Studies\Study;

/** Where a stop moves to. All but the last method speak of a long. */
interface Destination
{
    public function mirrored(): self;

    public function times(int $factor): self;

    /** Whether it is computed anew at every close from then on; else it moves once. */
    public function trails(): bool;

    /** The new stop in units; null for no move. */
    public function price(Progress $progress): ?int;

    /** @return list<Study> what must be followed from bar to bar; a run follows a copy of each */
    public function studies(): array;

    /** The time frame of the closes of which the highest since the first fill is wanted. */
    public function closesOf(): ?TimeFrame;

    /** @return array<string, string|int> */
    public function toRules(PriceGrid $grid): array;

    /** "goes to the entry", "trails the ..." */
    public function describe(Words $words): string;
}
