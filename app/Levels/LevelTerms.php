<?php

declare(strict_types=1);

namespace App\Levels;

use App\Enums\AverageKind;
use Watchpost\Core\Levels\Anchor;

/** What tells a level that is more than a price: its points, its average, or the bar it is tied to. */
final readonly class LevelTerms
{
    /**
     * @param Anchor|null $parallel a point of the other line of a channel
     * @param string      $average  "sma", "ema", "vwap"; empty for none
     * @param string|null $since    session from which a VWAP counts
     * @param string      $mark     the wording of a mark: "high of the previous week"
     * @param string|null $session  the session of the bar a mark is tied to
     */
    public function __construct(
        public ?Anchor $from = null,
        public ?Anchor $to = null,
        public ?Anchor $parallel = null,
        public bool $logarithmic = false,
        public string $average = '',
        public int $period = 0,
        public ?string $since = null,
        public string $mark = '',
        public ?string $session = null,
    ) {
    }

    /** @param array<string, mixed> $terms */
    public static function fromArray(array $terms): self
    {
        /** @var array{from?: array{session: string, price: int}|null, to?: array{session: string, price: int}|null, parallel?: array{session: string, price: int}|null, logarithmic?: bool, average?: string, period?: int, since?: string|null, mark?: string, session?: string|null} $terms */
        $anchor = static fn (?array $point): ?Anchor => $point === null ? null : new Anchor($point['session'], $point['price']);

        return new self(
            $anchor($terms['from'] ?? null),
            $anchor($terms['to'] ?? null),
            $anchor($terms['parallel'] ?? null),
            $terms['logarithmic'] ?? false,
            $terms['average'] ?? '',
            $terms['period'] ?? 0,
            $terms['since'] ?? null,
            $terms['mark'] ?? '',
            $terms['session'] ?? null,
        );
    }

    /** @return array<string, mixed> only what is set */
    public function toArray(): array
    {
        $point = static fn (?Anchor $anchor): ?array => $anchor === null ? null : ['session' => $anchor->session, 'price' => $anchor->price];

        return array_filter([
            'from' => $point($this->from),
            'to' => $point($this->to),
            'parallel' => $point($this->parallel),
            'logarithmic' => $this->logarithmic,
            'average' => $this->average,
            'period' => $this->period,
            'since' => $this->since,
            'mark' => $this->mark,
            'session' => $this->session,
        ], static fn (mixed $value): bool => ! in_array($value, [null, false, '', 0], true));
    }

    /** @param callable(int): int $price */
    public function pricesBy(callable $price): self
    {
        $point = static fn (?Anchor $anchor): ?Anchor => $anchor === null ? null : new Anchor($anchor->session, $price($anchor->price));

        return new self($point($this->from), $point($this->to), $point($this->parallel), $this->logarithmic, $this->average, $this->period, $this->since, $this->mark, $this->session);
    }

    /** An average as it is written: "SMA 50", "VWAP since 2026-10-05". */
    public function averageName(): string
    {
        return $this->average === 'vwap' ? "VWAP since {$this->since}" : strtoupper($this->average).' '.$this->period;
    }

    public function isAverage(): bool
    {
        return $this->average === 'vwap' || AverageKind::tryFrom($this->average) !== null;
    }
}
