<?php

declare(strict_types=1);

namespace App\Subscribers;

use App\Enums\Sees;
use App\Models\PublishedSetup;
use App\Models\Tier;

/** Someone who reads, as of a moment. */
final readonly class Reader
{
    private const HOUR = 3_600;

    /** @param Tier|null $tier null for one who reads everything */
    public function __construct(private Tiers $tiers, public ?Tier $tier, private int $now)
    {
    }

    /**
     * How much is seen of a candidate.
     *
     * @param string $readers     key of the lowest tier that it is meant for
     * @param int    $publishedAt moment of its edition
     */
    public function sees(string $readers, int $publishedAt): Sees
    {
        return match (true) {
            $this->tier === null, $this->isOpen($publishedAt) => Sees::Full,
            $this->tier->rank < $this->tiers->get($readers)->rank => Sees::Nothing,
            default => $this->tier->sees,
        };
    }

    public function readsAll(string $readers, int $publishedAt): bool
    {
        return $this->sees($readers, $publishedAt) === Sees::Full;
    }

    /** Whether a published setup is theirs to read: what is withheld joins the public record once it is over. */
    public function mayRead(PublishedSetup $one): bool
    {
        return $one->outcome?->status->isAlive() === false || $this->readsAll($one->readers, $one->edition->published_at);
    }

    /** What it is told apart by: two of the same key read the same. */
    public function key(): string
    {
        return $this->tier->key ?? 'all';
    }

    /** Whether an edition has opened to them in full by now. */
    public function isOpen(int $publishedAt): bool
    {
        $hours = $this->tier?->opens_after_hours;

        return $hours !== null && $this->now >= $publishedAt + $hours * self::HOUR;
    }
}
