<?php

declare(strict_types=1);

namespace App\Subscribers;

use App\Clock\MarketClock;
use App\Enums\Role;
use App\Enums\Sees;
use App\Models\Tier;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/** The tiers as they are now, read once, and what a person reads as. */
final class Tiers
{
    /** @var Collection<int, Tier>|null */
    private ?Collection $all = null;

    public function __construct(private readonly MarketClock $clock)
    {
    }

    /** @return Collection<int, Tier> the lowest first */
    public function all(): Collection
    {
        return $this->all ??= Tier::query()->orderBy('rank')->get();
    }

    public function forget(): void
    {
        $this->all = null;
    }

    public function get(string $key): Tier
    {
        return $this->all()->firstWhere('key', $key) ?? throw new \OutOfBoundsException("There is no tier {$key}.");
    }

    public function lowest(): Tier
    {
        return $this->all()->first() ?? throw new \LogicException('Visitors are always a tier.');
    }

    public function highest(): Tier
    {
        return $this->all()->last() ?? throw new \LogicException('Visitors are always a tier.');
    }

    /** As whom a person reads; null is a visitor. Those who make the plan read everything. */
    public function readerFor(?User $user): Reader
    {
        return match (true) {
            $user === null => $this->reader($this->lowest()),
            $user->role !== Role::Subscriber => $this->whole(),
            default => $this->reader($this->all()->firstWhere('key', $user->tier) ?? $this->lowest()),
        };
    }

    public function reader(Tier $tier): Reader
    {
        return new Reader($this, $tier, $this->clock->moment());
    }

    /** One who reads everything. */
    public function whole(): Reader
    {
        return new Reader($this, null, $this->clock->moment());
    }

    /** The lowest tier that reads all of what is meant for a tier. */
    public function inFull(string $readers): Tier
    {
        $from = $this->get($readers)->rank;

        return $this->all()->first(static fn (Tier $tier): bool => $tier->rank >= $from && $tier->sees === Sees::Full) ?? $this->highest();
    }
}
