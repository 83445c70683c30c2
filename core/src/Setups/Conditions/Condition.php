<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Leg;
use Watchpost\Core\Setups\Words;
use Watchpost\Core\Studies\Study;

/**
 * Something that must hold when a trigger fires; else the leg is not filled and waits on (rules.md, Conditions).
 *
 * A new kind is one class, added to {@see Conditions::CLASSES}; the engine names none.
 */
interface Condition
{
    /** @return list<string> the words for it in JSON */
    public static function kinds(): array;

    /** @throws InvalidInput with the path of the fault */
    public static function read(string $kind, Node $node, PriceGrid $grid): self;

    /** The word in JSON of this one; the reason of a leg that was skipped for it. */
    public function kind(): string;

    public function holds(Moment $moment): bool;

    /** @return list<Study> what must be followed from bar to bar; a run follows a copy of each to judge it */
    public function studies(): array;

    /** Whether the volume of sessions up to a bar must be followed. */
    public function needsVolume(): bool;

    /**
     * Why a leg cannot know the condition in time; null if it can.
     *
     * @param bool $sessions whether base bars are whole sessions
     */
    public function unknowableFor(Leg $leg, bool $sessions): ?string;

    /** "only if ..." */
    public function describe(Words $words): string;
}
