<?php

declare(strict_types=1);

namespace Watchpost\Core\Rehearsal;

use Watchpost\Core\Statistics\Bootstrap;
use Watchpost\Core\Statistics\Interval;
use Watchpost\Core\Statistics\Losses;

/** What the cases of a rehearsal come to. With too few of them no rate is told, for it would say nothing. */
final readonly class Tally
{
    public const TOO_FEW = 20;

    public int $cases;
    public int $filled;
    /** Filled and at their end: only these count for rates and means. */
    public int $ended;
    public int $assumed;
    /** @var list<float> R of those that count, in order of time */
    public array $results;
    public ?Interval $reached;
    public ?Bootstrap $mean;
    public ?Losses $losses;

    /** @param list<RehearsedCase> $cases */
    public function __construct(array $cases)
    {
        usort($cases, static fn (RehearsedCase $a, RehearsedCase $b): int => [$a->ended ?? '9999', $a->symbol] <=> [$b->ended ?? '9999', $b->symbol]);
        $counted = array_values(array_filter($cases, static fn (RehearsedCase $case): bool => $case->counts()));
        $this->cases = count($cases);
        $this->filled = count(array_filter($cases, static fn (RehearsedCase $case): bool => $case->wasFilled()));
        $this->ended = count($counted);
        $this->assumed = count(array_filter($counted, static fn (RehearsedCase $case): bool => $case->assumed));
        $this->results = array_map(static fn (RehearsedCase $case): float => (float) $case->r, $counted);
        $isEnough = $this->ended >= self::TOO_FEW;
        $this->reached = $isEnough ? Interval::wilson(count(array_filter($counted, static fn (RehearsedCase $case): bool => $case->reached)), $this->ended) : null;
        $this->mean = $isEnough ? Bootstrap::mean($this->results) : null;
        $this->losses = $isEnough ? Losses::of($this->results) : null;
    }

    public function isTooFew(): bool
    {
        return $this->ended < self::TOO_FEW;
    }
}
