<?php

declare(strict_types=1);

namespace App\Data;

/** A group of shares: how it did, and where it stands among the groups. */
final readonly class GroupData
{
    /**
     * @param list<float|null> $returns mean of its shares, in percent, over the horizons of the table
     * @param float|null       $rank    of its 126-session return among the groups, 0 to 100
     * @param string|null      $leader  symbol of the share with the best 126-session return
     */
    public function __construct(public string $name, public int $members, public int $advancing, public array $returns, public ?float $rank, public ?string $leader, public ?float $leaderReturn)
    {
    }
}
